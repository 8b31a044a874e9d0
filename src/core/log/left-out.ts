import type { Entry } from './entries.ts'
import { kindOf } from './kind-of.ts'
import { liveEntries } from './supersede.ts'
import type { Holds } from './kinds/fields.ts'

/** What a thing is called where the name that somebody gave it is left out. */
export type PlainName = (entry: Entry) => string

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** The app's own words, ids and times have no blanks. What has some was typed by somebody, into a file maybe. */
const ownWord = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(ownWord)
    : typeof value === 'string' && /^[\w.:-]*$/.test(value)
      ? value
      : 'left-out'

/** What is left of a value; undefined where nothing is. */
function spared(value: unknown, holds: Holds, name: () => string): unknown {
  if (Array.isArray(value) && typeof holds === 'object')
    return value.map((one: unknown, i) => spared(one, holds, () => (i === 0 ? name() : `${name()} ${i + 1}`)))
  if (typeof holds === 'object')
    return isRecord(value)
      ? Object.fromEntries(
          Object.entries(value).flatMap(([field, held]) => {
            const left = spared(held, holds[field] ?? 'words', name)
            return left === undefined ? [] : [[field, left] as const]
          }),
        )
      : undefined
  switch (holds) {
    case 'own':
      return ownWord(value)
    case 'measure':
    case 'money':
      return value
    case 'name':
      return name()
    case 'remark':
      return ''
    case 'words':
    case 'person':
    case 'place':
      return undefined
  }
}

/**
 * An entry without what people typed, without people and places: those fields are left out, and things are called by
 * what they are. What was changed is marked, so that the whole of it is no contradiction.
 * @returns undefined where nothing else is in it
 */
export function withoutPeople(entry: Entry, plainName: PlainName): Entry | undefined {
  const { fields, ofPeople } = kindOf(entry)
  if (ofPeople) return undefined
  const { writtenBy, ...rest } = entry
  let isShortened = writtenBy !== undefined
  const altered: string[] = []
  const left: Record<string, unknown> = { ...rest }
  const declared: Readonly<Record<string, Holds>> = fields
  for (const [field, holds] of Object.entries(declared)) {
    const held = left[field]
    if (held === undefined) continue
    const now = spared(held, holds, () => plainName(entry))
    if (JSON.stringify(now) === JSON.stringify(held)) continue
    isShortened = true
    if (now === undefined) delete left[field]
    else {
      left[field] = now
      altered.push(field)
    }
  }
  return isShortened ? abridged(left as unknown as Entry, altered) : entry
}

/** A whole log without people: what counts of it, each as {@link withoutPeople} leaves it. */
export function withoutPeopleIn(entries: readonly Entry[], kindName: PlainName): readonly Entry[] {
  const plainName = plainNames(kindName)
  return liveEntries(entries).flatMap((entry) => withoutPeople(entry, plainName) ?? [])
}

/** An entry that something was left out of, and some fields of which say something else than the whole. */
export const abridged = <E extends Entry>(entry: E, altered: readonly string[]): E => ({
  ...entry,
  abridged: true,
  altered: [...new Set([...(entry.altered ?? []), ...altered])].sort(),
})

/**
 * Names that tell things apart: where several are called the same, they are numbered in the order in which they come.
 * @param kindName what a thing is, in a word or two
 */
export function plainNames(kindName: PlainName): PlainName {
  const names = new Map<string, string>()
  const counts = new Map<string, number>()
  return (entry) => {
    const base = kindName(entry)
    const thing = `${entry.kind} ${kindOf(entry).key?.(entry) ?? entry.id}`
    const held = names.get(thing)
    if (held !== undefined) return held
    const count = (counts.get(base) ?? 0) + 1
    counts.set(base, count)
    const name = count === 1 ? base : `${base} ${count}`
    names.set(thing, name)
    return name
  }
}
