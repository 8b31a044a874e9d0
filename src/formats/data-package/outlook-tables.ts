import type { BikeId } from '../../core/log/entry.ts'
import type { Garage } from '../../core/log/garage.ts'
import { spendings, type Spending } from '../../core/strategy/shelf/spent.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import type { Verdict } from '../../core/strategy/verdict.ts'
import type { WearAnswer } from '../../core/wear/outlook.ts'
import { atColumn, figureColumn, idColumn, textColumn } from './columns.ts'
import { figure, type Table } from './table.ts'

type Cost = Spending & { readonly bike: BikeId; readonly number: number }

/** What was spent. */
export function costsTable(garage: Garage, minorPerMajor: (currency: string) => number): Table<Cost> {
  return {
    name: 'costs',
    title: 'Costs',
    description: 'What was spent on each bike: parts, what came off the shelf, and jobs done at visits.',
    key: ['bike', 'number'],
    links: [{ column: 'bike', table: 'bikes', to: 'bike' }],
    columns: [
      idColumn('bike', 'id of the bike', ({ bike }) => bike),
      figureColumn(
        'number',
        'counted for each bike, the oldest first',
        undefined,
        ({ number }) => number,
        'integer',
      ),
      atColumn('when', ({ at }) => at),
      textColumn('what', 'for what', ({ what }) => what),
      figureColumn(
        'amount',
        'in units of the currency',
        undefined,
        ({ minor, currency }) => minor / minorPerMajor(currency),
      ),
      textColumn('currency', 'ISO 4217', ({ currency }) => currency),
    ],
    rows: [...garage.bikes.keys()].flatMap((bike) =>
      spendings(garage, bike).map((spending, i) => ({ ...spending, bike, number: i + 1 })),
    ),
  }
}

/** What is said of a bike now. */
export interface ForecastOf {
  readonly report: BikeReport
  /** Absent while it is being worked out, or where there is no chain. */
  readonly answer: WearAnswer | undefined
  readonly verdict: Verdict | undefined
}

/** What is said of each bike as of now: with how sure it is. */
export function forecastsTable(forecasts: readonly ForecastOf[]): Table<ForecastOf> {
  return {
    name: 'forecasts',
    title: 'Forecasts',
    description:
      'What is said of each bike and its chain as of the time given: 5 % and 95 % are the ends of what is likely at 90 %, p10 and p90 at 80 %.',
    key: ['bike'],
    links: [
      { column: 'bike', table: 'bikes', to: 'bike' },
      { column: 'chain', table: 'parts', to: 'part' },
    ],
    columns: [
      idColumn('bike', 'id of the bike', ({ report }) => report.bike.entry.bike),
      textColumn('chain', 'id of the chain that is on it', ({ report }) => report.chain?.part.entry.part),
      atColumn('as of', ({ report }) => report.now, 'as_of'),
      textColumn('word', 'how worn its chain is, in a word', ({ verdict }) => verdict?.word),
      textColumn('action', 'what to do', ({ verdict }) => verdict?.action),
      figureColumn('confidence', 'how likely it is that this is right, 0 to 1', undefined, ({ verdict }) =>
        figure(verdict?.confidence, 3),
      ),
      figureColumn(
        'limit_percent',
        'elongation at which the chain is swapped',
        '%',
        ({ report }) => report.limit.percent,
      ),
      figureColumn('elongation_percent', 'elongation now, mean', '%', ({ answer }) =>
        figure(answer?.now.mean, 4),
      ),
      figureColumn('elongation_p05_percent', 'elongation now, 5 %', '%', ({ answer }) =>
        figure(answer?.now.p05, 4),
      ),
      figureColumn('elongation_p95_percent', 'elongation now, 95 %', '%', ({ answer }) =>
        figure(answer?.now.p95, 4),
      ),
      figureColumn('rate_percent_per_1000_km', 'how fast it grows, median', '%/1000 km', ({ answer }) =>
        figure(answer?.ratePer1000.p50, 4),
      ),
      figureColumn('to_limit_km', 'distance to the limit, median', 'km', ({ answer }) =>
        figure(answer?.toLimitKm.p50, 0),
      ),
      figureColumn('to_limit_p10_km', 'distance to the limit, 10 %', 'km', ({ answer }) =>
        figure(answer?.toLimitKm.p10, 0),
      ),
      figureColumn('to_limit_p90_km', 'distance to the limit, 90 %', 'km', ({ answer }) =>
        figure(answer?.toLimitKm.p90, 0),
      ),
      figureColumn('next_look_km', 'distance to the next look', 'km', ({ answer }) =>
        figure(answer?.nextLookKm, 0),
      ),
      {
        name: 'swap_day',
        type: 'date',
        description: 'when it is to be swapped',
        of: ({ verdict }) => verdict?.swap?.day?.slice(0, 10),
      },
    ],
    rows: forecasts,
  }
}
