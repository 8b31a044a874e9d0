import { array, number, object } from 'yup'
import { BOUNDS } from '../../core/log/bounds.ts'
import { GEARING_BOUNDS } from '../../core/log/kinds/gearing.ts'
import { entry, line, teeth, thingId } from './checks.ts'

const between = ([least, most]: readonly [number, number]) =>
  number().strict().min(least).max(most).optional()

/** The fields of what choosing a bike's gears goes by. */
export const gearingSchema = entry('gearing', {
  bike: thingId(),
  chainstayMm: between(GEARING_BOUNDS.chainstayMm),
  powerW: between(GEARING_BOUNDS.powerW),
  hillPercent: between(GEARING_BOUNDS.hillPercent),
  cadenceRpm: between(GEARING_BOUNDS.rpm),
  slowestRpm: between(GEARING_BOUNDS.rpm),
  whatIfs: array(
    object({
      name: line(BOUNDS.nameLetters).min(1),
      rings: array(teeth()).strict().required().min(1).max(GEARING_BOUNDS.rings),
      cogs: array(teeth()).strict().required().min(1).max(GEARING_BOUNDS.cogs),
    })
      .noUnknown()
      .required(),
  )
    .strict()
    .required()
    .max(GEARING_BOUNDS.whatIfs),
})
