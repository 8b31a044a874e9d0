import type { WashStep } from '../../../core/session/wash-steps.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { words } from '../../../words/stations/wash/run/next-steps.ts'

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
      <h2 className="text-[1.05rem] font-semibold">{words.next}</h2>
      <ol aria-label={words.nextSteps} className="mt-1 divide-y divide-hairline border-y border-hairline">
        {steps.slice(0, SHOWN).map((step) => (
          <li key={step.id} className="flex flex-wrap items-center justify-between gap-3 py-2">
            <span>
              {words.min(nameOf(step), step.handsMin)}
              <span className="ml-3 font-mono text-sm text-steel">{words.at(timeOf(step))}</span>
            </span>
            <Button className="min-h-12" onClick={() => onSkip(step)}>
              {words.skip}
              <span className="sr-only"> {nameOf(step)}</span>
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
    <ul aria-label={words.skippedSteps} className="text-steel">
      {steps.map((step) => (
        <li key={step.id} className="flex flex-wrap items-center gap-3">
          {words.skipped(nameOf(step))}
          <Button look="link" className="min-h-12" onClick={() => onBack(step)}>
            {words.putItBack}
            <span className="sr-only">: {nameOf(step)}</span>
          </Button>
        </li>
      ))}
    </ul>
  )
}
