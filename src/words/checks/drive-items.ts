import type { ItemId } from '../../core/checks/items.ts'
import { OPENS, STATIONS } from '../places.ts'
import type { ItemWords } from './item-talk.ts'

/** Gears, chain, cranks, motor. */
export const DRIVE_WORDS = {
  hanger: {
    how: [
      'Look from behind: the cage stands parallel to the cogs.',
      'Try the hanger bolt and both pulley bolts by hand, then with a key.',
    ],
    passes: 'Straight, and no bolt moves.',
    fails: 'Bent: have it straightened before riding in the largest cog, where it can reach the spokes.',
  },
  pulleys: {
    how: ['Scrape the dirt off with a stick.', 'Turn each by hand and push it sideways.'],
    passes: 'Clean, turning freely, teeth not pointed.',
    fails: 'Pointed or stuck: replace them soon.',
    goOn: { to: STATIONS.teeth.path, label: 'Judge their teeth' },
  },
  chain: {
    how: [
      'Turn the cranks and listen: a dry chain chirps.',
      'Run a rag along it: black and gritty, or nearly clean?',
      'Surface rust wipes off: wipe, then lubricate.',
    ],
    passes: 'Quiet, nearly dry outside, no stiff link.',
    fails: 'Wipe and lubricate it before the next ride.',
    care: 'Fingers and loose clothing away from a turning chain.',
    goOn: { to: STATIONS.wash.path, label: 'Plan a wash' },
  },
  teeth: {
    how: ['Look at every ring and at the cogs that are ridden most.', 'Compare like teeth with like.'],
    passes: 'Round valleys, flat tips.',
    fails: 'Leaning or pointed: judge them one by one.',
    goOn: { to: OPENS.checkTeeth, label: 'Judge the teeth' },
  },
  lockrings: {
    how: ['Hold the wheel and try to rock the cassette.', 'Look for cogs that shift against each other.'],
    passes: 'Nothing moves.',
    fails: 'Tighten the lockring with its tool, to the value on it.',
  },
  freehub: {
    how: [
      'Turn the cranks backwards, then forwards with a jerk: it must grip at once.',
      'Coast with the wheel off the ground: an even click, no grinding.',
    ],
    passes: 'It grips at once, runs freely backwards, has little play.',
    fails: 'It slips or grinds: have it serviced. One that slips can throw you.',
  },
  indexing: {
    how: [
      'Shift through all cogs, up and down, one by one, on the stand.',
      'Slow towards the larger cog: a quarter turn more cable tension. Slow back: a quarter turn less.',
      'Limit screws seldom need touching, unless something was hit.',
    ],
    passes: 'Each click is one cog, at once, and nothing chatters.',
    fails: 'Set the cable tension. If that does not cure it, look for the cause.',
    goOn: { to: STATIONS.faults.path, label: 'Find the fault' },
  },
  'gear-cable': {
    how: [
      'Look at the end of the cable for loose strands.',
      'Shift to the smallest cog and look at the cable inside the right-hand lever: there it breaks first.',
      'Look at the housing ends for rust and splits.',
    ],
    passes: 'No strand broken, no rust, the cable slides.',
    fails: 'Replace cable and housing soon, before the head of it breaks off in the lever.',
  },
  'shift-battery': {
    how: ['Read its charge.', 'See that its cover and the charging port are shut.'],
    passes: 'Charged for the next rides, covers shut.',
    fails: 'Charge it before riding.',
  },
  cranks: {
    how: [
      'Hold both crank arms and push them sideways, then against each other.',
      'Wipe them and look for cracks: around the pedal thread, the axle, the arms of the ring.',
    ],
    passes: 'No play, no crack.',
    fails: 'A crack: do not ride it. A loose arm: tighten it to the value; ridden loose it is ruined.',
    drawing: 'crank',
  },
  'bottom-bracket': {
    how: ['Take the chain off the ring, spin the cranks, lay a hand on the seat tube.'],
    passes: 'Smooth, quiet, no play.',
    fails: 'Grinding or play: have it replaced soon.',
  },
  pedals: {
    how: [
      'Spin each, then push it sideways.',
      'Try both with a spanner: the left one has a left-hand thread.',
    ],
    passes: 'Tight in the crank, little play, threads greased.',
    fails: 'Tighten them before riding. Ridden loose they ruin the crank.',
  },
  'ring-bolts': {
    how: ['Put a key on each. Hold the nut behind.'],
    passes: 'None turns, none is missing.',
    fails: 'Grease and tighten to the value.',
    drawing: 'bolts',
  },
  motor: {
    how: ['Power off, battery out.', 'Try the mounting bolts and the covers by hand.'],
    passes: 'Nothing moves, no crack, covers shut.',
    fails: 'A loose motor or a cracked mount: a qualified mechanic before it is ridden.',
    care: 'Power off and battery out first.',
  },
  contacts: {
    how: [
      'Power off, battery out.',
      'Look at the contacts: dry, clean, not green or black.',
      'The battery clicks in and does not rattle. The port is shut. The case has no dent or swelling.',
    ],
    passes: 'Dry and clean, battery locked in, port shut.',
    fails:
      'Dry the contacts. A dented, swollen or hot battery: out of the house, do not charge it, ask its maker.',
    care: 'Never a pressure washer, never soaked.',
  },
} as const satisfies Readonly<Partial<Record<ItemId, ItemWords>>>
