import { sprocketTeeth } from '../../exposure/gear-mix.ts'
import type { BikeId } from '../../log/entry.ts'
import { fittedParts, type BikeState, type Garage } from '../../log/garage.ts'
import type { StockEntry } from '../../log/kinds/stock.ts'
import type { StockMoveEntry } from '../../log/kinds/stock-move.ts'
import { fitOf, type Fit, type TakingBike } from './fit.ts'

/** A thing on the shelf as it is now. */
export interface StockState {
  readonly entry: StockEntry
  readonly moves: readonly StockMoveEntry[]
  /** Pieces there are; below 0 where more were used than ever came. */
  readonly count: number
  /** What the last ones cost, for one, minor units of its currency; absent where nothing was ever paid. */
  readonly lastPaid?: { readonly minor: number; readonly currency: string }
  readonly isShort: boolean
}

const NO_MOVES: readonly StockMoveEntry[] = []

function stateOf(garage: Garage, entry: StockEntry): StockState {
  const moves = garage.listed['stock-move'].get(entry.stock) ?? NO_MOVES
  const count = moves.reduce((sum, move) => sum + move.count, 0)
  const paid = moves.filter((move) => move.minor !== undefined && move.count > 0).at(-1)
  return {
    entry,
    moves,
    count,
    isShort: count < (entry.minimum ?? 0),
    ...(paid && {
      lastPaid: { minor: Math.round((paid.minor ?? 0) / paid.count), currency: paid.currency ?? 'EUR' },
    }),
  }
}

/** Everything on the shelf that is kept, by name. */
export const stockOf = (garage: Garage): readonly StockState[] =>
  [...garage.listed.stock.values()]
    .flatMap((list) => list.at(-1) ?? [])
    .filter(({ isDropped }) => !isDropped)
    .map((entry) => stateOf(garage, entry))
    .sort((a, b) => a.entry.name.localeCompare(b.entry.name))

/** What a bike takes. */
export function takingBike(garage: Garage, { entry }: BikeState): TakingBike {
  const { cogs, rings } = sprocketTeeth(garage, entry.bike)
  const pulleys = fittedParts(garage, entry.bike, 'pulley').flatMap(({ entry: { spec } }) =>
    spec.type === 'pulley' ? [spec.teeth] : [],
  )
  return { speeds: entry.speeds, facts: entry.fit ?? {}, cogs, rings, pulleys }
}

/** Whether a thing on the shelf goes on a bike. */
export function stockFit(garage: Garage, { entry, moves }: StockState, bike: BikeState): Fit {
  const wasOn = (id: BikeId): boolean => moves.some((move) => move.why === 'used' && move.bike === id)
  return fitOf(entry.item, entry.facts ?? {}, takingBike(garage, bike), wasOn(bike.entry.bike))
}
