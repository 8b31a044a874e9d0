/** The words of say-picture. */
export const words = {
  thisFileIsNo:
    'This file is no picture that the browser can open. Save it as JPEG or PNG and choose it again.',
  thePictureIsToo:
    'The picture is too large to open. Make it smaller, to 24 megapixels or fewer, and choose it again.',
  noIsToBe: (name: string) =>
    `No ${name} is to be made out. Is all of it in the picture, flat to the camera, with no chain on it? Lay the outline on it by hand, or take another picture in even light.`,
  iCountTeethHere: (counted: number | undefined, name: string, teeth: number) =>
    `I count ${counted} teeth here; ${name} has ${teeth}. Choose the one you took, or take a picture of ${name}.`,
  moreThanOneSprocket: (teeth: number) =>
    `More than one sprocket of ${teeth} teeth is in the picture. Lay the outline on the right one by hand, or cut the picture down to it.`,
  itIsTiltedMore:
    'It is tilted more than 15 degrees away from the camera. Hold the camera straight over it, and take another.',
  aPartOfItIsOutside:
    'A part of it is outside the picture. Take another with all of it in, and some room around.',
  thePictureIsBlurred:
    'The picture is blurred: its edges are too wide to measure. Hold still, tap on the teeth to focus, and take another.',
  itIsTooSmall: 'It is too small in the picture to be measured. Go nearer, so that it fills most of it.',
  theValleysAreAs: (mm: string) => `The valleys are as wide as new, within ${mm}.`,
  theValleysAreWider: (mm: string, mm2: string) =>
    `The valleys are ${mm} wider than new, give or take ${mm2}.`,
  ofSeen: (seen: number, count: string) => `${seen} of ${count} seen`,
  leftOut: (count: string) => `${count} left out`,
  tipsWide: (mm: string) => `tips ${mm} wide`,
  tilted: (tiltDeg: number) => `tilted ${tiltDeg}°`,
  pixelsToTheMm: (pxPerMm: string) => `${pxPerMm} pixels to the mm`,
}
