import type { WashStep } from '../../../core/session/wash-steps.ts'
import { Button } from '../../../ui/parts/Button.tsx'

const SHOWN = 5

interface Props {
  /** In the order in which they come. */
  readonly steps: readonly WashStep[]
  readonly nameOf: (step: WashStep) => string
  readonly timeOf: (step: WashStep) => string
  readonly onSkip: (step: WashStep) => void
}

/** What comes next, with its time of day. */
export function NextSteps({ steps, nameOf, timeOf, onSkip }: Props) {
  if (steps.length === 0) return null
  return (
    <div>
      <h2 className="text-[1.05rem] font-semibold">Next</h2>
      <ol aria-label="Next steps" className="mt-1 divide-y divide-hairline border-y border-hairline">
        {steps.slice(0, SHOWN).map((step) => (
          <li key={step.id} className="flex flex-wrap items-center justify-between gap-3 py-2">
            <span>
              {nameOf(step)}, {step.handsMin} min
              <span className="ml-3 font-mono text-sm text-steel">at {timeOf(step)}</span>
            </span>
            <Button className="min-h-12" onClick={() => onSkip(step)}>
              Skip<span className="sr-only"> {nameOf(step)}</span>
            </Button>
          </li>
        ))}
      </ol>
    </div>
  )
}

interface SkippedProps {
  readonly steps: readonly WashStep[]
  readonly nameOf: (step: WashStep) => string
  readonly onBack: (step: WashStep) => void
}

/** What was skipped, and may come back. */
export function SkippedSteps({ steps, nameOf, onBack }: SkippedProps) {
  if (steps.length === 0) return null
  return (
    <ul aria-label="Skipped steps" className="text-steel">
      {steps.map((step) => (
        <li key={step.id} className="flex flex-wrap items-center gap-3">
          Skipped: {nameOf(step)}
          <Button look="link" className="min-h-12" onClick={() => onBack(step)}>
            Put it back<span className="sr-only">: {nameOf(step)}</span>
          </Button>
        </li>
      ))}
    </ul>
  )
}
