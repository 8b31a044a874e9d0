import type { BikeReport } from '../../../core/strategy/facts/bike-report.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { sayAgo, sayCount } from '../../../ui/words/numbers.ts'
import type { KeptRun } from './kept-run.ts'

/** A wash that was begun so long ago is no longer going on by itself, ms. */
const STALE_MS = 12 * 3_600_000

/** Whether a wash was begun so long ago that nobody is at it any more. A clock that was set back counts too. */
export const isStale = ({ run }: KeptRun, nowMs: number): boolean =>
  nowMs - run.startedMs > STALE_MS || nowMs < run.startedMs - 60_000

interface Props {
  readonly report: BikeReport
  readonly kept: KeptRun
  readonly onGoOn: () => void
  readonly onEnd: () => void
  readonly onForget: () => void
}

/** Asks what became of a wash that was left open: nothing is guessed. */
export function StaleRun({ report, kept, onGoOn, onEnd, onForget }: Props) {
  const { now } = useOpenLog()
  const begun = Object.keys(kept.run.begun).length
  return (
    <section aria-labelledby="answer" className="flex flex-col gap-5">
      <h1 id="answer" className="text-[1.95rem] leading-tight font-medium max-sm:text-[1.4rem]">
        A wash of {report.bike.entry.name} was begun {sayAgo(new Date(kept.run.startedMs).toISOString(), now)}{' '}
        and never ended.
      </h1>
      <p className="text-steel">
        {begun} of {sayCount(kept.run.steps.length, 'step')} {begun === 1 ? 'was' : 'were'} begun. What became
        of it?
      </p>
      <div className="flex flex-wrap gap-3">
        <Button look="next" className="min-h-14" onClick={onEnd}>
          End it: log the steps that were done
        </Button>
        <Button className="min-h-14" onClick={onGoOn}>
          Go on with it now
        </Button>
        <Button look="harm" className="min-h-14" onClick={onForget}>
          Forget it: log nothing
        </Button>
      </div>
    </section>
  )
}
