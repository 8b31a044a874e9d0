import type { EntryDraft } from '../log/entries.ts'
import type { BikeId, IsoTime } from '../log/entry.ts'
import { fittedChain, type Garage } from '../log/garage.ts'
import type { CheckResult } from '../log/kinds/check.ts'
import type { WashMethod } from '../log/kinds/wash.ts'
import type { ItemId } from '../checks/items.ts'
import type { Lube } from '../lube/lubes.ts'
import { USUAL_LINKS } from '../gearing/drivetrains.ts'
import { swapEntries } from './shelf/swap.ts'

/** Something done to several bikes in one go. */
export type BulkAct =
  | { readonly act: 'wash'; readonly method: WashMethod; readonly lube?: Lube }
  /** A new chain like the one that comes off. */
  | { readonly act: 'fit-chain'; readonly oldTo: 'shelf' | 'retired' }
  | { readonly act: 'check'; readonly item: ItemId; readonly result: Exclude<CheckResult, 'not-here'> }
  /** Whose they are, or where they stand; empty: nobody's, nowhere. */
  | { readonly act: 'place'; readonly field: 'owner' | 'rack'; readonly value: string }

/** What doing something to several bikes writes, and the bikes for which it cannot be done: they have no chain. */
export interface Bulk {
  readonly drafts: readonly EntryDraft[]
  readonly done: readonly BikeId[]
  readonly without: readonly BikeId[]
}

function draftsFor(
  garage: Garage,
  bike: BikeId,
  act: BulkAct,
  at: IsoTime,
  newId: () => string,
): EntryDraft[] | undefined {
  const entry = garage.bikes.get(bike)?.entry
  if (!entry) return undefined
  const chain = fittedChain(garage, bike)
  switch (act.act) {
    case 'wash': {
      if (!chain) return undefined
      const { method, lube } = act
      return [{ kind: 'wash', at, chain: chain.entry.part, method, ...(lube && { lube }) }]
    }
    case 'fit-chain': {
      const spec = chain?.entry.spec
      const old = spec?.type === 'chain' ? spec : undefined
      return swapEntries(
        {
          at,
          bike,
          speeds: entry.speeds,
          ...(chain && { off: { part: chain.entry.part, to: act.oldTo } }),
          on: { links: old?.links ?? USUAL_LINKS, directional: old?.directional === true },
          join: 'same',
          linkLimit: 1,
        },
        garage,
        newId,
      )
    }
    case 'check':
      return [{ kind: 'check', at, bike, item: act.item, result: act.result }]
    case 'place': {
      const { id, action: _action, writtenBy: _who, abridged: _part, [act.field]: _old, ...held } = entry
      return [{ ...held, supersedes: id, ...(act.value !== '' && { [act.field]: act.value }) }]
    }
  }
}

/**
 * What doing one thing to several bikes writes, all as one action.
 * @param newId an id for each new part
 */
export function bulkEntries(
  garage: Garage,
  bikes: readonly BikeId[],
  act: BulkAct,
  at: IsoTime,
  newId: () => string,
): Bulk {
  const drafts: EntryDraft[] = []
  const [done, without]: [BikeId[], BikeId[]] = [[], []]
  for (const bike of bikes) {
    const own = draftsFor(garage, bike, act, at, newId)
    if (own) {
      drafts.push(...own)
      done.push(bike)
    } else without.push(bike)
  }
  return { drafts, done, without }
}
