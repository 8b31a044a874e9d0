import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { toEnd } from '../src/core/job.ts'
import { chooseWithin, type JobOption } from '../src/core/strategy/fixed-sum.ts'
import { sumSteps } from '../src/core/strategy/job/job-choice.ts'
import { rateSteps, ratesAsk } from '../src/core/strategy/plans/rate-tips.ts'
import { waitSteps } from '../src/core/strategy/plans/wait-steps.ts'
import { plansFor, type Plan } from '../src/core/strategy/plans/plans.ts'
import {
  COUNTED,
  LIFE_NUMBERS,
  mergeLives,
  plansSteps,
  type PlansAnswer,
  type PlansAsk,
} from '../src/core/strategy/plans/plans-steps.ts'
import { cogSet, type CogShare } from '../src/core/strategy/plans/cogs.ts'
import { largerRing } from '../src/core/strategy/plans/larger-ring.ts'
import { chainsAtOnce } from '../src/core/strategy/plans/policy.ts'
import { followRate } from '../src/core/teeth/conform.ts'
import { inParts, waitAsk } from '../src/core/strategy/plans/plans-ask.ts'
import { priceOf, type Prices } from '../src/core/strategy/plans/price.ts'
import { seededRandom } from '../src/core/stats/random.ts'
import { keptChain, keptWearKm, type KeptDraws } from '../src/core/wear/kept-draws.ts'

const COUNT = 500
const LIVES = 2000

/** What is known of a rider with one chain on a bike, made up. */
function draws(): KeptDraws {
  const random = seededRandom(16)
  const drawn = (mean: number, sd: number): Float32Array =>
    Float32Array.from({ length: COUNT }, () => mean * Math.exp(random.normal(0, sd)))
  const beta = drawn(1, 0.05)
  const lateTimes = drawn(1.1, 0.1)
  const lateFrom = drawn(0.45, 0.1)
  return {
    count: COUNT,
    beta,
    lateTimes,
    lateFrom,
    rider: drawn(0.17, 0.2),
    times: {},
    chains: {
      on: {
        rate: drawn(0.17, 0.2),
        start: new Float32Array(COUNT),
        wearKm: drawn(1200, 0.1),
        beta,
        lateTimes,
        lateFrom,
      },
    },
  }
}

const COGS: readonly CogShare[] = [11, 13, 15, 17, 19, 21, 24, 28, 32, 36, 42].map((teeth, i) => ({
  teeth,
  share: Math.exp(-((i - 4) ** 2) / 9),
  material: 'steel',
}))

export const madeUpAsk = (): PlansAsk => ({
  named: 'bench',
  draws: draws(),
  chains: ['on'],
  road: {
    now: [{ km: 1.4, condition: 'dry-road', lube: 'wet-lube' }],
    otherLube: [{ km: 1.4, condition: 'dry-road', lube: 'immersion-wax' }],
  },
  cogs: COGS,
  soldSingly: new Array<boolean>(11).fill(true),
  worn: undefined,
  shift: undefined,
  ring: { material: 'aluminium', worn: 0.2 },
  habits: { lookKm: 500, forgotten: 0.15, late: 0.2, looks: 0 },
  pulleysWorn: 0.1,
  largerRing: largerRing(40, COGS),
  // Twelve: all there are for a bike with a limit of its own, single cogs and room for a larger ring.
  plans: plansFor({ limit: 0.6, hasSingles: true, hasLargerRing: true }),
  lives: LIVES,
  part: [0, LIVES],
  horizonKm: 30_000,
  seed: 1,
})

export const PRICES: Prices = {
  chain: 3000,
  hardChain: 6600,
  cassette: 7000,
  singleCog: 900,
  ring: 3500,
  pulleys: 2000,
  lube: 40,
  hour: 3000,
  skip: 500,
}
export const LUBE = { now: { per1000: 5, minutes: 10 }, other: { per1000: 3, minutes: 40 } }

