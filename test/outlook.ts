import type { Garage } from '../src/core/log/garage.ts'
import { riderGroups } from '../src/core/strategy/rider-ask.ts'
import { toEnd } from '../src/core/job.ts'
import { onBike, type WearAnswer } from '../src/core/wear/outlook.ts'
import { riderOutlookSteps, type RiderOutlook } from '../src/core/wear/rider-outlook.ts'

/** What the wear model says of a garage of one rider. */
export function outlookOf(garage: Garage, now: string): RiderOutlook {
  const [group] = riderGroups(garage, now)
  if (!group) throw new Error('the garage holds no bike')
  return toEnd(riderOutlookSteps(group.ask))
}

/** What it says of one chain that is on a bike; undefined where the log holds no such chain. */
export function answerOf(garage: Garage, now: string, chain: string | undefined): WearAnswer | undefined {
  return onBike(outlookOf(garage, now).chains[chain ?? ''])
}
