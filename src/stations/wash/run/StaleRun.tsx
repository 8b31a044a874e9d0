import { useOpenLog } from '../../../session/log-context.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { sayAgo, sayCount } from '../../../words/numbers.ts'
import type { KeptRun } from './kept-run.ts'
import { sayBikes } from './say-step.ts'
import { words } from '../../../words/stations/wash/run/stale-run.ts'

interface Props {
  readonly kept: KeptRun
  readonly onGoOn: () => void
  readonly onEnd: () => void
  readonly onForget: () => void
}

/** Asks what became of a wash that was left open: nothing is guessed. */
export function StaleRun({ kept, onGoOn, onEnd, onForget }: Props) {
  const { garage, now } = useOpenLog()
  const begun = Object.keys(kept.run.begun).length
  return (
    <section aria-labelledby="answer" className="flex flex-col gap-5">
      <h1 id="answer" className="text-[1.95rem] leading-tight font-medium max-sm:text-[1.4rem]">
        {words.aWashOfWas(
          sayBikes(garage, kept.washes),
          sayAgo(new Date(kept.run.startedMs).toISOString(), now),
        )}
      </h1>
      <p className="text-steel">
        {words.ofBegunWhatBecame(
          begun,
          sayCount(kept.run.steps.length, 'step'),
          begun === 1 ? words.was : words.were,
        )}
      </p>
      <div className="flex flex-wrap gap-3">
        <Button look="next" className="min-h-14" onClick={onEnd}>
          {words.endItLogTheSteps}
        </Button>
        <Button className="min-h-14" onClick={onGoOn}>
          {words.goOnWithItNow}
        </Button>
        <Button look="harm" className="min-h-14" onClick={onForget}>
          {words.forgetItLogNothing}
        </Button>
      </div>
    </section>
  )
}
