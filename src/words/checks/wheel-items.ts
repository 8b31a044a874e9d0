import type { ItemId } from '../../core/checks/items.ts'
import type { ItemWords } from './item-talk.ts'

const tyre: ItemWords = {
  how: [
    'Turn the wheel and look at the whole tread, then at both sides.',
    'Feel for cuts, pick out glass and stones.',
    'Look at the shape: a worn tyre is square in the middle.',
    'The arrow on the side points the way it rolls.',
  ],
  passes: 'No threads, no bulge, no cut through the tread, the middle not flat across.',
  fails: 'Threads or a bulge at the side: replace it before riding. Square: replace it soon.',
  drawing: 'tyre',
}
const wheel: ItemWords = {
  how: [
    'Turn the wheel and watch the gap at the brake pad or the stay.',
    'Squeeze pairs of spokes all the way round: none is loose, none is missing.',
    'Look at the rim where the spokes go in: no cracks.',
  ],
  passes: 'It wanders less than 1 mm, and all spokes are about equally tight.',
  fails: 'A loose or broken spoke: have it trued soon. A cracked rim: do not ride it.',
}
const hub: ItemWords = {
  how: [
    'Hold the rim and push it sideways: feel for a knock.',
    'Lift the wheel, spin it slowly and lay a hand on the frame: feel for grit.',
  ],
  passes: 'No play, and it turns smoothly until it swings back by itself.',
  fails: 'Play or grit: have the bearings adjusted or replaced soon.',
  care: 'Fingers out of the spokes and the rotor.',
}
const axle: ItemWords = {
  how: [
    { needs: 'through-axle', say: 'Through axle: turn it by hand the way it closes. It must not move.' },
    {
      needs: 'quick-release',
      say: 'Quick release: the lever is hard to close from half way, marks the palm, and cannot be turned once it is shut.',
    },
    { needs: 'nuts', say: 'Nuts: put a spanner on both.' },
  ],
  passes: 'It is shut and tight, the lever lies along the fork or the stay, the wheel sits straight.',
  fails: 'Close it as it should be. If it does not hold: do not ride it.',
  drawing: 'release',
}
const rim: ItemWords = {
  how: [
    'Lay a straight edge across the braking surface: a worn rim is hollow.',
    'Look for the wear mark or groove, if it has one: it must still be there.',
    'Measure the side wall with a caliper where you can. Pick grit out of the pads.',
  ],
  passes: 'The wear mark is there; the wall is 1 mm or more; no cracks, no bulge.',
  fails: 'A worn wall can burst under the tyre. Let a mechanic look before it is ridden.',
  drawing: 'rim',
}

/** Wheels, tyres, axles. */
export const WHEEL_WORDS = {
  'axle-rear': axle,
  'axle-front': axle,
  pressure: {
    how: [
      'Gauge both tyres, or press hard with a thumb.',
      'The lower of what the tyre and the rim allow is the most.',
    ],
    passes: 'Within what is printed on tyre and rim, and never so soft that a thumb reaches the rim.',
    fails: 'Pump it up before riding. If it is soft again next day, look for the hole.',
    drawing: 'thumb',
  },
  'tyre-rear': tyre,
  'tyre-front': tyre,
  sealant: {
    how: [
      'Turn the valve to the bottom and wait, then up, take out its core and dip a thin stick in.',
      'Or shake the wheel at your ear: liquid splashes.',
      'Blow through the core: dried sealant clogs it.',
    ],
    passes: 'The stick comes out wet. Sealant dries within months.',
    fails: 'Dry: put in fresh sealant soon, and clean or replace the core.',
  },
  'wheel-rear': wheel,
  'wheel-front': wheel,
  'hub-rear': hub,
  'hub-front': hub,
  'rim-rear': rim,
  'rim-front': rim,
} as const satisfies Readonly<Partial<Record<ItemId, ItemWords>>>
