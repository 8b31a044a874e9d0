import { array, number, object, string } from 'yup'
import { planSession } from '../src/core/session/plan.ts'
import { figure, kind, type Runner } from './kind.ts'

/** Cases about a session at the stand. */
export const SESSION_KINDS: Readonly<Record<string, Runner>> = {
  'session.plan': kind(
    object({
      tasks: array(
        object({
          id: string().strict().required(),
          hands: figure().min(0),
          wait: number().strict().min(0).optional(),
          after: array(string().strict().required()).optional(),
          holds: array(string().strict().required()).optional(),
        }),
      ).required(),
    }),
    ({ tasks }) => {
      const { minutes, start, provenMin } = planSession({
        tasks: tasks.map(({ id, hands, wait, after, holds }) => ({
          id,
          handsMin: hands,
          waitMin: wait ?? 0,
          after: after ?? [],
          holds: holds ?? [],
        })),
      })
      return { minutes, start, provenMin }
    },
  ),
}
