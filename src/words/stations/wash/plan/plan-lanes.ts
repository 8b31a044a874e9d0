/** The words of PlanLanes. */
export const words = {
  free: 'free',
  min: (name: string, toMin: number) => `${name}, ${toMin} min`,
  min2: (name: string, name2: string, handsMin: number) => `${name}${name2}, ${handsMin} min`,
  freeMin: (toMin: number) => `free ${toMin} min`,
  minutesALaneOfHands: (minutes: number) =>
    `${minutes} minutes: a lane of hands, and below it what soaks, melts or hangs meanwhile. The list below says the same.`,
  hands: 'hands',
}
