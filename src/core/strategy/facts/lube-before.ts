import { eventsAhead } from '../../exposure/road-ahead.ts'
import type { EventEntry } from '../../log/kinds/event.ts'
import { lifeUsed, lubeClock } from '../../lube/clock.ts'
import type { OwnLives } from '../../lube/learn.ts'
import { daysBetween } from '../../units/days.ts'
import type { WearAnswer } from '../../wear/outlook.ts'
import type { BikeReport } from './bike-report.ts'
import { lifePerKm } from './lube.ts'

/** What begins later than this is no matter of today, days. */
const SOON_DAYS = 21

/**
 * What is planned soon with a bike and would not be got through on what is on its chain: fresh lube goes on the evening before.
 * @param answer the forecast, by whose pace the way to the event is counted; the weekly distance where there is none yet
 * @param own lives as this rider's chains have shown them
 */
export function lubeBefore(
  { bike, chain, now, plan }: BikeReport,
  answer: Pick<WearAnswer, 'events'> | undefined,
  own: OwnLives,
): EventEntry | undefined {
  const lube = chain?.lube
  if (!lube || lube.lube === 'none' || lube.clock.due) return undefined
  const perKm = lifePerKm(bike, lube.lube, now, own)
  return eventsAhead(bike.events, now).find(({ event }) => {
    const days = daysBetween(now, event.starts)
    if (days > SOON_DAYS) return false
    const ahead = answer?.events.find((one) => one.event === event.event)
    const kmBefore = ahead ? ahead.beginsKm.p50 : (Math.max(0, days) * plan.weeklyKm) / 7
    const road = { km: event.km, condition: event.condition }
    return (
      lube.clock.used + kmBefore * perKm + lifeUsed(lube.lube, road, own) > 1 ||
      lubeClock(lube.lube, [road], undefined, own).due
    )
  })?.event
}
