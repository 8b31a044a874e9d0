import { wrap, type Remote } from 'comlink'
import { useEffect, useMemo, useState } from 'react'
import type { NextReadingAnswer } from '../core/measure/next-reading.ts'
import type { NextLookQuestion } from '../core/wear/next-look-value.ts'
import type { WearAnswer, WearQuestion } from '../core/wear/forecast.ts'
import type { WearWorker } from './wear.worker.ts'

let worker: Remote<WearWorker> | undefined
const asked = new Map<string, Promise<WearAnswer>>()
/** Forecasts kept: the bikes of a large workshop, and a few states of each. */
const KEPT = 1000

function wearWorker(): Remote<WearWorker> {
  worker ??= wrap<WearWorker>(new Worker(new URL('./wear.worker.ts', import.meta.url), { type: 'module' }))
  return worker
}

/** Asks the wear worker. The same question, whatever the screen, is worked out once. */
function ask(key: string, question: WearQuestion): Promise<WearAnswer> {
  const held = asked.get(key)
  if (held) return held
  const answer: Promise<WearAnswer> = wearWorker().forecast(question)
  asked.set(key, answer)
  answer.catch(() => asked.delete(key))
  const oldest = asked.keys().next().value
  if (asked.size > KEPT && oldest !== undefined) asked.delete(oldest)
  return answer
}

export interface Forecasts {
  /** In the order of the questions; undefined while being worked out, or where nothing was asked. */
  readonly answers: readonly (WearAnswer | undefined)[]
  /** What went wrong, if anything did. */
  readonly fault?: string
}

/**
 * Answers of the wear model, worked out in a worker and kept. While a changed question is being worked out its
 * place is empty: an old answer under a new reading would be a lie.
 */
export function useForecasts(questions: readonly (WearQuestion | undefined)[]): Forecasts {
  const keys = useMemo(
    () => questions.map((question) => (question ? JSON.stringify(question) : undefined)),
    [questions],
  )
  const [known, setKnown] = useState<ReadonlyMap<string, WearAnswer>>(new Map())
  const [fault, setFault] = useState<string>()
  useEffect(() => {
    let wanted = true
    questions.forEach((question, i) => {
      const key = keys[i]
      if (!question || key === undefined) return
      ask(key, question).then(
        (answer) =>
          wanted && setKnown((before) => (before.has(key) ? before : new Map(before).set(key, answer))),
        (error: unknown) => wanted && setFault(error instanceof Error ? error.message : String(error)),
      )
    })
    return () => {
      wanted = false
    }
  }, [questions, keys])
  return {
    answers: keys.map((key) => (key === undefined ? undefined : known.get(key))),
    ...(fault !== undefined && { fault }),
  }
}

/** The answer for one question; see {@link useForecasts}. */
export function useForecast(question: WearQuestion | undefined): {
  readonly answer: WearAnswer | undefined
  readonly fault: string | undefined
} {
  const questions = useMemo(() => [question], [question])
  const { answers, fault } = useForecasts(questions)
  return { answer: answers[0], fault }
}

/** What one more reading would be worth, worked out in the worker; undefined until it is. */
export function useNextLook(question: NextLookQuestion | undefined): NextReadingAnswer | undefined {
  const key = useMemo(() => (question ? JSON.stringify(question) : undefined), [question])
  const [known, setKnown] = useState<{ readonly key: string; readonly answer: NextReadingAnswer }>()
  useEffect(() => {
    if (!question || key === undefined) return undefined
    let wanted = true
    wearWorker()
      .nextLook(question)
      .then(
        (answer) => wanted && setKnown({ key, answer }),
        // Without an answer nothing is claimed: the panel stays away.
        () => undefined,
      )
    return () => {
      wanted = false
    }
  }, [question, key])
  return known?.key === key ? known?.answer : undefined
}
