import type { BikeId, IsoTime } from '../../log/entry.ts'
import { chainsOfSet, fittedLink, openFitting, type Garage } from '../../log/garage.ts'
import type { StockItem } from '../../log/kinds/stock.ts'
import { isWax } from '../../lube/ways.ts'
import { addDays } from '../../units/days.ts'
import type { TeethOutlook } from '../../teeth/teeth-outlook.ts'
import type { WearAnswer } from '../../wear/outlook.ts'
import { daysAt } from '../../wear/outlook.ts'
import { closingsOf } from '../fitting-checks.ts'
import type { BikeReport } from '../facts/bike-report.ts'
import { factsOf } from '../facts/facts.ts'
import { SKIP_DOUBTFUL, SKIP_LIKELY } from '../facts/teeth-facts.ts'
import { policyOf } from '../plans/plans-ask.ts'
import { SWAPS, type Verdict } from '../verdict.ts'
import { stockFit, stockOf, type StockState } from './stock-facts.ts'

/** The list looks so far ahead, km. */
export const SHOPPING_KM = 1000

/** Why something is needed. */
export type NeedWhy = 'due' | 'forecast' | 'with-chain' | 'worn' | 'advice' | 'minimum' | 'lube'

/** Something that will be needed. */
export interface Need {
  readonly item: StockItem
  /** Absent: for the shelf. */
  readonly bike?: BikeId
  /** More bikes that it is for: lube is bought once for all. */
  readonly alsoFor?: readonly BikeId[]
  readonly why: NeedWhy
  /** How sure: it will probably be needed, or it may. */
  readonly isSure: boolean
  /** By when, the early end of what is likely; absent where nothing is being ridden. */
  readonly by?: IsoTime
  /** Applications, where it is lube. */
  readonly times?: number
  /** What there is of it on the shelf already, and what it is called. */
  readonly onShelf?: { readonly stock: string; readonly name: string; readonly count: number }
  /** Of what is kept on the shelf: which. */
  readonly stock?: string
}

/** What is known of one bike. */
export interface KnownToBuyFor {
  readonly report: BikeReport
  readonly answer: WearAnswer | undefined
  readonly teeth: TeethOutlook | undefined
  readonly verdict: Verdict | undefined
}

const ADVISED: Readonly<Record<string, StockItem>> = {
  chain: 'chain',
  cassette: 'cassette',
  'single-cogs': 'single-cog',
  ring: 'ring',
  pulleys: 'pulleys',
  derailleur: 'derailleur',
  'joining-link': 'joining-link',
  'brake-pads': 'brake-pads',
  'brake-cable': 'cable',
  'gear-cable': 'cable',
  tyre: 'tyre',
}

type Bare = Omit<Need, 'bike' | 'onShelf' | 'stock'>

/** The chain's end within the list's reach, and what goes with it. */
function chainNeeds(garage: Garage, { report, answer, teeth, verdict }: KnownToBuyFor): readonly Bare[] {
  if (!verdict || !report.chain) return []
  const { now } = report
  const { bike } = report.bike.entry
  const isDue = SWAPS.includes(verdict.action)
  const toLimit = answer?.toLimitKm
  const isWithin = toLimit !== undefined && toLimit.p10 <= SHOPPING_KM
  const before = verdict.swap?.before
  if (!isDue && !isWithin && !before) return []
  const days = toLimit && answer ? daysAt(answer, Math.max(0, toLimit.p10)) : undefined
  const byForecast = days === undefined ? undefined : addDays(now, days)
  const by = isDue
    ? now
    : [byForecast, before && addDays(before.starts, -1)].filter((day) => day !== undefined).sort()[0]
  const at = by === undefined ? {} : { by }
  const isSure = isDue || before !== undefined || (toLimit?.p50 ?? Infinity) <= SHOPPING_KM
  const { cogs = [], hasWornCogs } = factsOf(report, answer, teeth)
  const withCogs = hasWornCogs || verdict.action === 'swap-chain-and-cogs'
  const mayCogs = cogs.some(({ fresh }) => fresh >= SKIP_DOUBTFUL)
  const bad = cogs.filter(({ fresh }) => fresh >= SKIP_LIKELY)
  const areSold = bad.length > 0 && bad.every(({ soldSingly }) => soldSingly)
  // A chain of the set that hangs on a hook, or one that lies there new, goes on before one is bought.
  const hasSpare =
    chainsOfSet(garage, bike).length > 1 ||
    [...garage.parts.values()].some(
      (part) =>
        part.entry.spec.type === 'chain' &&
        part.entry.spec.speeds === report.bike.entry.speeds &&
        part.fittings.length === 0 &&
        !part.retired &&
        !openFitting(part),
    )
  const link = fittedLink(garage, bike)
  const spec = link?.entry.spec
  const isLinkSpent =
    link !== undefined && spec?.type === 'joining-link' && closingsOf(link) + 1 > spec.closingsAllowed
  const why: NeedWhy = isDue ? 'due' : 'forecast'
  return [
    ...(hasSpare
      ? []
      : [
          {
            item: policyOf(garage, report)?.isHard ? ('hard-chain' as const) : ('chain' as const),
            why,
            isSure,
            ...at,
          },
        ]),
    ...(withCogs || mayCogs
      ? [
          {
            item: areSold ? ('single-cog' as const) : ('cassette' as const),
            why: 'with-chain' as const,
            isSure: isSure && withCogs,
            ...at,
          },
        ]
      : []),
    ...(isLinkSpent ? [{ item: 'joining-link' as const, why: 'with-chain' as const, isSure, ...at }] : []),
  ]
}

