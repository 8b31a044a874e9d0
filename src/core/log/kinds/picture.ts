import type { EntryBase, PartId } from '../entry.ts'
import type { Kind } from './kind.ts'

/** What a picture of a sprocket showed, and the picture itself where it is kept. */
export interface PictureEntry extends EntryBase {
  readonly kind: 'picture'
  readonly part: PartId
  /** Tooth count of the cog in it, when the part is a cassette. */
  readonly cog?: number
  /** What its valleys are wider than new at the pitch circle, mm, and how surely, as a standard deviation. */
  readonly excessMm: number
  readonly sdMm: number
  /** How far its teeth lean, degrees, and how wide they are where they end, mm. */
  readonly leanDeg: number
  readonly landMm: number
  /** Teeth that were seen, and shift aids among them that were left out. */
  readonly teethSeen: number
  readonly setAside: number
  /** The kept picture, by its own id; absent where it is not kept. */
  readonly picture?: string
}

/** What can have been measured: a valley is no narrower than new by more, nor wider. */
export const PICTURE_BOUNDS = {
  excessMm: [-2, 6],
  sdMm: [0, 3],
  leanDeg: [-60, 60],
  landMm: [0, 10],
} as const

export const picture: Kind<PictureEntry> = {
  fields: {
    part: 'own',
    cog: 'measure',
    excessMm: 'measure',
    sdMm: 'measure',
    leanDeg: 'measure',
    landMm: 'measure',
    teethSeen: 'measure',
    setAside: 'measure',
    picture: 'own',
  },
  isAbout: ({ part }) => [part],
  key: ({ part }) => part,
  onRoad: true,
}
