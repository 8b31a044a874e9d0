import type { Lube } from '../../../core/lube/lubes.ts'
import type { SessionPlan } from '../../../core/session/plan.ts'
import type { WashStep } from '../../../core/session/wash-steps.ts'
import { DummyAxleDrawing } from '../../../ui/drawings/DummyAxleDrawing.tsx'
import { LUBE_NAMES } from '../../../words/names.ts'
import { sayHow, STEP_WORDS } from '../../../words/step-words.ts'
import type { StepTag } from './step-tag.ts'
import { words } from '../../../words/stations/wash/plan/step-list.ts'

interface Props {
  readonly steps: readonly WashStep[]
  readonly plan: SessionPlan
  readonly tagOf: StepTag
  /** What goes on, by step. */
  readonly lubeOf: (step: WashStep) => Lube
}

/** The same plan as a list, to be read or printed: when, what, how long, and what waits then. */
export function StepList({ steps, plan, tagOf, lubeOf }: Props) {
  const inOrder = [...steps].sort((a, b) => (plan.start[a.id] ?? 0) - (plan.start[b.id] ?? 0))
  return (
    <details>
      <summary className="no-print min-h-11 cursor-pointer py-2 underline underline-offset-4">
        {words.theStepsAsAList}
      </summary>
      <ol
        aria-label={words.steps}
        className="divide-y divide-hairline border-y border-hairline text-[0.95rem]"
      >
        {inOrder.map((step) => {
          const { name, wait } = STEP_WORDS[step.kind]
          return (
            <li key={step.id} className="grid grid-cols-[4.5rem_minmax(0,1fr)] gap-x-3 py-2">
              <span className="font-mono text-sm text-steel">{words.min(plan.start[step.id] ?? 0)}</span>
              <span>
                <span className="font-medium">
                  {name}
                  {tagOf(step) && `, ${tagOf(step)}`}
                  {step.kind === 'drops' && `: ${LUBE_NAMES[lubeOf(step)]}`}
                </span>
                {words.min2(step.handsMin)}
                {wait && (step.waitMin ?? 0) > 0 && words.thenForMin(wait, step.waitMin ?? 0)}
                <span className="block text-sm text-steel">{sayHow(step)}</span>
                {step.kind === 'dummy-axle' && <DummyAxleDrawing />}
              </span>
            </li>
          )
        })}
      </ol>
    </details>
  )
}
