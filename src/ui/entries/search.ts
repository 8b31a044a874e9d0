import type { Entry } from '../../core/log/entries.ts'
import type { Garage } from '../../core/log/garage.ts'
import { aboutOf } from '../../core/log/kind-of.ts'
import type { Units } from '../screen-state.ts'
import { sayFullDay } from '../words/numbers.ts'
import { namePart } from '../words/part-name.ts'
import { sayEntry, wordsOf } from './index.ts'

/** Text as it is compared: small letters, one space before every word, accents and marks aside. */
const comparable = (text: string): string =>
  ` ${text
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()}`

/**
 * What was typed into a field that finds things, as a test of texts: every word must begin a word of the text. Words that
 * stand together there, as in "14 november", mean it more than words that stand apart.
 */
export function finder(typed: string): (text: string) => 'together' | 'apart' | undefined {
  const phrase = comparable(typed)
  const words = phrase.trim().split(' ').filter(Boolean)
  return (text) => {
    const held = comparable(text)
    if (words.length === 0 || held.includes(phrase)) return 'together'
    return words.every((word) => held.includes(` ${word}`)) ? 'apart' : undefined
  }
}

/** The bikes and parts an entry is about, and the bikes that those parts were on: by their ids. */
export const aboutIn = (entry: Entry, garage: Garage): readonly string[] =>
  aboutOf(entry).flatMap((id) => [id, ...(garage.parts.get(id)?.fittings ?? []).map(({ bike }) => bike)])

const nameOf = (id: string, garage: Garage): string =>
  garage.bikes.get(id)?.entry.name ?? garage.tools.get(id)?.entry.name ?? namePart(garage, id)

/** Everything by which an entry can be found: its kind, its words, its day both ways, what it is about. */
export const textOf = (entry: Entry, garage: Garage, units: Units): string =>
  [
    wordsOf(entry).name,
    sayEntry(entry, garage, units),
    entry.at.slice(0, 10),
    sayFullDay(entry.at),
    ...new Set(aboutIn(entry, garage).map((id) => nameOf(id, garage))),
  ].join(' ')

/** Newest first; of the same moment, the last written first. */
export const newestFirst = (a: Entry, b: Entry): number =>
  a.at < b.at ? 1 : a.at > b.at ? -1 : a.id < b.id ? 1 : -1
