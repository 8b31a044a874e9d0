import type { AnyFinding } from '../../core/faults/finder.ts'
import { FINGERS, type FindingWords } from './finding-words.ts'

/** Tests that tell where a noise comes from. */
export const NOISE_TESTS = {
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
