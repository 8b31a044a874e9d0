import type { JobStep } from '../job.ts'
import { drawRiderSteps, fewDraws, settledOf, type RiderDraws, type Settled } from './draws.ts'
import type { SampleOptions } from './hmc.ts'
import type { AskedChain, LookPlace } from './asked-chain.ts'
import { chainOutlook, onBike, questionedOutlook, type ChainNow, type WearAnswer } from './outlook.ts'
import { riderRates, type RiderRates, type SeasonRoad } from './rates.ts'
import { keepDraws, type KeptDraws } from './kept-draws.ts'
import { surpriseAt, type FoundSurprise } from './surprise.ts'
import { lessons, type Lesson } from './teaches.ts'
import { slipChances } from './slips.ts'
import { missingPastChance } from './missing-past.ts'

/** Everything that is asked of a rider's chains at once. Plain data. */
export interface RiderAsk {
  readonly chains: readonly AskedChain[]
  readonly seasons: readonly SeasonRoad[]
  readonly seed: number
  /** One of a workshop's many: worked out with fewer draws. */
  readonly isOneOfMany?: true
}

/** How it was worked out, for whoever asks. */
export interface Workings extends Settled {
  readonly samplers: number
  readonly draws: number
  /** Share of the sampler's proposals taken. */
  readonly accepted: number
  readonly unknowns: number
  readonly readings: number
  readonly chains: number
}

/** Everything that is said of a rider's chains. Plain data: it comes from a worker, and is kept. */
export interface RiderOutlook {
  readonly chains: Readonly<Record<string, ChainNow | WearAnswer>>
  readonly rates: RiderRates
  readonly lessons: readonly Lesson[]
  readonly workings: Workings
  /** Some of the posterior's draws, to simulate from. */
  readonly draws: KeptDraws
}

const SAMPLERS = 4
/** So many draws of each sampler for a log of up to so many looks; fewer for a longer one, never below the least. */
const DRAWS = 600
const LOOKS_AT_FULL = 200
const LEAST_DRAWS = 150
const WARM_UP = 250
/** The share of that for one of a workshop's many: its figures move by about a hundredth of a per cent. */
const SHARE_OF_MANY = 0.5
const LEAST_WARM_UP = 180
/** Curves are drawn by so many draws at most, those of a chain that is off its bike by fewer. */
const DRAWN_DRAWS = 600
const OFF_BIKE_DRAWS = 200
/** So many are part of the answer. */
const KEPT_DRAWS = 500

/** How much to sample: what is seen does not change with more draws than these. */
function effortFor({ chains, seed, isOneOfMany }: RiderAsk): SampleOptions {
  const readings = chains.reduce((sum, chain) => sum + chain.readings.length, 0)
  const share = Math.min(1, LOOKS_AT_FULL / Math.max(1, readings)) * (isOneOfMany ? SHARE_OF_MANY : 1)
  return {
    seed,
    chains: SAMPLERS,
    draws: Math.max(LEAST_DRAWS, Math.round(DRAWS * share)),
    warmUp: Math.max(LEAST_WARM_UP, Math.round(WARM_UP * share)),
  }
}

const roadsOf = ({ chains, seasons }: RiderAsk) => [
  ...chains.flatMap(({ now, drawAt, ahead }) => [
    ...now,
    ...drawAt.flatMap(({ road }) => road),
    ...(ahead?.stretches ?? []).flatMap(({ perKm }) => perKm),
  ]),
  ...seasons.flatMap(({ perKm }) => perKm),
]

/** A look at one chain less, and all after it: what was known before it. */
const without = (chains: readonly AskedChain[], id: string, { first }: LookPlace): AskedChain[] =>
  chains.map((chain) => (chain.id === id ? { ...chain, readings: chain.readings.slice(0, first) } : chain))

/** A look less likely than this to be as logged, with a say in it itself, is looked into. */
const ODD_FROM = 0.85
/** With more chains than this a look has less of a say in what is expected of it, and must be odder. */
const FEW_CHAINS = 6
/** One that is likelier to be something else than as logged is asked about. */
const ASKED_FROM = 0.5
/** An earlier look is looked into where one of its readings is likelier than this to be a slip. */
const WORTH_A_LOOK = 0.012
/** So many at most are redrawn, the oddest: all chains are drawn again for each. */
const MOST_ANEW = 2
/** With more chains than this one look has no say in what is known of the rider: nothing is drawn again without it. */
const MANY_CHAINS = 60

/** Of all chains a chain may have been mistaken for, those on bikes and the newest others. */
const MOST_OTHERS = 12

/** Chains of the same length that can still be measured: a look may have been at one of them. */
function mistakable(chains: readonly AskedChain[], { id, links }: AskedChain): AskedChain[] {
  const others = chains.filter((other) => other.id !== id && other.links === links && !other.retired)
  return [...others.filter(({ ahead }) => !ahead), ...others.filter(({ ahead }) => ahead)].slice(-MOST_OTHERS)
}

