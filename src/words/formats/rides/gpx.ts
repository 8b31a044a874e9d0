/** The words of gpx. */
export const words = {
  thePointOnLine: (line: number) =>
    `The point on line ${line} is in no track segment (trkseg), so it is not clear which points belong together. Export the ride again.`,
  thisIsNotAGpx: 'This is not a GPX file, though it is built like one. Choose the ride exported as GPX.',
  thisIsAPlanned: 'This is a planned route, not a recorded ride. Add the ride by hand if you rode it.',
  noneOfItsPoints: (badLine: number) =>
    `None of its points has a usable latitude and longitude, the first of them on line ${badLine}. Export the ride again from where it came.`,
}
