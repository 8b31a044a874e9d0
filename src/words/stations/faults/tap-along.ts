/** The words of TapAlong. */
export const words = {
  ring: 'Ring',
  cog: 'Cog',
  jerk: (jerkKey: string) => `Jerk (${jerkKey})`,
  crankRound: (turnKey: string) => `Crank round (${turnKey})`,
  stop: 'Stop',
  toTellARhythm:
    'To tell a rhythm by tapping, the chain’s links, the rings and the cogs must be on the shelf.',
  turnTheCrankAndTap: 'Turn the crank and tap along: find out what the jerk keeps time with',
  liftTheWheelTurn:
    'Lift the wheel. Turn the crank by hand at an even pace, ten turns or more. Tap at each jerk, and each time the crank comes round.',
  fingersAndLooseClothing: 'Fingers and loose clothing away from cogs and rotor while the wheel turns.',
  inThisGear: (flatMap: string) => `In this gear: ${flatMap}.`,
  tapAgain: 'Tap again',
  startTapping: 'Start tapping',
  turnsIfYouCounted: 'Turns, if you counted them',
  countThisRhythm: 'Count this rhythm',
  leaveItOut: 'Leave it out',
}
