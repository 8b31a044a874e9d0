import { asIfWritten } from '../../core/log/as-if-written.ts'
import type { Entry, EntryDraft } from '../../core/log/entries.ts'
import type { IsoTime } from '../../core/log/entry.ts'
import { DRIVETRAINS, USUAL_LINKS, type DrivetrainKind } from '../../core/gearing/drivetrains.ts'
import { DRIVETRAIN_NAMES } from '../../words/names.ts'
import { replay } from '../../core/log/replay.ts'
import type { Reading } from '../../core/measure/reading.ts'
import { bikeReport, type BikeReport, type ChainReport } from '../../core/strategy/facts/bike-report.ts'
import { riderGroups } from '../../core/strategy/rider-ask.ts'
import type { RiderAsk } from '../../core/wear/rider-outlook.ts'
import { words } from '../../words/stations/gauge/provisional.ts'

/** What keeping a chain measured without a bike writes: the bike, the chain of unknown past on it, and the readings. */
export function provisionalDrafts(
  kind: DrivetrainKind,
  readings: readonly Reading[],
  ids: { readonly bike: string; readonly chain: string; readonly name: string },
  at: IsoTime,
): readonly EntryDraft[] {
  const { speeds, shifting, motor } = DRIVETRAINS[kind]
  const { bike, chain } = ids
  return [
    {
      kind: 'bike',
      at,
      bike,
      name: ids.name,
      note: DRIVETRAIN_NAMES[kind],
      speeds,
      shifting,
      motor,
      usualCondition: 'dry-road',
      storage: 'indoors',
    },
    {
      kind: 'part',
      at,
      part: chain,
      name: words.chainAsFound,
      spec: { type: 'chain', links: USUAL_LINKS, speeds, past: 'unknown' },
    },
    { kind: 'fit', at, part: chain, bike },
    ...readings.map((reading) => ({ kind: 'reading' as const, at, chain, reading })),
  ]
}

/** A chain as it would stand in the log, with what the wear model has to be asked about it. */
export interface Provisional {
  readonly report: BikeReport
  readonly chain: ChainReport
  readonly ask: RiderAsk | undefined
}

/**
 * What the log would know of a chain if it were kept. The rider's other chains have their say, as they will once it is: the
 * answer is then the same before and after. Nothing is stored.
 * @param drafts what keeping it writes, as of {@link provisionalDrafts}
 */
export function provisionalReport(
  entries: readonly Entry[],
  drafts: readonly EntryDraft[],
  ids: { readonly bike: string; readonly chain: string },
  now: IsoTime,
): Provisional | undefined {
  const garage = replay(asIfWritten(entries, drafts))
  const bike = garage.bikes.get(ids.bike)
  const report = bike && bikeReport(garage, bike, now)
  if (!report?.chain) return undefined
  const group = riderGroups(garage, now).find(({ chains }) => chains.includes(ids.chain))
  return { report, chain: report.chain, ask: group?.ask }
}
