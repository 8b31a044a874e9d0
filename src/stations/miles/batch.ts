import { admitRides, type RideDraft } from '../../core/exposure/admit-rides.ts'
import { usualAt, type Condition } from '../../core/exposure/conditions.ts'
import { roughPlace, routeKey } from '../../core/exposure/ride-gears.ts'
import { sourcesOf } from '../../core/exposure/same-ride.ts'
import type { BikeEntry } from '../../core/log/kinds/bike.ts'
import type { Entry } from '../../core/log/entries.ts'
import type { RideEntry, RideReceipt } from '../../core/log/kinds/ride.ts'
import { liveEntries } from '../../core/log/supersede.ts'
import { faultOfDraft } from '../../formats/entry-schema.ts'
import { csvOf } from '../../formats/data-package/table.ts'
import { isRide } from '../../formats/rides/sports.ts'
import { draftOfRow } from '../../formats/rides/row-draft.ts'
import type { TableRide } from '../../formats/rides/table-rides.ts'
import { sayRideFault } from '../../words/write-faults.ts'
import type { ReadRide, RideFile } from '../../workers/read-rides.ts'
import type { Open } from './questions.ts'
import { words } from '../../words/stations/miles/batch.ts'

/** A file or ride that does not go in, and why; or one that does with a remark. */
export interface Remark {
  readonly file: string
  readonly fault: string
}

export interface SortedBatch {
  readonly fresh: readonly RideDraft[]
  /** Rides about which something has to be said first. */
  readonly open: readonly Open[]
  /** Of those that go in, the ones that take the place of a poorer recording. */
  readonly richer: readonly Remark[]
  /** Already in the log, or told better by another file. */
  readonly known: readonly Remark[]
  readonly broken: readonly Remark[]
}

/** The rides of the log that count, as they were written. */
export const liveRides = (entries: readonly Entry[]): RideEntry[] =>
  liveEntries(entries).filter((entry) => entry.kind === 'ride')

function receiptOf(ride: ReadRide): RideReceipt {
  const { stray, bad, twice, wild } = ride.leftOut
  return {
    // Without positions whatever distance there is comes from the device.
    distance: ride.deviceKm === undefined && ride.placed > 0 ? 'track' : 'device',
    ...(ride.deviceFault && { deviceFault: ride.deviceFault }),
    ...(ride.told?.from && { energy: ride.told.from }),
    points: ride.points,
    ...(stray > 0 && { stray }),
    ...(bad > 0 && { bad }),
    ...(twice > 0 && { twice }),
    ...(wild > 0 && { wild }),
  }
}

/** What the log keeps of a recorded ride. Its condition is still to be said. */
export function draftOfRecording(bike: string, ride: ReadRide, file: string, print: string): RideDraft {
  const km = ride.deviceKm ?? ride.km
  const recorded = [
    ...(ride.hasCadence ? (['cadence'] as const) : []),
    ...(ride.hasPower ? (['power'] as const) : []),
  ]
  const { told, place, steep } = ride
  return {
    kind: 'ride',
    at: ride.startedAt,
    bike,
    km,
    trackKm: ride.km,
    movingSeconds: ride.movingSeconds,
    elapsedSeconds: (Date.parse(ride.endedAt) - Date.parse(ride.startedAt)) / 1000,
    ...(recorded.length > 0 && { recorded }),
    ...(told?.energyKjPerKm !== undefined && { energyKjPerKm: told.energyKjPerKm }),
    ...(told?.gears && { gears: told.gears }),
    ...(place && { place: roughPlace(place), route: routeKey(place, km) }),
    ...(steep && { steep }),
    receipt: receiptOf(ride),
    source: { file, fingerprint: print },
  }
}

/** A row of a table as it is offered, with what is open about it. */
export interface OfferedRow {
  readonly draft: RideDraft
  readonly line: number
  readonly isTwin: boolean
  readonly otherSport?: string
}