function options(count: number, seed: number): JobOption[] {
  const random = seededRandom(seed)
  return Array.from({ length: count }, (_, i) => ({
    id: `o${i}`,
    price: Math.round(random.between(5, 120)),
    minutes: Math.round(random.between(0, 60)),
    value: Math.round(random.between(1, 30)),
    needs: random.chance(0.2) && i > 0 ? [`o${Math.floor(random.between(0, i))}`] : [],
    excludes: random.chance(0.1) && i > 0 ? [`o${Math.floor(random.between(0, i))}`] : [],
  }))
}

const KINDS = { replace: 0, rotate: 1, runout: 2 } as const

/** The question as bench/plans.c reads it. */
function asText(ask: PlansAsk): string {
  const {
    draws,
    road,
    cogs,
    plans,
    seed,
    horizonKm,
    habits,
    ring,
    lives,
    soldSingly,
    largerRing: larger,
  } = ask
  const [now, other] = [keptWearKm(draws, road.now), keptWearKm(draws, road.otherLube)]
  const on = keptChain(draws, 'on')
  const set = cogSet(cogs)
  const largerSet = cogSet(larger?.cogs ?? cogs)
  const { stepKm, lookSd, pushesPerKm, hardTimes, chainLogSd } = LIFE_NUMBERS
  return [
    [draws.count, lives, plans.length, set.count, seed],
    [horizonKm, stepKm, habits.lookKm, lookSd, pushesPerKm, habits.forgotten, hardTimes, chainLogSd],
    [ring ? followRate('ring', ring.material) : 0, ring?.worn ?? 0],
    [habits.late, larger?.wearTimes ?? 1, ask.pulleysWorn],
    ...Array.from({ length: draws.count }, (_, n) => [
      draws.rider[n],
      draws.beta[n],
      draws.lateTimes[n],
      draws.lateFrom[n],
      on.rate[n],
      on.start[n],
      on.wearKm[n],
      now[n],
      other[n],
    ]),
    ...cogs.map((_, j) => [
      set.load[j],
      set.follow[j],
      set.share[j],
      set.margin[j],
      Number(soldSingly[j]),
      largerSet.load[j],
      largerSet.share[j],
    ]),
    ...plans.map(({ policy, isSingly, isHard, isOtherLube, isLargerRing }) => [
      KINDS[policy.kind],
      policy.at,
      chainsAtOnce(policy),
      policy.kind === 'rotate' ? policy.everyKm : 1e9,
      Number(isSingly),
      Number(isHard),
      Number(isOtherLube),
      Number(isLargerRing),
    ]),
  ]
    .map((line) => line.join(' '))
    .join('\n')
}

/** The same lives in C, run once: the mean of chains bought by plan, and ms; undefined where there is no C compiler. */
function runC(program: string, input: string): { readonly chains: readonly number[]; readonly ms: number } {
  const lines = spawnSync(program, { input, encoding: 'utf8' }).stdout.trim().split('\n')
  return {
    chains: lines.slice(0, -1).map((line) => Number(line.split(' ')[0])),
    ms: Number(lines.at(-1)),
  }
}

const meanChains = ({ plans, lives }: PlansAnswer): readonly number[] =>
  plans.map(({ counts }) => {
    let sum = 0
    for (let life = 0; life < lives; life++) sum += counts[life * COUNTED.length] ?? 0
    return sum / lives
  })

const ROUNDS = 5

/** All lives here and in C, by turns: medians, s, and how far the chains bought are apart at most. */
function besideC(asked: PlansAsk): string {
  const folder = mkdtempSync(join(tmpdir(), 'jolt-mile-plans-'))
  try {
    const program = join(folder, 'plans')
    if (spawnSync('cc', ['-O2', '-o', program, 'bench/plans.c', '-lm']).status !== 0)
      return 'no C compiler here'
    const input = asText(asked)
    const rounds = Array.from({ length: ROUNDS }, () => {
      const began = performance.now()
      const here = toEnd(plansSteps(asked))
      return { hereMs: performance.now() - began, here, there: runC(program, input) }
    })
    const median = (values: readonly number[]): number =>
      [...values].sort((a, b) => a - b)[values.length >> 1] ?? NaN
    const [here, there] = [
      median(rounds.map(({ hereMs }) => hereMs)),
      median(rounds.map((round) => round.there.ms)),
    ]
    const [first] = rounds
    const apart = first
      ? meanChains(first.here).reduce(
          (most, chains, p) => Math.max(most, Math.abs(chains - (first.there.chains[p] ?? NaN))),
          0,
        )
      : NaN
    return `all lives by turns ${(here / 1000).toFixed(2)} s here, ${(there / 1000).toFixed(2)} s in C: ${(here / there).toFixed(1)} times as long; chains bought ${apart.toFixed(3)} apart at most`
  } finally {
    rmSync(folder, { recursive: true })
  }
}

