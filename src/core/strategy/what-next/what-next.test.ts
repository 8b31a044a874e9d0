import { describe, expect, test } from '@jest/globals'
import { commuter, hundreds, noon, written } from '../../../../test/log.ts'
import { cogLooked, JUDGED_AT, LUBED, measuredAt, ruledAt } from '../../../../test/judged.ts'
import { outlookOf } from '../../../../test/outlook.ts'
import { toEnd } from '../../job.ts'
import type { EntryDraft } from '../../log/entries.ts'
import { replay } from '../../log/replay.ts'
import { lengthAtElongation } from '../../measure/elongation.ts'
import { teethOutlookSteps } from '../../teeth/teeth-outlook.ts'
import { onBike, pastAt, type WearAnswer } from '../../wear/outlook.ts'
import { bikeReport } from '../facts/bike-report.ts'
import { teethAsk } from '../teeth-ask.ts'
import { verdictOf } from '../verdict.ts'
import { afterFinding } from './after-finding.ts'
import { chainAhead } from './chain-ahead.ts'
import { keptChain } from '../../wear/kept-draws.ts'
import { readingTurns } from './reading-turns.ts'
import { tourTurns } from './road-turns.ts'
import { teethTurns } from './teeth-turns.ts'
import { freshTool, nextReadingOf, type NextReading } from './what-next-ask.ts'
import { whatNextSteps } from './what-next-steps.ts'

/** All that is known of the commuter by a log. */
function known(drafts: readonly EntryDraft[]) {
  const garage = replay(written(drafts))
  const bike = garage.bikes.get('heron')
  if (!bike) throw new Error('the log holds no bike')
  const outlook = outlookOf(garage, JUDGED_AT)
  const answer = onBike(outlook.chains['chain'])
  if (!answer) throw new Error('the bike has no chain')
  const report = bikeReport(garage, bike, JUDGED_AT)
  return { garage, report, answer, outlook }
}

function nextOf({ report, answer, outlook }: ReturnType<typeof known>): NextReading {
  const next = nextReadingOf(report, answer, outlook.draws)
  if (!next) throw new Error('there is no reading to try')
  return next
}

/** A chain near its limit of 0.5 %, read once with a rule: one more reading may settle it either way. */
const nearLimit = known([...commuter, ...hundreds, LUBED, ruledAt(0.46)])
const next = nextOf(nearLimit)
const tried = toEnd(whatNextSteps(next.ask))

describe('the chain by the kept draws', () => {
  test('is where its answer says that it is, and goes as far', () => {
    const { ask } = next
    const ahead = chainAhead(ask.draws, keptChain(ask.draws, 'chain'), ask.stretches, ask.limit)
    const even = new Float64Array(ask.draws.count).fill(1 / ask.draws.count)
    const after = afterFinding(ahead, even, nearLimit.answer, ask.limit)
    expect(after.now.mean).toBeCloseTo(nearLimit.answer.now.mean, 2)
    expect(after.now.p95).toBeCloseTo(nearLimit.answer.now.p95, 1)
    const { p50, p10 } = nearLimit.answer.toLimitKm
    expect(Math.abs(after.toLimitKm.p50 - p50)).toBeLessThan(0.12 * p50 + 20)
    expect(Math.abs(after.nextLookKm - p10)).toBeLessThan(0.2 * p10 + 30)
  })
})

