import { guessedCogMix } from '../src/core/exposure/gear-mix.ts'
import type { Random } from '../src/core/stats/random.ts'
import type { AskedSet, PlacedEvidence, SetStretch, TeethAsk } from '../src/core/teeth/asked-teeth.ts'
import { conformed, followRate, loadOf } from '../src/core/teeth/conform.ts'
import {
  evidenceLikelihood,
  MM_PER_PERCENT,
  MM_PER_PERCENT_LOG_SD,
  type ToothEvidence,
  type ToothShift,
} from '../src/core/teeth/evidence.ts'
import { COG_LOG_SD, SET_LOG_SD } from '../src/core/teeth/set-likelihood.ts'
import { skipRisk, THRESHOLD_SD } from '../src/core/teeth/skip.ts'
import { TOOTH_WORDS } from '../src/core/teeth/tooth-word.ts'
import type { KeptChainDraws, KeptDraws } from '../src/core/wear/kept-draws.ts'
import { pick, whole } from './simulate.ts'

/** A made-up cassette: what is asked about it, and what is true of it. */
export interface MadeUpCassette {
  readonly ask: TeethAsk
  /** What each cog's teeth have shaped themselves to, %, and the risk that a fresh chain skips on it. */
  readonly truth: readonly { readonly worn: number; readonly skips: number }[]
}

const COUNT = 500
const CASSETTES = [
  [11, 13, 15, 17, 19, 21, 24, 28, 32],
  [11, 12, 13, 14, 15, 17, 19, 21, 23, 25],
  [11, 13, 15, 17, 19, 21, 24, 28, 32, 37, 42],
] as const
/** How well a chain's rate is known, as a spread of its logarithm. */
const RATE_KNOWN_LOG_SD = 0.08
/** Cassettes that came used. */
const UNKNOWN_PAST = 0.15

const filled = (value: number): Float32Array => new Float32Array(COUNT).fill(value)

/** Draws of a chain whose true rate is known so well. */
function chainKnown(random: Random, rate: number): KeptChainDraws {
  const middle = rate * Math.exp(random.normal(0, RATE_KNOWN_LOG_SD))
  return {
    rate: Float32Array.from({ length: COUNT }, () => middle * Math.exp(random.normal(0, RATE_KNOWN_LOG_SD))),
    start: filled(0),
    wearKm: filled(0),
    beta: filled(1),
    lateTimes: filled(1),
    lateFrom: filled(9),
  }
}

/** One of several outcomes, each as often as it is likely. */
function outcome<T>(random: Random, of: readonly T[], chance: (one: T) => number): T {
  let left = random.unit()
  for (const one of of) {
    left -= chance(one)
    if (left < 0) return one
  }
  return of[of.length - 1] as T
}

/** A cassette as it is in truth, and what has been found out about it so far. */
interface Truth {
  readonly teeth: readonly number[]
  readonly own: ToothShift
  readonly worn: (j: number) => number
  readonly add: (sprocket: number, found: PlacedEvidence['found']) => void
}

/** How looks come about and are heard, where that is what is studied. */
export interface LookWay {
  /** The eye that looks, and the eye that the app takes it for; absent: a new eye. */
  readonly eye?: Eye
  readonly heard?: Eye
  /** How often a cog is looked at, at each place of the road. */
  readonly often?: number
}
type Eye = NonNullable<Extract<ToothEvidence, { kind: 'look' }>['eye']>
const LOOKED_AT = 0.08

