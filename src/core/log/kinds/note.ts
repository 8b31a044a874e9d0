import type { EntryBase } from '../entry.ts'
import type { Kind } from './kind.ts'

/** Anything worth keeping about a bike or a part on a day: "creaks when it is cold". */
export interface NoteEntry extends EntryBase {
  readonly kind: 'note'
  /** The bike or the part. */
  readonly about: string
  readonly text: string
}

export const note: Kind<NoteEntry> = {
  fields: { about: 'own', text: 'words' },
  ofPeople: true,
  isAbout: ({ about }) => [about],
  key: ({ about }) => about,
  onRoad: true,
}
