import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { suggestWays, USUAL_KIT, type WashWants } from './suggest.ts'
import { leastMinutes } from '../session/least-minutes.ts'
import { CHAIN_LOOKS } from './chain-looks.ts'
import { LUBES } from './lubes.ts'
import { KIT_TOOLS, WASH_WAYS } from './wash-ways.ts'
import { misfits, WAYS } from './ways.ts'

const leastMin = leastMinutes({ bike: { hasDiscs: true, isElectric: false }, kit: KIT_TOOLS })

const oily: WashWants = {
  on: 'wet-lube',
  clock: { used: 1.1, due: true, reason: 'distance' },
  look: 'dry',
  wetShare: 0.4,
  dustShare: 0,
  minutes: undefined,
  leastMin,
  kit: USUAL_KIT,
  noSolvent: false,
  school: undefined,
}
const waxed: WashWants = { ...oily, on: 'immersion-wax', wetShare: 0.1, kit: [...USUAL_KIT, 'pot'] }
const best = (wants: WashWants) => suggestWays(wants)[0]

describe('which way to wash', () => {
  test('a dry chain that is clean is wiped and lubricated, with wet lube for wet roads', () => {
    expect(best(oily)).toMatchObject({ way: 'wipe', lube: 'wet-lube' })
    expect(best({ ...oily, on: 'dry-lube', wetShare: 0, dustShare: 0.6 })).toMatchObject({ lube: 'dry-lube' })
  })

  test('a black one is cleaned through; where solvents are ruled out, not with any', () => {
    expect(['degrease', 'full']).toContain(best({ ...oily, look: 'black' })?.way)
    const without = best({ ...oily, look: 'black', noSolvent: true })
    expect(without && WAYS[without.way].isSolvent).toBe(false)
  })

  test('a waxed chain whose wax is used up is waxed again, and topped up while it is not', () => {
    expect(best(waxed)).toMatchObject({ way: 're-wax', lube: 'immersion-wax' })
    expect(best({ ...waxed, look: 'quiet', clock: { used: 0.6, due: false, reason: 'distance' } })?.way).toBe(
      'drip-wax',
    )
    // Without a pot there is no dip.
    expect(best({ ...waxed, kit: USUAL_KIT })?.way).not.toBe('re-wax')
  })

  test('half an hour is enough for drops, and not for a bath', () => {
    const ways = suggestWays({ ...oily, look: 'black', minutes: 30, kit: KIT_TOOLS })
    expect(ways[0] && leastMin[ways[0].way]).toBeLessThanOrEqual(30)
    expect(ways.find(({ way }) => way === 'bath')?.con).toContainEqual({
      why: 'too-long',
      minutes: leastMin.bath,
    })
  })

  test('the rider’s own way wins where two are close', () => {
    expect(best({ ...oily, look: 'black', kit: KIT_TOOLS, school: 'bath' })?.way).toBe('bath')
  })

  test('whatever is wanted: every way is judged once, the first can be done wherever any can, and nothing suggested fails to mix', () => {
    const wants = fc.record({
      on: fc.option(fc.constantFrom(...LUBES), { nil: undefined }),
      clock: fc.constant(undefined),
      look: fc.option(fc.constantFrom(...CHAIN_LOOKS), { nil: undefined }),
      wetShare: fc.double({ min: 0, max: 1, noNaN: true }),
      dustShare: fc.double({ min: 0, max: 1, noNaN: true }),
      minutes: fc.option(fc.integer({ min: 1, max: 120 }), { nil: undefined }),
      leastMin: fc.constant(leastMin),
      kit: fc.subarray([...KIT_TOOLS]),
      noSolvent: fc.boolean(),
      school: fc.option(fc.constantFrom(...WASH_WAYS), { nil: undefined }),
    })
    fc.assert(
      fc.property(wants, (asked) => {
        const ways = suggestWays(asked)
        expect(ways.map(({ way }) => way).sort()).toEqual([...WASH_WAYS].sort())
        const [first] = ways
        expect(first?.isOpen).toBe(ways.some(({ isOpen }) => isOpen))
        if (first?.isOpen) {
          expect(misfits(first.way, first.lube, asked)).toEqual([])
          expect(WAYS[first.way].needs.every((tool) => asked.kit.includes(tool))).toBe(true)
        }
      }),
    )
  })
})

describe('what does not mix', () => {
  const dry = { wetShare: 0, noSolvent: false }
  test.each([
    ['drip-wax', 'drip-wax', { ...dry, on: 'wet-lube' }, ['wax-on-oil']],
    ['re-wax', 'immersion-wax', { ...dry, on: 'dry-lube' }, ['not-waxed']],
    ['strip-wax', 'immersion-wax', { ...dry, on: 'wet-lube' }, []],
    ['wipe', 'wet-lube', { ...dry, on: 'immersion-wax' }, ['oil-on-wax']],
    ['degrease', 'wet-lube', { ...dry, on: 'immersion-wax' }, []],
    ['drip', 'dry-lube', { ...dry, on: 'dry-lube', wetShare: 0.5 }, ['dry-in-rain']],
    ['bath', 'wet-lube', { ...dry, on: 'wet-lube', noSolvent: true }, ['solvent-forbidden']],
  ] as const)('%s with %s', (way, lube, on, found) => {
    expect(misfits(way, lube, on)).toEqual(found)
  })
})
