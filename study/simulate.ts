import { CONDITION_MULTIPLIER, type Condition } from '../src/core/exposure/conditions.ts'
import { lubeMultiplier } from '../src/core/exposure/wear-km.ts'
import type { Lube } from '../src/core/lube/lubes.ts'
import { lengthAtElongation } from '../src/core/measure/elongation.ts'
import { INSTRUMENTS, readingSd } from '../src/core/measure/instruments.ts'
import { evidenceOf } from '../src/core/measure/likelihood.ts'
import type { Reading } from '../src/core/measure/reading.ts'
import type { Random } from '../src/core/stats/random.ts'
import type { RoadPiece } from '../src/core/exposure/roads.ts'
import type { RiderChain, RiderReading } from '../src/core/wear/rider-model.ts'
import type { RiderQuestion } from '../src/core/wear/rider-forecast.ts'

/** A made-up rider: what the model is told, and what is true. */
export interface SimulatedRider {
  readonly question: RiderQuestion
  readonly truth: { readonly nowPercent: number; readonly toLimitKm: number; readonly atLimit: boolean }
  /** Plain kilometres of the chain asked about, and its last reading's value where it was a figure. */
  readonly km: number
  readonly readings: number
  readonly lastValue: { readonly km: number; readonly percent: number } | undefined
}

export const CONDITIONS: readonly Condition[] = [
  'dry-road',
  'wet-road',
  'winter-salt',
  'dry-gravel',
  'wet-gravel',
  'mud',
]
const LUBES: readonly (Lube | undefined)[] = [undefined, 'dry-lube', 'wet-lube', 'drip-wax', 'immersion-wax']
export const TOOLS = [
  'rule',
  'caliper-pair',
  'two-contact-scale',
  'three-contact-scale',
  'two-contact-limit',
] as const
export type Tool = (typeof TOOLS)[number]

/** Chains of unknown past, and rides whose condition is not set. */
const UNKNOWN_PAST = 0.15
const NOT_SET = 0.15

/** One of several, each as likely. */
export const pick = <T>(random: Random, from: readonly T[]): T =>
  from[Math.min(from.length - 1, Math.floor(random.unit() * from.length))] as T
/** A whole number between two, both included. */
export const whole = (random: Random, least: number, most: number): number =>
  least + Math.floor(random.unit() * (most - least + 1))

/** What a tool shows of a chain that is `seen` worn to it, bias included; its noise is drawn here. */
export function shown(random: Random, tool: Tool, seen: number): Reading {
  switch (tool) {
    case 'rule': {
      const sd = readingSd({ instrument: 'rule', pitches: 24, lengthMm: 305 })
      return { instrument: 'rule', pitches: 24, lengthMm: lengthAtElongation(24, random.normal(seen, sd)) }
    }
    case 'caliper-pair': {
      const sd = readingSd({ instrument: 'caliper-pair', pitches: 8, insideMm: 94, outsideMm: 109 })
      const length = lengthAtElongation(8, random.normal(seen, sd))
      return { instrument: 'caliper-pair', pitches: 8, insideMm: length - 7.5, outsideMm: length + 7.5 }
    }
    case 'two-contact-scale':
    case 'three-contact-scale': {
      const sd = readingSd({ instrument: tool, percent: 0 })
      return { instrument: tool, percent: random.normal(seen, sd) }
    }
    case 'two-contact-limit': {
      const limit = pick(random, [0.5, 0.75])
      const answers = (['clear', 'starts', 'drops'] as const).map((result): Reading => ({
        instrument: 'two-contact-limit',
        limit,
        result,
      }))
      const [first] = answers
      const sd = first ? evidenceOf(first).sd : 0
      const value = random.normal(seen, sd)
      const found = answers.find((answer) => {
        const evidence = evidenceOf(answer)
        return evidence.form === 'between' && value >= evidence.low && value < evidence.high
      })
      return found ?? (first as Reading)
    }
  }
}

