import { describe, expect, test } from '@jest/globals'
import { JUDGED_AT, LUBED, LUBED_LONG_AGO, measuredAt, reportOn } from '../../../../test/judged.ts'
import { commuter, noon, ride, written } from '../../../../test/log.ts'
import { answerOf } from '../../../../test/outlook.ts'
import type { EntryDraft } from '../../log/entries.ts'
import type { FaultEntry } from '../../log/kinds/fault.ts'
import { replay } from '../../log/replay.ts'
import { verdictOf } from '../verdict.ts'
import { faultFacts, needsOf } from './fault-facts.ts'
import { faultsOf, faultToAskAfter, openFaults } from './faults-found.ts'

const found = (more: Partial<Omit<FaultEntry, 'kind'>> = {}): EntryDraft => ({
  kind: 'fault',
  at: noon(3, 10),
  fault: 'f1',
  bike: 'heron',
  about: 'shifting',
  answers: [],
  found: ['bent-hanger'],
  outcome: 'mended',
  ...more,
})
const garageOf = (...drafts: readonly EntryDraft[]) => replay(written([...commuter, ...drafts]))
const factsOf = (...drafts: readonly EntryDraft[]) => {
  const log = [...commuter, ...drafts]
  return faultFacts(replay(written(log)), reportOn(log), undefined, undefined)
}

describe('what a log says that bears on a fault', () => {
  test('a bike with a cable, a derailleur and one ring; discs until somebody says otherwise', () => {
    expect(factsOf().has).toEqual(new Set(['derailleur', 'cable', 'disc']))
    const [bike] = commuter
    if (bike?.kind !== 'bike') throw new Error('no bike')
    const of = (more: Partial<typeof bike>) => needsOf(garageOf(), { ...bike, id: '', format: 1, ...more })
    expect(of({ shifting: 'electric', brakes: 'rim' })).toEqual(new Set(['derailleur', 'electric']))
    expect(of({ speeds: 1, shifting: 'none' })).toEqual(new Set(['disc']))
    expect(of({ speeds: 1, shifting: 'hub-gear' })).toEqual(new Set(['disc']))
  })

  test('a chain that came with the bike is not said to be new; one fitted after rides is', () => {
    expect(factsOf(ride(1, 2, 50)).kmOnChain).toBeUndefined()
    const spare: readonly EntryDraft[] = [
      ride(1, 2, 900),
      {
        kind: 'part',
        at: noon(2, 1),
        part: 'two',
        name: 'Two',
        spec: { type: 'chain', links: 116, speeds: 11, past: 'new' },
      },
      { kind: 'remove', at: noon(2, 1), part: 'chain', to: 'shelf' },
      { kind: 'fit', at: noon(2, 1), part: 'two', bike: 'heron' },
      ride(2, 2, 40),
    ]
    expect(factsOf(...spare).kmOnChain).toBeCloseTo(40, 6)
  })

  test('the readings tell how likely the chain is past its limit, and that it is fresh', () => {
    const log = [...commuter, ride(1, 2, 1500), ...measuredAt(0.9)]
    const garage = replay(written(log))
    const facts = faultFacts(garage, reportOn(log), answerOf(garage, JUDGED_AT, 'chain'), undefined)
    expect(facts.chainPast).toBeGreaterThan(0.95)
    expect(facts.chainFresh).toBeLessThan(0.01)
    expect(factsOf(ride(1, 2, 1500)).chainPast).toBeUndefined()
  })

  test('wet rides since the lube, and how much of its life is used', () => {
    const wet = factsOf(
      LUBED_LONG_AGO,
      ride(2, 1, 60, { condition: 'wet-road' }),
      ride(2, 2, 60, { condition: 'mud' }),
      ride(2, 3, 30),
    )
    expect(wet.wetRidesSinceLube).toBe(2)
    expect(wet.lubeUsed).toBeGreaterThanOrEqual(1)
    expect(factsOf(ride(2, 1, 60, { condition: 'wet-road' }), LUBED).wetRidesSinceLube).toBe(0)
  })

  test('a fall two weeks ago is thought of, one of last year is not', () => {
    const fall = (at: string): EntryDraft => ({ kind: 'mishap', at, bike: 'heron', what: 'crash' })
    expect(factsOf(fall(noon(3, 20))).hadCrash).toBe(true)
    expect(factsOf(fall(noon(1, 2))).hadCrash).toBe(false)
    expect(factsOf({ kind: 'mishap', at: noon(3, 20), bike: 'heron', what: 'wheel-change' })).toMatchObject({
      hadCrash: false,
      hadWheelChange: true,
    })
  })

  test('a cog that slipped on the road since the chain went on counts, until it held', () => {
    const on = (day: number, result: 'slipped' | 'held'): EntryDraft => ({
      kind: 'cog-test',
      at: noon(3, day),
      part: 'cassette',
      cog: 13,
      by: 'ride',
      result,
    })
    expect(factsOf(on(1, 'slipped')).slippedOn?.cogs).toEqual([13])
    expect(factsOf(on(1, 'slipped'), on(2, 'held')).slippedOn).toBeUndefined()
  })

  test('what was found before counts here and elsewhere; not what did not help', () => {
    expect(factsOf(found()).foundHere).toEqual(['bent-hanger'])
    expect(factsOf(found({ bike: 'kite' }))).toMatchObject({ foundHere: [], foundElsewhere: ['bent-hanger'] })
    expect(factsOf(found(), found({ at: noon(3, 20), afterwards: 'still-there' })).foundHere).toEqual([])
    expect(factsOf(found({ found: ['seat-post'], about: 'noise' })).foundHere).toEqual([])
  })

  test('a chain of another number of speeds, and a stiff link, are known', () => {
    const stiff: EntryDraft = {
      kind: 'link-check',
      at: noon(3, 1),
      chain: 'chain',
      found: [{ link: 9, fault: 'stiff-link' }],
    }
    expect(factsOf(stiff)).toMatchObject({ hasStiffLink: true, isMismatched: false })
  })
})

