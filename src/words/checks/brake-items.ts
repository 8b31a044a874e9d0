import type { ItemId } from '../../core/checks/items.ts'
import type { ItemWords } from './item-talk.ts'

const ALCOHOL =
  'Pads and rotors: alcohol only, and a cloth used for nothing else. Oil on them ruins the brake.'

const brake: ItemWords = {
  how: [
    'Pull the lever and push the bike: the wheel must lock or slide.',
    'Look where the lever stops: it must not reach the bar.',
    'Let go and spin the wheel: nothing rubs.',
  ],
  passes: 'It stops the wheel, the lever stays off the bar, nothing rubs.',
  fails: 'A brake that does not hold: stop riding. A qualified mechanic looks at it.',
  drawing: 'lever',
}
const pads: ItemWords = {
  how: [
    'Look into the caliper from above or from the front, with a lamp.',
    'Measure pad and plate together: take the wheel out, or the pads.',
    'Lever travel that grows means worn pads, air in the line or stuck pistons.',
  ],
  passes: '3 mm or more with the plate, the same on both sides.',
  fails: 'Under 3 mm with the plate: replace both pads before the next ride.',
  care: ALCOHOL,
  drawing: 'pad',
}
const rotor: ItemWords = {
  how: [
    'Wipe it with alcohol. Measure it in the middle of the braking ring, at three places.',
    'Draw a fingernail across: a groove that catches it is scored.',
    'Spin it and watch the gap to the pads: it must not swing from side to side.',
  ],
  passes:
    '1.55 mm or more, or what is stamped on it; no groove that catches a nail; no blue or cracked spots.',
  fails: 'Thinner or scored: replace it before the next ride, and the pads with it.',
  care: `Keep fingers out of a turning rotor: it is hot and sharp. ${ALCOHOL}`,
  drawing: 'rotor',
}
const bolts: ItemWords = {
  how: [
    'Hold the brake and rock the bike back and forth: a loose rotor or caliper is felt as a knock.',
    'Put a key on each bolt, or try the lockring.',
    'A pad that rubs: loosen the caliper bolts, pull and hold the lever, tighten them.',
  ],
  passes: 'No knock, no bolt that moves, an even gap on both sides of the rotor.',
  fails: 'Tighten to the value before the next ride.',
  drawing: 'caliper',
}
const rimPads: ItemWords = {
  how: [
    'Look from below: there they wear first.',
    'They meet the rim flat, clear of the tyre and above the edge.',
    'Pick grit and metal out of them.',
  ],
  passes: 'Grooves still deep, 1 mm or more of rubber over the wear line, evenly worn.',
  fails: 'Worn to the line: replace both pads before the next ride.',
  care: ALCOHOL,
  drawing: 'rim-pad',
}

/** Brakes and their lines. */
export const BRAKE_WORDS = {
  'brake-rear': brake,
  'brake-front': brake,
  'pads-rear': pads,
  'pads-front': pads,
  'rotor-rear': rotor,
  'rotor-front': rotor,
  'rotor-bolts-rear': bolts,
  'rotor-bolts-front': bolts,
  'rim-pads-rear': rimPads,
  'rim-pads-front': rimPads,
  'brake-lines': {
    how: [
      'Follow each from lever to brake.',
      {
        needs: 'brake-cable',
        say: 'Cable: no frayed strand, no kink, no rust at the ends of the housing.',
      },
      {
        needs: 'hydraulic',
        say: 'Hose: no wet spot at the lever, the caliper or along it. Pull the lever and hold it half a minute.',
      },
    ],
    passes: 'No strand broken, nothing wet, the lever does not sink while it is held.',
    fails: 'A frayed cable or a leak: a qualified mechanic before it is ridden.',
  },
} as const satisfies Readonly<Partial<Record<ItemId, ItemWords>>>