/** The unknowns of one rider, drawn from the prior of methods 4. */
export function unknowns(random: Random) {
  const held = new Map<string, number>()
  const factor = (name: string, logSd: number): number => {
    const value = held.get(name) ?? Math.exp(random.normal(0, logSd))
    held.set(name, value)
    return value
  }
  const biases = new Map<Tool, number>(
    TOOLS.map((tool) => {
      const { b, sb } = INSTRUMENTS[tool].bias
      return [tool, random.normal(b, sb)]
    }),
  )
  const median = 0.17 * Math.exp(random.normal(0, 0.5))
  const beta = Math.exp(random.normal(0, 0.08))
  return {
    beta,
    rate: () => median * Math.exp(random.normal(0, 0.3)),
    bias: (tool: Tool) => biases.get(tool) ?? 0,
    wearKm: (road: readonly RoadPiece[]): number =>
      road.reduce((sum, { km, condition, lube, notSet }) => {
        const learned =
          (notSet ? factor('not-set', 0.5) : 1) *
          (condition === 'dry-road' ? 1 : factor(condition, 0.35)) *
          (lube === undefined || lube === 'dry-lube' || (lube === 'wet-lube' && condition !== 'dry-gravel')
            ? 1
            : factor(lube, 0.2))
        return sum + km * CONDITION_MULTIPLIER[condition] * lubeMultiplier(lube, condition) * learned
      }, 0),
  }
}

/** One chain of a rider: ridden in legs, looked at after some of them with the tools there are. */
function ridden(
  random: Random,
  id: string,
  { beta, rate, bias, wearKm }: ReturnType<typeof unknowns>,
  habits: { readonly mix: readonly Condition[]; readonly tools: readonly Tool[]; readonly lookAfter: number },
) {
  const past = random.chance(UNKNOWN_PAST) ? 'unknown' : 'new'
  const start = past === 'unknown' ? random.between(-0.05, 1.2) : random.normal(0, 0.02)
  const own = { rate: rate(), start, lube: pick(random, LUBES) }
  const road: RoadPiece[] = []
  const readings: RiderReading[] = []
  let lastValue: { km: number; percent: number } | undefined
  let km = 0
  const wornAfter = () => own.start + own.rate * (wearKm(road) / 1000) ** beta
  for (let leg = whole(random, 2, 12); leg > 0; leg--) {
    const piece: RoadPiece = {
      km: random.between(60, 320),
      condition: pick(random, habits.mix),
      lube: own.lube,
      ...(random.chance(NOT_SET) && { notSet: true as const }),
    }
    road.push(piece)
    km += piece.km
    if (!random.chance(habits.lookAfter)) continue
    for (const tool of habits.tools) {
      if (random.chance(0.35)) continue
      const reading = shown(random, tool, wornAfter() + bias(tool))
      readings.push({ reading, road: [...road] })
      const evidence = evidenceOf(reading)
      if (evidence.form === 'value') lastValue = { km, percent: evidence.value - INSTRUMENTS[tool].bias.b }
    }
  }
  const chain: RiderChain = { id, past, readings }
  return { chain, road, km, lastValue, own, worn: wornAfter() }
}

/**
 * A rider made up from the model's own prior: one to four chains, some conditions, some lubricants, one to three tools
 * with their biases, readings as those tools would show them, some chains of unknown past and some rides of which nobody
 * said the road. The last chain is the one asked about.
 */
export function simulateRider(random: Random): SimulatedRider {
  const truth = unknowns(random)
  const mix = Array.from({ length: whole(random, 1, 3) }, () => pick(random, CONDITIONS))
  const tools = [...new Set(Array.from({ length: whole(random, 1, 3) }, () => pick(random, TOOLS)))]
  const habits = { mix, tools, lookAfter: random.between(0.2, 0.8) }
  const chains = Array.from({ length: whole(random, 1, 4) }, (_, c) =>
    ridden(random, `chain ${c}`, truth, habits),
  )
  const last = chains.at(-1)
  if (!last) throw new Error('a rider without a chain')
  const limit = pick(random, [0.5, 0.75])
  const ahead: RoadPiece[] = mix.map((condition) => ({ km: 1 / mix.length, condition, lube: last.own.lube }))
  const left =
    1000 * Math.max(0, (limit - last.own.start) / last.own.rate) ** (1 / truth.beta) - truth.wearKm(last.road)
  return {
    question: {
      chains: chains.map(({ chain }) => chain),
      chain: last.chain.id,
      now: last.road,
      limit,
      ahead,
    },
    truth: {
      nowPercent: last.worn,
      toLimitKm: Math.max(0, left) / truth.wearKm(ahead),
      atLimit: left <= 0,
    },
    km: last.km,
    readings: chains.reduce((sum, { chain }) => sum + chain.readings.length, 0),
    lastValue: last.lastValue,
  }
}
