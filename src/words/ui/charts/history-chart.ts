/** The words of HistoryChart. */
export const words = {
  openEnd: 'open',
  km: 'km',
  miles: 'miles',
  wearSinceEachWasFitted: (unit: string) => `wear-${unit} since each was fitted`,
  sinceEachWasFitted: (unit: string) => `${unit} since each was fitted`,
  aheadOfTodayTheLikely: (figure: string, figure2: string, km: string) =>
    `; ahead of today the likely way on, ${figure} to ${figure2} % after ${km} more`,
  readingsOfEachWithIts: (count: number, chains: string, phrase: string) =>
    `${count} readings of ${chains}, each with its interval, against distance from zero${phrase}.`,
  chain: 'Chain',
  distance: 'Distance',
  lowest: 'Lowest',
  highest: 'Highest',
  remark: 'Remark',
}
