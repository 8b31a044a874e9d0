/** Every step that a wash may have. The words for them are the screen's. */
export const STEP_KINDS = [
  'power-off',
  'onto-stand',
  'off-stand',
  'dummy-axle',
  'shield-rotors',
  'water-on',
  'pot-on',
  'chain-off',
  'wheel-off',
  'cassette-off',
  'wipe-chain',
  'degrease-chain',
  'bath-chain',
  'soak-chain',
  'soak-again',
  'soak-water',
  'soak-cassette',
  'ultrasonic',
  'rinse',
  'dry-chain',
  'inspect',
  'measure',
  'dip',
  'lift',
  'free-links',
  'pot-off',
  'drops',
  'spray',
  'wipe-off',
  'fit-chain',
  'cassette-on',
  'wheel-on',
  'clean-cassette',
  'clean-pulleys',
  'clean-rings',
  'clean-frame',
  'rotors-alcohol',
  'power-on',
] as const
export type StepKind = (typeof STEP_KINDS)[number]

/** How long a step takes, minutes: hands, then waiting. */
export interface StepTime {
  readonly handsMin: number
  readonly waitMin: number
}

const time = (handsMin: number, waitMin = 0): StepTime => ({ handsMin, waitMin })

/** Guesses of ours, for one chain or one bike; a rider's own sessions correct the hands. Waits by job.md: wax swished half a minute, rested ten, hung ten to fifteen. */
export const STEP_TIMES: Readonly<Record<StepKind, StepTime>> = {
  'power-off': time(1),
  'onto-stand': time(1),
  'off-stand': time(1),
  'dummy-axle': time(3),
  'shield-rotors': time(2),
  'water-on': time(1, 6),
  'pot-on': time(1, 20),
  'chain-off': time(2),
  'wheel-off': time(2),
  'cassette-off': time(2),
  'wipe-chain': time(4),
  'degrease-chain': time(5, 3),
  'bath-chain': time(5, 2),
  'soak-chain': time(2, 10),
  'soak-again': time(2, 5),
  'soak-water': time(2, 8),
  'soak-cassette': time(1, 10),
  ultrasonic: time(2, 8),
  rinse: time(3),
  'dry-chain': time(2, 15),
  inspect: time(3),
  measure: time(2),
  dip: time(1, 10),
  lift: time(1, 12),
  'free-links': time(1),
  'pot-off': time(1),
  drops: time(4, 15),
  spray: time(1, 2),
  'wipe-off': time(2),
  'fit-chain': time(4),
  'cassette-on': time(2),
  'wheel-on': time(2),
  'clean-cassette': time(5),
  'clean-pulleys': time(3),
  'clean-rings': time(3),
  'clean-frame': time(8),
  'rotors-alcohol': time(3),
  'power-on': time(1),
}

/**
 * What may be left out where time is short, and what it is worth beside the others. Ours, a judgement: what finds a broken chain
 * before it breaks comes first, what only looks clean last.
 */
export const WORTH: Readonly<Partial<Record<StepKind, number>>> = {
  inspect: 10,
  measure: 8,
  'clean-pulleys': 6,
  'clean-cassette': 5,
  'rotors-alcohol': 4,
  'clean-rings': 4,
  'clean-frame': 2,
}
