import type { BikeId, EntryId, PartId } from './entry.ts'
import type { FitEntry } from './kinds/fit.ts'
import type { PartEntry, PartSpec } from './kinds/part.ts'
import type { RemoveEntry } from './kinds/remove.ts'

/** What a bike can carry only one of: fitting a second closes the first, as it does in the stand. */
function slotOf(spec: PartSpec): string | undefined {
  switch (spec.type) {
    case 'chain':
    case 'cassette':
    case 'joining-link':
      return spec.type
    case 'pulley':
      return `${spec.position} pulley`
    case 'ring':
      return undefined
  }
}

/** Which parts were on which bikes, and where the others are. */
export interface Mounting {
  fittings: Map<PartId, { part: PartId; bike: BikeId; from: string; to?: string; entry: EntryId }[]>
  retired: Set<PartId>
  lent: Map<PartId, string>
}

/** Follows every fitting and taking off, in order of time. */
export function mount(
  moves: readonly (FitEntry | RemoveEntry)[],
  parts: ReadonlyMap<PartId, PartEntry>,
): Mounting {
  const fittings: Mounting['fittings'] = new Map()
  const retired = new Set<PartId>()
  const lent = new Map<PartId, string>()
  const slots = new Map<string, PartId>()
  const close = (part: PartId, at: string): void => {
    const open = fittings.get(part)?.at(-1)
    if (open && open.to === undefined) open.to = at
  }
  for (const move of moves) {
    close(move.part, move.at)
    retired.delete(move.part)
    lent.delete(move.part)
    if (move.kind === 'remove') {
      if (move.to === 'retired') retired.add(move.part)
      if (move.to === 'lent') lent.set(move.part, move.lentTo ?? '')
      continue
    }
    const spec = parts.get(move.part)?.spec
    const slot = spec && slotOf(spec)
    if (slot !== undefined) {
      const key = `${move.bike} ${slot}`
      const before = slots.get(key)
      if (before !== undefined && before !== move.part && fittings.get(before)?.at(-1)?.bike === move.bike)
        close(before, move.at)
      slots.set(key, move.part)
    }
    const held = fittings.get(move.part) ?? []
    held.push({ part: move.part, bike: move.bike, from: move.at, entry: move.id })
    fittings.set(move.part, held)
  }
  return { fittings, retired, lent }
}
