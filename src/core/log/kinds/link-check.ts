import type { EntryBase, PartId } from '../entry.ts'
import type { Kind } from './kind.ts'

/** What can be wrong with a link. */
export const LINK_FAULTS = [
  'parted-plate',
  'standing-pin',
  'cracked-roller',
  'stuck-roller',
  'stiff-link',
] as const
export type LinkFault = (typeof LINK_FAULTS)[number]

/** A chain gone through link by link. */
export interface LinkCheckEntry extends EntryBase {
  readonly kind: 'link-check'
  readonly chain: PartId
  /** Links from the joining link on, 1 for the first; empty where all are sound. */
  readonly found: readonly { readonly link: number; readonly fault: LinkFault }[]
}

export const linkCheck: Kind<LinkCheckEntry> = {
  fields: { chain: 'own', found: 'measure' },
  isAbout: ({ chain }) => [chain],
  key: ({ chain }) => chain,
  onRoad: true,
}
