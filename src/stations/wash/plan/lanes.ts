import type { SessionPlan } from '../../../core/session/plan.ts'
import type { WashStep } from '../../../core/session/wash-steps.ts'
import { STEP_WORDS, WAIT_LANES } from '../../../words/step-words.ts'
import type { StepTag } from './step-tag.ts'

/** A step's hands, minutes from the start. */
export interface HandsSpan {
  readonly step: WashStep
  /** " A" where the step is about one of several chains, " Heron" where it is about one of several bikes. */
  readonly name: string
  readonly fromMin: number
  readonly toMin: number
}

/** A step's waiting. */
export interface WaitSpan {
  readonly step: WashStep
  readonly name: string
  readonly fromMin: number
  readonly toMin: number
}

/** What goes on in one place; a place with two things at once has two lanes. */
export interface WaitLane {
  readonly lane: string
  readonly spans: readonly WaitSpan[]
}

/** A stretch of minutes in which hands are at one bike and no other. */
export interface BikeSpan {
  readonly bike: string
  readonly fromMin: number
  readonly toMin: number
}

/** Which bike hands are at, one stretch after another; empty where there is only one. What the bikes share breaks no stretch. */
export function bikeSpans(hands: readonly HandsSpan[]): readonly BikeSpan[] {
  const spans: { bike: string; fromMin: number; toMin: number }[] = []
  for (const { step, fromMin, toMin } of hands) {
    if (step.bike === undefined) continue
    const last = spans.at(-1)
    if (last?.bike === step.bike) last.toMin = toMin
    else spans.push({ bike: step.bike, fromMin, toMin })
  }
  return spans
}

/** Minutes in which hands are free while something waits. */
export interface FreeSpan {
  readonly fromMin: number
  readonly toMin: number
}

/** Free minutes that are worth a word: time for a check of the bike, or a cup of tea. */
const WORTH_SAYING_MIN = 3

/** When hands are free for a while, before the end. @param hands in order */
export const freeSpans = (hands: readonly HandsSpan[], minutes: number): readonly FreeSpan[] =>
  [...hands.map(({ fromMin }) => fromMin), minutes].flatMap((toMin, i) => {
    const fromMin = hands[i - 1]?.toMin ?? 0
    return toMin - fromMin >= WORTH_SAYING_MIN ? [{ fromMin, toMin }] : []
  })

/** A plan as lanes: hands, and one lane or more for every place where something waits, in the order in which they are first used. */
export function lanesOf(
  steps: readonly WashStep[],
  plan: SessionPlan,
  tagOf: StepTag,
): { readonly hands: readonly HandsSpan[]; readonly waits: readonly WaitLane[] } {
  const hands = steps
    .flatMap((step): HandsSpan[] => {
      const fromMin = plan.start[step.id]
      if (fromMin === undefined) return []
      const name = ` ${tagOf(step)}`.trimEnd()
      return [{ step, name, fromMin, toMin: fromMin + step.handsMin }]
    })
    .sort((a, b) => a.fromMin - b.fromMin)
  const lanes: { lane: string; spans: WaitSpan[] }[] = []
  for (const { step, name, toMin } of hands) {
    const lane = WAIT_LANES[step.kind]
    const { waitMin = 0 } = step
    if (lane === undefined || waitMin === 0) continue
    const span = {
      step,
      name: `${STEP_WORDS[step.kind].wait ?? STEP_WORDS[step.kind].short}${name && `:${name}`}`,
      fromMin: toMin,
      toMin: toMin + waitMin,
    }
    const free = lanes.find((one) => one.lane === lane && (one.spans.at(-1)?.toMin ?? 0) <= span.fromMin)
    if (free) free.spans.push(span)
    else {
      const last = lanes.findLastIndex((one) => one.lane === lane)
      lanes.splice(last < 0 ? lanes.length : last + 1, 0, { lane, spans: [span] })
    }
  }
  return { hands, waits: lanes }
}
