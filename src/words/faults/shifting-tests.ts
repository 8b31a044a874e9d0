import type { AnyFinding } from '../../core/faults/finder.ts'
import { FINGERS, type FindingWords } from './finding-words.ts'

/** Tests by eye. */
const SEEN = {
  'pulley-line': {
    title: 'Is the pulley under the cog?',
    how: [
      'Stand behind the bike, eyes at the height of the hub.',
      'Look at the upper pulley: it must stand straight under the cog that the chain is on.',
      'Then look at the cage: it must hang parallel to the cogs.',
    ],
    values: { under: 'straight under it', beside: 'beside it, hanging straight', slanted: 'the cage slants' },
  },
  cage: {
    title: 'Does the chain pass the tab in the cage on the right side?',
    how: [
      'Kneel on the right side and look between the two pulleys.',
      'Many cages have a small tab there. The chain must pass on the inside of it and not touch it.',
    ],
    values: { right: 'on the right side', 'over-tab': 'it runs over the tab' },
  },
  'hooked-teeth': {
    title: 'Are the teeth of the cogs hooked?',
    how: [
      'Wipe the cogs. Look along their teeth from the side, against the light.',
      'Compare the cogs you ride most with one you hardly ride.',
      'Short or twisted teeth in one place are made so for shifting: pass over them.',
    ],
    values: { even: 'even', hooked: 'leaning or pointed' },
  },
  'ring-teeth': {
    title: 'Are the teeth of the ring hooked?',
    how: [
      'Turn the crank slowly and look at every tooth.',
      'Look most where the pedals push: near three and nine o’clock.',
    ],
    values: { even: 'even', hooked: 'leaning or pointed' },
  },
  teeth: {
    title: 'Is a tooth bent or broken?',
    how: [
      'Turn the crank backward and look along the edge of ring and cogs.',
      'A bent tooth stands out of the row.',
    ],
    values: { whole: 'all whole', bent: 'one is bent or gone' },
  },
  rust: {
    title: 'Is the chain rusty?',
    how: ['Look at the chain all the way round, between the plates too.'],
    values: { clean: 'no rust', rusty: 'rust' },
  },
  belongs: {
    title: 'Do the parts belong together?',
    how: [
      'Read what is written on shifter, derailleur, cassette and chain.',
      'Number of speeds and kind must agree. Where you are not sure, ask the maker.',
    ],
    values: { together: 'they do', mixed: 'they do not' },
  },
  charge: {
    title: 'Is the battery charged?',
    how: ['Look at the charge of the derailleur and of the shifter.'],
    values: { full: 'charged', low: 'low' },
  },
  'b-gap': {
    title: 'Is the gap to the largest cog right?',
    how: [
      'Shift to the largest cog and look from the side.',
      'Between the upper pulley and the cog there must be a small gap, as the maker gives it: often 5 to 6 mm.',
    ],
    values: { right: 'as it should be', wrong: 'touching, or far off' },
  },
} as const satisfies Partial<Record<AnyFinding, FindingWords>>

