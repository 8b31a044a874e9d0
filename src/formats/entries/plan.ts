import { MOST_WEEKLY_KM } from '../../core/log/kinds/plan.ts'
import { entry, thingId, amount } from './checks.ts'

/** The fields of a plan. */
export const planSchema = entry('plan', { bike: thingId(), weeklyKm: amount(MOST_WEEKLY_KM).optional() })
