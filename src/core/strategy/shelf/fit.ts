import type { FitFacts } from '../../log/fit-facts.ts'
import type { StockItem } from '../../log/kinds/stock.ts'

/** One thing that decides whether a part goes on. */
export interface FitGround {
  readonly about:
    | 'speeds'
    | 'pitch'
    | 'innerWidth'
    | 'spacing'
    | 'freehub'
    | 'boltCircle'
    | 'bolts'
    | 'teeth'
    | 'capacity'
    | 'largestCog'
    | 'linkKind'
    /** Equal figures do not prove that it fits. */
    | 'proof'
  readonly kind: 'agrees' | 'differs' | 'unknown'
}

/** Whether a part goes on a bike. */
export interface Fit {
  readonly says: 'fits' | 'does-not' | 'ask'
  readonly grounds: readonly FitGround[]
}

/** What a bike takes: its own facts, and what is on it. */
export interface TakingBike {
  readonly speeds: number
  readonly facts: FitFacts
  readonly cogs: readonly number[]
  readonly rings: readonly number[]
  readonly pulleys: readonly number[]
}

/** Lengths that differ by no more than this are the same, mm. */
const SAME_MM = 0.06

const sameNumber = (a: number | undefined, b: number | undefined): FitGround['kind'] =>
  a === undefined || b === undefined ? 'unknown' : Math.abs(a - b) <= SAME_MM ? 'agrees' : 'differs'
const sameWords = (a: string | undefined, b: string | undefined): FitGround['kind'] => {
  const plain = (text: string): string => text.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '')
  return !a || !b ? 'unknown' : plain(a) === plain(b) ? 'agrees' : 'differs'
}
const span = (teeth: readonly number[]): number =>
  teeth.length === 0 ? 0 : Math.max(...teeth) - Math.min(...teeth)

/** What a cassette asks of the cage: its own span and that of the rings together. */
function cage(teeth: readonly number[], bike: TakingBike): readonly FitGround[] {
  const { capacityTeeth, largestCog } = bike.facts
  if (teeth.length === 0 || bike.speeds === 1) return []
  const slack = span(teeth) + span(bike.rings)
  const within = (most: number | undefined, need: number): FitGround['kind'] =>
    most === undefined ? 'unknown' : need <= most ? 'agrees' : 'differs'
  return [
    { about: 'capacity', kind: within(capacityTeeth, slack) },
    { about: 'largestCog', kind: within(largestCog, Math.max(...teeth)) },
  ]
}

function groundsOf(item: StockItem, facts: FitFacts, bike: TakingBike): readonly FitGround[] {
  const own = bike.facts
  const speeds: FitGround = { about: 'speeds', kind: sameNumber(facts.speeds, bike.speeds) }
  switch (item) {
    case 'chain':
    case 'hard-chain':
      return [
        speeds,
        // Half an inch is what nearly every chain has: it is asked for only where one of the two says otherwise.
        ...(facts.pitchMm !== undefined || own.pitchMm !== undefined
          ? [{ about: 'pitch', kind: sameNumber(facts.pitchMm ?? 12.7, own.pitchMm ?? 12.7) } as const]
          : []),
        ...(facts.innerWidthMm !== undefined && own.innerWidthMm !== undefined
          ? [{ about: 'innerWidth', kind: sameNumber(facts.innerWidthMm, own.innerWidthMm) } as const]
          : []),
      ]
    case 'joining-link':
      return [speeds, { about: 'linkKind', kind: sameWords(facts.linkKind, own.linkKind) }]
    case 'cassette':
      return [
        { about: 'speeds', kind: sameNumber(facts.speeds ?? facts.teeth?.length, bike.speeds) },
        { about: 'freehub', kind: sameWords(facts.freehub, own.freehub) },
        ...cage(facts.teeth ?? [], bike),
      ]
    case 'single-cog': {
      const isOn =
        facts.teeth === undefined
          ? 'unknown'
          : facts.teeth.every((one) => bike.cogs.includes(one))
            ? 'agrees'
            : 'differs'
      return [
        { about: 'teeth', kind: isOn },
        { about: 'spacing', kind: sameNumber(facts.spacingMm, own.spacingMm) },
        { about: 'freehub', kind: sameWords(facts.freehub, own.freehub) },
        { about: 'proof', kind: 'unknown' },
      ]
    }
    case 'ring':
      return [
        { about: 'boltCircle', kind: sameNumber(facts.boltCircleMm, own.boltCircleMm) },
        { about: 'bolts', kind: sameNumber(facts.bolts, own.bolts) },
        { about: 'proof', kind: 'unknown' },
      ]
    case 'pulleys': {
      const teeth = facts.teeth?.[0]
      const kind =
        teeth === undefined || bike.pulleys.length === 0
          ? 'unknown'
          : bike.pulleys.includes(teeth)
            ? 'agrees'
            : 'differs'
      return [
        { about: 'teeth', kind },
        { about: 'proof', kind: 'unknown' },
      ]
    }
    case 'derailleur': {
      const within = (most: number | undefined, need: number): FitGround['kind'] =>
        most === undefined || bike.cogs.length === 0 ? 'unknown' : need <= most ? 'agrees' : 'differs'
      return [
        speeds,
        { about: 'capacity', kind: within(facts.capacityTeeth, span(bike.cogs) + span(bike.rings)) },
        { about: 'largestCog', kind: within(facts.largestCog, Math.max(0, ...bike.cogs)) },
      ]
    }
    case 'brake-pads':
    case 'cable':
    case 'tyre':
    case 'other':
      // Nothing is asked of these here, so nothing is known.
      return [{ about: 'proof', kind: 'unknown' }]
    case 'drip-lube':
    case 'wax':
    case 'degreaser':
      return []
  }
}

/**
 * Whether a part goes on a bike, by the facts that are known of both (job: equal bolt circle or equal tooth count does not prove a
 * fit): one that differs settles it against, one that is not known leaves it to the maker.
 * @param hasBeenOn one of these was on this bike before: that proves what figures do not
 */
export function fitOf(item: StockItem, facts: FitFacts, bike: TakingBike, hasBeenOn: boolean): Fit {
  const grounds = groundsOf(item, facts, bike)
  if (grounds.some(({ kind }) => kind === 'differs')) return { says: 'does-not', grounds }
  const open = grounds.filter(({ kind }) => kind === 'unknown')
  return { says: open.length === 0 || hasBeenOn ? 'fits' : 'ask', grounds }
}
