import { useState } from 'react'
import type { BikeReport } from '../../../core/strategy/facts/bike-report.ts'
import type { KeptRun } from './kept-run.ts'
import { RunScreen } from './RunScreen.tsx'
import { isStale, StaleRun } from './StaleRun.tsx'
import { WashEnd } from './WashEnd.tsx'

interface Props {
  readonly report: BikeReport
  readonly kept: KeptRun
  readonly onChange: (kept: KeptRun | undefined) => void
}

/** A wash that is going on; one that was left open for long is asked about first. */
export function WashGoingOn({ report, kept, onChange }: Props) {
  const [openedMs] = useState(() => Date.now())
  const [answer, setAnswer] = useState<'go-on' | 'end'>()
  if (isStale(kept, openedMs) && answer !== 'go-on')
    return answer === 'end' ? (
      <WashEnd
        report={report}
        kept={kept}
        nowMs={openedMs}
        onBack={() => setAnswer('go-on')}
        onOver={() => onChange(undefined)}
      />
    ) : (
      <StaleRun
        report={report}
        kept={kept}
        onGoOn={() => setAnswer('go-on')}
        onEnd={() => setAnswer('end')}
        onForget={() => onChange(undefined)}
      />
    )
  return <RunScreen report={report} kept={kept} onChange={onChange} />
}
