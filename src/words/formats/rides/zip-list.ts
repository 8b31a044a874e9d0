/** The words of zip-list. */
export const words = {
  theArchiveIsCut: 'The archive is cut short or damaged. Copy or download it again.',
}
