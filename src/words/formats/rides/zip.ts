/** The words of zip. */
export const words = {
  aFileWithoutAName: 'a file without a name',
  itWouldBeMb: (size: number) => `It would be ${size} MB: larger than any ride. Export it again.`,
  itWouldSwellFold: (groupedNumber: string) =>
    `It would swell ${groupedNumber}-fold when unpacked: that is no ride, and it was left packed.`,
  itIsLockedWithAPassword:
    'It is locked with a password. Unpack the archive yourself and drop what is in it.',
  anArchiveWithinTheArchive: 'An archive within the archive. Unpack it first and drop it by itself.',
  itIsPackedInAWay:
    'It is packed in a way that is not known here. Unpack the archive yourself and drop what is in it.',
  theArchiveHoldsFiles: (count: number) =>
    `The archive holds ${count} files: more than any rider’s. Drop them in parts.`,
  thereIsNothingInTheArchive: 'There is nothing in the archive.',
  theArchiveIsLocked: 'The archive is locked with a password. Unpack it yourself and drop what is in it.',
  itIsNotWhere: 'It is not where the archive says. Download the archive again.',
  itIsDamagedWithin:
    'It is damaged within the archive: its check sum does not fit. Download the archive again.',
  itIsNotInTheArchive: 'It is not in the archive any more.',
  theFileIsEmpty: 'The file is empty. Copy or download it again.',
  thePackedFileIsCut: 'The packed file is cut short or damaged. Copy or download it again.',
}
