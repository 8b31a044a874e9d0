import { describe, expect, test } from '@jest/globals'
import { reportOn } from '../../../test/judged.ts'
import { commuter, noon, ride, written } from '../../../test/log.ts'
import type { EntryDraft } from '../log/entries.ts'
import { replay } from '../log/replay.ts'
import type { KeptDraws } from '../wear/kept-draws.ts'
import { washFacts } from './facts/wash-facts.ts'
import { linkOfChain, relayAsk, turnEveryKm, turnKmOf, turnsSoFar } from './relay-facts.ts'

const spare: EntryDraft = {
  kind: 'part',
  at: noon(3, 22),
  part: 'spare',
  name: 'Spare',
  spec: { type: 'chain', links: 114, speeds: 11, past: 'new' },
}
const link = (part: string): EntryDraft => ({
  kind: 'part',
  at: noon(3, 21),
  part,
  name: part,
  spec: { type: 'joining-link', speeds: 11, closingsAllowed: 3, closedBefore: 0 },
})
const fit = (part: string, at: string): EntryDraft => ({ kind: 'fit', at, part, bike: 'heron' })
const off = (part: string, at: string): EntryDraft => ({ kind: 'remove', at, part, to: 'shelf' })

/** 100 km on the first chain, 40 on the spare, 25 on the first again; each ride on a day of its own. */
const turns: readonly EntryDraft[] = [
  ...commuter,
  spare,
  link('one'),
  fit('one', noon(3, 22)),
  ride(3, 23, 100),
  off('chain', noon(3, 24)),
  fit('spare', noon(3, 24)),
  fit('one', noon(3, 24)),
  ride(3, 25, 40),
  off('spare', noon(3, 26)),
  fit('chain', noon(3, 26)),
  fit('one', noon(3, 26)),
  ride(3, 27, 25),
]
const garageOf = (drafts: readonly EntryDraft[]) => replay(written(drafts))

describe('chains in turn, by the log', () => {
  test('the turns so far, along the bike’s road', () => {
    const garage = garageOf(turns)
    const parts = ['chain', 'spare'].flatMap((id) => garage.parts.get(id) ?? [])
    expect(turnsSoFar(reportOn(turns), parts)).toEqual([
      { chain: 'chain', fromKm: 0, toKm: 100 },
      { chain: 'spare', fromKm: 100, toKm: 140 },
      { chain: 'chain', fromKm: 140, toKm: 165 },
    ])
    expect(turnKmOf(reportOn(turns))).toBe(25)
  })

  test('how long a turn is: the last word counts, and even wear where none was said', () => {
    const said = (everyKm?: number): EntryDraft => ({
      kind: 'rotation',
      at: noon(3, 28),
      bike: 'heron',
      ...(everyKm !== undefined && { everyKm }),
    })
    expect(turnEveryKm(garageOf(turns), 'heron')).toBeUndefined()
    expect(turnEveryKm(garageOf([...turns, said(300)]), 'heron')).toBe(300)
    expect(turnEveryKm(garageOf([...turns, said(300), said()]), 'heron')).toBeUndefined()
  })

  test('one link for all chains went on with the next; links of their own stay with each', () => {
    const shared = garageOf(turns)
    expect(linkOfChain(shared, 'chain')).toMatchObject({ part: 'one', closings: 3, isElsewhere: false })
    expect(linkOfChain(shared, 'spare')).toMatchObject({ part: 'one', isElsewhere: true })
    const own = garageOf([
      ...turns.filter((draft) => draft.kind !== 'fit' || draft.part !== 'one'),
      link('two'),
      fit('one', noon(3, 22)),
      fit('two', noon(3, 24)),
      fit('one', noon(3, 26)),
    ])
    expect(linkOfChain(own, 'chain')).toMatchObject({ part: 'one', closings: 2, isElsewhere: false })
    expect(linkOfChain(own, 'spare')).toMatchObject({ part: 'two', closings: 1, isElsewhere: false })
    expect(linkOfChain(garageOf(commuter), 'chain')).toBeUndefined()
  })

  test('what is asked: the set, those that are ready, the road ahead and the wax that is left', () => {
    const draws = { count: 0, chains: {} } as unknown as KeptDraws
    const waxed: readonly EntryDraft[] = [
      ...turns,
      { kind: 'wash', at: noon(3, 26), chain: 'chain', method: 'off-bike', lube: 'immersion-wax' },
    ]
    const asked = (drafts: readonly EntryDraft[]) => {
      const garage = garageOf(drafts)
      const report = reportOn(drafts)
      return relayAsk(garage, report, washFacts(garage, report).chains, draws)
    }
    expect(asked(waxed)).toMatchObject({ on: 'chain', waiting: ['spare'], ready: ['spare'], turnKm: 25 })
    const left = asked(waxed)
    // Immersion wax lasts 400 km of dry road, and 25 are ridden.
    expect(left?.lubeLifeKm).toBeCloseTo(400, 0)
    expect(left?.lubeLeftKm).toBeCloseTo(375, 0)
    expect(asked(turns)?.lubeLeftKm).toBe(Infinity)
    expect(asked(commuter)).toBeUndefined()
  })
})