/** What is worn by now beside the chain and the cogs. */
function wornNeeds({ report, answer, teeth }: KnownToBuyFor): readonly Bare[] {
  const { wornTeeth } = factsOf(report, answer, teeth)
  const types = new Set(wornTeeth.map(({ sprocket }) => sprocket.part.entry.spec.type))
  return [
    ...(types.has('ring') ? [{ item: 'ring', why: 'worn', isSure: true, by: report.now } as const] : []),
    ...(types.has('pulley') ? [{ item: 'pulleys', why: 'worn', isSure: true, by: report.now } as const] : []),
  ]
}

function bikeNeeds(garage: Garage, known: KnownToBuyFor, lubesPer1000: number): readonly Need[] {
  const { report } = known
  const { bike } = report.bike.entry
  const lube = report.chain?.lube?.lube
  const needs: readonly Bare[] = [
    ...chainNeeds(garage, known),
    ...wornNeeds(known),
    ...report.advice.flatMap(({ job, isDue }): Bare[] => {
      const item = ADVISED[job.id]
      return item
        ? [{ item, why: 'advice', isSure: isDue, ...(job.byDay !== undefined && { by: job.byDay }) }]
        : []
    }),
    ...(report.chain && report.plan.weeklyKm > 0
      ? [
          {
            item: lube !== undefined && isWax(lube) ? ('wax' as const) : ('drip-lube' as const),
            why: 'lube' as const,
            isSure: true,
            times: Math.ceil((lubesPer1000 * SHOPPING_KM) / 1000),
          },
        ]
      : []),
  ]
  // The same thing for two reasons is bought once: for the first.
  return needs
    .filter(({ item }, i) => needs.findIndex((other) => other.item === item) === i)
    .map((need) => ({ ...need, bike }))
}

/** A thing on the shelf that would do: of the kind, there is one, and it does not plainly not fit. */
function onShelf(garage: Garage, { item }: Need, report: BikeReport, stock: readonly StockState[]) {
  const found = stock.find(
    (one) =>
      one.entry.item === item && one.count > 0 && stockFit(garage, one, report.bike).says !== 'does-not',
  )
  return found && { stock: found.entry.stock, name: found.entry.name, count: found.count }
}

/** The same lube for several bikes is one line: its applications together. */
function lubeOnce(needs: readonly Need[]): readonly Need[] {
  return needs.flatMap((need, i): Need[] => {
    const isSame = (other: Need): boolean => other.why === 'lube' && other.item === need.item
    if (need.why !== 'lube') return [need]
    if (needs.findIndex(isSame) < i) return []
    const all = needs.filter(isSame)
    return [
      {
        ...need,
        times: all.reduce((sum, { times = 0 }) => sum + times, 0),
        alsoFor: all.slice(1).flatMap(({ bike }) => bike ?? []),
      },
    ]
  })
}

/**
 * What some bikes will need over the next 1000 km, by their forecasts, and what the shelf is short of; the soonest first.
 * @param lubesPer1000 applications of lube in 1000 km, by bike
 */
export function shoppingList(
  garage: Garage,
  bikes: readonly KnownToBuyFor[],
  lubesPer1000: (report: BikeReport) => number,
): readonly Need[] {
  const stock = stockOf(garage)
  const forBikes = bikes.flatMap((known) =>
    bikeNeeds(garage, known, lubesPer1000(known.report)).map((need): Need => {
      const held = onShelf(garage, need, known.report, stock)
      return { ...need, ...(held && { onShelf: held }) }
    }),
  )
  const short = stock
    .filter(({ isShort }) => isShort)
    .map(({ entry }): Need => ({ item: entry.item, why: 'minimum', isSure: true, stock: entry.stock }))
  return [...lubeOnce(forBikes), ...short].sort((a, b) => ((a.by ?? '~') < (b.by ?? '~') ? -1 : 1))
}
