import type { LinkFault } from '../core/log/kinds/link-check.ts'
import type { ChainLook } from '../core/lube/chain-looks.ts'
import type { KitTool, WashWay } from '../core/lube/wash-ways.ts'

export const WAY_NAMES: Readonly<Record<WashWay, string>> = {
  wipe: 'wipe and lube',
  degrease: 'degrease on the bike',
  bath: 'chain bath',
  full: 'full clean, all off',
  'strip-wax': 'strip and first wax',
  're-wax': 're-wax',
  'drip-wax': 'drip wax top-up',
  drip: 'drip lube only',
  spray: 'spray at the trailhead',
}

export const KIT_NAMES: Readonly<Record<KitTool, string>> = {
  stand: 'work stand',
  pot: 'wax pot with a thermostat',
  'chain-bath': 'clip-on chain bath',
  ultrasonic: 'ultrasonic bath',
  'compressed-air': 'compressed air',
  'cassette-tool': 'chain whip and cassette tool',
}

export const LOOK_NAMES: Readonly<Record<ChainLook, string>> = {
  quiet: 'still quiet',
  dry: 'dry',
  squeaks: 'squeaks',
  black: 'black',
  rusty: 'rusty',
}

export const LINK_FAULT_NAMES: Readonly<Record<LinkFault, string>> = {
  'parted-plate': 'plate parting',
  'standing-pin': 'pin standing out',
  'cracked-roller': 'cracked roller',
  'stuck-roller': 'stuck roller',
  'stiff-link': 'stiff link',
}

/** What to do about a bad link. */
export const LINK_FAULT_ADVICE: Readonly<Record<LinkFault, string>> = {
  'parted-plate': 'Do not ride this chain: it can break under load. Replace it.',
  'standing-pin': 'Do not ride this chain: the plate is about to come off. Replace it.',
  'cracked-roller': 'Do not ride this chain hard. Replace it soon; a mechanic can replace the link.',
  'stuck-roller': 'Clean and lubricate that link again. If it stays stuck, replace the chain.',
  'stiff-link': 'Flex it sideways, gently, with a drop of oil, until it moves by itself.',
}