/** What is found out about each cog at a place of the road: a look, a tool, a picture, a hard push, each now and then. */
function findOut(
  random: Random,
  { teeth, own, worn, add }: Truth,
  chain: number,
  isFirst: boolean,
  { eye, heard, often = LOOKED_AT }: LookWay,
): void {
  teeth.forEach((count, j) => {
    const likely = (found: ToothEvidence) => evidenceLikelihood(found, worn(j), count, own)
    if (random.chance(often))
      add(j, {
        kind: 'look',
        word: outcome(random, TOOTH_WORDS, (word) => likely({ kind: 'look', word, ...(eye && { eye }) })),
        ...(heard && { eye: heard }),
      })
    if (random.chance(0.03))
      add(j, {
        kind: 'tool',
        result: outcome(random, ['pass', 'condemn'] as const, (result) => likely({ kind: 'tool', result })),
      })
    if (random.chance(0.02))
      add(j, { kind: 'picture', mm: random.normal(own.mmPerPercent * worn(j), 0.06 + 0.2 * worn(j)) })
    if (random.chance(isFirst ? 0.3 : 0.02))
      add(j, {
        kind: 'ride',
        result: outcome(random, ['held', 'skipped'] as const, (result) =>
          likely({ kind: 'ride', result, chain }),
        ),
      })
  })
}

/** Makes up a cassette as the model has it: one to five chains, looks, tools, pictures and rides now and then. */
export function madeUpCassette(random: Random, way: LookWay = {}): MadeUpCassette {
  const teeth = [...pick(random, CASSETTES)]
  const shares = [...guessedCogMix(teeth).values()]
  const past = random.chance(UNKNOWN_PAST) ? 'unknown' : 'new'
  const age = past === 'unknown' ? random.unit() : 0
  const set = Math.exp(random.normal(0, SET_LOG_SD))
  const times = teeth.map(() => set * Math.exp(random.normal(0, COG_LOG_SD)))
  const own = {
    shift: random.normal(0, THRESHOLD_SD),
    mmPerPercent: MM_PER_PERCENT * Math.exp(random.normal(0, MM_PER_PERCENT_LOG_SD)),
  }
  const road = teeth.map(() => age)
  const worn = (j: number): number => (road[j] ?? 0) * (times[j] ?? 1)
  const chains: Record<string, KeptChainDraws> = {}
  const stretches: SetStretch[] = []
  const evidence: PlacedEvidence[] = []
  const add = (sprocket: number, found: PlacedEvidence['found']): void =>
    void evidence.push({ sprocket, after: stretches.length, found })
  const rider = 0.17 * Math.exp(random.normal(0, 0.5))
  for (let c = 0; c < whole(random, 1, 5); c++) {
    const rate = rider * Math.exp(random.normal(0, 0.3))
    const until = random.between(0.3, 1.1)
    chains[`chain-${c}`] = chainKnown(random, rate)
    const steps = 4
    for (let step = 0; step < steps; step++) {
      const km = (1000 * until) / rate / steps
      const [from, to] = [(until * step) / steps, (until * (step + 1)) / steps]
      const loads = shares.map((share, j) => loadOf(share, teeth[j] ?? 1, teeth))
      loads.forEach((load, j) => {
        road[j] = conformed(road[j] ?? 0, { wearKm: km, from, to }, load, followRate('cog', 'steel'))
      })
      stretches.push({
        chain: `chain-${c}`,
        ...(step === 0 && { gone: [] }),
        road: [{ km, condition: 'dry-road' }],
        loads,
      })
      findOut(random, { teeth, own, worn, add }, to, step === 0, way)
    }
  }
  const draws: KeptDraws = {
    count: COUNT,
    beta: filled(1),
    lateTimes: filled(1),
    lateFrom: filled(9),
    rider: filled(rider),
    times: {},
    chains,
  }
  const asked: AskedSet = {
    part: 'cassette',
    role: 'cog',
    past,
    sprockets: teeth.map((count) => ({ teeth: count, material: 'steel' })),
    stretches,
    evidence,
  }
  return {
    ask: { named: 'made up', draws, sets: [asked], seed: Math.floor(random.unit() * 2 ** 31) },
    truth: teeth.map((count, j) => ({ worn: worn(j), skips: skipRisk(worn(j), 0, count, own.shift) })),
  }
}
