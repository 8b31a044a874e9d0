import { ridesDuring, totalKm } from '../../exposure/distance.ts'
import { ridingPlan, type RidingPlan } from '../../exposure/riding-plan.ts'
import type { IsoTime, ToolId } from '../../log/entry.ts'
import type { LinkCheckEntry } from '../../log/kinds/link-check.ts'
import { fittedChain, openFitting, type BikeState, type Garage, type PartState } from '../../log/garage.ts'
import type { PlacedReading } from '../../measure/disagreement.ts'
import type { Limit } from '../../measure/limits.ts'
import type { LearnedBias } from '../../measure/tool-bias.ts'
import { addDays } from '../../units/days.ts'
import type { NextLookQuestion } from '../../wear/next-look-value.ts'
import { openAdvice, type OpenAdvice } from './advice.ts'
import { bikeLimit } from './bike-limit.ts'
import { placedReading, toolBiases } from './chain-evidence.ts'
import { chainFacts, chainFactsSteps, isSameList, type ChainFacts } from './chain-facts.ts'
import { lubeFacts, type LubeFacts } from './lube.ts'
import { livesOf } from './own-lives.ts'
import { lastChecks, openFindings, type OpenFinding } from './check-facts.ts'
import { dueSheets, type SheetDue } from './due-sheets.ts'
import { wearingOf, type WearingOutlook } from './wearing-facts.ts'
import { openFaults, type OpenFaults } from './faults-found.ts'
import { nextLookQuestion } from './next-look.ts'
import { sprocketsOf, type Sprocket } from './sprockets.ts'

/** A chain on a bike, with everything the log says of it. */
export interface ChainReport extends ChainFacts {
  readonly fittedAt: IsoTime
  /** Distance since the last reading that counts, km; absent without one. */
  readonly kmSinceReading?: number
  readonly lastReadingAt?: IsoTime
  /** Absent where what is on the chain is not known. */
  readonly lube?: LubeFacts
  /** What was found when it was last gone through link by link; empty where all was sound, or it never was. */
  readonly badLinks: LinkCheckEntry['found']
  /** The readings of the last look that count. */
  readonly look: readonly PlacedReading[]
  /** What is known of each tool's bias, from elsewhere than this chain. */
  readonly biases: ReadonlyMap<ToolId, LearnedBias>
  /** What another reading would tell you. */
  readonly nextLook: NextLookQuestion
}

/** What the log says of one bike, short of the statistics. */
export interface BikeReport {
  readonly bike: BikeState
  /** When this is so. */
  readonly now: IsoTime
  readonly totalKm: number
  readonly lastFourWeeksKm: number
  readonly limit: Limit
  readonly plan: RidingPlan
  readonly sprockets: readonly Sprocket[]
  /** What was left at earlier visits and not done since, what is due first. */
  readonly advice: readonly OpenAdvice[]
  readonly chain?: ChainReport
  /** What was found to be at fault and still is; absent where nothing is. */
  readonly faults?: OpenFaults
  /** What was found at its checks and not seen to since, the weightiest first. */
  readonly findings: readonly OpenFinding[]
  /** Something was checked on it before. */
  readonly hasChecks: boolean
  /** Which sheets of checks are due, and when the next ones are. */
  readonly sheets: readonly SheetDue[]
  /** Pads, tyres and the like that were ever measured or fitted new. */
  readonly wearing: readonly WearingOutlook[]
}

function chainReport(
  garage: Garage,
  bike: BikeState,
  facts: ChainFacts,
  limit: Limit,
  now: IsoTime,
): ChainReport | undefined {
  const { part, story, used, looks } = facts
  const fitting = openFitting(part)
  if (!fitting) return undefined
  const last = used.at(-1)?.entry
  const lube = lubeFacts(bike, story, now, livesOf(garage))
  const biases = toolBiases(garage, new Set([part.entry.part]))
  return {
    ...facts,
    fittedAt: fitting.from,
    badLinks: garage.listed['link-check'].get(part.entry.part)?.at(-1)?.found ?? [],
    biases,
    look: (looks.at(-1) ?? []).map((state) => placedReading(state, biases)),
    nextLook: nextLookQuestion(garage, facts, limit.percent, biases),
    ...(last && { kmSinceReading: story.km - story.at(last.at).km, lastReadingAt: last.at }),
    ...(lube && { lube }),
  }
}

function made(garage: Garage, bike: BikeState, chain: ChainFacts | undefined, now: IsoTime): BikeReport {
  const { entry, rides } = bike
  const limit = bikeLimit(garage, bike)
  const faults = openFaults(garage, entry.bike)
  const report = chain && chainReport(garage, bike, chain, limit, now)
  const plan = ridingPlan(rides, now, bike.plan?.weeklyKm)
  return {
    bike,
    now,
    totalKm: totalKm(rides),
    lastFourWeeksKm: totalKm(ridesDuring(rides, addDays(now, -28))),
    limit,
    plan,
    sprockets: sprocketsOf(garage, entry.bike),
    advice: openAdvice(garage, bike, now),
    findings: openFindings(garage, bike, now),
    hasChecks: lastChecks(garage, entry.bike, now).size > 0,
    sheets: dueSheets(garage, bike, now),
    wearing: wearingOf(garage, { bike, now, plan }),
    ...(report && { chain: report }),
    ...(faults && { faults }),
  }
}

const reports = new WeakMap<BikeState, { readonly from: readonly unknown[]; readonly report: BikeReport }>()

/**
 * Everything the log says of a bike now: distances, limit, sprockets with their last looks, its chain with distance,
 * readings and what is on it. Made once for as long as nothing it rests on changes.
 */
export function bikeReport(garage: Garage, bike: BikeState, now: IsoTime): BikeReport {
  const on = fittedChain(garage, bike.entry.bike)
  const chain = on && chainFacts(garage, on.entry.part)
  const { parts, readings, looks, tools } = garage
  const from = [
    now,
    chain,
    parts,
    readings,
    looks,
    tools,
    garage.listed['link-check'],
    garage.listed.visit,
    garage.listed.fault,
    garage.listed.check,
    garage.listed.round,
    garage.listed.thickness,
    livesOf(garage),
  ]
  const before = reports.get(bike)
  if (before && isSameList(before.from, from)) return before.report
  const report = made(garage, bike, chain, now)
  reports.set(bike, { from, report })
  return report
}

/**
 * {@link bikeReport} of every bike, in steps of a few milliseconds each: what the bikes share is made first, chain by chain,
 * so that no bike's own step takes long.
 */
export function* bikeReportSteps(
  garage: Garage,
  now: IsoTime,
): Generator<void, readonly BikeReport[], undefined> {
  yield* chainFactsSteps(garage)
  const all: BikeReport[] = []
  for (const bike of garage.bikes.values()) {
    all.push(bikeReport(garage, bike, now))
    yield
  }
  return all
}

/** Every chain that was ever on a bike, in the order of its first fitting there, the one now on it included. */
export function chainsOfRoad(garage: Garage, report: BikeReport): readonly ChainFacts[] {
  const { bike } = report.bike.entry
  const firstOn = (part: PartState): IsoTime =>
    part.fittings.find((fitting) => fitting.bike === bike)?.from ?? '~'
  return [...garage.parts.values()]
    .filter((part) => part.fittings.some((one) => one.bike === bike))
    .sort((a, b) => (firstOn(a) < firstOn(b) ? -1 : 1))
    .flatMap((part) =>
      part === report.chain?.part ? report.chain : (chainFacts(garage, part.entry.part) ?? []),
    )
}
