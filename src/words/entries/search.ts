import type { Entry } from '../../core/log/entries.ts'
import type { EntryId } from '../../core/log/entry.ts'
import type { Garage } from '../../core/log/garage.ts'
import { aboutOf } from '../../core/log/kind-of.ts'
import type { Units } from '../../core/units/units.ts'
import { sayFullDay } from '../numbers.ts'
import { namePart } from '../part-name.ts'
import { sayEntry, wordsOf } from './index.ts'

/** Text as it is searched: small letters, one space before every word, accents and marks aside. */
export const searchable = (text: string): string =>
  ` ${text
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()}`

/**
 * What was typed into a field that finds things, as a test of texts made {@link searchable}: every word must begin a word of the text. Words that
 * stand together there, as in "14 november", mean it more than words that stand apart.
 */
export function finder(typed: string): (text: string) => 'together' | 'apart' | undefined {
  const phrase = searchable(typed)
  const words = phrase.trim().split(' ').filter(Boolean)
  return (text) => {
    if (words.length === 0 || text.includes(phrase)) return 'together'
    return words.every((word) => text.includes(` ${word}`)) ? 'apart' : undefined
  }
}

/** The bikes and parts an entry is about, and the bikes that those parts were on: by their ids. */
export const aboutIn = (entry: Entry, garage: Garage): readonly string[] =>
  aboutOf(entry).flatMap((id) => [id, ...(garage.parts.get(id)?.fittings ?? []).map(({ bike }) => bike)])

const nameOf = (id: string, garage: Garage): string =>
  garage.bikes.get(id)?.entry.name ?? garage.tools.get(id)?.entry.name ?? namePart(garage, id)

/** Everything by which an entry can be found: its kind, its words, its day both ways, what it is about. */
const textOf = (entry: Entry, garage: Garage, units: Units): string =>
  searchable(
    [
      wordsOf(entry).name,
      sayEntry(entry, garage, units),
      entry.at.slice(0, 10),
      sayFullDay(entry.at),
      entry.writtenBy ?? '',
      ...new Set(aboutIn(entry, garage).map((id) => nameOf(id, garage))),
    ].join(' '),
  )

/**
 * The {@link searchable} text of each entry of a log, made when it is first asked for and kept for the next letter that is
 * typed: in a log of 100,000 entries making all of them takes about a second.
 */
export function entryTexts(garage: Garage, units: Units): (entry: Entry) => string {
  const made = new Map<EntryId, string>()
  return (entry) => {
    const held = made.get(entry.id) ?? textOf(entry, garage, units)
    made.set(entry.id, held)
    return held
  }
}

/** Newest first; of the same moment, the last written first. */
export const newestFirst = (a: Entry, b: Entry): number =>
  a.at < b.at ? 1 : a.at > b.at ? -1 : a.id < b.id ? 1 : -1
