import { array, number, object } from 'yup'
import { CONDITIONS } from '../../core/exposure/conditions.ts'
import { BOUNDS } from '../../core/log/bounds.ts'
import { RIDE_BOUNDS } from '../../core/log/kinds/ride.ts'
import {
  entry,
  thingId,
  line,
  amount,
  whole,
  oneOf,
  maybeOneOf,
  time,
  record,
  isTeeth,
  maybe,
} from './checks.ts'

const isGear = (key: string): boolean => {
  const [ring = '', cog = '', ...more] = key.split('x')
  return more.length === 0 && isTeeth(ring) && isTeeth(cog)
}
const count = () => whole(0, RIDE_BOUNDS.points).optional()
const rideReceipt = () =>
  object({
    distance: oneOf(['device', 'track', 'table']),
    deviceFault: maybeOneOf(['impossible', 'unlike-track']),
    energy: maybeOneOf(['power', 'speed']),
    points: count(),
    stray: count(),
    bad: count(),
    twice: count(),
    wild: count(),
    sport: line(BOUNDS.nameLetters).optional(),
    writtenAt: time().optional(),
  }).noUnknown()
const rideSource = () =>
  object({ file: line(RIDE_BOUNDS.fileNameLetters), fingerprint: line(200) }).noUnknown()
/** The fields of a ride. */
export const rideSchema = entry('ride', {
  bike: thingId(),
  km: amount(RIDE_BOUNDS.km),
  condition: maybeOneOf(CONDITIONS),
  trackKm: amount(RIDE_BOUNDS.km).optional(),
  movingSeconds: amount(RIDE_BOUNDS.movingSeconds).optional(),
  energyKjPerKm: amount(RIDE_BOUNDS.energyKjPerKm).optional(),
  elapsedSeconds: amount(RIDE_BOUNDS.elapsedSeconds).optional(),
  recorded: array(oneOf(['cadence', 'power']))
    .strict()
    .max(2)
    .optional(),
  gears: record(isGear, RIDE_BOUNDS.gearEnergyKj, 200),
  place: maybe(
    object({
      lat: number().strict().required().min(-90).max(90),
      lon: number().strict().required().min(-180).max(180),
    }),
  ),
  steep: maybe(
    object({
      m50: amount(RIDE_BOUNDS.steepPercent),
      m200: amount(RIDE_BOUNDS.steepPercent),
      m1000: amount(RIDE_BOUNDS.steepPercent),
    }),
  ),
  route: line(80).optional(),
  receipt: maybe(rideReceipt()),
  source: maybe(rideSource()),
  otherSources: array(rideSource()).strict().max(100).optional(),
})
