import { admitRides, draftsOf, type RideDraft } from '../../core/exposure/admit-rides.ts'
import { usualAt, type Condition } from '../../core/exposure/conditions.ts'
import { roughPlace, routeKey } from '../../core/exposure/ride-gears.ts'
import type { BikeEntry, Entry, RideEntry } from '../../core/log/entries.ts'
import { liveEntries } from '../../core/log/supersede.ts'
import { faultOfDraft } from '../../formats/entry-schema.ts'
import type { RideTable } from '../../formats/rides/ride-table.ts'
import type { TableRide } from '../../formats/rides/table-rides.ts'
import { sayRideFault } from '../../ui/words/write-faults.ts'
import type { ReadRide, RideFile } from '../../workers/read-rides.ts'

/** A file or ride that does not go in, and why; or one that does with a remark. */
export interface Remark {
  readonly file: string
  readonly fault: string
}

export interface SortedBatch {
  readonly fresh: readonly RideDraft[]
  /** Of those, the ones that take the place of a poorer recording. */
  readonly richer: readonly Remark[]
  /** Already in the log, or told better by another file. */
  readonly known: readonly Remark[]
  readonly broken: readonly Remark[]
  /** Tables whose columns are still to be told. */
  readonly tables: readonly { readonly file: string; readonly table: RideTable }[]
  readonly strayPoints: number
}

/** The rides of the log that count, as they were written. */
export const liveRides = (entries: readonly Entry[]): RideEntry[] =>
  liveEntries(entries).filter((entry) => entry.kind === 'ride')

/** What the log keeps of a recorded ride. Its condition is still to be said. */
export function draftOfRecording(bike: string, ride: ReadRide, file: string, print: string): RideDraft {
  const km = ride.deviceKm ?? ride.km
  const recorded = [
    ...(ride.hasCadence ? (['cadence'] as const) : []),
    ...(ride.hasPower ? (['power'] as const) : []),
  ]
  const { told, place } = ride
  return {
    kind: 'ride',
    at: ride.startedAt,
    bike,
    km,
    trackKm: ride.km,
    movingSeconds: ride.movingSeconds,
    elapsedSeconds: (Date.parse(ride.endedAt) - Date.parse(ride.startedAt)) / 1000,
    ...(recorded.length > 0 && { recorded }),
    ...(told && km > 0 && { energyKjPerKm: told.energyKj / km }),
    ...(told?.gears && { gears: told.gears }),
    ...(place && { place: roughPlace(place), route: routeKey(place, km) }),
    source: { file, fingerprint: print },
  }
}

/** What the log keeps of a row of a table. */
export const draftOfRow = (bike: string, ride: TableRide, file: string): RideDraft => ({
  kind: 'ride',
  at: ride.at,
  bike,
  km: ride.km,
  ...(ride.movingSeconds !== undefined && { movingSeconds: ride.movingSeconds }),
  source: { file, fingerprint: `row ${ride.at} ${ride.km.toFixed(3)}` },
})

const nameOf = (draft: RideDraft): string => draft.source?.file ?? draft.at.slice(0, 10)

/** Sorts what was read into rides to add, rides already held and files that could not be read. */
export function sortBatch(
  bike: string,
  files: readonly RideFile[],
  rows: readonly RideDraft[],
  held: readonly RideEntry[],
): SortedBatch {
  const broken: Remark[] = []
  const tables: { file: string; table: RideTable }[] = []
  const offered: RideDraft[] = []
  let strayPoints = 0
  for (const one of files) {
    switch (one.form) {
      case 'fault':
        broken.push({ file: one.file, fault: one.fault })
        break
      case 'table':
        tables.push({ file: one.file, table: one.table })
        break
      case 'ride':
        strayPoints += one.ride.dropped
        offered.push(draftOfRecording(bike, one.ride, one.file, one.print))
        break
    }
  }
  const admissions = admitRides(held, [...offered, ...rows])
  const fresh = draftsOf(admissions).filter((draft) => {
    const found = faultOfDraft(draft)
    if (found) broken.push({ file: nameOf(draft), fault: sayRideFault(found.field, found.fault) })
    return found === undefined
  })
  return {
    fresh,
    richer: admissions.flatMap((one) =>
      one.outcome === 'richer'
        ? [{ file: nameOf(one.offered), fault: `It tells more than ${one.of} and takes its place.` }]
        : [],
    ),
    known: admissions.flatMap((one) => {
      if (one.outcome === 'same') return [{ file: nameOf(one.offered), fault: `The same ride as ${one.of}.` }]
      return one.outcome === 'poorer'
        ? [{ file: nameOf(one.offered), fault: `The same ride as ${one.of}, which tells at least as much.` }]
        : []
    }),
    broken,
    tables,
    strayPoints,
  }
}

/** What rides that come in are said to have been ridden in: nothing yet, the bike's usual for the season, or one thing. */
export type Said = 'later' | 'usual' | Condition

/** Rides with what is said of them; a ride that takes an older one's place keeps what was said of that. */
export function withSaid(drafts: readonly RideDraft[], said: Said, bike: BikeEntry): RideDraft[] {
  if (said === 'later') return [...drafts]
  return drafts.map((draft) =>
    draft.condition !== undefined
      ? draft
      : { ...draft, condition: said === 'usual' ? usualAt(bike, draft.at) : said },
  )
}

/** The list of what did not go in, to be saved: file, and why. */
export const remarkList = (remarks: readonly Remark[]): string =>
  ['file,why', ...remarks.map(({ file, fault }) => `${cell(file)},${cell(fault)}`)].join('\r\n') + '\r\n'

/** A cell that no spreadsheet takes for a formula. */
const cell = (text: string): string =>
  `"${(/^[=+\-@]/.test(text) ? `'${text}` : text).replaceAll('"', '""')}"`
