import type { ItemId } from '../../core/checks/items.ts'
import { STATIONS } from '../places.ts'
import type { ItemWords } from './item-talk.ts'

/** Saddle, bars, frame, fork, and the bike as a whole. */
export const FRAME_WORDS = {
  saddle: {
    how: ['Try to tip and twist the saddle.', 'Look at the rails beside the clamp for cracks.'],
    passes: 'Nothing moves or creaks, rails straight.',
    fails: 'Tighten the clamp to the value. A bent or cracked rail: replace the saddle.',
    drawing: 'bolts',
  },
  post: {
    how: [
      'Scratches above the clamp show that it slipped.',
      'Once a year: mark the height, pull it out, clean and grease it.',
      { needs: 'carbon', say: 'Carbon: carbon paste, no grease.' },
    ],
    passes: 'It does not slip or creak, and the mark for the least depth is inside the frame.',
    fails: 'Clean, grease or paste, tighten to the value. Stuck fast: a mechanic.',
  },
  frame: {
    how: [
      'Wipe it and look along every tube and round every joint, with a lamp.',
      'Underneath, behind the head tube, at the chainstays, round the bottom bracket.',
      { needs: 'carbon', say: 'Carbon: tap along it with a coin; a dull spot is suspect.' },
    ],
    passes: 'No crack, no bulge, no line in the paint that comes back after wiping.',
    fails: 'A crack: stop riding. A qualified mechanic looks at it.',
  },
  headset: {
    how: [
      'Pull the front brake. Lay a hand round the base of the stem, where the bearing is.',
      'Rock the bike back and forth.',
    ],
    passes: 'No knock under the hand.',
    fails: 'Play or binding: have it adjusted before it is ridden.',
    drawing: 'headset',
  },
  'headset-turn': {
    how: ['Lift the front wheel and turn the bars slowly from side to side.'],
    passes: 'Smooth all the way, and no notch in the middle.',
    fails: 'Gritty or notched: service it soon. If it binds: stop riding.',
  },
  'stem-bolts': {
    how: [
      'Hold the front wheel between the knees and try to twist the bars.',
      'Push down on the bars: they must not turn in the stem.',
      'Tighten the bolts in turns, crosswise, with an even gap above and below.',
    ],
    passes: 'Nothing moves, the gap is even, each bolt at its value.',
    fails: 'Bars that turn: stop riding until they hold. Where two parts give two values, the lower one.',
    drawing: 'bolts',
  },
  levers: {
    how: ['Try to twist each lever round the bar.'],
    passes: 'Snug: it gives under a hard push, so that a fall does not break it.',
    fails: 'Set them and tighten to the value.',
  },
  sweat: {
    how: [
      'Indoors, sweat runs where nobody looks: under the tape, under the stem, onto the headset.',
      'Look for white bloom, bubbling paint, cables that stick.',
      'Lift the end of the tape where the bar was wet most.',
    ],
    passes: 'Clean, dry metal.',
    fails: 'White bloom, pits or bubbling paint: stop riding. A mechanic looks at bar and stem.',
  },
  tape: {
    how: ['Turn them by hand. Look at the plugs in the ends.'],
    passes: 'They do not turn, both plugs are in.',
    fails: 'New tape about once a year; an open bar end can hurt.',
  },
  fork: {
    how: [
      'Wipe it and look at the crown, the inside of the blades and the ends.',
      'After something caught in the wheel or the brake, look twice.',
    ],
    passes: 'No crack, no bend, both blades alike from the front.',
    fails: 'A crack or a bend: stop riding. A qualified mechanic looks at it.',
  },
  suspension: {
    how: [
      'Wipe legs and seals with soap and water. No oil on them but their own.',
      'Push down: it sinks and comes back smoothly. Look for an oily ring.',
    ],
    passes: 'Clean, no oil ring, no play, service interval not over.',
    fails: 'Oil or play: have it serviced by a mechanic.',
    care: 'No spray, no degreaser on the legs or the seals.',
  },
  bolts: {
    how: [
      'Bolts come loose on the road. Try each by hand first.',
      'Tighten what moves, to its value: the torque book below has them.',
      'Small bolts by feel: a short key, two fingers.',
    ],
    passes: 'None moves.',
    fails: 'Tighten it to the value, and look at it again after the next ride.',
    drawing: 'bolts',
  },
  noises: {
    how: [
      'Listen while pedalling, coasting, seated, standing, pulling at the bars.',
      'Each narrows down where it comes from.',
    ],
    passes: 'Quiet.',
    fails: 'Find where it comes from, then strip, clean, grease and refit.',
    goOn: { to: STATIONS.faults.path, label: 'Find the noise' },
  },
  lights: {
    how: ['Switch on front and rear, cover and uncover them. Ring the bell.'],
    passes: 'Both shine, both hold, charged.',
    fails: 'Charge or mend them before riding in the dark.',
  },
  mudguards: {
    how: ['Shake them. Look at the stays near the wheel.'],
    passes: 'Nothing rattles or can touch the wheel.',
    fails: 'Tighten it before riding: a stay in the wheel throws you.',
  },
  grease: {
    how: [
      'Grease is the barrier: seat post, headset, axles, pedal threads, bolts.',
      { needs: 'carbon', say: 'Carbon: carbon paste in place of grease.' },
      'Oil on the seals.',
      'Renew or flush exposed cables. Change to wet lube.',
    ],
    passes: 'All threads and posts greased, seals oiled.',
    fails: 'Do it before the salt comes.',
  },
  'tool-bag': {
    how: ['Tube or plugs, levers, pump, keys, chain tool.'],
    passes: 'Everything is there, and the pump pumps.',
    fails: 'Fill it up.',
  },
  'spare-link': {
    how: ['One that fits the chain, unused, in the bag.', 'Batteries: charged, and their charger packed.'],
    passes: 'It is there, and it is for this chain.',
    fails: 'Buy one before you go.',
    goOn: { to: STATIONS.shelf.path, label: 'Look on the shelf' },
  },
  block: {
    how: [
      'Slowly first, on clear ground: brakes, gears, steering with one hand.',
      'Then try each bolt again that you touched.',
    ],
    passes: 'It brakes, shifts, runs straight, and is quiet.',
    fails: 'Go back to what is not right.',
    care: 'Not with a brake, steering or a frame that is in doubt.',
  },
} as const satisfies Readonly<Partial<Record<ItemId, ItemWords>>>
