import type { StepKind } from '../core/session/step-kinds.ts'
import type { WashStep } from '../core/session/wash-steps.ts'

/** A step as it is called on a drawing, in a list, and explained at the stand. */
export interface StepWords {
  /** Two words at most: it stands on a bar. */
  readonly short: string
  readonly name: string
  readonly how: string
  /** Said where the harm could be done. */
  readonly care?: string
  /** What goes on while hands are free: "the wax melts". */
  readonly wait?: string
}

export const STEP_WORDS: Readonly<Record<StepKind, StepWords>> = {
  'power-off': {
    short: 'power off',
    name: 'Power off, battery out',
    how: 'Switch it off, take the battery out, shut the port and cover the contacts and the screen.',
    care: 'Low pressure only, and never soak a motor, battery or display.',
  },
  'onto-stand': {
    short: 'on stand',
    name: 'Bike onto the stand',
    how: 'Clamp the post, not the frame tube.',
  },
  'off-stand': {
    short: 'off stand',
    name: 'Bike off the stand',
    how: 'The next bike needs the stand. Lean this one where nothing drips on its rotors.',
  },
  'dummy-axle': {
    short: 'dummy axle',
    name: 'Make a place for the chain to run',
    how: 'Without a stand: turn the bike over on a cloth. With the wheel out, a bolt through a piece of hose between two washers holds the chain up as a dummy axle. Two brushes face to face, bound together, clean both sides of the chain at once.',
  },
  'shield-rotors': {
    short: 'rotors',
    name: 'Shield the rotors',
    how: 'A bag or a clean cloth over rotor and caliper, front and rear.',
    care: 'Oil or spray on a rotor or pad ruins the brake.',
  },
  'water-on': {
    short: 'water on',
    name: 'Put the water on',
    how: 'Enough to cover the chains. Bring it nearly to the boil.',
    wait: 'the water heats',
  },
  'pot-on': {
    short: 'pot on',
    name: 'Put the wax on',
    how: 'Thermostat to the maker’s temperature, usually 80 to 95 °C; lid on.',
    care: 'Hot wax burns and can catch fire: a thermostatic pot, never a flame, never left alone.',
    wait: 'the wax melts',
  },
  'chain-off': {
    short: 'chain off',
    name: 'Chain off',
    how: 'Smallest cog, open the joining link, keep it out of the bath and the wax.',
  },
  'wheel-off': {
    short: 'wheel off',
    name: 'Rear wheel off',
    how: 'Do not pull the brake lever while it is out.',
  },
  'cassette-off': {
    short: 'cassette off',
    name: 'Cassette off',
    how: 'Chain whip and lockring tool. Keep cogs and spacers in their order.',
  },
  'wipe-chain': {
    short: 'wipe',
    name: 'Wipe the chain',
    how: 'A rag damp with a light spray. Run the chain through it flat, then edgewise, until it comes off grey and no longer black.',
  },
  'degrease-chain': {
    short: 'degrease',
    name: 'Degrease and brush the chain',
    how: 'Degreaser on the lower run, a stiff brush on all four sides, back-pedalling. Let it work in.',
    care: 'Air the room, wear gloves, no flame. Keep it off hub, bottom-bracket and pulley bearings. Some chain makers forbid solvents: their word comes first.',
    wait: 'the degreaser works',
  },
  'bath-chain': {
    short: 'bath',
    name: 'Run the chain through the bath',
    how: 'Thirty slow turns back, empty it, fill it again until it stays clear.',
    care: 'Keep it off the rotor and out of the bearings. Some chain makers forbid solvents: their word comes first.',
    wait: 'it drips off',
  },
  'soak-chain': {
    short: 'soak',
    name: 'Into the solvent',
    how: 'Covered, in a closed jar. Shake it a minute.',
    care: 'Air the room, wear gloves, no flame. Some chain makers forbid solvents: their word comes first.',
    wait: 'soaking',
  },
  'soak-again': {
    short: 'soak again',
    name: 'Fresh solvent, once more',
    how: 'Pour it off, fresh solvent, shake. It is done when it stays clear.',
    wait: 'soaking',
  },
  'soak-water': {
    short: 'hot water',
    name: 'Into the hot water',
    how: 'Swish it a minute: old wax and dust come off. No solvent is needed on a waxed chain.',
    care: 'The water is close to boiling: use a hook.',
    wait: 'soaking',
  },
  'soak-cassette': {
    short: 'soak cogs',
    name: 'Cassette into the bath',
    how: 'Cogs and spacers in their order on a wire.',
    wait: 'the cogs soak',
  },
  ultrasonic: {
    short: 'ultrasonic',
    name: 'Chain into the ultrasonic bath',
    how: 'Warm, with its cleaner. Electronic parts never go in.',
    wait: 'the bath runs',
  },
  rinse: { short: 'rinse', name: 'Rinse', how: 'Plenty of water at low pressure until it runs clear.' },
  'dry-chain': {
    short: 'dry',
    name: 'Wipe dry',
    how: 'Through a dry cloth, then let it dry inside the rollers too.',
    care: 'A chain with water in it makes hot wax spit, and oil does not hold on it: let it dry fully.',
    wait: 'it dries',
  },
  inspect: {
    short: 'look at links',
    name: 'Go through the chain link by link',
    how: 'Plates parting, pins standing out, cracked or stuck rollers, stiff links.',
  },
  measure: {
    short: 'measure',
    name: 'Measure it while it is clean',
    how: 'Clean and under tension: the best reading there is.',
  },
  dip: {
    short: 'dip',
    name: 'Dip it in the wax',
    how: 'Fully dry, joining link left out. Swish half a minute, let it rest ten minutes, swish again.',
    care: 'Hot wax burns. A chain that is not dry makes it spit.',
    wait: 'it rests in the wax',
  },
  lift: {
    short: 'hang',
    name: 'Lift it out and hang it up',
    how: 'Swish once more, lift it slowly, let it drip, hang it straight.',
    wait: 'it hangs',
  },
  'free-links': {
    short: 'free links',
    name: 'Break the links free',
    how: 'Pull it over a round bar, link by link, until it moves.',
  },
  'pot-off': { short: 'pot off', name: 'Pot off', how: 'Lid on. Wipe up drips while they are warm.' },
  drops: {
    short: 'drops',
    name: 'One drop to each roller',
    how: 'On the inner side of the lower run, back-pedalling, from the joining link or a marked link, so that none is missed or doubled.',
    wait: 'it works in',
  },
  spray: {
    short: 'spray',
    name: 'Spray the chain',
    how: 'Short and close, on the lower run, a cloth behind it.',
    care: 'Never toward a rotor, a pad, a hub or a bottom bracket.',
    wait: 'it works in',
  },
  'wipe-off': {
    short: 'wipe off',
    name: 'Wipe until the outside is nearly dry',
    how: 'The oil that works is inside the rollers. What is outside collects grit.',
    care: 'Oily rags can heat up by themselves: dry them flat outside or keep them in a closed metal tin.',
  },
  'fit-chain': {
    short: 'fit chain',
    name: 'Fit the chain',
    how: 'Round past the cage tab on the right side; arrow the way it runs. A fresh joining link if this one is used up. Hear it click, and pull.',
    care: 'Over the cage tab it grinds and jumps.',
  },
  'cassette-on': {
    short: 'cassette on',
    name: 'Cassette on',
    how: 'In its order, lockring to the maker’s torque.',
  },
  'wheel-on': {
    short: 'wheel on',
    name: 'Rear wheel on',
    how: 'Seated fully, axle shut, brake pulled once.',
  },
  'clean-cassette': {
    short: 'cogs',
    name: 'Clean the cogs',
    how: 'A narrow brush, then a cloth pulled between the cogs. Not toward the hub.',
  },
  'clean-pulleys': {
    short: 'pulleys',
    name: 'Clean the pulleys',
    how: 'A cloth on both sides while they turn; scrape off what is caked. No spray into their bearings.',
  },
  'clean-rings': { short: 'rings', name: 'Clean the rings', how: 'Brush and cloth, both sides.' },
  'clean-frame': {
    short: 'frame',
    name: 'Wash the frame',
    how: 'Soap and water from the top down; suspension legs with soap and water only.',
    care: 'No jet at bearings, and none at a motor.',
  },
  'rotors-alcohol': {
    short: 'rotors',
    name: 'Wipe the rotors',
    how: 'Isopropyl alcohol and a cloth used for nothing else. Then take the shields off.',
    care: 'No flame near alcohol. Try both brakes before it is ridden.',
  },
  'power-on': { short: 'battery in', name: 'Battery in', how: 'Contacts dry first.' },
}

/** Where something waits, as the name of a lane. */
export const WAIT_LANES: Readonly<Partial<Record<StepKind, string>>> = {
  'water-on': 'kettle',
  'pot-on': 'pot',
  'degrease-chain': 'chain',
  'bath-chain': 'chain',
  'soak-chain': 'bath',
  'soak-again': 'bath',
  'soak-water': 'bath',
  'soak-cassette': 'bath',
  ultrasonic: 'bath',
  'dry-chain': 'air',
  dip: 'pot',
  lift: 'hook',
  drops: 'chain',
  spray: 'chain',
}

/** What to do in a step. One that takes the stand again says so. */
export const sayHow = ({ kind, holds = [] }: Pick<WashStep, 'kind' | 'holds'>): string =>
  `${holds.includes('stand') ? 'Bike back onto the stand. ' : ''}${STEP_WORDS[kind].how}`
