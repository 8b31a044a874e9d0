import type { AnyFinding, Complaint } from '../../../core/faults/finder.ts'

/** What happens, as a rider says it. */
export const COMPLAINT_NAMES: Readonly<Record<Complaint, string>> = {
  slips: 'The pedals jump forward',
  jumps: 'The chain jumps to another cog and back',
  grinds: 'It grinds or rattles',
  'one-way': 'It will not shift one way',
  drops: 'The chain falls off',
}

/** A finding: what is asked or tested, in a few words; its answers; for a test, what to do. */
export interface FindingWords {
  readonly title: string
  readonly values: Readonly<Record<string, string>>
  /** Where to stand, what to do, what to look at. */
  readonly how?: readonly string[]
  readonly caution?: string
}

const YES_NO = { yes: 'yes', no: 'no' }
const FINGERS = 'Keep fingers and loose clothing away from cogs and rotor while the wheel turns.'

/** What is felt on the road, and when. */
const FELT = {
  slips: { title: 'The pedals jump forward', values: YES_NO },
  jumps: { title: 'The chain jumps to another cog and back', values: YES_NO },
  grinds: { title: 'It grinds or rattles', values: YES_NO },
  'one-way': { title: 'It will not shift one way', values: YES_NO },
  drops: { title: 'The chain falls off', values: YES_NO },
  load: {
    title: 'How hard do you pedal when it happens?',
    values: { 'hard-only': 'only hard', 'light-too': 'lightly too' },
  },
  cogs: {
    title: 'On which cogs?',
    values: { one: 'one cog', small: 'the small ones', large: 'the large ones', all: 'all of them' },
  },
  standing: { title: 'Only when you stand up on a climb?', values: YES_NO },
  period: {
    title: 'In what rhythm?',
    values: {
      crank: 'once per crank turn',
      chain: 'once per turn of the chain',
      wheel: 'once per wheel turn',
      pulley: 'several times per crank turn',
      none: 'no rhythm',
    },
  },
  'new-chain': { title: 'Since a new chain?', values: YES_NO },
  'new-cassette': { title: 'Since a new cassette?', values: YES_NO },
  crash: { title: 'Since a fall or a knock?', values: YES_NO },
  'wheel-change': { title: 'Since another rear wheel?', values: YES_NO },
  sound: {
    title: 'What does it sound like?',
    values: {
      creak: 'a creak',
      click: 'a click',
      rub: 'a rub',
      squeal: 'a squeal',
      knock: 'a knock',
      chirp: 'a chirp',
    },
  },
  pedalling: {
    title: 'When you pedal, or coasting too?',
    values: { 'only-pedalling': 'only pedalling', 'coasting-too': 'coasting too' },
  },
  seated: {
    title: 'Seated or standing?',
    values: { 'only-seated': 'only seated', 'only-standing': 'only standing', both: 'both' },
  },
  braking: { title: 'When you brake?', values: YES_NO },
  bars: { title: 'When you pull on the bars?', values: YES_NO },
  rhythm: {
    title: 'In what rhythm?',
    values: { crank: 'once per crank turn', wheel: 'once per wheel turn', none: 'no rhythm' },
  },
  felt: {
    title: 'Where do you feel or hear it?',
    values: {
      saddle: 'at the saddle',
      pedals: 'at the pedals',
      bars: 'at the bars',
      rear: 'at the rear wheel',
      front: 'at the front wheel',
    },
  },
  weather: {
    title: 'In what weather?',
    values: { dry: 'when it is dry', 'after-rain': 'after rain', either: 'either' },
  },
} as const satisfies Partial<Record<AnyFinding, FindingWords>>

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

/** Tests that tell where a noise comes from. */
const ISOLATING = {
  'stand-coasting': {
    title: 'Does it creak when you push on the saddle?',
    how: ['Standing beside the bike, push the saddle down and to each side with your weight.'],
    values: { quiet: 'quiet', noise: 'the noise is there' },
  },
  'bars-pulled': {
    title: 'Does it creak when you pull the bars?',
    how: ['Front wheel between your knees. Pull one side of the bars up, push the other down.'],
    values: { quiet: 'quiet', noise: 'the noise is there' },
  },
  'front-rocked': {
    title: 'Is there play in front?',
    how: ['Hold the front brake, one hand at the base of the stem, and rock the bike back and forth.'],
    values: { firm: 'firm', moves: 'a knock is felt' },
  },
  'crank-pushed': {
    title: 'Does the crank move sideways?',
    how: ['Take both crank arms at their ends and push them toward the frame and away, at several places.'],
    values: { firm: 'firm', moves: 'it moves' },
  },
  'one-foot': {
    title: 'Does one pedal click?',
    how: ['Hold both brakes, stand beside the bike and lean on one pedal with a foot. Then the other.'],
    values: { quiet: 'quiet', noise: 'one of them clicks' },
  },
  'bolts-felt': {
    title: 'Is a bolt loose?',
    how: [
      'Feel ring bolts, crank bolts, hanger bolt and axle by hand, then with the wrench.',
      'A quick release must leave a mark in the palm, and not turn once it is shut.',
    ],
    values: { tight: 'all tight', loose: 'one is loose' },
  },
  'wheel-spun': {
    title: 'Does the wheel rub when it spins?',
    how: ['Lift each wheel in turn and spin it. Listen at rotor or rim.'],
    caution: FINGERS,
    values: { quiet: 'quiet', rubs: 'it rubs' },
  },
  'spokes-squeezed': {
    title: 'Is a spoke loose?',
    how: ['Squeeze the spokes in pairs, all the way round, on both sides.'],
    values: { even: 'all alike', loose: 'one gives' },
  },
  'cassette-wiggled': {
    title: 'Does the cassette or the rotor move?',
    how: ['Hold the wheel and push cogs and rotor sideways.'],
    values: { firm: 'firm', moves: 'it moves or clicks' },
  },
  'chain-drop': {
    title: 'Is it quiet after a drop of lube on the chain?',
    how: ['A drop on every roller, turn the crank ten times, wipe, ride a little.'],
    caution: 'Keep lube off rotor and pads: it ruins the brake.',
    values: { same: 'the same', quiet: 'quiet' },
  },
  'post-greased': {
    title: 'Is it quiet with the seat post greased?',
    how: [
      'Mark its height, pull it, clean post and clamp, grease them (assembly paste on carbon), put it back to the maker’s torque.',
    ],
    values: { same: 'the same', quiet: 'quiet' },
  },
  'pedals-swapped': {
    title: 'Is it quiet with the pedals greased?',
    how: ['Take both off, clean and grease the threads, put them back. The left one has a left-hand thread.'],
    values: { same: 'the same', quiet: 'quiet' },
  },
} as const satisfies Partial<Record<AnyFinding, FindingWords>>

/** Every finding in words. */
export const FINDING_WORDS: Readonly<Record<AnyFinding, FindingWords>> = {
  ...FELT,
  ...SEEN,
  ...BY_HAND,
  ...TURNING,
  ...ISOLATING,
}

/** How a test is made, in a word or two. */
export const WAY_NAMES = {
  feel: 'As it feels',
  eye: 'By eye',
  hand: 'By hand, standing still',
  'wheel-up': 'Wheel off the ground',
  ride: 'On the road',
} as const
