import type { EntryDraft } from './entries.ts'
import type { IsoTime, PartId } from './entry.ts'
import { openFitting, type Garage } from './garage.ts'

/** The same entry about another chain, in its own place in the log. */
function ofChain<E extends { readonly id: string; readonly action?: string }>(
  { id, action: _action, ...rest }: E,
  chain: PartId,
): Omit<E, 'id' | 'action'> & { readonly chain: PartId; readonly supersedes: string } {
  return { ...rest, chain, supersedes: id }
}

/**
 * What a swap that was never logged comes to: the old chain off, a fresh one of its kind on, and what was read of it and
 * put on it since goes with the fresh one.
 * @param chain the one that the log has on its bike
 * @param at when it was swapped
 * @param id the fresh chain's
 * @returns undefined where the log does not have the chain on its bike all the time since
 */
export function missingSwap(
  garage: Garage,
  chain: PartId,
  at: IsoTime,
  id: PartId,
): readonly EntryDraft[] | undefined {
  const part = garage.parts.get(chain)
  const on = part && openFitting(part)
  if (!part || !on || on.from >= at || part.entry.spec.type !== 'chain') return undefined
  const chains = [...garage.parts.values()].filter(
    ({ entry, fittings }) => entry.spec.type === 'chain' && fittings.some(({ bike }) => bike === on.bike),
  ).length
  return [
    { kind: 'remove', at, part: chain, to: 'shelf' },
    { kind: 'part', at, part: id, name: `Chain ${chains + 1}`, spec: { ...part.entry.spec, past: 'new' } },
    { kind: 'fit', at, part: id, bike: on.bike },
    ...(garage.readings.get(chain) ?? []).flatMap(({ entry }) => (entry.at > at ? [ofChain(entry, id)] : [])),
    ...(garage.washes.get(chain) ?? []).flatMap((entry) => (entry.at > at ? [ofChain(entry, id)] : [])),
  ]
}
