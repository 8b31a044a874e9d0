import type { WashMethod } from '../log/kinds/wash.ts'
import type { Lube } from './lubes.ts'
import type { KitTool, WashWay } from './wash-ways.ts'

/** What is known of a way. */
export interface WayFacts {
  /** What it does to the chain, as the log has it. */
  readonly method: WashMethod
  /** What may go on afterwards, the usual one first. */
  readonly lubes: readonly Exclude<Lube, 'none'>[]
  readonly needs: readonly KitTool[]
  /** Solvent comes near the chain: many makers forbid it. */
  readonly isSolvent: boolean
  /** How much of grit and old lubricant it takes out of the rollers, 0 to 1. Ours, a judgement. */
  readonly cleans: number
}

const DRIPS = ['wet-lube', 'dry-lube', 'drip-wax'] as const

/** Every way there is. */
export const WAYS: Readonly<Record<WashWay, WayFacts>> = {
  spray: {
    method: 'none',
    lubes: ['wet-lube', 'dry-lube'],
    needs: [],
    isSolvent: false,
    cleans: 0,
  },
  drip: {
    method: 'none',
    lubes: ['wet-lube', 'dry-lube'],
    needs: [],
    isSolvent: false,
    cleans: 0.1,
  },
  'drip-wax': { method: 'wipe', lubes: ['drip-wax'], needs: [], isSolvent: false, cleans: 0.2 },
  wipe: { method: 'wipe', lubes: DRIPS, needs: [], isSolvent: false, cleans: 0.4 },
  bath: {
    method: 'on-bike',
    lubes: DRIPS,
    needs: ['chain-bath'],
    isSolvent: true,
    cleans: 0.7,
  },
  degrease: { method: 'on-bike', lubes: DRIPS, needs: [], isSolvent: true, cleans: 0.75 },
  full: {
    method: 'off-bike',
    lubes: DRIPS,
    needs: ['cassette-tool'],
    isSolvent: true,
    cleans: 0.95,
  },
  're-wax': {
    method: 'off-bike',
    lubes: ['immersion-wax'],
    needs: ['pot'],
    isSolvent: false,
    cleans: 0.85,
  },
  'strip-wax': {
    method: 'off-bike',
    lubes: ['immersion-wax'],
    needs: ['pot'],
    isSolvent: true,
    cleans: 1,
  },
}

/** Whether a lubricant is wax. */
export const isWax = (lube: Lube | undefined): boolean => lube === 'immersion-wax' || lube === 'drip-wax'

/** Why a way does not go with what is on the chain, or with the roads to come. */
export type Misfit =
  /** Hot wax does not hold on an oily chain. */
  | 'wax-on-oil'
  /** Oil over wax: the wax is lost, and dirt sticks to both. */
  | 'oil-on-wax'
  /** Rain washes a dry lube out at once. */
  | 'dry-in-rain'
  /** A chain without wax gains nothing from a dip made for waxed ones. */
  | 'not-waxed'
  /** The maker of the chain, or the rider, forbids solvents. */
  | 'solvent-forbidden'

/**
 * What does not mix.
 * @param on what is on the chain now; undefined where it is not known
 * @param wetShare share of the distance to come that is wet, 0 to 1
 */
export function misfits(
  way: WashWay,
  lube: Lube,
  {
    on,
    wetShare,
    noSolvent,
  }: { readonly on: Lube | undefined; readonly wetShare: number; readonly noSolvent: boolean },
): readonly Misfit[] {
  const isOily = on === 'wet-lube' || on === 'dry-lube'
  const stripsOil = WAYS[way].cleans >= 0.7
  return [
    ...(WAYS[way].isSolvent && noSolvent ? (['solvent-forbidden'] as const) : []),
    ...(way === 're-wax' && !isWax(on) ? (['not-waxed'] as const) : []),
    ...(lube === 'drip-wax' && isOily && !stripsOil ? (['wax-on-oil'] as const) : []),
    ...(isWax(on) && !isWax(lube) && !stripsOil ? (['oil-on-wax'] as const) : []),
    ...(lube === 'dry-lube' && wetShare >= 0.25 ? (['dry-in-rain'] as const) : []),
  ]
}
