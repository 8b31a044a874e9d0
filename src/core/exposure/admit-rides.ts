import type { EntryDraft } from '../log/entries.ts'
import type { EntryId } from '../log/entry.ts'
import type { RideEntry } from '../log/kinds/ride.ts'
import { isSameRide, richness, rideFinder, sourcesOf } from './same-ride.ts'

export type RideDraft = Extract<EntryDraft, { kind: 'ride' }>

/** A ride that another is held against, as it is named and shown. */
export interface OtherRide {
  readonly name: string
  readonly at: string
  readonly km: number
}

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
  /** Day and distance are those of another, and nothing more is known: somebody has to say whether it is that one. */
  | {
      readonly offered: RideDraft
      readonly outcome: 'maybe'
      /** What is written if it is a ride of its own. */
      readonly draft: RideDraft
      /** What is written if it is the other: absent where that tells as much. */
      readonly instead?: RideDraft
      readonly of: OtherRide
    }

/** What a ride is called where it has to be named: its file, or its day. */
const nameOf = (ride: Pick<RideEntry, 'source' | 'at'>): string =>
  ride.source?.file ?? `the ride by hand of ${ride.at.slice(0, 10)}`
const otherOf = (ride: Pick<RideEntry, 'source' | 'at' | 'km'>): OtherRide => ({
  name: nameOf(ride),
  at: ride.at,
  km: ride.km,
})

/** A richer recording written in an entry's place, with what was said of that one. */
function inPlaceOf(ride: RideDraft, old: RideEntry): RideDraft {
  const condition = old.condition ?? ride.condition
  const print = ride.source?.fingerprint
  const others = [...sourcesOf(old), ...(ride.otherSources ?? [])].filter(
    ({ fingerprint }) => fingerprint !== print,
  )
  return {
    ...ride,
    supersedes: old.id,
    ...(condition !== undefined && { condition }),
    ...(others.length > 0 && { otherSources: others }),
  }
}

/** The first builds wrote an energy of 0 for recordings that did not tell it: the same file, read again, mends that. */
const isMended = (old: RideEntry, ride: RideDraft): boolean =>
  old.energyKjPerKm === 0 && old.km > 0 && ride.energyKjPerKm !== 0

/** A recording that is in already: in the log, or in what was offered before. */
interface Known {
  readonly name: string
  readonly entry?: RideEntry
}

/** The table that a ride is a row of; empty for one that was recorded or written by hand. */
const tableOf = ({ receipt, source }: RideDraft): string =>
  receipt?.distance === 'table' ? (source?.file ?? '') : ''

const DAY_MS = 86_400_000

/** Rides taken so far in a batch, to be found by bike and day. Rows of one file are never each other's copies. */
function batchBook(admissions: readonly Admission[]) {
  const places = new Map<string, Map<string, number[]>>()
  const keyOf = (bike: string, ms: number) => `${bike} ${Math.floor(ms / DAY_MS)}`
  return {
    add: (ride: RideDraft, place: number): void => {
      const key = keyOf(ride.bike, Date.parse(ride.at))
      const day = places.get(key) ?? new Map<string, number[]>()
      places.set(key, day)
      const table = tableOf(ride)
      const held = day.get(table)
      if (held) held.push(place)
      else day.set(table, [place])
    },
    find: (
      ride: RideDraft,
      isFree: (place: number) => boolean,
    ): { readonly place: number; readonly likeness: 'yes' | 'maybe' } | undefined => {
      const ms = Date.parse(ride.at)
      let maybe: number | undefined
      for (const days of [-1, 0, 1])
        for (const [table, held] of places.get(keyOf(ride.bike, ms + days * DAY_MS)) ?? []) {
          if (table !== '' && table === tableOf(ride)) continue
          for (const place of held) {
            const one = admissions[place]
            if (one === undefined || !('draft' in one)) continue
            const likeness = isSameRide(one.draft, ride)
            if (likeness === 'yes') return { place, likeness }
            if (likeness === 'maybe' && maybe === undefined && isFree(place)) maybe = place
          }
        }
      return maybe === undefined ? undefined : { place: maybe, likeness: 'maybe' }
    },
  }
}

