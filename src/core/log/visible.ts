import type { Entry, EntryKind } from './entries.ts'
import { kindOf } from './kind-of.ts'
import type { Holds } from './kinds/fields.ts'

/**
 * Letters that cannot be seen and that change what is: marks that turn the direction of what follows, spaces of no
 * width, invisible signs and tags. Joiners within words (U+200C, U+200D) are letters of some scripts, and stay.
 */
const UNSEEN =
  /[\u00ad\u061c\u115f\u1160\u180e\u200b\u200e\u200f\u202a-\u202e\u2060-\u2064\u2066-\u206f\u3164\ufeff\uffa0\ufff9-\ufffb]|\u034f|\u17b4|\u17b5|[\u{e0000}-\u{e007f}]/gu

const HOLDING_TEXT: ReadonlySet<string> = new Set(['name', 'remark', 'words', 'person', 'place'])
const holdsText = (holds: Holds): boolean =>
  typeof holds === 'object' ? Object.values(holds).some(holdsText) : HOLDING_TEXT.has(holds)

const textFields = new Map<EntryKind, readonly string[]>()
/** The fields of a kind in which somebody's words may stand. */
function textFieldsOf(entry: Entry): readonly string[] {
  const known = textFields.get(entry.kind)
  if (known) return known
  const declared: Readonly<Record<string, Holds>> = kindOf(entry).fields
  const found = ['writtenBy', ...Object.keys(declared).filter((name) => holdsText(declared[name] ?? 'own'))]
  textFields.set(entry.kind, found)
  return found
}

/** A value without what cannot be seen; the very value where there is nothing of it. */
function seen(value: unknown): unknown {
  if (typeof value === 'string') return value.search(UNSEEN) < 0 ? value : value.replace(UNSEEN, '')
  if (Array.isArray(value)) {
    const now = value.map(seen)
    return now.some((one, i) => one !== value[i]) ? now : value
  }
  if (typeof value !== 'object' || value === null) return value
  const held = Object.entries(value)
  const now = held.map(([key, one]) => [key, seen(one)] as const)
  return now.some(([, one], i) => one !== held[i]?.[1]) ? Object.fromEntries(now) : value
}

/** An entry as it is shown: no letter in its words that cannot be seen. The very entry where there is none. */
export function visible(entry: Entry): Entry {
  let shown: Record<string, unknown> | undefined
  const held = entry as unknown as Readonly<Record<string, unknown>>
  for (const field of textFieldsOf(entry)) {
    const value = held[field]
    if (value === undefined) continue
    const now = seen(value)
    if (now === value) continue
    shown ??= { ...held }
    shown[field] = now
  }
  return shown ? (shown as unknown as Entry) : entry
}

/**
 * {@link visible} of a growing log: each entry is looked at once, and the very list is given back where nothing in it is
 * hidden, which is nearly always. What is stored stays as it is: an id is made from it.
 */
export function followVisible(): (entries: readonly Entry[]) => readonly Entry[] {
  const looked = new WeakMap<Entry, Entry>()
  let plain: readonly Entry[] = []
  const look = (entry: Entry): Entry => {
    const known = looked.get(entry)
    if (known) return known
    const now = visible(entry)
    if (now !== entry) looked.set(entry, now)
    return now
  }
  return (entries) => {
    const isGrown = entries.length >= plain.length && entries[plain.length - 1] === plain.at(-1)
    const from = isGrown ? plain.length : 0
    let isPlain = true
    for (let i = from; i < entries.length && isPlain; i++) {
      const entry = entries[i]
      isPlain = entry === undefined || look(entry) === entry
    }
    if (!isPlain) return entries.map(look)
    plain = entries
    return entries
  }
}