/** Tests by hand, with the bike standing still. */
const BY_HAND = {
  'front-cage': {
    title: 'Does the chain touch the front derailleur when you lean on the crank?',
    how: [
      'Hold the rear brake, put one foot on the lower pedal and lean on it.',
      'Look between chain and front cage.',
    ],
    values: { clear: 'it stays clear', touches: 'it touches' },
  },
  gauge: {
    title: 'How far has the chain lengthened?',
    how: ['Measure it with your gauge, under tension, away from the joining link, at two places.'],
    values: { fresh: 'hardly worn', between: 'in between', past: 'past its limit' },
  },
  'ring-lift': {
    title: 'Does the chain lift off the ring?',
    how: [
      'Big ring and a big cog. Take the chain at the very front of the ring and pull it forward.',
      'Look for daylight between chain and teeth. A little is normal.',
    ],
    values: { little: 'a little', 'half-tooth': 'half a tooth or more' },
  },
  'laid-chain': {
    title: 'Does a fresh chain sit on the cog?',
    how: [
      'Lay ten links of a fresh chain round the cog and pull both ends down.',
      'Every roller must sit at the bottom of its valley.',
    ],
    values: { sits: 'it sits', 'rides-up': 'it rides up' },
  },
  hanger: {
    title: 'Is the hanger straight?',
    how: [
      'Best with a hanger gauge. Without one: hold a stick against the hanger, its end at the rim.',
      'Compare the distance to the rim at four places. Turn the wheel so that the same spot of the rim is used.',
    ],
    values: { straight: 'the same all round', bent: 'it differs' },
  },
  lockring: {
    title: 'Does the cassette move?',
    how: ['Hold the wheel, take the largest cog and push it sideways.'],
    values: { firm: 'firm', moves: 'it moves or clicks' },
  },
  pulleys: {
    title: 'Are the pulleys sound?',
    how: ['Wiggle each pulley, feel its bolt, and look at its teeth.'],
    values: { sound: 'sound', bad: 'loose, or worn to points' },
  },
  battery: {
    title: 'Does the derailleur answer?',
    how: [
      'Standing still, press each shift button once and listen. Clean the contacts if it does not answer.',
    ],
    values: { works: 'it answers at once', fails: 'late, or not at all' },
  },
  'freehub-hold': {
    title: 'Does the freehub hold?',
    how: ['Hold the rear wheel still and push the pedal forward by hand, several times.'],
    values: { holds: 'it holds every time', spins: 'the pedals turn freely' },
  },
  cable: {
    title: 'Does the cable slide?',
    how: [
      'Pull the bare cable away from the frame by hand, let it go, and work the shifter.',
      'Look at both ends for broken strands.',
    ],
    values: { slides: 'it slides easily', drags: 'it drags or is frayed' },
  },
} as const satisfies Partial<Record<AnyFinding, FindingWords>>

/** Tests with the wheel off the ground, and the one on the road. */
const TURNING = {
  'freehub-feel': {
    title: 'How does the freehub turn?',
    how: ['Lift the wheel. Turn the cogs backward by hand and listen: an even click, no drag.'],
    caution: FINGERS,
    values: { smooth: 'smooth and even', rough: 'it drags, grates or misses' },
  },
  links: {
    title: 'Does every link bend?',
    how: [
      'Lift the wheel and turn the crank slowly backward.',
      'Watch the links one by one as they leave the lower pulley. A stiff one stays bent, and the cage jerks.',
    ],
    caution: FINGERS,
    values: { bend: 'all of them bend', 'one-stays': 'one stays bent' },
  },
  barrel: {
    title: 'Does a quarter turn of the barrel help?',
    how: [
      'Lift the wheel, shift to a middle cog, turn the crank.',
      'Slow onto larger cogs: turn the barrel a quarter turn outward, away from the housing it sits in. Slow onto smaller ones: a quarter turn inward.',
      'Try every cog. Electric: one step of fine tuning instead.',
    ],
    caution: FINGERS,
    values: {
      'no-change': 'no change',
      better: 'better on every cog',
      'one-end': 'better at one end, worse at the other',
    },
  },
  limits: {
    title: 'Does it stop at the first and the last cog?',
    how: [
      'Lift the wheel, turn the crank, shift to the smallest and then to the largest cog.',
      'Push the derailleur by hand: it must not go past the cog, and must reach it.',
    ],
    caution: FINGERS,
    values: { 'stop-right': 'it stops right', wrong: 'too far, or too short' },
  },
  length: {
    title: 'Is the chain long enough, and not too long?',
    how: [
      'Shift slowly by hand to the largest ring and the largest cog. Stop before the cage is pulled straight.',
      'Then the smallest of both: the lower run must not hang.',
    ],
    caution: FINGERS,
    values: { right: 'right at both ends', wrong: 'pulled straight, or hanging' },
  },
  'quiet-drop': {
    title: 'Is it quiet after a drop of lube?',
    how: ['A drop on every roller, turn the crank ten times, wipe.'],
    caution: 'Keep lube off rotor and pads: it ruins the brake.',
    values: { same: 'the same', quiet: 'quiet' },
  },
  climb: {
    title: 'Does it happen seated, too?',
    how: ['Ride the same climb seated, slowly, on clear ground. Do not stand up.'],
    caution: 'Only where nothing suggests that the chain may skip. You never need this test.',
    values: { same: 'seated too', 'only-standing': 'never seated' },
  },
} as const satisfies Partial<Record<AnyFinding, FindingWords>>

/** Every test of why it slips or skips. */
export const SHIFTING_TESTS = { ...SEEN, ...BY_HAND, ...TURNING }
