import { roadAhead, type RoadStretch } from '../../exposure/road-ahead.ts'
import type { Candidate } from '../../measure/next-reading.ts'
import { lengthAtElongation } from '../../measure/elongation.ts'
import { toolOf } from '../../measure/instrument-likelihood.ts'
import type { Instrument, LimitResult, Reading, TakenReading } from '../../measure/reading.ts'
import { ROLLER_MM } from '../../units/pitch.ts'
import { drawsName, type KeptDraws } from '../../wear/kept-draws.ts'
import type { WearAnswer } from '../../wear/outlook.ts'
import type { BikeReport, ChainReport } from '../facts/bike-report.ts'
import { askedAt } from '../rider-ask.ts'
import type { WhatNextAsk } from './what-next-steps.ts'

/** What the tool would say: a figure, %, or what a limit side does. */
export type Says = { readonly percent: number } | { readonly limit: number; readonly result: LimitResult }

/** The next reading that is tried: with which tool, and all that it can say, from little worn to much. */
export interface NextReading {
  readonly ask: WhatNextAsk
  readonly tool: string
  readonly instrument: Instrument
  /** Pitches that are measured over; absent for a gauge. */
  readonly pitches?: number
  readonly says: readonly Says[]
}

/** A figure is tried every so many %. */
const STEP = 0.02
/** Figures are tried so far beyond what the chain probably is, %. */
const BEYOND = 0.3
/** Pitches that are usually measured over: a rule's foot, the printed strip, a caliper. */
const PITCHES = { rule: 24, strip: 20, 'caliper-pair': 8 } as const
/** Roller play of a chain in use, mm: it cancels in a caliper pair (methods 1). */
const PLAY_MM = 0.1
/** In this order where the rider has no tool that is new to this chain: everybody has a rule. */
const USUAL_TOOLS: readonly Instrument[] = ['rule', 'caliper-pair', 'strip', 'three-contact-limit']

const isHint = ({ instrument }: Candidate): boolean =>
  instrument === 'ring-lift' || instrument === 'side-play'
const isLimit = ({ instrument }: Candidate): boolean => instrument.endsWith('-limit')

/** A tool that has not read this chain yet: the rider's own before others, one with a figure before one with sides. */
export function freshTool({ nextLook, used }: Pick<ChainReport, 'nextLook' | 'used'>): Candidate | undefined {
  const met = new Set(used.flatMap(({ entry }) => [toolOf(entry), entry.reading.instrument]))
  const open = nextLook.candidates.filter(
    (one) => !isHint(one) && !met.has(one.tool) && !met.has(one.instrument),
  )
  const own = open.filter(({ tool, instrument }) => tool !== instrument)
  const usual = USUAL_TOOLS.flatMap((instrument) => open.find((one) => one.tool === instrument) ?? [])
  return own.find((one) => !isLimit(one)) ?? own[0] ?? usual[0]
}

/** A tool's reading of a chain of so much elongation, %. */
function figure(instrument: Instrument, percent: number): Reading | undefined {
  switch (instrument) {
    case 'rule':
    case 'strip':
      return {
        instrument,
        pitches: PITCHES[instrument],
        lengthMm: lengthAtElongation(PITCHES[instrument], percent),
      }
    case 'caliper-pair': {
      const pitches = PITCHES[instrument]
      const lengthMm = lengthAtElongation(pitches, percent)
      const half = ROLLER_MM - PLAY_MM
      return { instrument, pitches, insideMm: lengthMm - half, outsideMm: lengthMm + half }
    }
    case 'two-contact-scale':
    case 'three-contact-scale':
      return { instrument, percent }
    case 'two-contact-limit':
    case 'three-contact-limit':
    case 'ring-lift':
    case 'side-play':
      return undefined
  }
}

/** All that a tool can say of a chain that is about so worn. */
function saysOf(candidate: Candidate, { p05, p95 }: WearAnswer['now'], limit: number): readonly Says[] {
  if (isLimit(candidate)) {
    const side = candidate.limit ?? (limit <= 0.5 ? 0.5 : limit <= 0.75 ? 0.75 : 1)
    return (['clear', 'starts', 'drops'] as const).map((result) => ({ limit: side, result }))
  }
  const from = Math.max(0, Math.floor((p05 - BEYOND) / STEP))
  const to = Math.ceil((p95 + BEYOND) / STEP)
  return Array.from({ length: to - from + 1 }, (_, i) => ({
    percent: Number(((from + i) * STEP).toFixed(4)),
  }))
}

/** What one tool says, as a reading of it. */
function takenOf({ tool, instrument, bias }: Candidate, says: Says): TakenReading | undefined {
  const reading =
    'percent' in says
      ? figure(instrument, says.percent)
      : instrument === 'two-contact-limit' || instrument === 'three-contact-limit'
        ? { instrument, limit: says.limit, result: says.result }
        : undefined
  return reading && { reading, tool, bias }
}

/**
 * The next reading of a bike's chain, to be tried before it is taken.
 * @param draws of the rider's answer
 * @returns undefined where nothing can be tried: no chain, a question that is open, tools that disagree, or no tool that is new to
 * the chain
 */
export function nextReadingOf(
  report: BikeReport,
  answer: WearAnswer,
  draws: KeptDraws,
): NextReading | undefined {
  const { bike, chain, limit, plan } = report
  if (!chain || answer.surprise || answer.conflict) return undefined
  const candidate = freshTool(chain)
  if (!candidate) return undefined
  const says = saysOf(candidate, answer.now, limit.percent)
  const possible = says.flatMap((one) => takenOf(candidate, one) ?? [])
  if (possible.length < says.length) return undefined
  const now = askedAt(report.now)
  const stretches: readonly RoadStretch[] = roadAhead(bike, chain.story, plan, now)
  const id = chain.part.entry.part
  const { instrument, tool } = candidate
  const before = {
    now: answer.now,
    events: answer.events,
    ...(answer.toLimitDays && { toLimitDays: answer.toLimitDays }),
  }
  const named = `${drawsName(draws)} ${JSON.stringify([id, limit.percent, stretches, before, possible])}`
  return {
    ask: { named, draws, chain: id, limit: limit.percent, stretches, before, possible },
    tool,
    instrument,
    ...(instrument in PITCHES && { pitches: PITCHES[instrument as keyof typeof PITCHES] }),
    says,
  }
}
