import { expect, test } from '@jest/globals'
import { LUBED, reportOn } from '../../../../test/judged.ts'
import { commuter, noon, ride, written } from '../../../../test/log.ts'
import type { EntryDraft } from '../../log/entries.ts'
import { replay } from '../../log/replay.ts'
import { isLookAsked } from './look-asked.ts'
import { washFacts } from './wash-facts.ts'

const spare: readonly EntryDraft[] = [
  {
    kind: 'part',
    at: noon(2, 1),
    part: 'spare',
    name: 'Spare',
    spec: { type: 'chain', links: 114, speeds: 11, past: 'new' },
  },
  { kind: 'remove', at: noon(2, 1), part: 'chain', to: 'shelf' },
  { kind: 'fit', at: noon(2, 1), part: 'spare', bike: 'heron' },
  ride(2, 2, 50),
  { kind: 'remove', at: noon(2, 3), part: 'spare', to: 'shelf' },
  { kind: 'fit', at: noon(2, 3), part: 'chain', bike: 'heron' },
]
const waxed = (chain: string, day: number): EntryDraft => ({
  kind: 'wash',
  at: noon(3, day),
  chain,
  method: 'off-bike',
  lube: 'immersion-wax',
})
const factsOf = (...drafts: readonly EntryDraft[]) => {
  const log = [...commuter, ...drafts]
  return washFacts(replay(written(log)), reportOn(log))
}

test('chains that take turns on the bike may be washed with it, the one that is on first; retired ones not', () => {
  const { chains } = factsOf(...spare, LUBED)
  expect(chains.map(({ id, isOn }) => [id, isOn])).toEqual([
    ['chain', true],
    ['spare', false],
  ])
  const gone = factsOf(...spare, { kind: 'remove', at: noon(3, 1), part: 'spare', to: 'retired' })
  expect(gone.chains.map(({ id }) => id)).toEqual(['chain'])
})

test('a garage that has waxed has a pot until somebody says otherwise; then what was said last counts', () => {
  expect(factsOf(LUBED)).toMatchObject({ isKitGuessed: true, wants: { on: 'wet-lube' } })
  expect(factsOf(LUBED).wants.kit).not.toContain('pot')
  expect(factsOf(waxed('chain', 1)).wants.kit).toContain('pot')
  const said = factsOf(waxed('chain', 1), {
    kind: 'kit',
    at: noon(3, 2),
    tools: ['chain-bath'],
    noSolvent: true,
    school: 'bath',
  })
  expect(said).toMatchObject({
    isKitGuessed: false,
    wants: { kit: ['chain-bath'], noSolvent: true, school: 'bath' },
  })
})

test('dips are counted from the day the wax was fresh', () => {
  const fresh: EntryDraft = { kind: 'kit', at: noon(3, 10), tools: ['pot'], waxSince: noon(3, 10) }
  expect(factsOf(...spare, waxed('chain', 1), fresh, waxed('chain', 12), waxed('spare', 12)).wax).toEqual({
    since: noon(3, 10),
    dips: 2,
  })
  expect(factsOf(waxed('chain', 1)).wax).toBeUndefined()
})

test('steps take as long as this rider was seen to take, drawn toward the guess while few are known', () => {
  const took = (minutes: number, day: number): EntryDraft => ({
    kind: 'session',
    at: noon(3, day),
    bike: 'heron',
    chains: ['chain'],
    way: 'wipe',
    minutes: 40,
    stepMin: { 'clean-frame': minutes },
  })
  expect(factsOf(LUBED).ownMin).toEqual({})
  // Twice the guess of 8, and once 14: 10.
  expect(factsOf(took(14, 1)).ownMin).toEqual({ 'clean-frame': 10 })
  expect(factsOf(...[1, 2, 3, 4, 5, 6].map((day) => took(14, day))).ownMin['clean-frame']).toBe(13)
})

test('a tap on how the chain looks holds for half a day, or until something is done about it', () => {
  const tapped = (at: string): EntryDraft => ({ kind: 'lube-check', at, chain: 'chain', look: 'black' })
  expect(factsOf(LUBED, tapped(noon(4, 1))).wants.look).toBe('black')
  expect(factsOf(LUBED, tapped(noon(3, 31))).wants.look).toBeUndefined()
  const washed = { ...LUBED, at: noon(4, 1).replace('12:00:00', '12:00:01') }
  expect(factsOf(tapped(noon(4, 1)), washed).wants.look).toBeUndefined()
})

test('a way that is said to fit into the time does: its least minutes are the planner’s', () => {
  const { leastMin } = factsOf(LUBED).wants
  expect(leastMin.spray).toBeLessThan(leastMin.drip)
  expect(leastMin.degrease).toBeGreaterThan(leastMin.wipe)
  expect(leastMin['re-wax']).toBeLessThan(leastMin['strip-wax'])
})

test('after a ride it is asked how the chain was: once, while it is fresh in the ear, and not of a bare chain', () => {
  const ridden = ride(3, 31, 40)
  const lubed = { ...LUBED, at: noon(3, 25) }
  const asked = (...drafts: readonly EntryDraft[]): boolean => {
    const log = [...commuter, ...drafts]
    return isLookAsked(replay(written(log)), reportOn(log))
  }
  expect(asked(lubed, ridden)).toBe(true)
  expect(asked(ridden)).toBe(false)
  expect(asked(lubed, ride(3, 28, 40))).toBe(false)
  expect(asked(lubed, ridden, { kind: 'lube-check', at: noon(4, 1), chain: 'chain', look: 'quiet' })).toBe(
    false,
  )
  expect(asked({ ...LUBED, at: noon(4, 1) }, ridden)).toBe(false)
})
