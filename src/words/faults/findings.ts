import type { AnyFinding, Complaint } from '../../core/faults/finder.ts'
import type { FindingWords } from './finding-words.ts'
import { NOISE_TESTS } from './noise-tests.ts'
import { SHIFTING_TESTS } from './shifting-tests.ts'

/** What happens, as a rider says it. */
export const COMPLAINT_NAMES: Readonly<Record<Complaint, string>> = {
  slips: 'The pedals jump forward',
  jumps: 'The chain jumps to another cog and back',
  grinds: 'It grinds or rattles',
  'one-way': 'It will not shift one way',
  drops: 'The chain falls off',
}

const YES_NO = { yes: 'yes', no: 'no' }

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

/** Every finding in words. */
export const FINDING_WORDS: Readonly<Record<AnyFinding, FindingWords>> = {
  ...FELT,
  ...SHIFTING_TESTS,
  ...NOISE_TESTS,
}

/** How a test is made, in a word or two. */
export const WAY_NAMES = {
  feel: 'As it feels',
  eye: 'By eye',
  hand: 'By hand, standing still',
  'wheel-up': 'Wheel off the ground',
  ride: 'On the road',
} as const
