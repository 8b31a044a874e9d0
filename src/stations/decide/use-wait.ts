import { useMemo } from 'react'
import { waitAsk } from '../../core/strategy/plans/plans-ask.ts'
import { waitCosts } from '../../core/strategy/plans/wait-steps.ts'
import { useAnswer } from '../../session/use-answer.ts'
import type { JudgedBike } from '../../session/verdicts.ts'
import type { Plans } from './plans/use-plans.ts'

/** When the chain that is on is best swapped: lived in a worker, priced on the page. */
export function useWait({ report, answer }: JudgedBike, { ask, now, prices }: Plans) {
  const toLimitKm = answer?.toLimitKm.p50
  const question = useMemo(
    () => (ask && now && toLimitKm !== undefined ? waitAsk(ask, now, toLimitKm) : undefined),
    [ask, now, toLimitKm],
  )
  const tried = useAnswer('swap-wait', question, `when to swap on ${report.bike.entry.bike}`)
  const choice = useMemo(
    () => tried.answer && waitCosts(tried.answer, prices, now?.isHard ?? false),
    [tried.answer, prices, now],
  )
  return { choice, fresh: tried.fresh, progress: tried.progress, fault: tried.fault }
}

export type Wait = ReturnType<typeof useWait>