describe('a fault that was found', () => {
  test('the last word on it counts', () => {
    const garage = garageOf(found({ outcome: 'not-mended' }), found({ at: noon(3, 12) }))
    expect(faultsOf(garage)).toHaveLength(1)
    expect(faultsOf(garage)[0]?.outcome).toBe('mended')
  })

  test('is asked about once, after a ride since it was mended', () => {
    expect(faultToAskAfter(garageOf(found()), 'heron')).toBeUndefined()
    const ridden = garageOf(found(), ride(3, 11, 20))
    expect(faultToAskAfter(ridden, 'heron')?.fault).toBe('f1')
    expect(faultToAskAfter(ridden, 'kite')).toBeUndefined()
    const asked = garageOf(found(), ride(3, 11, 20), found({ at: noon(3, 12), afterwards: 'not-sure' }))
    expect(faultToAskAfter(asked, 'heron')).toBeUndefined()
  })

  test('stands in the verdict until it is mended, by hand or by a new part', () => {
    const left = found({ outcome: 'not-mended', found: ['worn-ring'] })
    const reasons = (...drafts: readonly EntryDraft[]) =>
      verdictOf(reportOn([...commuter, ...drafts]), undefined)?.reasons.map(({ kind }) => kind)
    const log = [ride(1, 2, 30), LUBED]
    const garage = garageOf(...log, left)
    expect(openFaults(garage, 'heron')?.left).toEqual(['worn-ring'])
    expect(openFaults(garageOf(...log, found()), 'heron')).toBeUndefined()
    expect(
      openFaults(garageOf(found(), found({ at: noon(3, 12), afterwards: 'still-there' })), 'heron'),
    ).toBeDefined()
    const ring: readonly EntryDraft[] = [
      {
        kind: 'part',
        at: noon(3, 20),
        part: 'r2',
        name: 'Ring 40',
        spec: { type: 'ring', teeth: 40, material: 'steel' },
      },
      { kind: 'remove', at: noon(3, 20), part: 'ring', to: 'retired' },
      { kind: 'fit', at: noon(3, 20), part: 'r2', bike: 'heron' },
    ]
    expect(openFaults(garageOf(...log, left, ...ring), 'heron')).toBeUndefined()
    const noChain: readonly EntryDraft[] = [{ kind: 'remove', at: noon(3, 1), part: 'chain', to: 'shelf' }]
    expect(reasons(...noChain, left)).toContain('fault-open')
    expect(reasons(...noChain)).not.toContain('fault-open')
  })

  test('another fault mended later, or a search that found nothing, does not end it', () => {
    const left = found({ outcome: 'not-mended', found: ['worn-ring', 'cable-tension'] })
    const cable = found({ fault: 'f2', at: noon(3, 15), found: ['cable-tension'] })
    const nothing = found({ fault: 'f3', at: noon(3, 18), found: [], outcome: 'not-found' })
    expect(openFaults(garageOf(left, cable, nothing), 'heron')).toEqual({
      left: ['worn-ring'],
      stillThere: [],
    })
    const again = found({
      fault: 'f4',
      at: noon(3, 20),
      found: ['worn-ring'],
      outcome: 'mended',
      afterwards: 'still-there',
    })
    expect(openFaults(garageOf(left, cable, again), 'heron')).toEqual({ left: [], stillThere: ['worn-ring'] })
  })

  test('a noise that was not mended is no matter for the chain’s verdict', () => {
    expect(
      openFaults(garageOf(found({ about: 'noise', found: ['saddle'], outcome: 'not-mended' })), 'heron'),
    ).toBeUndefined()
  })
})