/**
 * Holds rides that are offered against those in the log and against one another: the same recording is not taken
 * twice; of two recordings of one ride on one bike the richer stands, with what was said of the other; where only day and
 * distance are alike it is left to be said. Rides of different bikes are never one, however they overlap: a workshop has
 * many riders.
 * @param held the rides in the log that count, conditions as said (absent where not set)
 * @returns one admission for each ride offered, in order
 */
export function admitRides(held: readonly RideEntry[], offered: readonly RideDraft[]): readonly Admission[] {
  const prints = new Map<string, Known>()
  for (const ride of held)
    for (const { fingerprint } of sourcesOf(ride))
      prints.set(fingerprint, { name: nameOf(ride), entry: ride })
  const finders = new Map<string, ReturnType<typeof rideFinder<RideEntry>>>()
  const finderOf = (bike: string) => {
    const finder = finders.get(bike) ?? rideFinder(held.filter((ride) => ride.bike === bike))
    finders.set(bike, finder)
    return finder
  }
  const replaced = new Set<EntryId>()
  // A ride that only may be the same stands for one row of a file, not for two.
  const claimed = new Set<string>()
  const claim = (file: string, what: string | number): string => `${file}\u0000${what}`
  const admissions: Admission[] = []
  const book = batchBook(admissions)
  const take = (admission: Admission): void => {
    admissions.push(admission)
    if ('draft' in admission) book.add(admission.offered, admissions.length - 1)
  }
  for (const ride of offered) {
    const print = ride.source?.fingerprint
    const file = ride.source?.file ?? ''
    const same = print === undefined ? undefined : prints.get(print)
    if (same?.entry && isMended(same.entry, ride) && !replaced.has(same.entry.id)) {
      replaced.add(same.entry.id)
      take({ offered: ride, outcome: 'richer', draft: inPlaceOf(ride, same.entry), of: same.name })
      continue
    }
    if (same) {
      take({ offered: ride, outcome: 'same', of: same.name })
      continue
    }
    if (print !== undefined) prints.set(print, { name: nameOf(ride) })
    const rival = book.find(ride, (place) => !claimed.has(claim(file, place)))
    const first = rival && admissions[rival.place]
    if (rival && first && 'draft' in first && rival.likeness === 'yes') {
      if (richness(ride) <= richness(first.draft)) {
        take({ offered: ride, outcome: 'poorer', of: nameOf(first.offered) })
        continue
      }
      admissions[rival.place] = { offered: first.offered, outcome: 'poorer', of: nameOf(ride) }
      const { supersedes } = first.draft
      if (supersedes !== undefined) replaced.delete(supersedes)
    }
    const found = finderOf(ride.bike)(ride, ({ id }) => !claimed.has(claim(file, id)) && !replaced.has(id))
    const old = found?.held
    if (old && found.likeness === 'yes' && !replaced.has(old.id)) {
      if (richness(ride) > richness(old) || isMended(old, ride)) {
        replaced.add(old.id)
        take({ offered: ride, outcome: 'richer', draft: inPlaceOf(ride, old), of: nameOf(old) })
      } else take({ offered: ride, outcome: 'poorer', of: nameOf(old) })
      continue
    }
    if (old && found.likeness === 'maybe') {
      claimed.add(claim(file, old.id))
      const isRicher = richness(ride) > richness(old)
      if (isRicher) replaced.add(old.id)
      take({
        offered: ride,
        outcome: 'maybe',
        draft: ride,
        ...(isRicher && { instead: inPlaceOf(ride, old) }),
        of: otherOf(old),
      })
      continue
    }
    if (rival && first && 'draft' in first && rival.likeness === 'maybe') {
      claimed.add(claim(file, rival.place))
      take({ offered: ride, outcome: 'maybe', draft: ride, of: otherOf(first.offered) })
      continue
    }
    take({ offered: ride, outcome: 'new', draft: ride })
  }
  return admissions
}

/** What is to be written of a batch where nobody is asked: a ride that may be one already held is taken to be that one. */
export const draftsOf = (admissions: readonly Admission[]): readonly RideDraft[] =>
  admissions.flatMap((one) => {
    if (one.outcome === 'maybe') return one.instead ? [one.instead] : []
    return 'draft' in one ? [one.draft] : []
  })
