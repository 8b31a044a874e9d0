import { number } from 'yup'
import { PICTURE_BOUNDS } from '../../core/log/kinds/picture.ts'
import { entry, teeth, thingId, whole } from './checks.ts'

const within = ([least, most]: readonly [number, number]) => number().strict().required().min(least).max(most)

/** The fields of a measured picture. */
export const pictureSchema = entry('picture', {
  part: thingId(),
  cog: teeth().optional(),
  excessMm: within(PICTURE_BOUNDS.excessMm),
  sdMm: within(PICTURE_BOUNDS.sdMm),
  leanDeg: within(PICTURE_BOUNDS.leanDeg),
  landMm: within(PICTURE_BOUNDS.landMm),
  teethSeen: whole(0, 200),
  setAside: whole(0, 200),
  picture: thingId().optional(),
})
