import { describe, expect, test } from '@jest/globals'
import { commuter, noon, written } from '../../../test/log.ts'
import { fittedParts } from '../log/garage.ts'
import { replay } from '../log/replay.ts'
import { energyAlong, logRuler } from './log-ruler.ts'
import { gearChange, gearChangeEntries } from './write-set.ts'

const COGS = [11, 13, 15, 17, 19, 21, 24, 28, 32, 37, 42]
const garage = replay(written(commuter))
const ids = () => {
  let n = 0
  return () => `new-${++n}`
}

describe('a set of gears that goes on a bike', () => {
  test('changes the ring alone where the cogs stay', () => {
    const { off, on } = gearChange(garage, 'heron', { rings: [42], cogs: COGS })
    expect(off.map(({ entry }) => entry.part)).toEqual(['ring'])
    expect(on).toEqual([{ type: 'ring', teeth: 42, material: 'steel' }])
  })

  test('is written as parts that go on and off, and is then what the bike has', () => {
    const drafts = gearChangeEntries(
      garage,
      'heron',
      { rings: [36, 46], cogs: [12, 14, 16, 18, 21, 24, 28, 32, 36] },
      noon(2, 1),
      ids(),
    )
    const after = replay(written([...commuter, ...drafts]))
    const on = (type: 'ring' | 'cassette') =>
      fittedParts(after, 'heron', type).map(({ entry: { spec } }) =>
        spec.type === 'ring' ? spec.teeth : spec.type === 'cassette' ? spec.teeth.join(' ') : '',
      )
    expect(on('ring').sort()).toEqual([36, 46])
    expect(on('cassette')).toEqual(['12 14 16 18 21 24 28 32 36'])
    expect(after.parts.get('ring')?.retired).toBe(false)
    expect(after.parts.get('ring')?.fittings.at(-1)?.to).toBe(noon(2, 1))
    // New parts are of the material of those before them.
    expect(after.parts.get('new-1')?.entry.spec).toMatchObject({ material: 'steel' })
  })

  test('writes nothing where nothing changes', () => {
    expect(
      gearChangeEntries(garage, 'heron', { rings: [40], cogs: [...COGS].reverse() }, noon(2, 1), ids()),
    ).toEqual([])
  })
})

describe('the ruler', () => {
  const ruler = logRuler([2, 8])
  test('equal steps in per cent are equally long', () => {
    expect(ruler.at(4) - ruler.at(2)).toBeCloseTo(ruler.at(8) - ruler.at(4), 12)
    expect(ruler.at(ruler.fromM)).toBe(0)
    expect(ruler.at(ruler.toM)).toBeCloseTo(1, 12)
    expect(ruler.marks).toEqual([2, 3, 4, 5, 6, 8])
  })

  test('the energy stands highest where most of it is', () => {
    const heights = energyAlong(
      [
        { ring: 40, cog: 20, share: 0.8 },
        { ring: 40, cog: 11, share: 0.2 },
      ],
      2000,
      ruler,
      101,
    )
    expect(heights).toHaveLength(101)
    expect(heights.indexOf(1)).toBe(Math.round(100 * ruler.at(4)))
    expect(energyAlong([], 2000, ruler, 5)).toEqual([0, 0, 0, 0, 0])
  })
})
