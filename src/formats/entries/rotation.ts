import { number } from 'yup'
import { ROTATION_KM } from '../../core/log/kinds/rotation.ts'
import { entry, thingId } from './checks.ts'

/** The fields of how chains take turns. */
export const rotationSchema = entry('rotation', {
  bike: thingId(),
  everyKm: number().strict().min(ROTATION_KM[0]).max(ROTATION_KM[1]).optional(),
})
