import type { EntryDraft, EntryId, RideEntry } from '../log/entries.ts'
import { isSameRide, richness, rideFinder, sourcesOf } from './same-ride.ts'

export type RideDraft = Extract<EntryDraft, { kind: 'ride' }>

/** What becomes of a ride that is offered to the log. */
export type Admission =
  | { readonly offered: RideDraft; readonly outcome: 'new'; readonly draft: RideDraft }
  /** It tells more than the recording held of the same ride, and takes its place. */
  | {
      readonly offered: RideDraft
      readonly outcome: 'richer'
      readonly draft: RideDraft
      readonly of: string
    }
  /** The same recording, or the same ride told better by what is held. */
  | { readonly offered: RideDraft; readonly outcome: 'same' | 'poorer'; readonly of: string }

/** What a ride is called where it has to be named: its file, or its day. */
const nameOf = (ride: Pick<RideEntry, 'source' | 'at'>): string =>
  ride.source?.file ?? `the ride by hand of ${ride.at.slice(0, 10)}`

/** A richer recording written in an entry's place, with what was said of that one. */
function inPlaceOf(ride: RideDraft, old: RideEntry): RideDraft {
  const condition = old.condition ?? ride.condition
  const also = [...sourcesOf(old), ...(ride.otherSources ?? [])]
  return {
    ...ride,
    supersedes: old.id,
    ...(condition !== undefined && { condition }),
    ...(also.length > 0 && { otherSources: also }),
  }
}

/** Rides taken so far in a batch, to be found by bike and day. */
function batchBook(admissions: readonly Admission[]) {
  const places = new Map<string, number[]>()
  const DAY_MS = 86_400_000
  const keyOf = (bike: string, ms: number) => `${bike} ${Math.floor(ms / DAY_MS)}`
  return {
    add: ({ bike, at }: RideDraft, place: number): void => {
      const key = keyOf(bike, Date.parse(at))
      places.set(key, [...(places.get(key) ?? []), place])
    },
    find: (ride: RideDraft): number | undefined => {
      const ms = Date.parse(ride.at)
      return [-1, 0, 1]
        .flatMap((days) => places.get(keyOf(ride.bike, ms + days * DAY_MS)) ?? [])
        .find((place) => {
          const one = admissions[place]
          return one !== undefined && 'draft' in one && isSameRide(one.draft, ride)
        })
    },
  }
}

/**
 * Holds rides that are offered against those in the log and against one another: the same recording is not taken
 * twice; of two recordings of one ride on one bike the richer stands, with what was said of the other. Rides of
 * different bikes are never one, however they overlap: a workshop has many riders.
 * @param held the rides in the log that count, conditions as said (absent where unsaid)
 * @returns one admission for each ride offered, in order
 */
export function admitRides(held: readonly RideEntry[], offered: readonly RideDraft[]): readonly Admission[] {
  const prints = new Map<string, string>()
  for (const ride of held)
    for (const { fingerprint: print } of sourcesOf(ride)) prints.set(print, nameOf(ride))
  const finders = new Map<string, (ride: RideDraft) => RideEntry | undefined>()
  const finderOf = (bike: string) => {
    const finder = finders.get(bike) ?? rideFinder(held.filter((ride) => ride.bike === bike))
    finders.set(bike, finder)
    return finder
  }
  const replaced = new Set<EntryId>()
  const admissions: Admission[] = []
  const book = batchBook(admissions)
  for (const ride of offered) {
    const print = ride.source?.fingerprint
    const same = print === undefined ? undefined : prints.get(print)
    if (same !== undefined) {
      admissions.push({ offered: ride, outcome: 'same', of: same })
      continue
    }
    if (print !== undefined) prints.set(print, nameOf(ride))
    const rival = book.find(ride)
    const first = rival === undefined ? undefined : admissions[rival]
    if (rival !== undefined && first && 'draft' in first) {
      if (richness(ride) <= richness(first.draft)) {
        admissions.push({ offered: ride, outcome: 'poorer', of: nameOf(first.offered) })
        continue
      }
      admissions[rival] = { offered: first.offered, outcome: 'poorer', of: nameOf(ride) }
      const { supersedes } = first.draft
      if (supersedes !== undefined) replaced.delete(supersedes)
    }
    const old = finderOf(ride.bike)(ride)
    if (!old || replaced.has(old.id)) admissions.push({ offered: ride, outcome: 'new', draft: ride })
    else if (richness(ride) > richness(old)) {
      replaced.add(old.id)
      admissions.push({ offered: ride, outcome: 'richer', draft: inPlaceOf(ride, old), of: nameOf(old) })
    } else admissions.push({ offered: ride, outcome: 'poorer', of: nameOf(old) })
    if ('draft' in (admissions.at(-1) ?? {})) book.add(ride, admissions.length - 1)
  }
  return admissions
}

/** What is to be written of a batch. */
export const draftsOf = (admissions: readonly Admission[]): readonly RideDraft[] =>
  admissions.flatMap((one) => ('draft' in one ? [one.draft] : []))
