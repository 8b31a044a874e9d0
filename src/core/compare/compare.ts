import { intervalOf, type Interval } from '../stats/interval.ts'
import { groupRates, type MeasuredRate } from './group-rates.ts'
import type { Stretch } from './stretches.ts'

/** What can be compared. */
export const COMPARED = ['lube', 'chain', 'bike', 'season'] as const
export type Compared = (typeof COMPARED)[number]

/** What may have made a difference instead of what is compared. */
export const BESIDES = ['winter', 'dirt', 'wax'] as const
export type Beside = (typeof BESIDES)[number]

/** One side of a comparison. */
export interface ComparedGroup {
  /** The chain's, bike's or lube's id, or the part of the year. */
  readonly key: string
  readonly chains: number
  readonly stretches: number
  readonly km: number
  /** % per 1000 km. */
  readonly rate: Interval
}

/** How one side stands to the one with the most distance. */
export interface ComparedRatio {
  readonly key: string
  readonly to: string
  /** Its wear, as so many times the other's. */
  readonly times: Interval
  /** What else differs and may have made it, and the share of the difference that it may account for, 0 to 1. */
  readonly beside?: { readonly what: Beside; readonly share: number }
  /** The two were never on the same bike: the bikes may have made all of it. */
  readonly isOnOtherBikes: boolean
}

/** What the records say of some groups beside one another, and what they do not show. */
export interface Comparison {
  readonly of: Compared
  /** Those with the most distance first. */
  readonly groups: readonly ComparedGroup[]
  readonly ratios: readonly ComparedRatio[]
  readonly chains: number
  readonly km: number
}

const keyOf = (stretch: Stretch, of: Compared): string | undefined => {
  switch (of) {
    case 'chain':
      return stretch.chain
    case 'lube':
      return stretch.lube
    case 'bike':
      return stretch.bike
    case 'season':
      return stretch.season
  }
}

const besideOf = (stretch: Stretch, what: Beside): number => {
  switch (what) {
    case 'winter':
      return stretch.winterShare
    case 'dirt':
      return stretch.dirtShare
    case 'wax':
      return stretch.waxShare
  }
}

/** What is compared is not what may have made it instead. */
const isItself = (of: Compared, what: Beside): boolean =>
  (of === 'lube' && what === 'wax') || (of === 'season' && what === 'winter')

const SEED = 1907
/** A group of less than this, km, is not compared. */
const LEAST_KM = 300
/** More groups than this are no longer one picture: those with the most distance stand. */
const MOST_GROUPS = 12
/** Groups whose shares differ by less than this, of 1, are alike in that. */
const ALIKE = 0.1
/** A rate of less is as good as none: ratios to it say nothing, % per 1000 km. */
const LEAST_RATE = 0.01

const rateOf = (value: number): number => Math.max(LEAST_RATE, value)
const timesOf = (a: Float64Array, b: Float64Array): Float64Array =>
  a.map((value, n) => rateOf(value) / rateOf(b[n] ?? LEAST_RATE))

interface Sorted {
  readonly key: string
  readonly own: readonly Stretch[]
  readonly km: number
}

function sorted(stretches: readonly Stretch[], of: Compared): readonly Sorted[] {
  const held = new Map<string, Stretch[]>()
  for (const stretch of stretches) {
    const key = keyOf(stretch, of)
    if (key !== undefined) held.set(key, [...(held.get(key) ?? []), stretch])
  }
  return [...held]
    .map(([key, own]) => ({ key, own, km: own.reduce((sum, { km }) => sum + km, 0) }))
    .filter(({ km }) => km >= LEAST_KM)
    .sort((a, b) => b.km - a.km)
    .slice(0, MOST_GROUPS)
}

const meanShare = ({ own, km }: Sorted, what: Beside): number =>
  own.reduce((sum, stretch) => sum + besideOf(stretch, what) * stretch.km, 0) / km

/** The share of a difference that is gone once something beside is allowed for, 0 to 1. */
function shareGone(plain: Interval, allowed: Interval): number {
  const before = Math.abs(Math.log(plain.p50))
  const after = Math.log(allowed.p50) * Math.sign(Math.log(plain.p50))
  return before < 0.02 ? 0 : Math.min(1, Math.max(0, 1 - after / before))
}

/**
 * Compares groups of a rider's own stretches: how fast each wears, how many times the one with the most distance, and
 * what else that differs between them may have made it instead.
 */
export function compare(stretches: readonly Stretch[], of: Compared): Comparison {
  const groups = sorted(stretches, of)
  const measured = (what?: Beside): MeasuredRate[] =>
    groups.flatMap(({ own }, group) =>
      own.map((stretch) => ({
        group,
        rate: stretch.rate,
        sd: stretch.sd,
        ...(what && { beside: besideOf(stretch, what) }),
      })),
    )
  const plain = groupRates(measured(), groups.length, SEED)
  const besides = BESIDES.filter((what) => !isItself(of, what)).map((what) => ({
    what,
    draws: groupRates(measured(what), groups.length, SEED),
  }))
  const [first] = groups
  const none = new Float64Array(0)
  const ratios = groups.slice(1).map((group, i): ComparedRatio => {
    const times = intervalOf(timesOf(plain.groups[i + 1] ?? none, plain.groups[0] ?? none))
    const [most] = besides
      .filter(({ what }) => first && Math.abs(meanShare(group, what) - meanShare(first, what)) >= ALIKE)
      .map(({ what, draws }) => ({
        what,
        share: shareGone(times, intervalOf(timesOf(draws.groups[i + 1] ?? none, draws.groups[0] ?? none))),
      }))
      .sort((a, b) => b.share - a.share)
    const there = new Set(first?.own.map(({ bike }) => bike))
    return {
      key: group.key,
      to: first?.key ?? '',
      times,
      ...(most && most.share > 0 && { beside: most }),
      isOnOtherBikes: of !== 'bike' && !group.own.some(({ bike }) => there.has(bike)),
    }
  })
  const used = groups.flatMap(({ own }) => own)
  return {
    of,
    groups: groups.map(({ key, own, km }, i) => ({
      key,
      chains: new Set(own.map(({ chain }) => chain)).size,
      stretches: own.length,
      km,
      rate: intervalOf(plain.groups[i] ?? none),
    })),
    ratios,
    chains: new Set(used.map(({ chain }) => chain)).size,
    km: used.reduce((sum, { km }) => sum + km, 0),
  }
}
