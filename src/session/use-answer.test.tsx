import { expect, test } from '@jest/globals'
import { renderHook, waitFor } from '@testing-library/react'
import type { ReactNode } from 'react'
import { answerKeeper } from '../workers/answer-keeper.ts'
import { AnswersContext, useAnswer, type Answered, type Answering } from './use-answer.ts'

type Planned = Answered<'wash-plan'>

/** Answers at once with the number of steps as the minutes. */
const answering = (() =>
  answerKeeper<'wash-plan'>({
    ask: (question) => ({
      done: Promise.resolve({
        plan: { minutes: question.tasks.length, start: {}, provenMin: question.tasks.length },
        leftOut: [],
        isTooLong: false,
      }),
      stop: () => undefined,
      hurry: () => undefined,
    }),
    load: () => Promise.resolve(undefined),
    save: () => Promise.resolve(),
  })) as unknown as Answering

const wrapper = ({ children }: { readonly children: ReactNode }) => (
  <AnswersContext.Provider value={answering}>{children}</AnswersContext.Provider>
)
const steps = (count: number) => ({
  tasks: Array.from({ length: count }, (_, i) => ({ id: `t${i}`, handsMin: 1 })),
})

test('an answer to the question before is never taken for one to the question as it is now', async () => {
  const seen: (readonly [number, Planned])[] = []
  const { rerender } = renderHook(
    ({ count }: { readonly count: number }) => {
      const said = useAnswer('wash-plan', steps(count), undefined)
      seen.push([count, said])
      return said
    },
    { wrapper, initialProps: { count: 2 } },
  )
  const isAnswered = (count: number): boolean =>
    seen.some(([asked, { fresh, answer }]) => asked === count && fresh && answer?.plan.minutes === count)
  for (const count of [2, 5, 3]) {
    rerender({ count })
    await waitFor(() => expect(isAnswered(count)).toBe(true))
  }
  for (const [asked, { fresh, answer }] of seen) if (fresh) expect(answer?.plan.minutes).toBe(asked)
})
