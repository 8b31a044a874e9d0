/** The words of MatchByEye. */
export const words = {
  lookAtTheTrailing: 'Look at the trailing face of each tooth: there the chain pulls. ',
  lookAtTheLeading: 'Look at the leading face of each tooth: there it pulls the chain. ',
  goAllTheWay: (phrase: string) => `${phrase}Go all the way round, and feel for burrs with a glove on.`,
  thenMatchTheTeeth: ' Then match the teeth that are worn most.',
  paleAtTheEnd: ' Pale, at the end: a shift aid, cut short or twisted by design. Pass over such teeth.',
  passOverTeethThatAre: ' Pass over teeth that are short, cut or twisted: they are shift aids.',
  dashedANewTooth: (phrase: string) =>
    `Dashed: a new tooth. Drag the teeth until they look like yours.${phrase}`,
  howWornItLooks: 'How worn it looks',
  lessWorn: 'Less worn',
  moreWorn: 'More worn',
  itLooksLikeThat: 'It looks like that',
}
