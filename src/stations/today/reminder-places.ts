import type { Reminder } from '../../core/strategy/reminders.ts'
import { OPENS, STATIONS } from '../../words/places.ts'

/** Where each kind of reminder is seen to. */
export const REMINDER_PLACES: Readonly<Record<Reminder['kind'], string>> = {
  look: OPENS.takeReading,
  lube: OPENS.logWash,
  swap: STATIONS.decide.path,
  event: OPENS.planEvent,
  advice: OPENS.fixedSum,
  finding: OPENS.findings,
  check: STATIONS.checks.path,
  wearing: OPENS.wearing,
}