/** Times of simulated plans, of pricing them anew, and of the choice within a fixed sum. */
export function planFigures(): readonly {
  readonly what: string
  readonly median: string
  readonly worst: string
  readonly goal: string
}[] {
  const timed = (work: () => unknown, runs: number): { median: number; worst: number } => {
    work()
    const taken = Array.from({ length: runs }, () => {
      const began = performance.now()
      work()
      return performance.now() - began
    }).sort((a, b) => a - b)
    return { median: taken[runs >> 1] ?? NaN, worst: taken.at(-1) ?? NaN }
  }
  const asked = madeUpAsk()
  const [half] = inParts(asked, 2)
  const lived = timed(() => half && toEnd(plansSteps(half)), 5)
  const whole = mergeLives(inParts(asked, 2).map((part) => toEnd(plansSteps(part))))
  const priced = timed(() => whole.plans.map((one) => priceOf(one, whole, PRICES, LUBE)), 15)
  let seed = 0
  const chosen = timed(() => chooseWithin({ sum: 400, ratePerHour: 30, options: options(30, seed++) }), 40)
  const waits = timed(() => toEnd(waitSteps(waitAsk(asked, asked.plans[0] as Plan, 1500))), 5)
  const roads = timed(() => toEnd(rateSteps(ratesAsk(asked))), 3)
  const sums = timed(() => {
    const jobs = options(15, seed++).map(({ id, price, minutes, value, needs = [], excludes = [] }, i) => ({
      id,
      name: id,
      isSafety: i % 4 === 0,
      price: price * 100,
      minutes,
      worth: value,
      needs,
      excludes,
      outcome: 'open' as const,
    }))
    toEnd(sumSteps({ jobs, hour: 3000, safetyTimes: 5, unit: 100 }))
  }, 20)
  return [
    {
      what: `${asked.plans.length} plans, ${LIVES} lives of 30,000 km: one of two workers’ half`,
      median: `${(lived.median / 1000).toFixed(2)} s`,
      worst: `${(lived.worst / 1000).toFixed(2)} s; ${besideC(asked)}`,
      goal: 'under 2 s on two workers, within 3 times of C',
    },
    {
      what: 'a price moved: all plans priced again from kept lives (without drawing)',
      median: `${priced.median.toFixed(0)} ms`,
      worst: `${priced.worst.toFixed(0)} ms`,
      goal: 'under 250 ms, drawing included',
    },
    {
      what: 'the best of 30 options within a fixed sum, 40 made-up jobs',
      median: `${chosen.median.toFixed(0)} ms`,
      worst: `${chosen.worst.toFixed(0)} ms`,
      goal: 'under 300 ms',
    },
    {
      what: 'every sum at which the choice of 15 jobs changes, 20 made-up lists (in a worker)',
      median: `${sums.median.toFixed(0)} ms`,
      worst: `${sums.worst.toFixed(0)} ms`,
      goal: 'none set',
    },
    {
      what: 'a swap now or at 11 distances ahead, 500 lives each (in a worker)',
      median: `${(waits.median / 1000).toFixed(2)} s`,
      worst: `${(waits.worst / 1000).toFixed(2)} s`,
      goal: 'none set',
    },
    {
      what: `${asked.plans.length} plans on five roads, ${ratesAsk(asked).lives} lives each (in a worker)`,
      median: `${(roads.median / 1000).toFixed(2)} s`,
      worst: `${(roads.worst / 1000).toFixed(2)} s`,
      goal: 'none set',
    },
  ]
}
