import type { AnyCause } from '../../core/faults/finder.ts'
import { OPENS, STATIONS } from '../places.ts'

/** How a fault is mended. */
export interface Repair {
  readonly steps: readonly string[]
  readonly caution?: string
  /** When it is for a qualified mechanic. */
  readonly mechanic?: string
  /** Where the app goes on with it. */
  readonly goOn?: { readonly to: string; readonly label: string }
}

const SLIPS = 'Do not ride it hard: a slip throws you. Never stand on the pedals before it is mended.'
const FINGERS = 'Keep fingers and loose clothing away from cogs and rotor while the wheel turns.'

/** What to do about each cause, in order. The makers' instructions and torques come first. */
export const REPAIRS: Readonly<Record<AnyCause, Repair>> = {
  'cable-tension': {
    steps: [
      'Wheel off the ground. Shift to the smallest cog, with the barrel nearly all the way in.',
      'Shift one click. The chain must climb to the second cog at once, and run without touching the third.',
      'Slow to climb: barrel a quarter turn outward. Touches the next cog: a quarter turn inward.',
      'Go through all cogs both ways. Electric: fine tuning instead of the barrel.',
    ],
    caution: FINGERS,
  },
  'cable-friction': {
    steps: [
      'Shift to the smallest cog, so that the cable is slack.',
      'Slip the housing out of its stops, wipe the cable, look for rust and broken strands.',
      'Rusty, kinked or frayed: renew cable and housing, with new end caps.',
      'Set the cable tension again.',
    ],
    mechanic: 'Cables inside the frame or the bars take patience and a guide wire.',
  },
  'bent-hanger': {
    steps: [
      'Measure the hanger against the rim at four places.',
      'A little bent: straighten it with a hanger gauge, once. Aluminium breaks the second time.',
      'More than that, or cracked: replace it; take the bolt’s torque from the maker.',
      'Then set limit screws and cable tension.',
    ],
    mechanic: 'Without a hanger gauge, or where the hanger is part of the frame.',
  },
  'limit-screws': {
    steps: [
      'Smallest cog: turn the outer limit screw until the pulley stands straight under the cog.',
      'Largest cog: push the derailleur in by hand and set the inner limit screw so that it cannot go past.',
      'Turn the crank and check both ends.',
    ],
    caution:
      'Past the largest cog the chain goes into the spokes and stops the wheel. Check this screw twice.',
  },
  'b-gap': {
    steps: [
      'Largest cog, smallest ring. Turn the gap screw until the gap is what the maker gives.',
      'Turn the crank backward: nothing may touch. Then set the cable tension again.',
    ],
    caution: FINGERS,
  },
  'worn-chain': {
    steps: [
      'Measure it once more, under tension, away from the joining link.',
      'Look at the cogs before a new chain goes on.',
    ],
    caution: SLIPS,
    goOn: { to: STATIONS.decide.path, label: 'Decide about the chain' },
  },
  'worn-cogs': {
    steps: [
      'Look at every cog, and say on Teeth which ones are hooked.',
      'Single cogs can sometimes be replaced; else the cassette, and the chain with it.',
    ],
    caution: SLIPS,
    goOn: { to: OPENS.checkTeeth, label: 'Check the teeth' },
  },
  'worn-ring': {
    steps: [
      'Look at the ring all the way round.',
      'Replace it: bolts greased, tightened crosswise to the maker’s torque. Check the chain first.',
    ],
    caution: SLIPS,
    goOn: { to: OPENS.checkTeeth, label: 'Check the teeth' },
  },
  'stiff-link': {
    steps: [
      'Find the link: it stays bent where it leaves the lower pulley. Mark it.',
      'Dry or rusty: lubricate, then flex it sideways with both thumbs, a little each way.',
      'A pin pressed too far: back it out a hair with the chain tool.',
      'Plates bent or pin standing out: replace the link, or the chain.',
    ],
    caution: 'A chain with a damaged plate or pin can break. Do not ride it.',
    goOn: { to: STATIONS.wash.path, label: 'Go through the links' },
  },
  'cage-routing': {
    steps: [
      'Open the joining link, pull the chain out of the cage and thread it again, inside the tab.',
      'Close the link, and count the closing.',
    ],
    goOn: { to: OPENS.fitChain, label: 'Fit the chain again' },
  },
  'chain-length': {
    steps: [
      'Count the links it should have: Gearing tells.',
      'Too long: take links out. Too short: replace it; do not ride on the largest ring and cog until then.',
    ],
    caution: 'A chain that is too short tears off the derailleur.',
    goOn: { to: `${STATIONS.gearing.path}#length`, label: 'Count the links' },
  },
  'mismatched-parts': {
    steps: [
      'Find out which part is of another kind: shifter, derailleur, cassette or chain.',
      'Replace the one that is alone. Where you are not sure, ask the maker.',
    ],
    goOn: { to: STATIONS.shelf.path, label: 'See the parts' },
  },
  'broken-tooth': {
    steps: [
      'A slightly bent tooth of a steel ring can be bent back once with a wrench.',
      'A tooth that is gone or cracked: replace the cog or ring.',
    ],
    caution: SLIPS,
    goOn: { to: OPENS.checkTeeth, label: 'Check the teeth' },
  },
  'loose-pulley': {
    steps: [
      'Tighten the bolt by feel, or to the maker’s torque, with thread lock where the maker asks for it.',
      'Worn to points: replace it, and look at the other.',
    ],
  },
  'loose-lockring': {
    steps: [
      'Take the wheel out. Tighten the lockring to the torque that is written on it.',
      'If the cogs have cut into the freehub body, have a mechanic look.',
    ],
    caution: SLIPS,
  },
  freehub: {
    steps: [
      'Take the wheel out, turn the cogs by hand both ways.',
      'Service it as its maker says: clean, then thin grease or oil on the pawls. Thick grease sticks in the cold.',
    ],
    caution: SLIPS,
    mechanic: 'Where it needs special tools, or the pawls are worn.',
  },
  'frame-flex': {
    steps: [
      'Set the cable tension so that the chain runs in the middle of its play.',
      'Shift down before the steep part, and stay seated.',
    ],
    mechanic: 'New bending, or a creak with it, can be a crack. Stop riding until it was looked at.',
  },
  electronics: {
    steps: [
      'Charge the battery.',
      'Clean the contacts, press every plug home.',
      'Pair or reset it as the maker says.',
    ],
    mechanic: 'Where it still does not answer.',
  },
  'dry-chain': {
    steps: ['Wipe the chain, lubricate it, let it work in, wipe again.'],
    caution: 'Keep lube off rotor and pads: it ruins the brake.',
    goOn: { to: STATIONS.wash.path, label: 'Wash and lubricate' },
  },
  saddle: {
    steps: [
      'Take the saddle off, clean rails and clamp.',
      'A thin film of grease on the clamp, bolts evenly to the maker’s torque.',
    ],
  },
  'seat-post': {
    steps: [
      'Mark its height, pull it out, clean post, tube and clamp.',
      'Grease on metal, assembly paste on carbon. Clamp to the lower torque of post and frame.',
    ],
  },
  pedals: {
    steps: [
      'Take both off. The left one has a left-hand thread.',
      'Clean and grease the threads, put them back to torque. Still there: the bearing.',
    ],
  },
  cranks: {
    steps: [
      'Tighten crank and ring bolts crosswise to the maker’s torque.',
      'Still there: take them out, clean, grease, put them back.',
    ],
    caution: 'A crank with a crack is not ridden.',
  },
  'bottom-bracket': {
    steps: [
      'Take the cranks off, feel the bearings.',
      'Clean and grease the cups’ seat; worn bearings are replaced.',
    ],
    mechanic: 'Pressed cups need special tools.',
  },
  headset: {
    steps: [
      'Loosen the stem’s side bolts, take out the play with the top bolt, line up, tighten evenly to torque.',
      'Gritty or notched: clean and grease, or replace the bearings.',
    ],
    caution: 'Steering that binds: stop riding.',
  },
  stem: {
    steps: [
      'Take the bars out, clean bar and stem.',
      'Bolts evenly and alternately to the lower of the two torques.',
    ],
    caution: 'Look for cracks. A cracked bar or stem is not ridden.',
  },
  hanger: {
    steps: [
      'Take the derailleur and the hanger off, clean the seat.',
      'Grease the bolt, tighten it to torque, set the gears again.',
    ],
  },
  rotor: {
    steps: [
      'Loosen the caliper, hold the lever, tighten it again.',
      'Still there: see where the rotor touches and bend it back a little, with clean hands or a rotor fork.',
    ],
    caution: 'No oil on rotor or pads. Fingers away while it turns.',
  },
  pads: {
    steps: [
      'Wipe the rotor with alcohol and a cloth used for nothing else.',
      'Oily or worn pads are replaced. A disc pad under about 3 mm with its plate is done.',
    ],
    caution: 'Brakes that do not hold: stop riding.',
  },
  lockring: { steps: ['Tighten it to the torque that is written on it.'] },
  spokes: {
    steps: ['Tighten the loose spoke a quarter turn at a time, and watch the rim.'],
    mechanic: 'More than one loose spoke, or a wheel that is out of true.',
  },
  axle: {
    steps: [
      'Take the wheel out, clean and grease the axle, shut it to torque.',
      'A quick release must leave a mark in the palm.',
    ],
  },
}
