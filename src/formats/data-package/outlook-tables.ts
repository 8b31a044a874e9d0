import type { BikeId } from '../../core/log/entry.ts'
import type { Garage } from '../../core/log/garage.ts'
import { spendings, type Spending } from '../../core/strategy/shelf/spent.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import type { Verdict } from '../../core/strategy/verdict.ts'
import type { WearAnswer } from '../../core/wear/outlook.ts'
import { atColumn, figureColumn, idColumn, textColumn } from './columns.ts'
import { figure, type Table } from './table.ts'
import { words } from '../../words/formats/data-package/outlook-tables.ts'

type Cost = Spending & { readonly bike: BikeId; readonly number: number }

/** What was spent. */
export function costsTable(garage: Garage, minorPerMajor: (currency: string) => number): Table<Cost> {
  return {
    name: 'costs',
    title: 'Costs',
    description: words.whatWasSpentOnEach,
    key: ['bike', 'number'],
    links: [{ column: 'bike', table: 'bikes', to: 'bike' }],
    columns: [
      idColumn('bike', words.idOfTheBike, ({ bike }) => bike),
      figureColumn('number', words.countedForEachBike, undefined, ({ number }) => number, 'integer'),
      atColumn('when', ({ at }) => at),
      textColumn('what', 'for what', ({ what }) => what),
      figureColumn(
        'amount',
        words.inUnitsOfTheCurrency,
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
    description: words.whatIsSaidOfEach,
    key: ['bike'],
    links: [
      { column: 'bike', table: 'bikes', to: 'bike' },
      { column: 'chain', table: 'parts', to: 'part' },
    ],
    columns: [
      idColumn('bike', words.idOfTheBike, ({ report }) => report.bike.entry.bike),
      textColumn('chain', words.idOfTheChain, ({ report }) => report.chain?.part.entry.part),
      atColumn('as of', ({ report }) => report.now, 'as_of'),
      textColumn('word', words.howWornItsChain, ({ verdict }) => verdict?.word),
      textColumn('action', words.whatToDo, ({ verdict }) => verdict?.action),
      figureColumn('confidence', words.howLikelyItIsThatThis, undefined, ({ verdict }) =>
        figure(verdict?.confidence, 3),
      ),
      figureColumn(
        'limit_percent',
        words.elongationAtWhichTheChain,
        '%',
        ({ report }) => report.limit.percent,
      ),
      figureColumn('elongation_percent', words.elongationNowMean, '%', ({ answer }) =>
        figure(answer?.now.mean, 4),
      ),
      figureColumn('elongation_p05_percent', words.elongationNow5, '%', ({ answer }) =>
        figure(answer?.now.p05, 4),
      ),
      figureColumn('elongation_p95_percent', words.elongationNow95, '%', ({ answer }) =>
        figure(answer?.now.p95, 4),
      ),
      figureColumn('rate_percent_per_1000_km', words.howFastItGrows, '%/1000 km', ({ answer }) =>
        figure(answer?.ratePer1000.p50, 4),
      ),
      figureColumn('to_limit_km', words.distanceToTheLimit, 'km', ({ answer }) =>
        figure(answer?.toLimitKm.p50, 0),
      ),
      figureColumn('to_limit_p10_km', words.distanceToTheLimit10, 'km', ({ answer }) =>
        figure(answer?.toLimitKm.p10, 0),
      ),
      figureColumn('to_limit_p90_km', words.distanceToTheLimit90, 'km', ({ answer }) =>
        figure(answer?.toLimitKm.p90, 0),
      ),
      figureColumn('next_look_km', words.distanceToTheNext, 'km', ({ answer }) =>
        figure(answer?.nextLookKm, 0),
      ),
      {
        name: 'swap_day',
        type: 'date',
        description: words.whenItIsToBe,
        of: ({ verdict }) => verdict?.swap?.day?.slice(0, 10),
      },
    ],
    rows: forecasts,
  }
}
