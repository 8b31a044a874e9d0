import { seenOf } from '../../../core/teeth/picture/ends.ts'
import type { MeasuredPicture, PictureFault } from '../../../core/teeth/picture/measure.ts'
import { sayCount } from '../../../words/numbers.ts'
import type { DecodeFault } from '../../../ui/pictures/decode.ts'

/** Why there is no measurement, and what to do. @param name of the sprocket: "cog 13" */
export function sayPictureFault(
  fault: PictureFault | DecodeFault,
  name: string,
  teeth: number,
  counted?: number,
): string {
  switch (fault) {
    case 'no-picture':
      return 'This file is no picture that the browser can open. Save it as JPEG or PNG and choose it again.'
    case 'too-large':
      return 'The picture is too large to open. Make it smaller, to 24 megapixels or fewer, and choose it again.'
    case 'none-found':
      return `No ${name} is to be made out. Is all of it in the picture, flat to the camera, with no chain on it? Lay the outline on it by hand, or take another picture in even light.`
    case 'other-count':
      return `I count ${counted} teeth here; ${name} has ${teeth}. Choose the one you took, or take a picture of ${name}.`
    case 'several':
      return `More than one sprocket of ${teeth} teeth is in the picture. Lay the outline on the right one by hand, or cut the picture down to it.`
    case 'tilted':
      return 'It is tilted more than 15 degrees away from the camera. Hold the camera straight over it, and take another.'
    case 'cut-off':
      return 'A part of it is outside the picture. Take another with all of it in, and some room around.'
    case 'blurred':
      return 'The picture is blurred: its edges are too wide to measure. Hold still, tap on the teeth to focus, and take another.'
    case 'too-small':
      return 'It is too small in the picture to be measured. Go nearer, so that it fills most of it.'
  }
}

/** A length of a tooth, mm, to the hundredth. */
export const sayMm = (mm: number): string => `${Math.max(0, mm).toFixed(2)} mm`

/** What was measured, in one sentence. */
export const sayMeasured = ({
  valleyExcessMm,
  sdMm,
}: Pick<MeasuredPicture, 'valleyExcessMm' | 'sdMm'>): string =>
  valleyExcessMm < sdMm
    ? `The valleys are as wide as new, within ${sayMm(2 * sdMm)}.`
    : `The valleys are ${sayMm(valleyExcessMm)} wider than new, give or take ${sayMm(sdMm)}.`

/** What it rests on. */
export function sayGrounds({ teeth, tiltDeg, pxPerMm, landMm }: MeasuredPicture): string {
  const { seen, aids } = seenOf(teeth)
  return [
    `${seen} of ${sayCount(teeth.length, 'tooth', 'teeth')} seen`,
    ...(aids > 0 ? [`${sayCount(aids, 'shift aid')} left out`] : []),
    `tips ${sayMm(landMm)} wide`,
    `tilted ${Math.round(tiltDeg)}°`,
    `${pxPerMm.toFixed(1)} pixels to the mm`,
  ].join(', ')
}
