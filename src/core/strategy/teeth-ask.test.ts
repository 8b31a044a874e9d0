import { describe, expect, test } from '@jest/globals'
import { commuter, hundreds, noon, written, ride } from '../../../test/log.ts'
import { outlookOf } from '../../../test/outlook.ts'
import { cogLooked, factsOn, JUDGED_AT, measuredAt } from '../../../test/judged.ts'
import { toEnd } from '../job.ts'
import type { EntryDraft } from '../log/entries.ts'
import type { PartSpec } from '../log/kinds/part.ts'
import { replay } from '../log/replay.ts'
import { teethOutlookSteps } from '../teeth/teeth-outlook.ts'
import { checksBeforeFitting } from './fitting-checks.ts'
import { bikeReport } from './facts/bike-report.ts'
import { checksOfNoCog } from './facts/checks-of-no-cog.ts'
import { factsOf } from './facts/facts.ts'
import { cogRisks } from './facts/teeth-facts.ts'
import { toothStates } from './facts/tooth-state.ts'
import { teethAsk } from './teeth-ask.ts'
import { verdictOf } from './verdict.ts'

/** A log and all that is known of its teeth. */
function teethOf(drafts: readonly EntryDraft[]) {
  const garage = replay(written(drafts))
  const bike = garage.bikes.get('heron')
  if (!bike) throw new Error('the log holds no bike')
  const outlook = outlookOf(garage, JUDGED_AT)
  const ask = teethAsk(garage, new Set(['heron']), outlook.draws)
  const report = bikeReport(garage, bike, JUDGED_AT)
  return { garage, report, ask, teeth: toEnd(teethOutlookSteps(ask)), outlook }
}
const cogTest = (cog: number, by: 'tool' | 'ride', result: 'held' | 'slipped', day = 28): EntryDraft => ({
  kind: 'cog-test',
  at: noon(3, day),
  part: 'cassette',
  cog,
  by,
  result,
})

describe('what is asked about teeth', () => {
  test('holds the cassette’s whole road, cut where something was found out', () => {
    const { ask } = teethOf([...commuter, ...hundreds, cogLooked('good')])
    const cassette = ask.sets.find(({ part }) => part === 'cassette')
    const km = cassette?.stretches.flatMap(({ road }) => road).reduce((sum, piece) => sum + piece.km, 0)
    expect(km).toBeCloseTo(1200, 6)
    expect(cassette?.stretches.every(({ chain }) => chain === 'chain')).toBe(true)
    const look = cassette?.evidence.find(({ found }) => found.kind === 'look')
    expect(look?.sprocket).toBe(2)
    // Rides before and after the look of 1 March.
    expect(look?.after).toBeGreaterThan(0)
    expect(look?.after).toBeLessThan(cassette?.stretches.length ?? 0)
  })

  test('takes hard kilometres without a skip for a test that was passed, once for each chain, unless a skip was noted', () => {
    const silent = (drafts: readonly EntryDraft[]) =>
      teethOf(drafts)
        .ask.sets.find(({ part }) => part === 'cassette')
        ?.evidence.filter((one) => one.isSilent) ?? []
    const quiet = silent([...commuter, ...hundreds])
    expect(quiet.length).toBeGreaterThan(2)
    expect(new Set(quiet.map(({ sprocket }) => sprocket)).size).toBe(quiet.length)
    const told = silent([...commuter, ...hundreds, cogTest(19, 'ride', 'slipped')])
    expect(told.length).toBe(quiet.length - 1)
    // Nothing is known yet of a chain that has gone 100 km.
    expect(silent([...commuter, ride(1, 2, 100)])).toEqual([])
  })

  test('counts a chain’s own road before it came onto the cassette', () => {
    const moved: EntryDraft[] = [
      ...commuter,
      ...hundreds,
      {
        kind: 'part',
        at: noon(2, 20),
        part: 'new-cassette',
        name: 'Cassette',
        spec: { type: 'cassette', teeth: [11, 13, 15, 17, 19, 21, 24, 28, 32, 37, 42], material: 'steel' },
      },
      { kind: 'remove', at: noon(2, 20), part: 'cassette', to: 'retired' },
      { kind: 'fit', at: noon(2, 20), part: 'new-cassette', bike: 'heron' },
    ]
    const set = teethOf(moved).ask.sets.find(({ part }) => part === 'new-cassette')
    const [first] = set?.stretches ?? []
    expect((first?.gone ?? []).reduce((sum, { km }) => sum + km, 0)).toBeGreaterThan(400)
    expect(set?.past).toBe('new')
  })

  test('has the same name for the same log, and another where a look is added', () => {
    const named = (drafts: readonly EntryDraft[]) => teethOf(drafts).ask.named
    const log = [...commuter, ...hundreds]
    expect(named(log)).toBe(named(log))
    expect(named([...log, cogLooked('good')])).not.toBe(named(log))
  })
})

