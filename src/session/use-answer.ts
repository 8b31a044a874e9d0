import { createContext, useContext, useEffect, useMemo, useState, useSyncExternalStore } from 'react'
import { questionText, type AnswerKeeper, type Known } from '../workers/answer-keeper.ts'
import type { Answer, JobName, Question } from '../workers/jobs.ts'

/** The means to have any job done, and its answers kept for the next visit or not. */
export type Answering = <N extends JobName>(job: N, isKept: boolean) => AnswerKeeper<N>

export const AnswersContext = createContext<Answering | undefined>(undefined)

/** What is known of one question, and how it stands with it. */
export type Answered<N extends JobName> = Omit<Known<Answer<N>>, 'about' | 'key'> & {
  readonly stop: () => void
  readonly resume: () => void
}

/**
 * Asks for anything that takes its time. What was worked out for the same question before is there at once; an older
 * answer about the same is given meanwhile, as such.
 * @param question plain data; undefined while there is nothing to ask
 * @param about what it is about, the same whatever the log says of it: its answer is kept for the next visit. Undefined
 * for what is not of the log: nothing of it is kept.
 */
export function useAnswer<N extends JobName>(
  job: N,
  question: (Question<N> & object) | undefined,
  about: string | undefined,
): Answered<N> {
  const answering = useContext(AnswersContext)
  if (!answering) throw new Error('Nothing is worked out here.')
  const isKept = about !== undefined
  const keeper = useMemo(() => answering(job, isKept), [answering, job, isKept])
  const key = question && questionText(question)
  // The same question may come as another object: it is asked once.
  const [asked, setAsked] = useState<{ readonly key: string; readonly question: Question<N> }>()
  if (question && key !== undefined && asked?.key !== key) setAsked({ key, question })
  const isAsked = key !== undefined
  useEffect(() => {
    keeper.want(asked && isAsked ? [{ about: about ?? '', question: asked.question }] : [])
  }, [keeper, asked, isAsked, about])
  // Nobody is there to read what is not asked any longer.
  useEffect(() => () => keeper.want([]), [keeper])
  const known = useSyncExternalStore(keeper.subscribe, keeper.known)
  const [mine] = isAsked ? known : []
  // While a question is on its way to the keeper, what is known there is the answer to the one before.
  const isBefore = mine !== undefined && mine.key !== key
  return {
    fresh: false,
    ...mine,
    ...(isBefore && { fresh: false }),
    stop: keeper.stop,
    resume: keeper.resume,
  }
}
