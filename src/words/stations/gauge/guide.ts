/** The words of Guide. */
export const words = {
  placeOf: (count: number, places: number) => `Place ${count} of ${places}`,
  readThatIsEnough: (count: string) => `${count} read: that is enough, more does no harm`,
  bigRingAndBig: (ring: number, cog: number) =>
    `Big ring and big cog: ${ring} and ${cog}. On the small ones the chain hangs slack and reads short.`,
  fromTheJoiningLink: (turns: string, place: string | number) =>
    `From the joining link at the ring’s lower edge, turn the cranks ${turns} turns: link ${place}.`,
  fromLinkTurnTheCranks: (from: number, turns: string, place: string | number) =>
    `From link ${from}, turn the cranks ${turns} turns on: link ${place}.`,
  holdTheCranksBack:
    'Hold the cranks back against the brake, so that the run is tight. Stay off the joining link.',
}
