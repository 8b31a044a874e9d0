import { describe, expect, test } from '@jest/globals'
import type { ValidationError } from 'yup'
import { commuter, noon, ride, written } from '../../../test/log.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import { fittedChain, fittedLink, fittedParts } from '../../core/log/garage.ts'
import { replay } from '../../core/log/replay.ts'
import { partDraft, PartFault, partFormSchema } from './part-form.ts'
import { chainsToHand, linksToHand, swapEntries, type Swap } from '../../core/strategy/shelf/swap.ts'

const made = (raw: object) => partDraft(raw, 'id', noon(3, 1))
const faultOf = (raw: object): PartFault => {
  try {
    made(raw)
  } catch (error) {
    if (error instanceof PartFault) return error
    throw error
  }
  throw new Error('the part was taken')
}

describe('a part as it is typed', () => {
  test('of each kind is what it says, with a name of its own where none is given', () => {
    expect(
      made({
        type: 'chain',
        links: '116',
        speeds: '11',
        surface: 'plated',
        directional: 'yes',
        join: 'pin',
      }),
    ).toEqual({
      kind: 'part',
      at: noon(3, 1),
      part: 'id',
      name: 'Chain',
      spec: {
        type: 'chain',
        links: 116,
        speeds: 11,
        past: 'new',
        surface: 'plated',
        directional: true,
        join: 'pin',
      },
    })
    expect(made({ type: 'joining-link', speeds: '11', limit: '5', closedBefore: '' })).toMatchObject({
      name: 'Joining link',
      spec: { closingsAllowed: 5, closedBefore: 0 },
    })
    expect(
      made({
        type: 'cassette',
        teeth: '28 11, 13',
        cogsCounted: true,
        loose: '11 99',
        material: 'titanium',
      }),
    ).toMatchObject({
      name: 'Cassette 11 to 28',
      spec: { teeth: [11, 13, 28], soldSingly: [11], material: 'titanium' },
    })
    expect(made({ type: 'cassette', teeth: '18' }).name).toBe('Cog 18')
    expect(made({ type: 'ring', teeth: '42', name: ' Big one ' })).toMatchObject({
      name: 'Big one',
      spec: { type: 'ring', teeth: 42, material: 'steel' },
    })
    expect(made({ type: 'tension', teeth: '11' })).toMatchObject({
      name: 'Tension pulley',
      spec: { type: 'pulley', position: 'tension', teeth: 11 },
    })
  })

  test('that was used has an unknown past, and a distance where anybody knows it', () => {
    const used = { type: 'chain', links: '116', speeds: '11', used: 'used' }
    expect(made({ ...used, usedKm: '' })).toMatchObject({ used: {}, spec: { past: 'unknown' } })
    expect(made({ ...used, usedKm: '1500' })).toMatchObject({ used: { km: 1500 } })
  })

  test('is not held up by what stands in a field that its type does not show', () => {
    const odd = { links: 'many', limit: '0', usedKm: '?' }
    expect(made({ type: 'ring', teeth: '42', ...odd }).spec).toMatchObject({ teeth: 42 })
  })

  test('is asked about at the field, in the form, beside its day', async () => {
    const form = { type: 'ring', teeth: '40 42', where: 'bike', day: '2026-03-02' }
    const faults = await partFormSchema(noon(3, 1))
      .validate(form, { abortEarly: false })
      .catch((error: ValidationError) => error.inner.map(({ path }) => path).sort())
    expect(faults).toEqual(['day', 'teeth'])
  })

  test.each([
    [{ type: 'chain', speeds: '11' }, 'links', /Count the links/],
    [{ type: 'chain', links: '20', speeds: '11' }, 'links', /Count the links\. At least 40/],
    [{ type: 'chain', links: '116' }, 'speeds', /how many speeds/],
    [{ type: 'joining-link', speeds: '11' }, 'limit', /Its packet says/],
    [{ type: 'cassette', teeth: '11 5' }, 'teeth', /from 9 to 60/],
    [{ type: 'cassette', teeth: '11-28' }, 'teeth', /How many cogs\?/],
    [{ type: 'cassette', teeth: '11 28' }, 'teeth', /2 cogs fit no common drivetrain/],
    [{ type: 'cassette', teeth: '' }, 'teeth', /from 9 to 60/],
    [{ type: 'ring', teeth: '40 42' }, 'teeth', /one figure/],
    [{ type: 'ring', teeth: '40', name: 'x'.repeat(81) }, 'name', /shorter name/],
    [{ type: 'guide', teeth: '11', used: 'used', usedKm: '-1' }, 'usedKm', /A distance/],
  ])('%p is asked about its %s', (raw, field, said) => {
    const fault = faultOf(raw)
    expect(fault.field).toBe(field)
    expect(fault.message).toMatch(said)
  })
})

