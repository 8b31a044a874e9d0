import { lightFormat } from 'date-fns'
import { fieldsApart } from '../core/log/two-versions.ts'
import type { Entry } from '../core/log/entries.ts'
import type { IsoTime } from '../core/log/entry.ts'
import type { Garage } from '../core/log/garage.ts'
import type { Units } from '../core/units/units.ts'
import { sayEntry, wordsOf } from './entries/index.ts'
import { sayDay } from './numbers.ts'

/** What is known where a version is said. */
interface Said {
  readonly garage: Garage
  readonly units: Units
  readonly now: IsoTime
}

const plainly = (value: unknown): string =>
  value === undefined ? 'nothing' : typeof value === 'string' ? `“${value}”` : JSON.stringify(value)

/** What a version holds in the fields in which it is unlike another. */
function sayFields(entry: Entry, other: Entry, units: Units): string {
  const { fields } = wordsOf(entry)
  return fieldsApart(entry, other)
    .map((name) => {
      if (name === 'at') return `at ${lightFormat(new Date(entry.at), 'HH:mm')}`
      const field = fields.find((one) => one.name === name)
      if (!field) return `${name}: ${plainly((entry as unknown as Record<string, unknown>)[name])}`
      const read = field.read(entry, { units })
      const shown = field.input.type === 'choice' ? (field.input.options[read] ?? read) : read
      return `${field.label(units)}: ${shown === '' ? 'nothing' : shown}`
    })
    .join(', ')
    .slice(0, 240)
}

/** An entry in a line: who wrote it, its day, what it says. */
export function sayLine(entry: Entry, { garage, units, now }: Said): string {
  const who = entry.writtenBy === undefined ? '' : `${entry.writtenBy}, `
  return `${who}${sayDay(entry.at, now)}: ${sayEntry(entry, garage, units)}`
}

/** One of two versions of an entry; where both read the same in a line, with the fields that tell them apart. */
export function sayVersion(entry: Entry, other: Entry, said: Said): string {
  const line = sayLine(entry, said)
  return line === sayLine(other, said) ? `${line} (${sayFields(entry, other, said.units)})` : line
}
