import { useState } from 'react'
import { isStale, type KeptRun } from './kept-run.ts'
import { RunScreen } from './RunScreen.tsx'
import { StaleRun } from './StaleRun.tsx'
import { WashEnd } from './WashEnd.tsx'

interface Props {
  readonly kept: KeptRun
  readonly onChange: (kept: KeptRun | undefined) => void
}

/** A wash that is going on; one that was left open for long is asked about first. */
export function WashGoingOn({ kept, onChange }: Props) {
  const [openedMs] = useState(() => Date.now())
  const [answer, setAnswer] = useState<'go-on' | 'end'>()
  if (isStale(kept, openedMs) && answer !== 'go-on')
    return answer === 'end' ? (
      <WashEnd
        kept={kept}
        nowMs={openedMs}
        onBack={() => setAnswer('go-on')}
        onOver={() => onChange(undefined)}
      />
    ) : (
      <StaleRun
        kept={kept}
        onGoOn={() => setAnswer('go-on')}
        onEnd={() => setAnswer('end')}
        onForget={() => onChange(undefined)}
      />
    )
  return <RunScreen kept={kept} onChange={onChange} />
}
