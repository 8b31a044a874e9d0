import { kmOf } from '../exposure/distance.ts'
import type { Entry } from './entries.ts'
import type { BikeId, EntryId, PartId } from './entry.ts'
import type { Garage, PartState } from './garage.ts'
import { aboutOf, kindOf } from './kind-of.ts'
import { abridged, plainNames, withoutPeople, type PlainName } from './left-out.ts'
import { liveEntries } from './supersede.ts'

/** What is left out of a record that is given to others. */
export interface LeftOut {
  /**
   * Names of people and places, and whatever somebody typed: where rides began, the files they came from, who owns,
   * borrowed or wrote, names of things, notes; and what was corrected or undone.
   */
  readonly people: boolean
  /** Prices, what was paid, and visits. */
  readonly money: boolean
}

/** What a record is of. */
export type RecordOf = { readonly bike: BikeId } | { readonly part: PartId }

/** Kinds that belong to a rider or a workshop, not to one bike. */
const NOT_OF_A_BIKE: ReadonlySet<Entry['kind']> = new Set([
  'kit',
  'lesson',
  'school-use',
  'stock',
  'stock-move',
])

/** What a part did beside the bike whose record it is, km. */
const kmElsewhere = (garage: Garage, part: PartState, bike: BikeId | undefined): number =>
  kmOf(garage, { ...part, fittings: part.fittings.filter((fitting) => fitting.bike !== bike) })

/** The ids of the parts that were ever on a bike, also by entries that no longer count. */
const partsOn = (entries: readonly Entry[], bike: BikeId): ReadonlySet<PartId> =>
  new Set(entries.flatMap((entry) => (entry.kind === 'fit' && entry.bike === bike ? [entry.part] : [])))

/** Whether an entry belongs to the record: about its bike or its parts, and about no other bike. */
function belongs(entry: Entry, of: RecordOf, parts: ReadonlySet<PartId>): boolean {
  if (NOT_OF_A_BIKE.has(entry.kind)) return false
  if ('part' in of && (entry.kind === 'fit' || entry.kind === 'remove')) return false
  if (entry.kind === 'fit') return 'bike' in of && entry.bike === of.bike
  return aboutOf(entry).some((id) => ('bike' in of && id === of.bike) || parts.has(id))
}

/** The tools that readings of the record were taken with. */
const toolsOf = (entries: readonly Entry[]): ReadonlySet<string> =>
  new Set(
    entries.flatMap((entry) => (entry.kind === 'reading' && entry.tool !== undefined ? [entry.tool] : [])),
  )

/** A part that was on other bikes, with what it did there in one figure: their rides are not in the record. */
function withPast(entry: Entry, garage: Garage, bike: BikeId | undefined): Entry {
  if (entry.kind !== 'part') return entry
  const state = garage.parts.get(entry.part)
  const km = state ? Math.round(kmElsewhere(garage, state, bike)) : 0
  if (km <= 0) return entry
  const used = { km: km + (entry.used?.km ?? 0) }
  const { spec } = entry
  // Where it starts from in the other log is told by what was measured last, not by its having been bought new.
  const changed = {
    ...entry,
    used,
    spec: spec.type === 'chain' ? { ...spec, past: 'unknown' as const } : spec,
  }
  return abridged(changed, ['used', 'spec'])
}

/**
 * Readings from before a chain came onto the bike whose record it is, but for the last look before that: the distance
 * between them is not in the record, so they would say that it wore without being ridden.
 */
function readingsBefore(
  garage: Garage,
  parts: ReadonlySet<PartId>,
  bike: BikeId | undefined,
): ReadonlySet<EntryId> {
  return new Set(
    [...parts].flatMap((part) => {
      const state = garage.parts.get(part)
      if (!state || kmElsewhere(garage, state, bike) <= 0) return []
      const first = state.fittings.find((fitting) => fitting.bike === bike)?.from
      const before = (garage.readings.get(part) ?? []).filter(
        ({ entry }) => first === undefined || entry.at < first,
      )
      const lastDay = before.at(-1)?.entry.at.slice(0, 10)
      return before.flatMap(({ entry }) => (entry.at.slice(0, 10) === lastDay ? [] : [entry.id]))
    }),
  )
}

/**
 * The record of one bike, or of one part, out of a log: what can be given on and merged into another log. Parts that
 * were on other bikes bring what they did there as a distance, and of their readings from then the last look; a part
 * alone brings no rides.
 * @param garage of the same log
 * @param kindName what a thing is called where names are left out
 */
export function recordOf(
  entries: readonly Entry[],
  garage: Garage,
  of: RecordOf,
  leftOut: LeftOut,
  kindName: PlainName,
): readonly Entry[] {
  const from = leftOut.people ? liveEntries(entries) : entries
  const parts = 'bike' in of ? partsOn(from, of.bike) : new Set([of.part])
  const bike = 'bike' in of ? of.bike : undefined
  const gone = readingsBefore(garage, parts, bike)
  const about = from.filter(
    (entry) => belongs(entry, of, parts) && !gone.has(entry.id) && !(leftOut.money && kindOf(entry).ofMoney),
  )
  const tools = toolsOf(about)
  const plainName = plainNames(kindName)
  const ids = new Set<EntryId>(about.map(({ id }) => id))
  return from
    .filter(
      (entry) =>
        ids.has(entry.id) ||
        ((entry.kind === 'tool' || entry.kind === 'zeroing') && tools.has(entry.tool)) ||
        // Words about entries of the record: a condition, a reading left out, something undone.
        (kindOf(entry).speaksOf?.(entry) ?? []).some((id) => ids.has(id)),
    )
    .flatMap((entry) => {
      const kept = leftOut.people ? withoutPeople(entry, plainName) : entry
      return kept ? [withPast(kept, garage, bike)] : []
    })
}
