/** The words of WorkingsNote. */
export const words = {
  unknowns: 'Unknowns',
  ofThatWereMeasured: (count: string, count2: string) => `of ${count} that were measured, from ${count2}`,
  draws: 'Draws',
  independentSamplersDrawsOfEach: 'independent samplers × draws of each',
  rHatTheWorst: 'R-hat, the worst',
  theSamplersAgree: 'the samplers agree',
  theSamplersDoNot: 'the samplers do not quite agree yet: take the figures as rougher than they look',
  effectiveSizeTheLeast: 'Effective size, the least',
  asGoodAsThisMany: 'as good as this many independent draws',
  proposalsTaken: 'Proposals taken',
  fourInFiveIsAs: 'four in five is as it should be',
  howWasThisWorked: 'How was this worked out?',
  aChainLengthensWithTheDistance:
    'A chain lengthens with the distance it does, times what the conditions and the lube do to it, at a rate of its own. How fast chains wear with this rider, each chain’s own rate, what every kind of condition and lube does, and how far each tool reads high or low are all unknown at first: each begins as a guess from bikes in general, and all readings of all chains move all of them at once. A gauge that says only “not yet” or “past” counts as just that. Many ways in which it could be are drawn, each as often as the readings make it likely; the forecast is what they say between them.',
  slips: 'Slips.',
  anyReadingMayBe:
    'Any reading may be a misread digit or mark: 3 in 100 are taken to be. One that fits nothing else counts for little, and the list of readings says so.',
  tools: 'Tools.',
  mostToolsOfAKind:
    'Most tools of a kind read nearly alike, and now and then one is far off. Two different tools on one chain show which.',
  lateWear: 'Late wear.',
  someChainsWearFaster:
    'Some chains wear faster from about 0.45\u00a0% on. It is learned from chains that were measured beyond that.',
  whatTheLogMay: 'What the log may lack.',
  aLookFarFromWhat:
    'A look far from what was expected is asked about: a slip, another chain, a swap or rides not logged. Until you answer, the forecast allows for each, as often as it is likely.',
}
