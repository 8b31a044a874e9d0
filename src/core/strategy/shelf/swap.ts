import type { EntryDraft } from '../../log/entries.ts'
import { fittedLink, openFitting, type Garage, type PartState } from '../../log/garage.ts'
import type { Lube } from '../../lube/lubes.ts'

/** A swap as it was done: one chain off, one on, in one go. */
export interface Swap {
  readonly at: string
  readonly bike: string
  readonly speeds: number
  /** The chain that comes off, and where it goes. */
  readonly off?: { readonly part: string; readonly to: 'shelf' | 'retired' }
  /** A new chain, with its links, or the id of one that there is. */
  readonly on: { readonly links: number; readonly directional: boolean } | { readonly part: string }
  /** How it was joined: the link that is on the bike closed again, another one, a new one, a pin. */
  readonly join: 'same' | 'new' | 'pin' | { readonly part: string }
  /** How often a new link may be closed. */
  readonly linkLimit: number
  readonly lube?: Lube
  /** The first look: a rule laid over 24 pitches of the chain that went on. */
  readonly lengthMm?: number
}

/** Chains of the log that can go on a bike: on the shelf, or on another bike. */
export function chainsToHand(garage: Garage, bike: string): readonly PartState[] {
  return [...garage.parts.values()].filter(
    (part) =>
      part.entry.spec.type === 'chain' &&
      !part.retired &&
      part.lentTo === undefined &&
      openFitting(part)?.bike !== bike,
  )
}

/** Joining links of the log that can go on a bike: on the shelf, retired ones left out. */
export function linksToHand(garage: Garage): readonly PartState[] {
  return [...garage.parts.values()].filter(
    (part) => part.entry.spec.type === 'joining-link' && !part.retired && !openFitting(part),
  )
}

/** A moment so many seconds after another: what is done in one go still has an order. */
const later = (at: string, seconds: number): string => new Date(Date.parse(at) + 1000 * seconds).toISOString()

/** The entries of a swap, in the order it is done. */
export function swapEntries(swap: Swap, garage: Garage, newId: () => string): EntryDraft[] {
  const { at, bike, speeds, off, on, join } = swap
  const worn = [...garage.parts.values()].filter(
    (part) => part.entry.spec.type === 'chain' && part.fittings.some((fitting) => fitting.bike === bike),
  ).length
  const part = 'part' in on ? on.part : newId()
  const held = fittedLink(garage, bike)
  const link =
    join === 'same' ? held?.entry.part : join === 'new' ? newId() : join === 'pin' ? undefined : join.part
  const links = [...garage.parts.values()].filter((one) => one.entry.spec.type === 'joining-link').length
  return [
    ...(off ? [{ kind: 'remove', at, part: off.part, to: off.to } as const] : []),
    ...('links' in on
      ? [
          {
            kind: 'part',
            at,
            part,
            name: `Chain ${worn + 1}`,
            spec: {
              type: 'chain',
              links: on.links,
              speeds,
              past: 'new',
              directional: on.directional,
              join: join === 'pin' ? 'pin' : 'joining-link',
            },
          } as const,
        ]
      : []),
    { kind: 'fit', at, part, bike },
    ...(join === 'new' && link !== undefined
      ? [
          {
            kind: 'part',
            at,
            part: link,
            name: `Joining link ${links + 1}`,
            spec: { type: 'joining-link', speeds, closingsAllowed: swap.linkLimit, closedBefore: 0 },
          } as const,
        ]
      : []),
    ...(link !== undefined ? [{ kind: 'fit', at, part: link, bike } as const] : []),
    ...(join === 'pin' && held ? [{ kind: 'remove', at, part: held.entry.part, to: 'shelf' } as const] : []),
    ...(swap.lube !== undefined
      ? [{ kind: 'wash', at: later(at, 1), chain: part, method: 'none', lube: swap.lube } as const]
      : []),
    ...(swap.lengthMm !== undefined
      ? [
          {
            kind: 'reading',
            at: later(at, 2),
            chain: part,
            reading: { instrument: 'rule', pitches: 24, lengthMm: swap.lengthMm },
          } as const,
        ]
      : []),
  ]
}
