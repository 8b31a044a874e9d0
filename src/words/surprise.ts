import { entryAddress, OPENS } from './places.ts'
import type { Garage } from '../core/log/garage.ts'
import type { Interval } from '../core/stats/interval.ts'
import type { Surprise, SurpriseCause } from '../core/wear/surprise.ts'
import { sayFigure, sayPercent } from './numbers.ts'
import { namePart } from './part-name.ts'

/**
 * What was read, and what was to be expected.
 * @param day of the look, where it is to be named
 */
export const saySurprise = ({ read, expected, isLast }: Surprise, day?: string): string =>
  `${day === undefined ? (isLast ? 'The last reading' : 'An earlier reading') : `The reading of ${day}`} says about ${sayPercent(read)}; ${sayFigure(expected.p05)} to ${sayPercent(expected.p95)} was expected.`

/**
 * The question a cause asks.
 * @param between the days of the look before and of the look itself, where there was one before
 */
export function sayCause(cause: SurpriseCause, garage: Garage, between?: readonly [string, string]): string {
  switch (cause.kind) {
    case 'wrong-chain':
      return `Was it ${namePart(garage, cause.chain)} that was measured?`
    case 'swapped':
      return between
        ? `Was a fresh chain fitted between ${between[0]} and ${between[1]} that is not in the log?`
        : 'Was a fresh chain fitted that is not in the log?'
    case 'missing-road':
      return 'Are rides missing, or were they wetter and dirtier than the log says?'
    case 'gauge':
      return 'Was it misread, does the tool read wrong, was the chain slack, or the joining link inside the span?'
  }
}

/** What an answer would mean for the chain. */
export const sayIfSo = ({ p50 }: Interval, limit: number): string =>
  `If so, it is at about ${sayPercent(p50)}${p50 >= limit ? ', past its limit' : ''}.`

/** Where each is corrected, and what the way there is called. */
export function mendFor(
  cause: SurpriseCause,
  { isLast }: Pick<Surprise, 'isLast'>,
  reading: string | undefined,
): { path: string; label: string } {
  switch (cause.kind) {
    case 'wrong-chain':
      return { path: entryAddress(reading ?? ''), label: 'Correct the reading' }
    case 'swapped':
      return { path: OPENS.fitChain, label: 'Log the swap' }
    case 'missing-road':
      return { path: OPENS.addRides, label: 'Check the rides' }
    case 'gauge':
      return isLast
        ? { path: OPENS.takeReading, label: 'Measure it with another tool' }
        : { path: entryAddress(reading ?? ''), label: 'Correct the reading' }
  }
}
