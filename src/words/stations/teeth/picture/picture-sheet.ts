/** The words of PictureSheet. */
export const words = {
  openingThePicture: 'Opening the picture…',
  measuringThePicture: 'Measuring the picture',
  stop: 'Stop',
  stopped: 'Stopped.',
  thePictureCouldNot: 'The picture could not be measured. Choose it again.',
  measuredInAPicture: (name: string) => `${name} measured in a picture.`,
  keepThePartOfThePicture: 'Keep the part of the picture with the teeth, beside the log',
  itGoesIntoYour: '(it goes into your backups)',
  countIt: 'Count it',
  leaveIt: 'Leave it',
  aPictureOf: (name: string) => `A picture of ${name}`,
  itStaysOnThisDevice: 'It stays on this device: nothing is sent anywhere.',
  byEyeItWas: (word: string, day: string, word2: string) =>
    `By eye it was ${word} (${day}), in the picture it is ${word2}. Is it the right cog, and the outline on its teeth? Both count until one is left out.`,
  layTheOutlineByHand: 'Lay the outline by hand',
  dragTheRoundHandle:
    'Drag the round handle to move the outline, the square one to size it, the other to turn it; or use the arrow keys on them, with Shift for long steps. It is measured again each time.',
}
