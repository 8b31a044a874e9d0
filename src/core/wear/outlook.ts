import { disagreements, type ToolVoice } from '../measure/disagreement.ts'
import { summariseDensity, type Density, type Summary } from '../measure/posterior.ts'
import type { Instrument } from '../measure/reading.ts'
import { daysAhead, drawWays, placeAtWear, wearAhead, type AheadQuestion, type DrawnWay } from './ahead.ts'
import { smoothDensity } from './density.ts'
import {
  chainDraws,
  elongationDraws,
  limitWearKm,
  wearKmDraws,
  type ChainDraws,
  type FewDraws,
  type RiderDraws,
} from './draws.ts'
import type { AskedChain } from './asked-chain.ts'
import { eventOutlooks, type EventOutlook } from './event-outlook.ts'
import { intervalOf, shareFrom, type Interval } from '../stats/interval.ts'
import { FORECAST_CAP_KM } from './rider-forecast.ts'
import type { DrawnChain } from './in-doubt.ts'
import type { FoundSurprise, Surprise } from './surprise.ts'
import type { AskedOutcome } from './teaches.ts'

export interface BandPoint extends Interval {
  /** km from now in the fan ahead; wear-km from new in the way here. */
  readonly x: number
}
export interface FanPoint extends BandPoint {
  /** Chance of being past the limit there. */
  readonly past: number
  /** When it is ridden, days from now, in the median; absent where nothing is being ridden. */
  readonly days?: number
}

/** Two tools of the last look that contradict one another, with no third to settle it. */
export interface OpenConflict {
  readonly high: { readonly tool: string; readonly mean: number }
  readonly low: { readonly tool: string; readonly mean: number }
  readonly settle: Instrument
}

/** How worn a chain is, and how it came there. */
export interface ChainNow {
  readonly now: Summary
  readonly ratePer1000: Interval
  readonly wayHere: readonly BandPoint[]
  readonly readings: number
  /** The chance that each of them was a slip, 0 to 1, in their order. */
  readonly slips: readonly number[]
  /** Chance that rides or a swap are missing from the log. */
  readonly missingPast: number
}

/** How worn a chain on a bike is, and how far it still goes. */
export interface WearAnswer extends ChainNow {
  readonly density: Density
  /** Distance to the limit from now, km, never below 0. */
  readonly toLimitKm: Interval
  /** Days to the limit; absent where nothing is being ridden. */
  readonly toLimitDays?: Interval
  /** Distance from now at which one in ten such chains is past the limit, km, and the day. */
  readonly nextLookKm: number
  readonly nextLookDays?: number
  readonly fan: readonly FanPoint[]
  readonly events: readonly EventOutlook[]
  readonly conflict?: OpenConflict
  /** The last look is far from what was to be expected. */
  readonly surprise?: Surprise
}

/** What is said of a chain on a bike; undefined for one that is on none. */
export const onBike = (answer: ChainNow | WearAnswer | undefined): WearAnswer | undefined =>
  answer && 'toLimitKm' in answer ? answer : undefined

/** Marks for which the chance of being past is always reported, %. */
const MARKS = [0.5, 0.75, 0.9, 1]
const FAN_STEPS = 24

function openConflict({ readings, lookSize, links }: AskedChain): OpenConflict | undefined {
  if (lookSize < 2) return undefined
  const [first] = disagreements(readings.slice(-lookSize), links)
  if (!first || first.settled) return undefined
  const voice = ({ tool, mean }: ToolVoice) => ({ tool, mean })
  return { high: voice(first.high), low: voice(first.low), settle: first.settle }
}

const densityNow = (worn: Float64Array): Density =>
  smoothDensity(worn, new Float64Array(worn.length).fill(1 / worn.length))

/** How worn a chain is now, and how fast it wears. */
const beliefNow = (density: Density, { rate }: ChainDraws, limit: number) => ({
  now: summariseDensity(density, [...new Set([...MARKS, limit])]),
  ratePer1000: intervalOf(rate),
})

/** What the draws say of a chain now. */
function chainNow(
  few: FewDraws,
  chain: AskedChain,
  own: ChainDraws,
  density: Density,
  slips: readonly number[],
  missingPast: number,
): ChainNow {
  const ofFew = few.of(own)
  return {
    ...beliefNow(density, own, chain.limit),
    wayHere: chain.drawAt.map(({ wearKm, road }) => ({
      x: wearKm,
      ...intervalOf(elongationDraws(few.draws, ofFew, wearKmDraws(few.draws, road))),
    })),
    readings: chain.readings.length,
    slips,
    missingPast,
  }
}

function fanOf(
  draws: RiderDraws,
  own: ChainDraws,
  gone: Float64Array,
  ways: readonly DrawnWay[],
  reachKm: number,
  limit: number,
  idle: boolean,
): FanPoint[] {
  return Array.from({ length: FAN_STEPS + 1 }, (_, i) => {
    const x = (reachKm * i) / FAN_STEPS
    const there = gone.map((wearKm, n) => wearKm + wearAhead(ways[n] as DrawnWay, x))
    const elongation = elongationDraws(draws, own, there)
    const days = idle ? {} : { days: intervalOf(Float64Array.from(ways, (way) => daysAhead(way, x))).p50 }
    return { x, ...intervalOf(elongation), past: shareFrom(elongation, limit), ...days }
  })
}

