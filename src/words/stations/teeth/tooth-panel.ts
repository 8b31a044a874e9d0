/** The words of ToothPanel. */
export const words = {
  roundEvenValleysFlat: 'round even valleys, flat tips, as new',
  valleysEvenEdgesALittle: 'valleys even, edges a little polished',
  oneFlankWornMore: 'one flank worn more; the tooth begins to lean',
  leaningTheTipNearly: 'leaning, the tip nearly a point, the valley wide',
  hookedOrPointedAFresh: 'hooked or pointed: a fresh chain will not run on it',
  whatWasFound: 'What was found',
  the: (teeth: number) => `The ${teeth}`,
  the2: (role: string) => `The ${role}`,
  checked: (ago: string) => `checked ${ago}`,
  notCheckedYet: 'not checked yet',
  theRoadAloneToWithAll: (figure: string, percent: string, figure2: string, percent2: string) =>
    `The road alone: ${figure} to ${percent}. With all that was found: ${figure2} to ${percent2}.`,
  lookAtTheTension:
    'Look at the tension pulley, the lower one, first: it usually points before the guide pulley above. Turn both all the way round; feel for play sideways and grit in their bearings.',
  orSayItInAWord: 'Or say it in a word',
  howItLooks: 'How it looks',
  lastByEye: (word: string, word2: string) => `Last by eye, ${word}: ${word2}.`,
  nothingIsKnownOfItYet: 'Nothing is known of it yet.',
  probably: (word: string, word2: string) => `Probably ${word}: ${word2}.`,
  byEyeItWas: (word: string, day: string, word2: string, day2: string) =>
    `By eye it was ${word} (${day}), in a picture ${word2} (${day2}). Look again, and take out the one that is wrong: both count until then.`,
}
