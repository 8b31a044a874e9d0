import { createContext, useContext, useEffect, useMemo, useState } from 'react'
import type { BikeId, EntryId, IsoTime } from '../core/log/entry.ts'
import type { Entry, EntryDraft } from '../core/log/entries.ts'
import type { KeptPicture } from '../core/log/kept-picture.ts'
import type { Garage } from '../core/log/garage.ts'
import { bikeReport, bikeReportSteps, type BikeReport } from '../core/strategy/facts/bike-report.ts'
import type { World } from '../core/log/world.ts'
import type { Ledger } from '../store/ledger.ts'
import { inSlices } from './in-slices.ts'

export type { World } from '../core/log/world.ts'

/** Things that this device keeps beside the log: how a table is read, how far a service was read. No record of the work. */
export interface KeptThings {
  readonly read: (key: string) => Promise<unknown>
  readonly keep: (key: string, value: unknown) => Promise<void>
}

/** Pictures kept beside the log, each by its id: an entry names it. */
export interface KeptPictures {
  readonly read: (id: string) => Promise<Blob | undefined>
  readonly keep: (jpeg: Blob) => Promise<string>
  readonly drop: (id: string) => Promise<void>
  /** Those that the log names now. */
  readonly all: () => Promise<readonly KeptPicture[]>
}

/** The open log and what it says. */
export interface OpenLog {
  readonly world: World
  readonly ledger: Ledger
  readonly kept: KeptThings
  readonly pictures: KeptPictures
  readonly entries: readonly Entry[]
  readonly garage: Garage
  /** The time, kept fresh enough for days and distances. */
  readonly now: IsoTime
  /**
   * Writes entries as one action, says so in a notice with a way back, or says why it could not. What the log holds
   * already at that moment is left out.
   * @returns what was written; undefined where it failed, and the caller keeps what was typed
   */
  readonly record: (drafts: readonly EntryDraft[], said?: string) => Promise<readonly Entry[] | undefined>
  /** Takes entries out, without a word. */
  readonly withdraw: (targets: readonly EntryId[]) => Promise<readonly Entry[] | undefined>
  /** Puts entries back that were undone or taken out, and says so. */
  readonly restore: (ids: readonly EntryId[]) => Promise<readonly Entry[] | undefined>
  /** Takes back the last step, and says so. */
  readonly undo: () => Promise<void>
  /** Takes back the last undo, and says so. */
  readonly redo: () => Promise<void>
}

export const LogContext = createContext<OpenLog | undefined>(undefined)

/** The open log. Only within the shell, which opens one. */
export function useOpenLog(): OpenLog {
  const log = useContext(LogContext)
  if (!log) throw new Error('No log is open here.')
  return log
}

/** What the log says of one bike; undefined where there is no such bike. */
export function useBikeReport(bike: BikeId | undefined): BikeReport | undefined {
  const { garage, now } = useOpenLog()
  return useMemo(() => {
    const state = bike === undefined ? undefined : garage.bikes.get(bike)
    return state && bikeReport(garage, state, now)
  }, [garage, bike, now])
}

const reportsOf = (garage: Garage, now: IsoTime): readonly BikeReport[] =>
  [...garage.bikes.values()].map((bike) => bikeReport(garage, bike, now))

/** What the log says of every bike. */
export function useAllReports(): readonly BikeReport[] {
  const { garage, now } = useOpenLog()
  return useMemo(() => reportsOf(garage, now), [garage, now])
}

/** So many bikes take no longer to go through than a page takes to be drawn. */
const FEW = 12

/**
 * What the log says of every bike, without holding up the page: a workshop's bikes are gone through a slice of time at once,
 * and while that is so, what the log said before is there still.
 * @returns undefined until they were gone through for the first time
 * @throws whatever goes wrong on the way, where it is drawn
 */
export function useReportsInTurn(): readonly BikeReport[] | undefined {
  const { garage, now } = useOpenLog()
  const isFew = garage.bikes.size <= FEW
  const few = useMemo(() => (isFew ? reportsOf(garage, now) : undefined), [isFew, garage, now])
  const [many, setMany] = useState<readonly BikeReport[]>()
  const [fault, setFault] = useState<unknown>()
  useEffect(() => {
    if (isFew) return
    let isWanted = true
    void inSlices(bikeReportSteps(garage, now), () => isWanted).then(
      (reports) => reports && isWanted && setMany(reports),
      setFault,
    )
    return () => {
      isWanted = false
    }
  }, [isFew, garage, now])
  if (fault instanceof Error) throw fault
  return few ?? many
}