/** The rows of a table as they are offered to the log. */
export const offeredRows = (bike: string, rides: readonly TableRide[], file: string): OfferedRow[] =>
  rides.map((ride) => ({
    draft: draftOfRow(bike, ride, file),
    line: ride.line,
    isTwin: ride.twin > 0,
    ...(ride.otherSport !== undefined && { otherSport: ride.otherSport }),
  }))

const nameOf = (draft: RideDraft): string => draft.source?.file ?? draft.at.slice(0, 10)

/** Recordings and rows in the order in which they are held against the log, and what is open about them by themselves. */
function sortOffers(bike: string, files: readonly RideFile[], rows: readonly OfferedRow[]) {
  const offered: RideDraft[] = []
  const open: Open[] = []
  const twins = new Map<RideDraft, number>()
  for (const one of files) {
    if (one.form !== 'ride') continue
    const draft = draftOfRecording(bike, one.ride, one.file, one.print)
    if (!isRide(one.ride.sport)) open.push({ kind: 'sport', sport: one.ride.sport ?? '', draft })
    else if (one.doubt) open.push({ kind: 'day', doubt: one.doubt, draft })
    else offered.push(draft)
  }
  for (const { draft, line, isTwin, otherSport } of rows) {
    if (otherSport !== undefined) open.push({ kind: 'sport', sport: otherSport, draft })
    else {
      offered.push(draft)
      if (isTwin) twins.set(draft, line)
    }
  }
  return { offered, open, twins }
}

/** Sorts what was read into rides to add, rides to ask about, rides already held and files that could not be read. */
export function sortBatch(
  bike: string,
  files: readonly RideFile[],
  rows: readonly OfferedRow[],
  held: readonly RideEntry[],
): SortedBatch {
  const broken: Remark[] = files.flatMap((one) =>
    one.form === 'fault' ? [{ file: one.file, fault: one.fault }] : [],
  )
  const { offered, open, twins } = sortOffers(bike, files, rows)
  const isSound = (draft: RideDraft): boolean => {
    if (!(draft.km > 0)) {
      broken.push({ file: nameOf(draft), fault: words.itHasNoDistance })
      return false
    }
    const found = faultOfDraft(draft)
    if (found) broken.push({ file: nameOf(draft), fault: sayRideFault(found.field, found.fault) })
    return found === undefined
  }
  const fresh: RideDraft[] = []
  const richer: Remark[] = []
  const known: Remark[] = []
  for (const one of admitRides(held, offered)) {
    const file = nameOf(one.offered)
    switch (one.outcome) {
      case 'same':
        known.push({ file, fault: words.theSameRideAs(one.of) })
        break
      case 'poorer':
        known.push({ file, fault: words.theSameRideAsWhich(one.of) })
        break
      case 'richer':
        if (!isSound(one.draft)) break
        fresh.push(one.draft)
        richer.push({ file, fault: words.itHasMoreData(one.of) })
        break
      case 'maybe': {
        const { draft, instead, of } = one
        if (isSound(draft)) open.push({ kind: 'same-day', draft, ...(instead && { instead }), of })
        break
      }
      case 'new': {
        const line = twins.get(one.draft)
        if (!isSound(one.draft)) break
        if (line === undefined) fresh.push(one.draft)
        else open.push({ kind: 'twin', draft: one.draft, line })
      }
    }
  }
  // A ride of another sport, or of a doubtful day, that is in already need not be asked about.
  const prints = new Set(held.flatMap((ride) => sourcesOf(ride).map(({ fingerprint }) => fingerprint)))
  const asked = open.filter(({ draft }) => {
    if (!prints.has(draft.source?.fingerprint ?? '')) return true
    known.push({ file: nameOf(draft), fault: words.itIsInTheLog })
    return false
  })
  return {
    fresh,
    open: asked.filter(({ kind, draft }) => kind === 'day' || isSound(draft)),
    richer,
    known,
    broken,
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
  `${csvOf(
    ['file', 'why'],
    remarks.map(({ file, fault }) => [file, fault]),
  )}\r\n`
