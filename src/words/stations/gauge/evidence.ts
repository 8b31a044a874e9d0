/** The words of Evidence. */
export const words = {
  elongationInPast: 'Elongation in %. Past',
  whatEachAloneSays: 'What each alone says',
  aloneAbout: (name: string, figure: string, count: string) => `${name} alone: about ${figure}, ${count}`,
  whatYourReadingsSay:
    'What your readings say together is drawn here, with the limits. Three places on the chain are better than one, and two instruments better than one read often.',
  workingItOut: 'Working it out…',
}
