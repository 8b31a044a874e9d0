import { CONDITION_MULTIPLIER, UNSURE_LOG_SD, type Condition } from './conditions.ts'
import { energyFactor, lubeMultiplier, type WearKmInput } from './wear-km.ts'
import type { Lube } from '../lube/lubes.ts'

/** Spread of what is learned of a multiplier, as the logarithm of a factor on its default (methods 4). */
const CONDITION_LOG_SD = 0.35
const LUBE_LOG_SD = 0.2
/** Spread of what rides of unknown energy put through the chain about the known ones (methods 3). */
const ENERGY_UNKNOWN_LOG_SD = 0.2

/** Some distance of one kind: how far, in what, on what lubricant. */
export interface RoadPiece {
  /** km, times the energy over the reference where it is known, times what the age of the lubricant adds */
  readonly km: number
  readonly condition: Condition
  readonly lube?: Lube | undefined
  /** No condition is set: it is only taken to be so. */
  readonly notSet?: true | undefined
  /** Nobody has told its energy, while other rides of the bike tell theirs: it is taken to be like them. */
  readonly energyUnknown?: true | undefined
}

/** A stretch of riding as a piece of road: its energy over the reference counts as distance (methods 3). */
export const roadPiece = ({ km, condition, lube, energyKjPerKm }: WearKmInput): RoadPiece => ({
  km: km * energyFactor(energyKjPerKm),
  condition,
  lube,
})

/** What a multiplier is of. Dry road and drip lube are the units. */
export type Factor = Exclude<Condition, 'dry-road'> | Exclude<Lube, 'dry-lube'> | 'not-set' | 'energy-unknown'

/** How far from its default a multiplier may be, as a spread of the logarithm. */
export function factorLogSd(of: Factor): number {
  if (of === 'not-set') return UNSURE_LOG_SD
  if (of === 'energy-unknown') return ENERGY_UNKNOWN_LOG_SD
  return of in CONDITION_MULTIPLIER ? CONDITION_LOG_SD : LUBE_LOG_SD
}

/** The multipliers that a piece of road bears. */
export function factorsOf({ condition, lube, notSet, energyUnknown }: RoadPiece): Factor[] {
  const factors: Factor[] = []
  if (condition !== 'dry-road') factors.push(condition)
  // Wet lube is drip lube like any other but in dust, which it holds.
  if (lube !== undefined && lube !== 'dry-lube' && (lube !== 'wet-lube' || condition === 'dry-gravel'))
    factors.push(lube)
  if (notSet) factors.push('not-set')
  if (energyUnknown) factors.push('energy-unknown')
  return factors
}

/** Wear-km of a piece at the default multipliers. */
export const defaultWearKm = ({ km, condition, lube }: RoadPiece): number =>
  km * CONDITION_MULTIPLIER[condition] * lubeMultiplier(lube, condition)

/** The kind of a piece: pieces of one kind bear the same multipliers. */
export const kindOf = (piece: RoadPiece): string => factorsOf(piece).join(' ')

/** A road in terms of a model: wear-km at the defaults of each kind, by the kind's number. */
export interface Road {
  readonly kind: Int32Array
  readonly km: Float64Array
}

/**
 * Adds a road up by kind.
 * @param numberOf the number of a kind
 * @throws RangeError for a distance below 0 or none
 */
export function roadByKind(pieces: readonly RoadPiece[], numberOf: (kind: string) => number): Road {
  const kinds = new Map<number, number>()
  for (const piece of pieces) {
    if (!(piece.km >= 0)) throw new RangeError('A distance must be 0 km or more.')
    const kind = numberOf(kindOf(piece))
    kinds.set(kind, (kinds.get(kind) ?? 0) + defaultWearKm(piece))
  }
  const sorted = [...kinds].sort(([a], [b]) => a - b)
  return {
    kind: Int32Array.from(sorted, ([kind]) => kind),
    km: Float64Array.from(sorted, ([, km]) => km),
  }
}

/** Pieces of one condition, lubricant and certainty added together, so that a long story stays short. */
export function gathered(pieces: readonly RoadPiece[]): RoadPiece[] {
  const places = new Map<string, number>()
  const kinds: RoadPiece[] = []
  const sums: number[] = []
  for (const piece of pieces) {
    const key = `${piece.condition} ${piece.lube ?? ''} ${piece.notSet ?? ''} ${piece.energyUnknown ?? ''}`
    const place = places.get(key)
    if (place === undefined) {
      places.set(key, kinds.length)
      kinds.push(piece)
      sums.push(piece.km)
    } else sums[place] = (sums[place] ?? 0) + piece.km
  }
  return kinds.map((piece, i) => ({ ...piece, km: sums[i] ?? 0 }))
}
