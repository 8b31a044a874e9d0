import { ENTRY_FORMAT, type IsoTime } from '../../core/log/entry.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import type { Garage } from '../../core/log/garage.ts'
import { replay } from '../../core/log/replay.ts'
import type { Reading } from '../../core/measure/reading.ts'
import { bikeReport, type BikeReport } from '../../core/strategy/bike-report.ts'

/** What kinds of drivetrain are told apart where nothing else is known of a bike: what its limit depends on. */
export const DRIVETRAINS = {
  single: { label: 'one cog or hub gear', speeds: 1, shifting: 'none', motor: 'none' },
  few: { label: '5 to 10 cogs', speeds: 10, shifting: 'cable', motor: 'none' },
  many: { label: '11 or more cogs', speeds: 11, shifting: 'cable', motor: 'none' },
  electric: { label: 'electric shifting', speeds: 12, shifting: 'electric', motor: 'none' },
  motor: { label: 'motor at the cranks', speeds: 11, shifting: 'cable', motor: 'mid-drive' },
} as const
export type DrivetrainKind = keyof typeof DRIVETRAINS

/** A usual chain, where nobody has counted its links. */
export const USUAL_LINKS = 114

/** What keeping a chain measured without a bike writes: the bike, the chain of unknown past on it, and the readings. */
export function provisionalDrafts(
  kind: DrivetrainKind,
  readings: readonly Reading[],
  ids: { readonly bike: string; readonly chain: string; readonly name: string },
  at: IsoTime,
): readonly EntryDraft[] {
  const { label, speeds, shifting, motor } = DRIVETRAINS[kind]
  const { bike, chain } = ids
  return [
    {
      kind: 'bike',
      at,
      bike,
      name: ids.name,
      note: label,
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
      name: 'Chain as found',
      spec: { type: 'chain', links: USUAL_LINKS, speeds, past: 'unknown' },
    },
    { kind: 'fit', at, part: chain, bike },
    ...readings.map((reading) => ({ kind: 'reading' as const, at, chain, reading })),
  ]
}

/** The garage that these entries alone would make, and what is known of its one bike. Nothing is stored. */
export function provisionalReport(
  drafts: readonly EntryDraft[],
  now: IsoTime,
): { readonly garage: Garage; readonly report: BikeReport } | undefined {
  const entries = drafts.map((draft, i) => ({
    ...draft,
    id: `00000000-0000-7000-8000-${String(i).padStart(12, '0')}`,
    format: ENTRY_FORMAT,
  }))
  const garage = replay(entries)
  const [bike] = garage.bikes.values()
  return bike && { garage, report: bikeReport(garage, bike, now) }
}