describe('trying the next reading', () => {
  test('asks for a tool that has not read the chain, and tries all it can say', () => {
    // The rule has been used: a caliper comes next.
    expect(
      freshTool(nearLimit.report.chain ?? ({ nextLook: { candidates: [] as never }, used: [] } as never)),
    ).toMatchObject({
      instrument: 'caliper-pair',
    })
    expect(next.says.length).toBe(tried.readings.length)
  })

  test('chances sum to one, and on average a reading moves nothing: what is believed is believed already', () => {
    const sum = tried.readings.reduce((all, { p }) => all + p, 0)
    expect(sum).toBeCloseTo(1, 9)
    const mean = tried.readings.reduce((all, { p, after }) => all + p * after.now.mean, 0)
    expect(mean).toBeCloseTo(nearLimit.answer.now.mean, 2)
    const past = tried.readings.reduce((all, { p, after }) => all + p * (after.now.pAbove['0.5'] ?? 0), 0)
    expect(past).toBeCloseTo(nearLimit.answer.now.pAbove['0.5'] ?? 0, 1)
  })

  test('the more it reads, the longer the chain and the nearer its limit', () => {
    const likely = tried.readings.filter(({ p }) => p > 0.005)
    expect(likely.length).toBeGreaterThan(8)
    likely.slice(1).forEach(({ after }, i) => {
      const before = likely[i]?.after
      expect(after.now.mean).toBeGreaterThanOrEqual((before?.now.mean ?? 0) - 0.003)
      expect(after.toLimitKm.p50).toBeLessThanOrEqual((before?.toLimitKm.p50 ?? Infinity) + 5)
    })
  })

  test('little read means ride on, much means swap; and a reading that is then taken is judged as was said', () => {
    const { report, answer } = nearLimit
    const turns = readingTurns(report, answer, undefined, next, tried)
    expect(turns.map(({ verdict }) => verdict.action)).toEqual(['ride-on', 'swap-chain'])
    expect(turns.reduce((sum, { p }) => sum + p, 0)).toBeGreaterThan(0.98)
    const told = (percent: number): string | undefined => {
      const length = lengthAtElongation(8, percent)
      const reading: EntryDraft = {
        kind: 'reading',
        at: noon(4, 1),
        chain: 'chain',
        reading: {
          instrument: 'caliper-pair',
          pitches: 8,
          insideMm: length - 7.65,
          outsideMm: length + 7.65,
        },
      }
      const taken = known([...commuter, ...hundreds, LUBED, ruledAt(0.46), reading])
      return verdictOf(taken.report, taken.answer)?.action
    }
    const [low, high] = turns
    if (!low || !high || !('percent' in low.to) || !('percent' in high.from)) throw new Error('no turns')
    expect(high.from.percent).toBeGreaterThan(0.42)
    expect(high.from.percent).toBeLessThan(0.6)
    // A little to either side of the turn: the model itself, asked with the reading in the log.
    expect(told(low.to.percent - 0.04)).toBe('ride-on')
    expect(told(high.from.percent + 0.04)).toBe('swap-chain')
  })

  test('nothing is tried while a question is open, or where there is no chain', () => {
    const { report, answer, outlook } = nearLimit
    const open: WearAnswer = {
      ...answer,
      conflict: { high: { tool: 'a', mean: 1 }, low: { tool: 'b', mean: 0 }, settle: 'rule' },
    }
    expect(nextReadingOf(report, open, outlook.draws)).toBeUndefined()
    const { chain: _chain, ...bare } = report
    expect(nextReadingOf(bare, answer, outlook.draws)).toBeUndefined()
    expect(() => toEnd(whatNextSteps({ ...next.ask, possible: [] }))).toThrow('No reading')
  })
})

describe('looks at teeth and tours', () => {
  test('a cog of which it is open whether a fresh chain skips decides, at the swap, whether the cogs go too', () => {
    const { garage, report, answer, outlook } = known([
      ...commuter,
      ...hundreds,
      LUBED,
      ...measuredAt(0.7),
      cogLooked('swap'),
    ])
    const teeth = toEnd(teethOutlookSteps(teethAsk(garage, new Set(['heron']), outlook.draws)))
    const verdict = verdictOf(report, answer, teeth)
    if (!verdict) throw new Error('no verdict')
    const turns = teethTurns(report, answer, teeth, verdict)
    const worse = turns.find(({ side }) => side === 'or-worse')
    expect(verdict.action).toBe('swap-chain')
    expect(worse?.verdict.action).toBe('swap-chain-and-cogs')
    for (const { p } of turns) {
      expect(p).toBeGreaterThan(0.009)
      expect(p).toBeLessThan(1)
    }
  })

  test('a tour is to be looked at first from where one chain in four would not last it, and swapped for from three in four', () => {
    const { answer } = nearLimit
    const turns = tourTurns(answer)
    if (!turns) throw new Error('the forecast is too short')
    expect(turns.swapFirstKm).toBeGreaterThan(turns.lookFirstKm)
    if (turns.lookFirstKm > 0) expect(pastAt(answer, turns.lookFirstKm)).toBeCloseTo(0.25, 3)
    expect(pastAt(answer, turns.swapFirstKm)).toBeCloseTo(0.75, 3)
  })
})