/** How far a chain on a bike still goes, as it is drawn, and what that means for what is planned. */
function outlookAhead(
  { draws, own, gone }: DrawnChain,
  chain: AskedChain,
  ahead: AheadQuestion,
  seed: number,
) {
  const { limit } = chain
  const ways = drawWays(draws, ahead, seed)
  const places = limitWearKm(draws, own, limit).map((at, n) => Math.max(0, at - (gone[n] ?? 0)))
  const found = Array.from(places, (more, n) => placeAtWear(ways[n] as DrawnWay, more))
  const limitKm = Float64Array.from(found, ({ km }) => km)
  const toLimitKm = intervalOf(limitKm)
  const toLimitDays = ahead.idle ? undefined : intervalOf(Float64Array.from(found, ({ days }) => days))
  const lastEvent = Math.max(0, ...ahead.stretches.map(({ event }, i) => (event === undefined ? 0 : i + 1)))
  const eventsKm = ahead.stretches.slice(0, lastEvent).reduce((sum, { km }) => sum + km, 0)
  const reach = Math.min(FORECAST_CAP_KM, Math.max(300, toLimitKm.p90 * 1.1, eventsKm * 1.1))
  return {
    limitKm,
    said: {
      toLimitKm,
      ...(toLimitDays && { toLimitDays, nextLookDays: toLimitDays.p10 }),
      nextLookKm: toLimitKm.p10,
      fan: fanOf(draws, own, gone, ways, reach, limit, ahead.idle),
      events: eventOutlooks(draws, own, gone, ways, ahead.stretches, limit),
    },
  }
}

/**
 * What the draws say of one chain: now, on its way here, and, where it is on a bike, ahead (methods 4). The distance
 * to look again is where the chance of being past the limit reaches one in ten: the 10th percentile of the distance
 * to the limit.
 * @param few some of them, to draw the way here by: the eye asks for no more
 * @param seed for the pace ahead, and for a chain nobody has read
 * @returns what is said, and by draw what is said of a chain that is on a bike
 */
export function chainOutlook(
  draws: RiderDraws,
  few: FewDraws,
  chain: AskedChain,
  slips: readonly number[],
  missingPast: number,
  seed: number,
): {
  readonly answer: ChainNow | WearAnswer
  readonly drawn: DrawnChain
  readonly outcome?: AskedOutcome
} {
  const own = chainDraws(draws, chain, seed)
  const gone = wearKmDraws(draws, chain.now)
  const worn = elongationDraws(draws, own, gone)
  const density = densityNow(worn)
  const now = chainNow(few, chain, own, density, slips, missingPast)
  if (!chain.ahead) return { answer: now, drawn: { draws, own, gone } }
  const { said, limitKm } = outlookAhead({ draws, own, gone }, chain, chain.ahead, seed + 1)
  const conflict = openConflict(chain)
  return {
    answer: { ...now, density, ...said, ...(conflict && { conflict }) },
    drawn: { draws, own, gone },
    outcome: { chain: chain.id, draws, worn, toLimitKm: limitKm },
  }
}

/**
 * The same while a question about a look is open: where the chain is now and how far it goes, over all that may lie behind
 * the look. Its way here stays as the log tells it.
 */
export function questionedOutlook(
  answer: WearAnswer,
  chain: AskedChain,
  ahead: AheadQuestion,
  { surprise, inDoubt }: FoundSurprise,
  seed: number,
): { readonly answer: WearAnswer; readonly drawn: DrawnChain; readonly outcome: AskedOutcome } {
  const drawn = inDoubt()
  const worn = elongationDraws(drawn.draws, drawn.own, drawn.gone)
  const density = densityNow(worn)
  const { said, limitKm } = outlookAhead(drawn, chain, ahead, seed + 1)
  // What the question says of a reading and what stands beside it are one: from the look on it is the question's to tell.
  const misread = surprise.causes.find(({ cause }) => cause.kind === 'gauge')?.p ?? 0
  return {
    answer: {
      ...answer,
      slips: answer.slips.map((chance, i) => (i < surprise.look.first ? chance : Math.min(chance, misread))),
      ...beliefNow(density, drawn.own, chain.limit),
      density,
      ...said,
      surprise,
    },
    drawn,
    outcome: { chain: chain.id, draws: drawn.draws, worn, toLimitKm: limitKm, which: drawn.which },
  }
}

/** A value so many km from now, in a straight line between the fan's points; from its last one on, that. */
function fanAt(fan: readonly FanPoint[], km: number, of: (point: FanPoint) => number): number {
  const after = fan.findIndex(({ x }) => x >= km)
  const [a, b] = [fan[after - 1], fan[after]]
  const last = fan.at(-1)
  if (!b) return last ? of(last) : 0
  return a ? of(a) + ((of(b) - of(a)) * (km - a.x)) / (b.x - a.x) : of(b)
}

/** Chance of being past the limit so many km from now. */
export const pastAt = ({ fan }: Pick<WearAnswer, 'fan'>, km: number): number =>
  fanAt(fan, km, ({ past }) => past)

/** How worn the chain is so many km from now, %. */
export const bandAt = ({ fan }: Pick<WearAnswer, 'fan'>, km: number): Interval => ({
  p10: fanAt(fan, km, ({ p10 }) => p10),
  p50: fanAt(fan, km, ({ p50 }) => p50),
  p90: fanAt(fan, km, ({ p90 }) => p90),
})

/** Days until so many km more are ridden, at the fan's last pace beyond it; undefined where nothing is being ridden. */
export function daysAt({ fan }: Pick<WearAnswer, 'fan'>, km: number): number | undefined {
  const last = fan.at(-1)
  if (last?.days === undefined) return undefined
  if (km > last.x) return (last.days * km) / last.x
  return fanAt(fan, km, ({ days }) => days ?? 0)
}
