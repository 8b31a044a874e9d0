import type { BikeId } from '../../../core/log/entry.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { useInTurn } from '../../../ui/use-in-turn.ts'
import type { Plans } from './use-plans.ts'
import { words } from '../../../words/stations/decide/plans/use-price-saving.ts'

/** Keeps the prices that were moved, in their currency or another. */
export function usePriceSaving(bike: BikeId, { currency, typed, moved, settle }: Plans) {
  const { now, record } = useOpenLog()
  const minor = { ...typed, ...moved }
  const save = useInTurn(async () => {
    if (await record([{ kind: 'prices', at: now, bike, currency, minor }], words.pricesSaved)) settle()
  })
  const changeCurrency = useInTurn(async (next: string) => {
    await record([{ kind: 'prices', at: now, bike, currency: next, minor }], words.pricesIn(next))
    settle()
  })
  return { isMoved: Object.keys(moved).length > 0, save: () => save(), changeCurrency }
}
