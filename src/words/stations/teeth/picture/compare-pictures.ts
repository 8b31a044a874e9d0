/** The words of ComparePictures. */
export const words = {
  thePictureIsDeleted: 'The picture is deleted; what it measured stays.',
  left: 'Left',
  right: 'Right',
  thePictureIsNot: 'The picture is not on this device: bring in a backup from the one that has it.',
  fromTheLeftPicture: 'From the left picture to the right one',
  ofTheLeftOne: (share: number) => `${share} % of the left one`,
  leftRight: (mm: string) => `Left ${mm}, right `,
  widerThanNew: (mm: string) => `${mm} wider than new.`,
  onTheRight: ' on the right',
  deleteThePictureForGood: (phrase: string) => `Delete the picture${phrase} for good`,
}
