import { configureStore } from '@reduxjs/toolkit'
import { render } from '@testing-library/react'
import type { ReactNode } from 'react'
import { Provider } from 'react-redux'
import { MemoryRouter } from 'react-router'
import type { Entry, EntryDraft } from '../src/core/log/entries.ts'
import type { EntryId } from '../src/core/log/entry.ts'
import type { Garage } from '../src/core/log/garage.ts'
import { replay } from '../src/core/log/replay.ts'
import { bikeReport, type BikeReport, type ChainReport } from '../src/core/strategy/facts/bike-report.ts'
import { riderGroups } from '../src/core/strategy/rider-ask.ts'
import type { RiderOutlook } from '../src/core/wear/rider-outlook.ts'
import type { Ledger } from '../src/store/ledger.ts'
import { LogContext, type OpenLog } from '../src/session/log-context.ts'
import { screenSlice } from '../src/ui/screen-state.ts'
import { SafeKeepingContext, type SafeKeeping } from '../src/session/safe-keeping.ts'
import { AnswersContext, type Answering } from '../src/session/use-answer.ts'
import { ForecastsContext, type ForecastStore } from '../src/session/use-forecasts.ts'
import { noon, written } from './log.ts'

/** The day on which the tested screens are looked at. */
export const TODAY = noon(4, 1)

/** A log of which everything is saved. */
export const SAFE: SafeKeeping = {
  promise: 'given',
  askForPromise: () => Promise.resolve(),
  lastBackup: { at: TODAY },
  unsaved: [],
  aside: [],
  overruled: [],
  overruledSeen: () => Promise.resolve(),
  backupSaved: () => Promise.resolve(),
  folder: undefined,
}

const NOTHING_KNOWN: readonly never[] = []
/** Nothing that is asked is ever answered. */
const SILENT: Answering = () => ({
  want: () => undefined,
  known: () => NOTHING_KNOWN,
  subscribe: () => () => undefined,
  first: () => undefined,
  stop: () => undefined,
  resume: () => undefined,
})

/** What {@link openLog} gives. */
interface Opened {
  /** What the screen wrote, in order. */
  readonly recorded: EntryDraft[]
  /** The entries it took back. */
  readonly withdrawn: EntryId[]
  readonly garage: Garage
  readonly entries: readonly Entry[]
  readonly report: BikeReport
  readonly chain: ChainReport
  /** @param address where the reader is; the start where it is absent */
  readonly show: (screen: ReactNode, address?: string) => ReturnType<typeof render>
}

/**
 * A log held in memory, with what a screen needs around it.
 * @param outlook what the wear model says of it; still being worked out where it is absent
 */
export function openLog(drafts: readonly EntryDraft[], outlook?: (garage: Garage) => RiderOutlook): Opened {
  const recorded: EntryDraft[] = []
  const withdrawn: EntryId[] = []
  const entries = written(drafts)
  const garage = replay(entries)
  const bike = garage.bikes.get('heron')
  const report = bike && bikeReport(garage, bike, TODAY)
  if (!report?.chain) throw new Error('the log needs a bike with a chain')
  const log: OpenLog = {
    world: 'own',
    ledger: undefined as unknown as Ledger,
    kept: { read: () => Promise.resolve(undefined), keep: () => Promise.resolve() },
    pictures: {
      read: () => Promise.resolve(undefined),
      keep: () => Promise.resolve('picture'),
      drop: () => Promise.resolve(),
      all: () => Promise.resolve([]),
    },
    entries,
    garage,
    now: TODAY,
    record: (more) => {
      recorded.push(...more)
      // A screen goes on once something was written.
      return Promise.resolve(written(more))
    },
    withdraw: (targets) => {
      withdrawn.push(...targets)
      return Promise.resolve([])
    },
    restore: () => Promise.resolve([]),
    undo: () => Promise.resolve(),
    redo: () => Promise.resolve(),
  }
  const told = outlook?.(garage)
  const groups = riderGroups(garage, TODAY).map(({ id, bikes, chains }) => ({
    id,
    bikes,
    chains,
    fresh: told !== undefined,
    ...(told && { outlook: told }),
  }))
  const forecasts: ForecastStore = {
    groups: () => groups,
    subscribe: () => () => undefined,
    stop: () => undefined,
    resume: () => undefined,
    askFirst: () => undefined,
  }
  const store = configureStore({ reducer: { screen: screenSlice.reducer } })
  return {
    recorded,
    withdrawn,
    garage,
    entries,
    report,
    chain: report.chain,
    show: (screen, address = '/') =>
      render(
        <Provider store={store}>
          <MemoryRouter initialEntries={[address]}>
            <LogContext value={log}>
              <SafeKeepingContext value={SAFE}>
                <AnswersContext value={SILENT}>
                  <ForecastsContext value={forecasts}>{screen}</ForecastsContext>
                </AnswersContext>
              </SafeKeepingContext>
            </LogContext>
          </MemoryRouter>
        </Provider>,
      ),
  }
}
