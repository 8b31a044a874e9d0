import type { Misfit } from '../core/lube/ways.ts'
import type { WayReason } from '../core/lube/suggest.ts'
import type { Material } from '../core/session/materials.ts'
import type { WashWay } from '../core/lube/wash-ways.ts'
import { KIT_NAMES, LOOK_NAMES } from './wash-words.ts'

const MISFITS: Readonly<Record<Misfit, string>> = {
  'wax-on-oil': 'wax does not hold on an oily chain: strip it first',
  'oil-on-wax': 'oil on a waxed chain: the wax is lost, and dirt sticks to both',
  'dry-in-rain': 'rain washes a dry lube out at once',
  'not-waxed': 'this chain is not waxed: it is stripped first',
  'solvent-forbidden': 'it takes solvent near the chain, which you ruled out',
}

/** What does not mix, in a few words. */
export const sayMisfit = (misfit: Misfit): string => MISFITS[misfit]

/** One reason for a way of washing or against it, in a few words. */
export function sayWayReason(reason: WayReason): string {
  switch (reason.why) {
    case 'clean-enough':
      return 'the chain is clean enough for it'
    case 'dirty':
      return reason.look === 'mud'
        ? 'mud has to come out of the rollers'
        : `a ${LOOK_NAMES[reason.look]} chain needs cleaning`
    case 'waxed-already':
      return 'the chain was waxed before: hot water takes the old wax off, no solvent'
    case 'top-up':
      return 'drip wax keeps a waxed chain going between two dips'
    case 'rain-ahead':
      return 'wet lube holds on the wet roads of this season'
    case 'dust-ahead':
      return 'dry lube takes up less dust'
    case 'fits-time':
      return 'it fits into your time'
    case 'your-school':
      return 'it is your usual way'
    case 'leaves-dirt':
      return 'it leaves grit in the rollers'
    case 'too-long':
      return `it takes ${reason.minutes} minutes at least`
    case 'needs':
      return `it needs ${KIT_NAMES[reason.tool]}`
    case 'misfit':
      return sayMisfit(reason.misfit)
  }
}

/** What each way is, why some swear by it, and what others say against it. */
export const WAY_TALK: Readonly<Record<WashWay, string>> = {
  wipe: 'A rag, a light spray, fresh lube; often. Quick, and no solvent near the chain, as many chain makers want it. Others say that grit stays in the rollers.',
  degrease:
    'Degreaser and a stiff brush on the bike, rinse, dry, lube. Takes out most of the grit. Many chain makers forbid solvents: what stays in the rollers thins the new lube.',
  bath: 'A box with brushes clipped round the chain. Less mess than a brush, and as much solvent.',
  full: 'Chain and cassette off, each in its bath. Cleanest of all with oil; once or twice a year is enough.',
  'strip-wax':
    'All oil out with solvent, twice, then hot wax. Much work once; afterwards hot water is enough. Cleanest running and least wear.',
  're-wax': 'Hot water, dry fully, hot wax. No solvent. The chain must be off, and dry inside.',
  'drip-wax':
    'Wax that is dripped on and dries. Keeps a waxed chain going for some hundred kilometres; does not clean.',
  drip: 'One drop a roller and a wipe. On a clean chain it is all that is wanted. Too much oil collects grit and wears nearly as fast as none.',
  spray: 'When nothing else is at hand. Some of it lands where it should not: keep it off the rotors.',
}

/** What is laid out, as a list at the stand has it. */
export const MATERIAL_NAMES: Readonly<Record<Material, string>> = {
  rag: 'rags',
  'rotor-cloth': 'a cloth for the rotors only',
  alcohol: 'isopropyl alcohol',
  gloves: 'gloves',
  degreaser: 'degreaser, a cup',
  'solvent-jar': 'solvent in a jar with a lid, two fillings',
  brush: 'stiff brush',
  'soap-water': 'a bucket of soapy water',
  'water-pot': 'kettle or pot for water',
  'wax-pot': 'wax pot with a thermostat',
  wax: 'chain wax, enough to cover a chain',
  hook: 'wire hooks',
  bar: 'a round bar',
  'link-pliers': 'joining-link pliers',
  'joining-link': 'a fresh joining link (if the old one is used up)',
  lube: 'lube',
  'chain-bath': 'chain bath',
  'cassette-tools': 'chain whip and cassette tool',
  ultrasonic: 'ultrasonic bath and its cleaner',
  shields: 'two bags to shield the rotors',
  gauge: 'gauge or rule',
}
