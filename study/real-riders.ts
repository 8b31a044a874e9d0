import type { Condition } from '../src/core/exposure/conditions.ts'
import type { EntryDraft } from '../src/core/log/entries.ts'
import type { Reading } from '../src/core/measure/reading.ts'
import type { Random } from '../src/core/stats/random.ts'
import { CONDITIONS, pick, shown, TOOLS, unknowns, whole, type Tool } from './simulate.ts'

/**
 * What goes wrong with real riders, and not with the model's: a reading that slipped, a gauge that is off, chains changed
 * and rides ridden without a word, noise with long tails, wear that quickens.
 */
export const WORLDS = {
  base: 'as the model has it',
  'long-tails': 'noise with long tails (t, 3 degrees)',
  'month-missing': 'a month of rides missing',
  quickens: 'wear that doubles past 0.4 %',
  'bad-gauge': 'the only gauge reads 0.25 too high',
  slip: 'a slip in the last look',
  'swap-last': 'an unlogged swap before the last look',
  'swap-earlier': 'an unlogged swap earlier',
} as const
export type World = keyof typeof WORLDS

/** A made-up rider's log, and what is true of the chain that is on the bike. */
export interface RealRider {
  readonly drafts: readonly EntryDraft[]
  /** The day on which the log is judged. */
  readonly now: string
  readonly nowPercent: number
}

const DAY_MS = 86_400_000
/** Degrees of freedom of the noise with long tails. */
const DEGREES = 3
const FIGURES = ['rule', 'caliper-pair', 'two-contact-scale', 'three-contact-scale'] as const
/** By so much the bad gauge is off, %. */
const GAUGE_OFF = 0.25
const QUICKENS_AT = 0.4

/** By so much a length slips on the rule, mm: a sixteenth of an inch, a digit, a whole pitch. */
const RULE_SLIPS_MM = [25.4 / 16, 1, 12.7]

/** A slip of a figure: on the rule, a digit on a caliper, a mark on a scale. */
function slipped(random: Random, reading: Reading): Reading {
  const sign = random.chance(0.5) ? 1 : -1
  switch (reading.instrument) {
    case 'rule':
      return { ...reading, lengthMm: reading.lengthMm + sign * pick(random, RULE_SLIPS_MM) }
    case 'caliper-pair':
      return { ...reading, outsideMm: reading.outsideMm + sign }
    case 'two-contact-scale':
    case 'three-contact-scale':
      return { ...reading, percent: reading.percent + sign * 0.3 }
    default:
      return reading
  }
}

/** Student's t of three degrees, scaled to the spread of a normal. */
function longTailed(random: Random): number {
  let squares = 0
  for (let i = 0; i < DEGREES; i++) squares += random.normal(0, 1) ** 2
  return random.normal(0, 1) / Math.sqrt(squares / DEGREES) / Math.sqrt(DEGREES / (DEGREES - 2))
}

/** The same randomness, its normals drawn from long tails. */
const withLongTails = (random: Random): Random => ({
  ...random,
  normal: (mean, sd) => mean + sd * longTailed(random),
})

interface Leg {
  readonly km: number
  readonly condition: Condition
  readonly day: number
  readonly isLooked: boolean
}

/** The legs of one chain: looked at after some, always after the last and somewhere before. */
function legsOf(random: Random, fromDay: number, mix: readonly Condition[], lookAfter: number): Leg[] {
  const count = whole(random, 5, 12)
  const early = whole(random, 1, count - 3)
  let day = fromDay
  return Array.from({ length: count }, (_, i) => {
    day += whole(random, 4, 12)
    return {
      km: Math.round(random.between(60, 320)),
      condition: pick(random, mix),
      day,
      isLooked: i === count - 1 || i === early || random.chance(lookAfter),
    }
  })
}

/** A chain is ridden so far at most, %, unless it got there within the first legs: then its rider has swapped it. */
const RIDDEN_TO = 0.9
const FEWEST_LEGS = 4

/** The legs up to where the chain is swapped, the last of them looked at. */
function riddenLegs(legs: readonly Leg[], wornAfter: (leg: number) => number): Leg[] {
  const past = legs.findIndex((_, i) => i + 1 >= FEWEST_LEGS && wornAfter(i) > RIDDEN_TO)
  const ridden = past < 0 ? legs : legs.slice(0, past + 1)
  return ridden.map((leg, i) => ({ ...leg, isLooked: leg.isLooked || i === 1 || i === ridden.length - 1 }))
}

