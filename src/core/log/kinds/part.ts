import type { EntryBase, PartId } from '../entry.ts'
import type { Kind } from './kind.ts'

export type SprocketMaterial = 'steel' | 'aluminium' | 'titanium'

export type ChainSurface = 'plain' | 'plated' | 'hard-coated'

export interface ChainSpec {
  readonly type: 'chain'
  readonly links: number
  readonly speeds: number
  /** Bought used, or on the bike since before anyone wrote anything down. */
  readonly past: 'new' | 'unknown'
  readonly surface?: ChainSurface
  /** It runs one way round only: printed side out, arrow forward. */
  readonly directional?: boolean
  /** How its ends join. */
  readonly join?: 'joining-link' | 'pin'
}

/** The link that opens without a tool. Made for few closings: they are counted. */
export interface JoiningLinkSpec {
  readonly type: 'joining-link'
  readonly speeds: number
  /** How often its maker lets it be closed; 1 for a link of single use. */
  readonly closingsAllowed: number
  /** Closings before the log begins. */
  readonly closedBefore: number
}

export interface CassetteSpec {
  readonly type: 'cassette'
  /** Tooth counts, smallest cog first. */
  readonly teeth: readonly number[]
  readonly material: SprocketMaterial
  /** Tooth counts of the cogs that can be bought singly. */
  readonly soldSingly?: readonly number[]
}

export interface RingSpec {
  readonly type: 'ring'
  readonly teeth: number
  readonly material: SprocketMaterial
}

export interface PulleySpec {
  readonly type: 'pulley'
  readonly position: 'guide' | 'tension'
  readonly teeth: number
}

export type PartSpec = ChainSpec | JoiningLinkSpec | CassetteSpec | RingSpec | PulleySpec

export interface PartEntry extends EntryBase {
  readonly kind: 'part'
  readonly part: PartId
  readonly name: string
  readonly spec: PartSpec
  /** Anything worth knowing: "none to be had before spring". */
  readonly note?: string
  /** Bought or come used: the distance it had done before, km, where anybody knows it. */
  readonly used?: { readonly km?: number }
}

/** Bounds of a part's fields: counts, and km ridden before it came. */
export const PART_BOUNDS = {
  links: [20, 400],
  teeth: [5, 120],
  speeds: 16,
  closings: 100,
  usedKm: 5e5,
} as const

export const part: Kind<PartEntry> = {
  fields: { part: 'own', name: 'name', spec: 'measure', note: 'words', used: 'measure' },
  isAbout: ({ part }) => [part],
  key: ({ part }) => part,
  bornOnce: true,
}
