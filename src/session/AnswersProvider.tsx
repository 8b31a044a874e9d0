import { useEffect, useState, type ReactNode } from 'react'
import { askedAt } from '../core/strategy/rider-ask.ts'
import { answerKeeper } from '../workers/answer-keeper.ts'
import { pool } from '../workers/ask.ts'
import { keptMeans, passingMeans } from './answer-means.ts'
import { forecastStore } from './forecast-store.ts'
import { useOpenLog } from './log-context.ts'
import { TeethContext, teethStore } from './teeth-store.ts'
import { AnswersContext, type Answering } from './use-answer.ts'
import { ForecastsContext } from './use-forecasts.ts'

/** Loaded with the first question, not with the page. */
const hashed = async (question: string): Promise<string> =>
  (await import('./question-hash.ts')).questionHash(question)

/** Keeps what was worked out at hand for every station, from one visit to the next. */
export function AnswersProvider({ children }: { readonly children: ReactNode }) {
  const { garage, ledger, now } = useOpenLog()
  const [answering] = useState(
    (): Answering => (job, isKept) =>
      answerKeeper(
        isKept ? keptMeans(job, pool, ledger.database, hashed, Date.now) : passingMeans(job, pool),
      ),
  )
  const [store] = useState(() => forecastStore(answering('rider-outlook', true)))
  const day = askedAt(now)
  const [teeth] = useState(() => teethStore(answering('teeth-outlook', true), store))
  useEffect(() => store.follow(garage, day), [store, garage, day])
  useEffect(() => teeth.follow(garage), [teeth, garage])
  return (
    <AnswersContext value={answering}>
      <ForecastsContext value={store}>
        <TeethContext value={teeth}>{children}</TeethContext>
      </ForecastsContext>
    </AnswersContext>
  )
}
