import { MOST_ODOMETER_KM } from '../../core/log/kinds/odometer.ts'
import { entry, thingId, amount, flag } from './checks.ts'

/** The fields of a reading of the bike’s computer. */
export const odometerSchema = entry('odometer', {
  bike: thingId(),
  km: amount(MOST_ODOMETER_KM),
  restarted: flag().optional(),
})