describe('the swap', () => {
  const spec = { type: 'joining-link', speeds: 11, closingsAllowed: 3, closedBefore: 0 } as const
  const base: readonly EntryDraft[] = [
    ...commuter,
    { kind: 'part', at: noon(1, 1), part: 'link', name: 'Joining link 1', spec },
    { kind: 'fit', at: noon(1, 1), part: 'link', bike: 'heron' },
    { kind: 'part', at: noon(1, 1), part: 'spare-link', name: 'Joining link 2', spec },
    {
      kind: 'part',
      at: noon(1, 2),
      part: 'other',
      name: 'Chain B',
      spec: { type: 'chain', links: 116, speeds: 11, past: 'new' },
    },
    ride(1, 5, 100),
  ]
  const garage = replay(written(base))
  const plain: Swap = {
    at: noon(3, 1),
    bike: 'heron',
    speeds: 11,
    off: { part: 'chain', to: 'shelf' },
    on: { links: 114, directional: true },
    join: 'same',
    linkLimit: 1,
  }
  const after = (swap: Partial<Swap>) => {
    let made = 0
    const drafts = swapEntries({ ...plain, ...swap }, garage, () => `new-${++made}`)
    const before = written(base)
    return { drafts, garage: replay([...before, ...written(drafts, Date.UTC(2027, 0, 1))]) }
  }
  const onHeron = (state: typeof garage) => fittedParts(state, 'heron').map(({ entry }) => entry.part)

  test('knows what is to hand: not what is on, not what is away', () => {
    expect(chainsToHand(garage, 'heron').map(({ entry }) => entry.part)).toEqual(['other'])
    expect(linksToHand(garage).map(({ entry }) => entry.part)).toEqual(['spare-link'])
    expect(fittedLink(garage, 'heron')?.entry.part).toBe('link')
    const lent = replay(
      written([...base, { kind: 'remove', at: noon(2, 1), part: 'other', to: 'lent', lentTo: 'Ada' }]),
    )
    expect(chainsToHand(lent, 'heron')).toEqual([])
  })

  test('takes one chain off and puts a new one on, closing the same link once more', () => {
    const { garage: then } = after({})
    expect(fittedChain(then, 'heron')?.entry).toMatchObject({ part: 'new-1', at: noon(3, 1) })
    expect(then.parts.get('new-1')?.entry).toMatchObject({
      name: 'Chain 2',
      spec: { links: 114, directional: true, join: 'joining-link' },
    })
    expect(then.parts.get('link')?.fittings).toHaveLength(2)
    expect(then.parts.get('chain')?.retired).toBe(false)
    expect(then.parts.get('chain')?.fittings.at(-1)?.to).toBe(noon(3, 1))
  })

  test('puts on a chain there is, with another link, or a new one, or a pin', () => {
    const spare = after({ on: { part: 'other' }, join: { part: 'spare-link' } })
    expect(onHeron(spare.garage)).toEqual(expect.arrayContaining(['other', 'spare-link']))
    expect(onHeron(spare.garage)).not.toContain('link')
    const fresh = after({ on: { part: 'other' }, join: 'new', linkLimit: 5 })
    expect(fresh.garage.parts.get('new-1')?.entry).toMatchObject({
      name: 'Joining link 3',
      spec: { closingsAllowed: 5 },
    })
    const pinned = after({ join: 'pin' })
    expect(fittedLink(pinned.garage, 'heron')).toBeUndefined()
    expect(pinned.garage.parts.get('new-1')?.entry.spec).toMatchObject({ join: 'pin' })
  })

  test('writes the first lube and the first look in the order they were done', () => {
    const { drafts, garage: then } = after({
      off: { part: 'chain', to: 'retired' },
      lube: 'drip-wax',
      lengthMm: 304.8,
    })
    expect(drafts.map(({ kind }) => kind)).toEqual(['remove', 'part', 'fit', 'fit', 'wash', 'reading'])
    expect(drafts.map(({ at }) => at)).toEqual([...drafts.map(({ at }) => at)].sort())
    expect(then.parts.get('chain')?.retired).toBe(true)
    expect(then.readings.get('new-1')).toHaveLength(1)
  })
})
