import { number, object } from 'yup'
import { CONDITIONS, QUARTERS } from '../../core/exposure/conditions.ts'
import { BOUNDS } from '../../core/log/bounds.ts'
import { BIKE_BOUNDS } from '../../core/log/kinds/bike.ts'
import { entry, thingId, text, line, whole, oneOf, maybeOneOf, record, isTeeth, maybe } from './checks.ts'
import { build } from './build.ts'
import { fitFacts } from './fit-facts.ts'

/** The fields of a bike. */
export const bikeSchema = entry('bike', {
  bike: thingId(),
  name: line(BOUNDS.nameLetters).min(1),
  note: text(BOUNDS.noteLetters),
  speeds: whole(1, BIKE_BOUNDS.speeds),
  shifting: oneOf(['cable', 'electric', 'hub-gear', 'none']),
  motor: oneOf(['none', 'hub', 'mid-drive']),
  usualCondition: oneOf(CONDITIONS),
  storage: oneOf(['indoors', 'outdoors']),
  brakes: maybeOneOf(['disc', 'rim'] as const),
  usualByQuarter: maybe(
    object(Object.fromEntries(QUARTERS.map((quarter) => [quarter, maybeOneOf(CONDITIONS)]))),
  ),
  circumferenceMm: number()
    .strict()
    .min(BIKE_BOUNDS.circumferenceMm[0])
    .max(BIKE_BOUNDS.circumferenceMm[1])
    .optional(),
  massKg: number().strict().min(BIKE_BOUNDS.massKg[0]).max(BIKE_BOUNDS.massKg[1]).optional(),
  motorShare: number().strict().min(0).max(1).optional(),
  cogMix: record(isTeeth, 1, BIKE_BOUNDS.speeds),
  fit: fitFacts(),
  build: build(),
  owner: line(BOUNDS.whoLetters).min(1).optional(),
  rack: line(BOUNDS.whoLetters).min(1).optional(),
})
