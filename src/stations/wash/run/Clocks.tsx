import { waiting, type WashRun } from '../../../core/session/run.ts'
import type { WashStep } from '../../../core/session/wash-steps.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { STEP_WORDS } from '../../../words/step-words.ts'
import { sayClock } from './use-clocks.ts'
import { words } from '../../../words/stations/wash/run/clocks.ts'

/** Clocks of everything that waits by itself. */
export function Clocks({
  run,
  nowMs,
  nameOf,
  onMore,
}: {
  readonly run: WashRun
  readonly nowMs: number
  readonly nameOf: (step: WashStep) => string
  readonly onMore: (id: string, minutes: number) => void
}) {
  const clocks = waiting(run).filter(
    // What hands have gone on with needs no clock any more.
    ({ step }) => !run.steps.some(({ id, after }) => run.begun[id] && after?.includes(step.id)),
  )
  if (clocks.length === 0) return null
  return (
    <ul aria-label={words.clocks} className="divide-y divide-hairline border-y border-hairline">
      {clocks.map(({ step, overMs }) => {
        const isOver = overMs <= nowMs
        return (
          <li key={step.id} className="flex flex-wrap items-center gap-x-5 gap-y-2 py-3">
            <span role="timer" className={`min-w-24 font-mono text-[1.7rem] ${isOver ? 'text-rust' : ''}`}>
              {isOver ? words.ready : sayClock(overMs - nowMs)}
            </span>
            <span className="min-w-0 flex-1">
              {nameOf(step)}: {isOver ? words.theWaitIsOver : (STEP_WORDS[step.kind].wait ?? words.waiting)}
            </span>
            <span className="flex gap-2">
              <Button className="min-h-12" onClick={() => onMore(step.id, 1)}>
                {words.n1MinMore}
              </Button>
              {!isOver && (
                <Button className="min-h-12" onClick={() => onMore(step.id, -1)}>
                  {words.n1MinLess}
                </Button>
              )}
            </span>
          </li>
        )
      })}
    </ul>
  )
}
