import { seenOf } from '../../../core/teeth/picture/ends.ts'
import type { MeasuredPicture, PictureFault } from '../../../core/teeth/picture/measure.ts'
import { sayCount } from '../../../words/numbers.ts'
import type { DecodeFault } from '../../../ui/pictures/decode.ts'
import { words } from '../../../words/stations/teeth/picture/say-picture.ts'
import { sayDecimal } from '../../../words/grouped-number.ts'

/** Why there is no measurement, and what to do. @param name of the sprocket: "cog 13" */
export function sayPictureFault(
  fault: PictureFault | DecodeFault,
  name: string,
  teeth: number,
  counted?: number,
): string {
  switch (fault) {
    case 'no-picture':
      return words.thisFileIsNo
    case 'too-large':
      return words.thePictureIsToo
    case 'none-found':
      return words.noIsToBe(name)
    case 'other-count':
      return words.iCountTeethHere(counted, name, teeth)
    case 'several':
      return words.moreThanOneSprocket(teeth)
    case 'tilted':
      return words.itIsTiltedMore
    case 'cut-off':
      return words.aPartOfItIsOutside
    case 'blurred':
      return words.thePictureIsBlurred
    case 'too-small':
      return words.itIsTooSmall
  }
}

/** A length of a tooth, mm, to the hundredth. */
export const sayMm = (mm: number): string => `${sayDecimal(Math.max(0, mm), 2)} mm`

/** What was measured, in one sentence. */
export const sayMeasured = ({
  valleyExcessMm,
  sdMm,
}: Pick<MeasuredPicture, 'valleyExcessMm' | 'sdMm'>): string =>
  valleyExcessMm < sdMm
    ? words.theValleysAreAs(sayMm(2 * sdMm))
    : words.theValleysAreWider(sayMm(valleyExcessMm), sayMm(sdMm))

/** What it rests on. */
export function sayGrounds({ teeth, tiltDeg, pxPerMm, landMm }: MeasuredPicture): string {
  const { seen, aids } = seenOf(teeth)
  return [
    words.ofSeen(seen, sayCount(teeth.length, 'tooth')),
    ...(aids > 0 ? [words.leftOut(sayCount(aids, 'shiftAid'))] : []),
    words.tipsWide(sayMm(landMm)),
    words.tilted(Math.round(tiltDeg)),
    words.pixelsToTheMm(sayDecimal(pxPerMm, 1)),
  ].join(', ')
}
