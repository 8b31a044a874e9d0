import type { Entry, EntryKind } from '../../core/log/entries.ts'
import type { Garage } from '../../core/log/garage.ts'
import type { Units } from '../../ui/screen-state.ts'
import { KIND_NAMES, sayEntry } from '../../ui/words/entries.ts'

/** What is looked for. Empty fields look for anything. */
export interface Wanted {
  readonly text: string
  readonly kind: EntryKind | 'any'
  /** A bike or a part. */
  readonly about: string
  readonly from: string
  readonly to: string
}

/** Everything an entry is about: bikes and parts by their ids. */
function aboutOf(entry: Entry, garage: Garage): readonly string[] {
  switch (entry.kind) {
    case 'bike':
    case 'ride':
    case 'odometer':
    case 'limit':
    case 'plan':
    case 'event':
      return [entry.bike]
    case 'fit':
      return [entry.part, entry.bike]
    case 'part':
    case 'remove':
    case 'look':
      return [entry.part, ...bikesOf(entry.part, garage)]
    case 'reading':
    case 'wash':
      return [entry.chain, ...bikesOf(entry.chain, garage)]
    case 'condition':
    case 'reading-use':
    case 'tool':
    case 'zeroing':
    case 'withdraw':
      return []
  }
}
const bikesOf = (part: string, garage: Garage): readonly string[] =>
  (garage.parts.get(part)?.fittings ?? []).map(({ bike }) => bike)

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
      if (wanted.about !== '' && !aboutOf(entry, garage).includes(wanted.about)) return false
      if (words.length === 0) return true
      const said = `${KIND_NAMES[entry.kind]} ${sayEntry(entry, garage, units)} ${day}`
        .toLowerCase()
        .replaceAll('\u00a0', ' ')
      return words.every((word) => said.includes(word))
    })
    .sort((a, b) => (a.at < b.at ? 1 : a.at > b.at ? -1 : a.id < b.id ? 1 : -1))
}