describe('what follows from it', () => {
  const fresh: PartSpec = { type: 'chain', links: 116, speeds: 11, past: 'new' }
  const worn = [
    ...commuter,
    ...hundreds,
    ...measuredAt(0.62),
    cogLooked('spent'),
    cogTest(15, 'ride', 'slipped'),
    cogTest(15, 'ride', 'slipped', 29),
  ]

  test('a chain past its limit goes with the cogs where a fresh one would skip, and alone where it would not', () => {
    const bad = teethOf(worn)
    const answer = factsOn(worn).answer
    const risk = cogRisks(bad.report, bad.teeth).find(({ teeth }) => teeth === 15)
    const verdict = verdictOf(bad.report, answer, bad.teeth)
    expect(verdict?.action).toBe((risk?.fresh ?? 0) >= 0.5 ? 'swap-chain-and-cogs' : 'swap-chain')
    expect(verdict?.cautions).toContain('keep-old-chain')
    expect(verdict?.reasons).toContainEqual(expect.objectContaining({ kind: 'skips', chain: 'fresh' }))
    const good = [...commuter, ...hundreds, ...measuredAt(0.62)]
    const fine = teethOf(good)
    expect(verdictOf(fine.report, factsOn(good).answer, fine.teeth)?.action).toBe('swap-chain')
  })

  test('the fitting check of a fresh chain names the cog, once', () => {
    const { garage, report, teeth } = teethOf(worn)
    const checks = checksBeforeFitting(
      garage,
      { report, answer: factsOn(worn).answer, teeth },
      { type: 'chain', links: 116, speeds: 11, past: 'new' },
    )
    const skips = checks.filter(({ finding }) => finding.what === 'skips')
    expect(skips).toHaveLength(1)
    expect(skips[0]?.finding).toMatchObject({ what: 'skips', allSold: false })
    expect(checks.some(({ finding }) => finding.what === 'worn-teeth')).toBe(false)
  })

  test('a used chain is asked by its own wear: the one that grew with the cogs runs, a young one skips', () => {
    const other: EntryDraft = { kind: 'part', at: noon(2, 1), part: 'young', name: 'Young', spec: fresh }
    const drafts: EntryDraft[] = [
      ...worn,
      other,
      { kind: 'remove', at: noon(3, 29), part: 'chain', to: 'shelf' },
      { kind: 'fit', at: noon(3, 29), part: 'young', bike: 'heron' },
      ride(3, 30, 90),
    ]
    const { garage, report, teeth } = teethOf(drafts)
    const skipsOf = (id: string) =>
      checksBeforeFitting(garage, { report, answer: undefined, teeth }, fresh, garage.parts.get(id)).flatMap(
        ({ finding }) => (finding.what === 'skips' ? [finding] : []),
      )
    expect(skipsOf('chain')).toEqual([])
    expect(skipsOf('young')).toEqual([expect.objectContaining({ chain: 'this', allSold: false })])
    const risk = cogRisks(report, teeth, 'chain').find(({ teeth: count }) => count === 15)
    expect(risk?.asked ?? 1).toBeLessThan(risk?.now ?? 0)
  })

  test('a ring is worn by all that is known of it, or by the eye alone, for every rule and check', () => {
    const wornRing = (drafts: readonly EntryDraft[]) => {
      const { garage, report, teeth } = teethOf(drafts)
      const [ring] = factsOf(report, undefined, teeth).wornTeeth
      const state = toothStates(garage, report, teeth, undefined).find(
        ({ sprocket }) => sprocket.role === 'ring',
      )
      const checks = checksBeforeFitting(garage, { report, answer: undefined, teeth }, fresh)
      return { ring, word: state?.word, findings: checks.map(({ finding }) => finding) }
    }
    const spent: EntryDraft = { kind: 'look', at: noon(3, 26), part: 'ring', word: 'spent' }
    // After so few kilometres a spent ring is hard to believe, and is not passed over all the same.
    const seen = wornRing([...commuter, ...hundreds, spent])
    expect(seen.word).not.toBe('spent')
    expect(seen.ring).toMatchObject({ word: 'spent', byEyeAlone: true, sprocket: { role: 'ring' } })
    expect(seen.findings).toContainEqual({
      what: 'worn-teeth',
      part: 'ring',
      word: 'spent',
      byEyeAlone: true,
    })
    // Of a ring that came used, the eye is believed.
    const used = commuter.map((draft) =>
      draft.kind === 'part' && draft.part === 'ring' ? { ...draft, used: {} } : draft,
    )
    const known = wornRing([
      ...used,
      ...hundreds,
      ...[22, 23, 24, 25, 26].map((day) => ({ ...spent, word: 'swap' as const, at: noon(3, day) })),
    ])
    expect(known.ring).toMatchObject({ word: known.word, byEyeAlone: false })
    expect(known.findings).toContainEqual(expect.objectContaining({ what: 'worn-teeth', byEyeAlone: false }))
  })

  test('checks of a cog that the cassette does not have are found, and count for nothing', () => {
    const drafts = [...commuter, ...hundreds, cogTest(16, 'tool', 'slipped'), cogLooked('good')]
    const { garage, ask } = teethOf(drafts)
    expect(checksOfNoCog(garage, 'heron')).toEqual([expect.objectContaining({ kind: 'cog-test', cog: 16 })])
    const told = ask.sets.flatMap(({ evidence }) => evidence).filter(({ isSilent }) => !isSilent)
    expect(told.map(({ found }) => found.kind)).toEqual(['look'])
  })

  test('each sprocket has its word, its share of the work and the risk with the chain in question', () => {
    const { garage, report, teeth } = teethOf(worn)
    const states = toothStates(garage, report, teeth, undefined)
    const withOwn = toothStates(garage, report, teeth, 'chain')
    const cogs = states.filter(({ sprocket }) => sprocket.role === 'cog')
    expect(cogs.reduce((sum, { share }) => sum + (share ?? 0), 0)).toBeCloseTo(1, 6)
    states.forEach((state, i) => {
      expect(state.risk === undefined).toBe(state.sprocket.role !== 'cog')
      // The chain that is on has grown with the cogs: it skips less than a fresh one.
      expect(withOwn[i]?.risk ?? 0).toBeLessThanOrEqual(state.risk ?? 0)
    })
    const pulley = toothStates(garage, report, undefined, undefined).at(-1)
    expect(pulley?.word).toBe('unsure')
  })
})
