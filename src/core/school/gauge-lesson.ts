import type { GaugeSlip } from '../log/kinds/lesson.ts'
import { INSTRUMENTS, PLACE_SD, SLACK_SHIFT } from '../measure/instruments.ts'
import { ENTRY_WIDTH } from '../measure/likelihood.ts'
import type { Instrument, LimitResult } from '../measure/reading.ts'
import { seededRandom } from '../stats/random.ts'
import { PITCH_MM, ROLLER_MM } from '../units/pitch.ts'

/** Instruments that can be practised: all that are read, and no hints. */
export const LESSON_INSTRUMENTS = [
  'rule',
  'strip',
  'caliper-pair',
  'two-contact-scale',
  'three-contact-scale',
  'two-contact-limit',
  'three-contact-limit',
] as const satisfies readonly Instrument[]
export type LessonInstrument = (typeof LESSON_INSTRUMENTS)[number]

/** Pitches that each spans. */
export const SPAN: Readonly<Record<LessonInstrument, number>> = {
  rule: 24,
  strip: 20,
  'caliper-pair': 10,
  'two-contact-scale': 9,
  'three-contact-scale': 9,
  'two-contact-limit': 9,
  'three-contact-limit': 9,
}

/** A made-up chain of hidden elongation, and the instrument that it is read with. */
export interface GaugeSetup {
  readonly instrument: LessonInstrument
  /** Elongation, %. */
  readonly e: number
  /** How far each roller sits from its pin when pushed, mm. */
  readonly playMm: number
  /** What the instrument adds by itself, %. */
  readonly toolBias: number
  readonly links: number
  /** How much longer than its neighbours the pitch of the joining link is, mm; below 0 for a newer one. */
  readonly jointMm: number
  /** Which mark of a drop-in gauge is asked for, %. */
  readonly side: number
  readonly seed: number
}

/** How it is put on the chain. */
export interface PutOn {
  /** The chain is on the big ring and a big cog, and held tight; else it hangs. */
  readonly isTight: boolean
  /** The link at which the span begins, counted from the joining link. */
  readonly from: number
  /** The side of a drop-in gauge that is turned to the chain, %. */
  readonly side: number
  /** It was pushed in with force. */
  readonly isPushed: boolean
  /** How far the zero of a rule lies beside the edge of the pin, mm. */
  readonly besideMm: number
}

/** A rule that lies further beside than this is crooked, mm. */
const CROOKED_MM = 0.4
/** What force adds to what a gauge shows, %: it spreads the rollers further. A guess. */
const PUSH_SHIFT = 0.08

/** A chain to be read, from a seed: the same seed is the same chain. */
export function madeUpChain(instrument: LessonInstrument, seed: number): GaugeSetup {
  const random = seededRandom(seed)
  const { b, sb } = INSTRUMENTS[instrument].bias
  return {
    instrument,
    seed,
    e: Math.round(100 * random.between(0.05, 1.05)) / 100,
    playMm: random.between(0.05, 0.35),
    toolBias: random.normal(b, sb / 2),
    links: 108 + 2 * Math.floor(random.between(0, 5)),
    jointMm: random.chance(0.5) ? random.between(0.2, 0.4) : -random.between(0.2, 0.4),
    side: random.chance(0.5) ? 0.5 : 0.75,
  }
}

const isLimit = (instrument: LessonInstrument): boolean => instrument.endsWith('-limit')
const isLength = (instrument: LessonInstrument): boolean => instrument === 'rule' || instrument === 'strip'

/** Whether a span lies over the joining link. */
export const coversJoint = ({ instrument, links }: GaugeSetup, from: number): boolean =>
  ((from % links) + links) % links > links - SPAN[instrument] || from % links === 0

/** What is wrong with how an instrument was put on. */
export function slipsOf(setup: GaugeSetup, put: PutOn): readonly GaugeSlip[] {
  const { instrument } = setup
  return [
    ...(put.isTight ? [] : ['slack' as const]),
    ...(coversJoint(setup, put.from) ? ['joining-link' as const] : []),
    ...(isLimit(instrument) && put.side !== setup.side ? ['wrong-side' as const] : []),
    ...(put.isPushed && !isLength(instrument) ? ['pushed' as const] : []),
    ...(isLength(instrument) && Math.abs(put.besideMm) > CROOKED_MM ? ['crooked' as const] : []),
  ]
}

/** What places of a chain differ by, %: the same at the same link of the same chain. */
const atPlace = ({ seed }: GaugeSetup, from: number): number =>
  seededRandom(seed + 7919 * (from + 1)).normal(0, PLACE_SD)

/** What a faultless reading shows at a place, %: the chain, the place, and what the instrument adds. */
export const rightAt = (setup: GaugeSetup, from: number): number =>
  setup.e + setup.toolBias + (coversJoint(setup, from) ? 0 : atPlace(setup, from))

/** What the instrument shows as it is put on, %, faults and all. */
export function shownAs(setup: GaugeSetup, put: PutOn): number {
  const spanMm = SPAN[setup.instrument] * PITCH_MM
  const slips = slipsOf(setup, put)
  return (
    rightAt(setup, put.from) +
    (coversJoint(setup, put.from) ? (100 * setup.jointMm) / spanMm : 0) -
    (slips.includes('slack') ? SLACK_SHIFT : 0) +
    (slips.includes('pushed') ? PUSH_SHIFT : 0)
  )
}

/** Where the pin's edge lies on a rule or strip, mm from its zero. */
export const lengthShown = (setup: GaugeSetup, put: PutOn): number =>
  SPAN[setup.instrument] * PITCH_MM * (1 + shownAs(setup, put) / 100) + put.besideMm

/** What a caliper measures inside two rollers pushed apart, and outside them pushed together, mm. */
export function caliperShown(setup: GaugeSetup, put: PutOn): { insideMm: number; outsideMm: number } {
  const lengthMm = SPAN[setup.instrument] * PITCH_MM * (1 + shownAs(setup, put) / 100)
  // A = L - (D - c), B = L + (D - c): the roller's diameter less its play cancels in their mean (methods 1).
  const half = ROLLER_MM - setup.playMm
  return { insideMm: lengthMm - half, outsideMm: lengthMm + half }
}

/** What a side of a drop-in gauge does. */
export function limitShown(setup: GaugeSetup, put: PutOn): LimitResult {
  const shown = shownAs(setup, put)
  if (shown >= put.side) return 'drops'
  return shown >= put.side - ENTRY_WIDTH ? 'starts' : 'clear'
}
