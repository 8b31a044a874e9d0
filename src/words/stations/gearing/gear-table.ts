/** The words of GearTable. */
export const words = {
  cadenceAtASpeed: 'Cadence at a speed, km/h',
  cadenceAtASpeedMph: 'Cadence at a speed, mph',
  everyGear: 'Every gear',
  gear: 'gear',
  ratio: 'ratio',
  perTurn: 'per turn',
  toTheNext: 'to the next',
  at: (rpm: string) => `at ${rpm}`,
  at2: (speed: string) => `at ${speed}`,
  yourWork: 'your work',
  note: 'note',
  slanted: 'slanted',
  theNextRingHas: 'the next ring has it too',
}
