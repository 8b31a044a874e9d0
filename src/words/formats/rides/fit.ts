/** The words of fit. */
export const words = {
  anAppOnTheDevice:
    'An app on the device added a field (a developer field) of a kind that is not known here, so the file cannot be read. Export the ride as GPX or TCX.',
  theFileIsCut:
    'The file is cut short or damaged: its check sum does not fit. Copy it from the device again.',
  theFileIsEmpty: 'The file is empty. Copy it from the device again.',
  thisIsNotAFit: 'This is not a FIT file: it does not begin like one. Choose the device’s own file.',
  thisIsAPlanned: 'This is a planned course, not a recorded ride. Add the ride by hand if you rode it.',
}