/** The leg before which a chain was changed without a word: between its looks, where the world has it so. */
function unloggedSwap(random: Random, world: World, legs: readonly Leg[]): number | undefined {
  const looked = legs.flatMap(({ isLooked }, i) => (isLooked ? [i] : []))
  const [before, after] =
    world === 'swap-last' ? [looked.at(-2), looked.at(-1)] : [looked.at(0), looked.at(-2)]
  if (before === undefined || after === undefined || after <= before) return undefined
  return whole(random, before + 1, after)
}

/** Elongation at some wear-km; past a point twice as fast, where the world has it so. */
function grown(world: World, start: number, rate: number, beta: number, wearKm: number): number {
  const plain = start + rate * (wearKm / 1000) ** beta
  return world === 'quickens' && plain > QUICKENS_AT ? plain + (plain - QUICKENS_AT) : plain
}

/** The one or two tools of a rider; where a figure slips, the first shows figures. */
function toolsOf(random: Random, world: World): readonly Tool[] {
  if (world === 'bad-gauge') return ['two-contact-scale']
  const tools = Array.from({ length: whole(random, 1, 2) }, () => pick(random, TOOLS))
  if (world === 'slip') tools[0] = pick(random, FIGURES)
  return [...new Set(tools)]
}

/**
 * A rider of a world: one bike, one to three chains after one another, the last one on the bike.
 * @param isSlipped whether the slip of the world of slips is made
 */
export function realRider(random: Random, world: World, { isSlipped = true } = {}): RealRider {
  const truth = unknowns(random)
  const mix = Array.from({ length: whole(random, 1, 3) }, () => pick(random, CONDITIONS))
  const tools = toolsOf(random, world)
  const noise = world === 'long-tails' ? withLongTails(random) : random
  const chains = whole(random, 1, 3)
  const begins = Date.UTC(2025, 0, 5, 12)
  const at = (day: number, hour = 0): string =>
    new Date(begins + day * DAY_MS + hour * 3_600_000).toISOString()
  const drafts: EntryDraft[] = [
    {
      kind: 'bike',
      at: at(0),
      bike: 'heron',
      name: 'Heron',
      note: '',
      speeds: 11,
      shifting: 'cable',
      motor: 'none',
      usualCondition: mix[0] ?? 'dry-road',
      storage: 'indoors',
    },
  ]
  let [day, nowPercent] = [0, 0]
  for (let c = 0; c < chains; c++) {
    const isLast = c === chains - 1
    const chain = `chain-${c}`
    drafts.push(
      {
        kind: 'part',
        at: at(day),
        part: chain,
        name: `Chain ${c + 1}`,
        spec: { type: 'chain', links: 114, speeds: 11, past: 'new' },
      },
      { kind: 'fit', at: at(day), part: chain, bike: 'heron' },
    )
    const own = [random.normal(0, 0.02), truth.rate()] as const
    const planned = legsOf(random, day, mix, random.between(0.2, 0.6))
    let gone = 0
    const goneAfter = planned.map(
      ({ km, condition }) => (gone += truth.wearKm([{ km, condition, lube: undefined }])),
    )
    const legs = riddenLegs(planned, (i) => grown(world, ...own, truth.beta, goneAfter[i] ?? 0))
    const swapBefore = isLast && world.startsWith('swap') ? unloggedSwap(random, world, legs) : undefined
    const missingFrom =
      isLast && world === 'month-missing' ? whole(random, 1, Math.max(1, legs.length - 4)) : undefined
    let [start, rate, road]: [number, number, number] = [...own, 0]
    for (const [i, { km, condition, day: on, isLooked }] of legs.entries()) {
      if (i === swapBefore) [start, rate, road] = [random.normal(0, 0.02), truth.rate(), 0]
      road += truth.wearKm([{ km, condition, lube: undefined }])
      const isMissing = missingFrom !== undefined && i >= missingFrom && i < missingFrom + 3
      if (!isMissing) drafts.push({ kind: 'ride', at: at(on), bike: 'heron', km, condition })
      nowPercent = grown(world, start, rate, truth.beta, road)
      if (!isLooked) continue
      tools.forEach((tool, t) => {
        const bias = truth.bias(tool) + (world === 'bad-gauge' ? GAUGE_OFF : 0)
        const reading = shown(noise, tool, nowPercent + bias)
        const isSlip = world === 'slip' && isLast && i === legs.length - 1 && t === 0
        drafts.push({
          kind: 'reading',
          at: at(on, 5 + t),
          chain,
          reading: isSlip && isSlipped ? slipped(random, reading) : reading,
        })
      })
    }
    day = (legs.at(-1)?.day ?? day) + 1
  }
  return { drafts, now: at(day), nowPercent }
}
