import { lightFormat } from 'date-fns'
import type { Conflict } from '../core/log/conflicts.ts'
import type { Entry } from '../core/log/entries.ts'
import type { IsoTime } from '../core/log/entry.ts'
import type { Garage } from '../core/log/garage.ts'
import { sayEntry } from './entries/index.ts'
import type { Units } from '../core/units/units.ts'
import { sayDay } from './numbers.ts'
import { namePart } from './part-name.ts'

/** What contradicts, as a question. */
export function askConflict(conflict: Conflict, garage: Garage, now: IsoTime): string {
  const day = sayDay(conflict.sides[0]?.at ?? now, now)
  switch (conflict.about) {
    case 'swap': {
      const bike = garage.bikes.get(conflict.bike)?.entry.name ?? 'The bike'
      return `${bike}: ${namePart(garage, conflict.off, conflict.bike)} was swapped twice on ${day}. Which swap is right?`
    }
    case 'part':
      return `${namePart(garage, conflict.part, undefined, true)} was fitted to two bikes on ${day}. Which is right?`
    case 'correction':
      return `One entry was corrected in two ways. Which is right?`
  }
}

/** One side of it: what was written, when, and by whom. */
export function saySide(
  { about }: Conflict,
  side: Entry,
  garage: Garage,
  units: Units,
  now: IsoTime,
): string {
  const who = side.writtenBy === undefined ? '' : `${side.writtenBy}, `
  const when =
    about === 'correction'
      ? sayDay(side.at, now)
      : `${sayDay(side.at, now)}, ${lightFormat(new Date(side.at), 'HH:mm')}`
  return `${who}${when}: ${sayEntry(side, garage, units)}`
}

/** What is said once one side was kept. */
export const SETTLED = { one: 'Kept; the other was taken out.', all: 'Noted: all of it happened.' } as const
