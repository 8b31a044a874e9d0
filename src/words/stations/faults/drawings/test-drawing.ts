/** The words of TestDrawing. */
export const words = {
  hookedTeethNewOnes: 'Hooked teeth; new ones dashed.',
  fromBehindThePulleys: 'From behind: the pulleys hang straight under the cog.',
  fromBehindTheCage: 'From behind: the cage slants, the lower pulley is off.',
  fromBehindABent: 'From behind: a bent hanger slants the cage.',
  fromBehindThePulley: 'From behind: the pulley stands beside the cog.',
  theBarrelWhereTheCable:
    'The barrel where the cable enters the derailleur; a quarter turn outward gives more pull.',
  fromTheRightTheTab: 'From the right: the tab between the pulleys, the chain inside it.',
  fromTheRightALink: 'From the right: a link that stays bent as it leaves the lower pulley.',
  fromTheRightWiggle: 'From the right: wiggle each pulley sideways.',
  fromTheRightTheGap: 'From the right: the gap between the upper pulley and the largest cog.',
  theFrontOfTheRing: 'The front of the ring: the chain pulled forward, daylight over the teeth.',
  whereOnTheBike: 'Where on the bike: marked.',
}
