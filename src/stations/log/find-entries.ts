import { aboutOf } from '../../core/log/kind-of.ts'
import type { Entry, EntryKind } from '../../core/log/entries.ts'
import type { Garage } from '../../core/log/garage.ts'
import type { Units } from '../../ui/screen-state.ts'
import { sayEntry, wordsOf } from '../../ui/entries/index.ts'

/** What is looked for. Empty fields look for anything. */
export interface Wanted {
  readonly text: string
  readonly kind: EntryKind | 'any'
  /** A bike or a part. */
  readonly about: string
  readonly from: string
  readonly to: string
}

/** Everything an entry is about, and for a part the bikes it was on: by their ids. */
const aboutIn = (entry: Entry, garage: Garage): readonly string[] =>
  aboutOf(entry).flatMap((id) => [id, ...(garage.parts.get(id)?.fittings ?? []).map(({ bike }) => bike)])

/** The entries that are looked for, newest first. */
export function findEntries(
  entries: readonly Entry[],
  garage: Garage,
  wanted: Wanted,
  units: Units,
): readonly Entry[] {
  const words = wanted.text.toLowerCase().split(/\s+/).filter(Boolean)
  return entries
    .filter((entry) => {
      if (wanted.kind !== 'any' && entry.kind !== wanted.kind) return false
      const day = entry.at.slice(0, 10)
      if ((wanted.from !== '' && day < wanted.from) || (wanted.to !== '' && day > wanted.to)) return false
      if (wanted.about !== '' && !aboutIn(entry, garage).includes(wanted.about)) return false
      if (words.length === 0) return true
      const said = `${wordsOf(entry).name} ${sayEntry(entry, garage, units)} ${day}`
        .toLowerCase()
        .replaceAll('\u00a0', ' ')
      return words.every((word) => said.includes(word))
    })
    .sort((a, b) => (a.at < b.at ? 1 : a.at > b.at ? -1 : a.id < b.id ? 1 : -1))
}