/**
 * Questions about the looks at chains on bikes, one for each chain: about its oddest. What the rider's draws find odd is
 * drawn again without the look itself and those after it, which would otherwise have a say in what was to be expected.
 */
function* surprises(
  ask: RiderAsk,
  draws: RiderDraws,
  slips: ReadonlyMap<string, readonly number[]>,
  effort: SampleOptions,
): Generator<JobStep, Map<string, FoundSurprise>, undefined> {
  const found = new Map<string, FoundSurprise>()
  const oddFrom = draws.model.chains.length > FEW_CHAINS ? ASKED_FROM : ODD_FROM
  const odd = ask.chains
    .filter(({ ahead }) => ahead)
    .flatMap((chain) => {
      const others = mistakable(ask.chains, chain)
      const chances = slips.get(chain.id) ?? []
      const isWorthIt = ({ first, size }: LookPlace): boolean =>
        first + size === chain.readings.length ||
        chances.slice(first, first + size).some((chance) => chance > WORTH_A_LOOK)
      const [one] = chain.examined
        .filter(isWorthIt)
        .flatMap((look) => surpriseAt(draws, chain, look, others, oddFrom, false) ?? [])
        .sort((a, b) => b.evidence - a.evidence)
      return one ? [{ chain, others, one }] : []
    })
    .sort((a, b) => a.one.surprise.asLogged - b.one.surprise.asLogged)
  const most = draws.model.chains.length > MANY_CHAINS ? 0 : MOST_ANEW
  for (const { chain, one } of odd.slice(most))
    if (one.surprise.asLogged < ASKED_FROM) found.set(chain.id, one)
  for (const { chain, others, one } of odd.slice(0, most)) {
    const { look } = one.surprise
    const before = yield* drawRiderSteps(without(ask.chains, chain.id, look), roadsOf(ask), {
      ...effort,
      draws: LEAST_DRAWS,
      warmUp: LEAST_WARM_UP,
    })
    const anew = surpriseAt(before, chain, look, others, ASKED_FROM, true)
    if (anew) found.set(chain.id, anew)
  }
  return found
}

/**
 * Works out everything that is said of a rider's chains (methods 4).
 * @yields how far the sampling has come: whoever walks it may stop walking
 * @throws RangeError where a reading or a distance cannot be
 */
export function* riderOutlookSteps(asked: RiderAsk): Generator<JobStep, RiderOutlook, undefined> {
  const missing = new Map(asked.chains.map((chain) => [chain.id, missingPastChance(chain)]))
  // A chain whose log plainly does not tell its whole past is one of unknown past.
  const chains = asked.chains.map((chain): AskedChain =>
    (missing.get(chain.id) ?? 0) >= 0.5 ? { ...chain, past: 'unknown' } : chain,
  )
  const ask = { ...asked, chains }
  const effort = effortFor(ask)
  const draws = yield* drawRiderSteps(chains, roadsOf(ask), effort)
  const slips = slipChances(draws)
  const [few, fewer] = [fewDraws(draws, DRAWN_DRAWS), fewDraws(draws, OFF_BIKE_DRAWS)]
  const odd = yield* surprises(asked, draws, slips, effort)
  const seedOf = (i: number): number => Math.imul(asked.seed + 1, 7919) + 31 * i
  const outlooks = chains.map((chain, i) => {
    const plain = chainOutlook(
      draws,
      chain.ahead ? few : fewer,
      chain,
      slips.get(chain.id) ?? [],
      missing.get(chain.id) ?? 0,
      seedOf(i),
    )
    const [found, on] = [odd.get(chain.id), onBike(plain.answer)]
    const said =
      found && on && chain.ahead ? questionedOutlook(on, chain, chain.ahead, found, seedOf(i)) : plain
    return { ...said, id: chain.id, retired: chain.retired }
  })
  const drawn = new Map(outlooks.map((outlook) => [outlook.id, outlook.drawn]))
  return {
    chains: Object.fromEntries(outlooks.map(({ id, answer }) => [id, answer] as const)),
    rates: riderRates(
      draws,
      chains,
      asked.seasons,
      (id) => drawn.get(id)?.own.rate ?? new Float64Array(draws.count),
    ),
    lessons: lessons(outlooks.flatMap(({ outcome }) => outcome ?? [])),
    workings: {
      ...settledOf(draws),
      samplers: effort.chains,
      draws: effort.draws,
      accepted: draws.accepted,
      unknowns: draws.model.dimension,
      readings: chains.reduce((sum, { readings }) => sum + readings.length, 0),
      chains: draws.model.chains.length,
    },
    draws: keepDraws(
      draws,
      outlooks.filter(({ retired }) => !retired),
      KEPT_DRAWS,
    ),
  }
}
