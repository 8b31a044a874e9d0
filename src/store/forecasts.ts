import type { LogDatabase, StoredForecast } from './database.ts'

/** What was kept for a rider; undefined where nothing was. */
export const readForecast = (database: LogDatabase, group: string): Promise<StoredForecast | undefined> =>
  database.forecasts.get(group)

/** Keeps an answer in place of the one before. Not a record: it can be worked out again from the log at any time. */
export async function keepForecast(database: LogDatabase, forecast: StoredForecast): Promise<void> {
  await database.forecasts.put(forecast)
}
