import { toolOf } from './instrument-likelihood.ts'
import { densityOf, summariseDensity, type Density } from './posterior.ts'
import type { Instrument, TakenReading } from './reading.ts'

/** A reading as it was taken: with its tool, and where on the chain. */
export interface PlacedReading extends TakenReading {
  /** Links counted from the joining link. */
  readonly place?: number
}

/** What one tool says by itself, with nothing known beforehand. */
export interface ToolVoice {
  readonly tool: string
  readonly instrument: Instrument
  readonly count: number
  readonly density: Density
  readonly mean: number
  readonly sd: number
}

/** Why two tools may differ, the likeliest first to be tried. */
export type Cause = 'joining-link' | 'slack-run' | 'roller-play' | 'not-zeroed'

export interface Disagreement {
  /** The one that reads more, and the one that reads less. */
  readonly high: ToolVoice
  readonly low: ToolVoice
  /** Their difference in combined standard deviations. */
  readonly apart: number
  readonly cause: Cause
  /** The instrument whose reading would settle it. */
  readonly settle: Instrument
  /** A third tool that sides with one of the two against the other, and with which. */
  readonly settled?: { readonly by: ToolVoice; readonly with: ToolVoice; readonly against: ToolVoice }
}

/** A third tool sides with another within this many combined standard deviations. */
const TOGETHER = 1.5
/** Two tools are said to disagree from this many combined standard deviations (methods 2). */
const APART = 2.5

function spread({ e, density }: Density, mean: number): number {
  const step = (e[1] ?? 0) - (e[0] ?? 0)
  return Math.sqrt(e.reduce((sum, x, i) => sum + (x - mean) ** 2 * (density[i] ?? 0) * step, 0))
}

/** What each tool alone would say of a chain, in the order in which they were first used. Hints have no voice. */
export function toolVoices(readings: readonly PlacedReading[]): ToolVoice[] {
  const byTool = new Map<string, PlacedReading[]>()
  for (const one of readings) {
    if (one.reading.instrument === 'ring-lift' || one.reading.instrument === 'side-play') continue
    byTool.set(toolOf(one), [...(byTool.get(toolOf(one)) ?? []), one])
  }
  return [...byTool].flatMap(([tool, own]) => {
    const [first] = own
    if (!first) return []
    const density = densityOf(own)
    const { mean } = summariseDensity(density, [])
    return [
      {
        tool,
        instrument: first.reading.instrument,
        count: own.length,
        density,
        mean,
        sd: spread(density, mean),
      },
    ]
  })
}

const SPREADS_ROLLERS: ReadonlySet<Instrument> = new Set(['two-contact-scale', 'two-contact-limit'])

/** How many pitches from where it was put an instrument reaches over. */
function spanOf({ reading }: PlacedReading): number {
  return 'pitches' in reading ? reading.pitches : 8
}

/** Whether the span read runs over the joining link, going either way from the place. */
function spansJoiningLink(one: PlacedReading, links: number): boolean {
  return one.place !== undefined && (one.place + spanOf(one) > links || one.place < 1)
}

function causeOf(high: ToolVoice, low: ToolVoice, readings: readonly PlacedReading[], links: number): Cause {
  const of = (voice: ToolVoice) => readings.filter((one) => toolOf(one) === voice.tool)
  if ([...of(high), ...of(low)].some((one) => spansJoiningLink(one, links))) return 'joining-link'
  if (of(low).some(({ reading }) => reading.slack) || of(high).some(({ reading }) => reading.slack))
    return 'slack-run'
  if (SPREADS_ROLLERS.has(high.instrument) && !SPREADS_ROLLERS.has(low.instrument)) return 'roller-play'
  // A two-contact gauge that reads less than one that sees pitch only was likely put on a chain hanging loose.
  if (SPREADS_ROLLERS.has(low.instrument) && !SPREADS_ROLLERS.has(high.instrument)) return 'slack-run'
  return 'not-zeroed'
}

const distance = (a: ToolVoice, b: ToolVoice): number => Math.abs(a.mean - b.mean) / Math.hypot(a.sd, b.sd)

/** Whether a third voice has spoken for one of two that disagree: near the one, and far from the other. */
function verdictOfThird(
  high: ToolVoice,
  low: ToolVoice,
  voices: readonly ToolVoice[],
): Disagreement['settled'] {
  for (const by of voices) {
    if (by.tool === high.tool || by.tool === low.tool) continue
    if (distance(by, low) < TOGETHER && distance(by, high) > APART) return { by, with: low, against: high }
    if (distance(by, high) < TOGETHER && distance(by, low) > APART) return { by, with: high, against: low }
  }
  return undefined
}

/** The most telling instrument that has not spoken yet. */
function settlerFor(voices: readonly ToolVoice[]): Instrument {
  const spoken = new Set(voices.map(({ instrument }) => instrument))
  const best: readonly Instrument[] = [
    'caliper-pair',
    'strip',
    'three-contact-scale',
    'three-contact-limit',
    'rule',
  ]
  return best.find((instrument) => !spoken.has(instrument)) ?? 'caliper-pair'
}

/**
 * Pairs of tools whose own answers differ by more than 2.5 combined standard deviations, the furthest apart first,
 * open ones before those that a third tool has settled, with the likeliest cause and the reading that would settle it (methods 2).
 * @param links in the chain
 */
export function disagreements(readings: readonly PlacedReading[], links: number): Disagreement[] {
  const voices = toolVoices(readings)
  const found = voices.flatMap((one, i) =>
    voices.slice(i + 1).flatMap((other): Disagreement[] => {
      const [high, low] = one.mean >= other.mean ? [one, other] : [other, one]
      const apart = distance(high, low)
      if (!(apart > APART)) return []
      const settled = verdictOfThird(high, low, voices)
      return [
        {
          high,
          low,
          apart,
          cause: causeOf(high, low, readings, links),
          settle: settlerFor(voices),
          ...(settled && { settled }),
        },
      ]
    }),
  )
  // What is open comes before what is settled; of the settled, the word of the surest third counts most.
  const rank = ({ settled, apart }: Disagreement): number => (settled ? settled.by.sd : -apart)
  return found.sort((a, b) => rank(a) - rank(b))
}
