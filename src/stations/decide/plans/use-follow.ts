import { policyFields, type Plan } from '../../../core/strategy/plans/plans.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import type { JudgedBike } from '../../../session/verdicts.ts'
import { useOnce } from '../../../ui/use-once.ts'
import { sayPolicy } from '../../../words/plan-words.ts'
import { words } from '../../../words/stations/decide/plans/use-follow.ts'

/** Follows a plan from now on: it is written down, and with it the limit and the turns that it means, as one step. */
export function useFollow({ report }: JudgedBike, isWaxed: boolean) {
  const { now, record } = useOpenLog()
  const { bike, name } = report.bike.entry
  return useOnce(async (plan: Omit<Plan, 'id'>) => {
    const fields = policyFields(plan, isWaxed)
    const { percent, everyKm } = fields
    await record(
      [
        { kind: 'policy', at: now, bike, ...fields },
        ...(percent === report.limit.percent
          ? []
          : [
              {
                kind: 'limit',
                at: now,
                bike,
                school: fields.isRunOut ? 'late' : 'usual',
                percent,
                reason: words.thePlanYouFollow,
              } as const,
            ]),
        ...(everyKm === undefined ? [] : [{ kind: 'rotation', at: now, bike, everyKm } as const]),
      ],
      `${name}: ${sayPolicy(fields)}.`,
    )
  })
}
