import { admitRides, draftsOf, type RideDraft } from '../../core/exposure/admit-rides.ts'
import { totalKm } from '../../core/exposure/distance.ts'
import { roughPlace, routeKey } from '../../core/exposure/ride-gears.ts'
import type { Entry } from '../../core/log/entries.ts'
import type { EntryId } from '../../core/log/entry.ts'
import type { RideEntry } from '../../core/log/kinds/ride.ts'
import { linesOf } from '../../core/log/supersede.ts'
import { faultOfDraft } from '../../formats/entry-schema.ts'
import { ServiceError, type Patience } from '../../services/patient-fetch.ts'
import {
  RIDE_SERVICE,
  ridePages,
  SYNC_START,
  type RideChange,
  type SyncPlace,
} from '../../services/ride-service.ts'
import type { OpenLog } from '../../session/log-context.ts'
import { liveRides } from './batch.ts'

/** What a sync has done so far. */
export interface SyncSum {
  readonly added: number
  readonly addedKm: number
  readonly known: number
  readonly removed: number
  /** Rides without a day or a distance, or with figures that cannot be. */
  readonly refused: number
  readonly pages: number
}

const printOf = (id: string): string => `exchange ${id}`

/** A ride of the service as the log keeps it; undefined where it has no start or a distance. */
function draftOf(bike: string, ride: RideChange): RideDraft | undefined {
  const { startedAt, km } = ride
  if (startedAt === undefined || km === undefined || !(km > 0) || !Number.isFinite(Date.parse(startedAt)))
    return undefined
  const place =
    ride.lat !== undefined && ride.lon !== undefined ? { lat: ride.lat, lon: ride.lon } : undefined
  const seconds = ride.elapsedSeconds ?? ride.movingSeconds
  return {
    kind: 'ride',
    at: new Date(startedAt).toISOString(),
    bike,
    km,
    ...(ride.movingSeconds !== undefined && { movingSeconds: ride.movingSeconds }),
    // A service tells the moment at which it began: without its end it took at least as long as it was in motion.
    ...(seconds !== undefined && { elapsedSeconds: seconds }),
    ...(place && { place: roughPlace(place), route: routeKey(place, km) }),
    source: { file: RIDE_SERVICE, fingerprint: printOf(ride.id) },
  }
}

/** The entries of rides and of all they were corrected from. */
const wholly = (log: readonly Entry[], rides: readonly RideEntry[]): EntryId[] =>
  linesOf(
    log,
    rides.map(({ id }) => id),
  )

interface Sync extends Patience {
  readonly token: string
  readonly bike: string
  readonly ledger: Pick<OpenLog['ledger'], 'state'>
  readonly kept: OpenLog['kept']
  readonly record: OpenLog['record']
  readonly placeKey: string
  readonly onProgress: (sum: SyncSum) => void
}

/**
 * Brings what is new at the service into the log, a page at a time: each page's rides are written, then how far was
 * read. Broken off anywhere it goes on from there, and a page read twice adds nothing twice.
 * @throws ServiceError when the service gives out, or what it told could not be written
 */
export async function syncRides({
  token,
  bike,
  ledger,
  kept,
  record,
  placeKey,
  onProgress,
  ...patience
}: Sync): Promise<SyncSum> {
  const from = ((await kept.read(placeKey)) as SyncPlace | undefined) ?? SYNC_START
  let sum: SyncSum = { added: 0, addedKm: 0, known: 0, removed: 0, refused: 0, pages: 0 }
  for await (const page of ridePages(token, from, patience)) {
    const state = ledger.state()
    const log = state.status === 'open' ? state.entries : []
    const held = liveRides(log)
    const gone = new Set(page.deleted.map(printOf))
    const lost = held.filter(
      (ride) => ride.source && gone.has(ride.source.fingerprint) && !ride.otherSources?.length,
    )
    const told = page.rides.flatMap((ride) => draftOf(bike, ride) ?? [])
    const offered = told.filter((draft) => faultOfDraft(draft) === undefined)
    const admissions = admitRides(held, offered)
    const drafts = draftsOf(admissions)
    const written = await record([
      ...drafts,
      ...(lost.length > 0
        ? [{ kind: 'withdraw' as const, at: new Date().toISOString(), targets: wholly(log, lost) }]
        : []),
    ])
    // The page was not kept, so its place is not either.
    if (!written) throw new ServiceError('The rides could not be saved.')
    await kept.keep(placeKey, page.place)
    sum = {
      added: sum.added + drafts.length,
      addedKm: sum.addedKm + totalKm(drafts),
      known: sum.known + admissions.length - drafts.length,
      removed: sum.removed + lost.length,
      refused: sum.refused + page.rides.length - offered.length,
      pages: sum.pages + 1,
    }
    onProgress(sum)
  }
  return sum
}
