import { sayCount, sayList } from './numbers.ts'

/** What a column of notes can hold. */
export const NOTE_USE_NAMES = {
  none: 'nothing to bring in',
  date: 'the day',
  clock: 'the time of day',
  bike: 'the bike',
  chain: 'the chain',
  ride: 'distance of a ride',
  odometer: 'the bike’s counter',
  'chain-distance': 'distance on this chain',
  'since-last': 'distance since the row above',
  limit: 'drop-in gauge, one side',
  percent: 'elongation in %',
  length: 'a length of chain',
  words: 'words: what was seen or done',
  price: 'what it cost',
} as const

/** What still has to be said before a table can be read. */
export const NOTE_QUESTIONS = {
  date: 'Choose the column that holds the day.',
  dates: 'Choose the order in which the days are written.',
  unit: 'Choose the unit of the distances.',
  limits: 'Choose the mark of each side of the gauge.',
  contacts: 'Choose the kind of gauge.',
  yesMeans: 'Choose what yes means beside the gauge.',
  words: 'Choose what each word beside the gauge means.',
  pitches: 'Choose how many links were measured, and the unit.',
  currency: 'Choose the currency.',
  nothing: 'Choose at least one column to bring in.',
  bikes: 'Choose which bike the notes are about.',
} as const

export const DATE_ORDER_NAMES = {
  iso: 'year, month, day, or the month by name',
  'day-first': 'day, month, year',
  'month-first': 'month, day, year',
} as const

export const DECIMAL_NAMES = {
  point: 'a point: 12.5',
  comma: 'a comma: 12,5',
  each: 'now one, now the other',
} as const

export const CONTACT_NAMES = {
  'two-contact': 'two contacts: it spreads two rollers apart',
  'three-contact': 'three contacts: a third one takes the roller play away',
} as const

export const YES_MEANS_NAMES = {
  drops: 'yes: the side drops in',
  good: 'yes: the chain is still good, the side stays out',
} as const

export const SIDE_NAMES = {
  drops: 'it drops in',
  starts: 'it goes in part of the way',
  'not-in': 'it does not drop in',
  clear: 'it does not go in at all',
  'left-out': 'nothing: leave it out',
} as const

const WHY = {
  'no-date': (written: string) =>
    written === '' ? 'There is no day.' : `“${written}” is no day that can be read.`,
  'far-date': (written: string) => `“${written}”: check the year.`,
  'no-number': (written: string) => `“${written}” is no number.`,
  'no-distance': (written: string) => `“${written}” is no distance.`,
  'too-far': (written: string) => `“${written}”: no bike’s counter shows that much. Is the unit right?`,
  'too-long': (written: string) => `“${written}” in one ride: is it the counter rather than a ride?`,
  'no-side': (written: string) => `“${written}”: say above what it means beside the gauge.`,
  'sides-contradict': (written: string) =>
    `${written}: a later mark cannot drop in before an earlier one. Check the note.`,
  'no-stretch': (written: string) => `“${written}” is more or less than a chain can stretch. Is it in %?`,
  'no-length': (written: string) =>
    `“${written}” does not fit the number of links above. Were they counted differently here?`,
  'no-price': (written: string) => `“${written}” is no price.`,
  meant: (written: string) => `“${written}” speaks of a part still to come: it is kept as a note.`,
  'counts-back': (written: string) => `“${written}” is less than the counter showed before. Check it.`,
  'nothing-before': (written: string) => `“${written}” is left out: there is no row above to count it from.`,
  'swap-in-past': () =>
    'The log already has other chains on the bike at that time. Enter this swap on the Shelf.',
  'not-fitted': (written: string) =>
    `The log has another chain on the bike on that day. “${written}” was not fitted.`,
  'ride-there': (written: string) =>
    `${written}: the log has a ride of that day and distance. Not added again.`,
  'which-bike': (written: string) => `“${written}”: choose above which bike that is.`,
} as const

/** Why something in a row of notes does not come in. */
export const sayNoteDoubt = (why: keyof typeof WHY, written: string): string => WHY[why](written)

/** How many of what come in: "20 readings, 10 distances and 2 chains". */
export function sayNoteCounts(counts: {
  readonly bikes: number
  readonly chains: number
  readonly distances: number
  readonly readings: number
  readonly washes: number
  readonly parts: number
  readonly notes: number
  readonly prices: number
}): string {
  const said = [
    counts.bikes > 0 && sayCount(counts.bikes, 'newBike'),
    counts.readings > 0 && sayCount(counts.readings, 'reading'),
    counts.distances > 0 && sayCount(counts.distances, 'distance'),
    counts.chains > 0 && sayCount(counts.chains, 'chain'),
    counts.parts > 0 && sayCount(counts.parts, 'otherPart'),
    counts.washes > 0 && sayCount(counts.washes, 'wash'),
    counts.prices > 0 && sayCount(counts.prices, 'price'),
    counts.notes > 0 && sayCount(counts.notes, 'note'),
  ].filter((one) => one !== false)
  return sayList(said)
}
