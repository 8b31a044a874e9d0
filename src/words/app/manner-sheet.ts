import type { DateStyle } from '../manner.ts'

/** The words of MannerSheet. */
export const words = {
  title: 'Numbers, days and units',
  note: 'Until you choose, they follow the language of your browser. Whatever you type is understood either way: 12.5 or 12,5.',
  asTheBrowser: 'as the browser',
  numbers: 'Numbers',
  days: 'Days',
  dateStyles: {
    'day-month': '12 December 2026',
    'month-day': 'December 12, 2026',
    'year-first': '2026-12-12',
  } satisfies Readonly<Record<DateStyle, string>>,
  units: 'Distances and lengths',
  metric: 'km and mm',
  imperial: 'miles and inches',
  example: (long: string, short: string, day: string) => `Like this: ${long}, ${short}, ${day}.`,
}
