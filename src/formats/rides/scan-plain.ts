import { decodeText } from './decode-text.ts'
import { numberIn, timeReader, type HeldValue } from './held-bytes.ts'
import type { OpenTag, XmlHandler } from './xml-handler.ts'

const LESS = 60
const MORE = 62
const SLASH = 47
const BANG = 33
const QUESTION = 63
const QUOTE = 34
const APOSTROPHE = 39
const AMPERSAND = 38
const EQUALS = 61
const SPACE = 32
const MOST_ATTRIBUTES = 24

/** A tag's or attribute's name: its bytes, and as it is heard, without prefix and in lower case. */
interface Name {
  readonly bytes: Uint8Array
  readonly spelt: string
  readonly local: string
}

/** The same text as the engine keeps its keys: comparing it with a literal is then a look at two addresses. */
const asKey = (text: string): string => Object.keys({ [text]: 0 })[0] ?? text

const BUCKETS = 512
/** A file with more names than this is none that a device wrote: looking them up would take longer than the full parser. */
const MOST_NAMES = 2000

/** Names met so far. A file has thirty of them and writes each ten thousand times. */
function nameBook() {
  const book: Name[][] = Array.from({ length: BUCKETS }, () => [])
  let count = 0
  const isFull = (): boolean => count > MOST_NAMES
  const nameOf = (bytes: Uint8Array, from: number, to: number, hash: number): Name => {
    const bucket = book[hash & (BUCKETS - 1)] ?? []
    for (let n = 0; n < bucket.length; n++) {
      const name = bucket[n]
      const length = to - from
      if (name?.bytes.length !== length) continue
      let i = 0
      while (i < length && name.bytes[i] === bytes[from + i]) i++
      if (i === length) return name
    }
    const own = bytes.slice(from, to)
    const spelt = asKey(decodeText(own))
    const name = { bytes: own, spelt, local: asKey(spelt.slice(spelt.indexOf(':') + 1).toLowerCase()) }
    bucket.push(name)
    count++
    return name
  }
  return { nameOf, isFull }
}

const ROOT: Name = { bytes: new Uint8Array(), spelt: '', local: '' }

/** The tag that is just going by: where its attributes and its text lie in the file. */
interface Passing {
  from: number
  attributes: number
  readonly names: Name[]
  readonly valueFrom: Int32Array
  readonly valueTo: Int32Array
  heldFrom: number
  heldTo: number
  /** It closes itself: `<a/>`. */
  empty: boolean
}

/** What a handler sees of the tag going by. One of each for the whole file: a ride has ten thousand tags. */
function readersOf(bytes: Uint8Array, tag: Passing) {
  const secondsIn = timeReader()
  const decode = (from: number, to: number): string => (to > from ? decodeText(bytes.subarray(from, to)) : '')
  const find = (name: string): number => {
    for (let i = 0; i < tag.attributes; i++) if (tag.names[i]?.spelt === name) return i
    return -1
  }
  const at: OpenTag = {
    attribute: (name) => {
      const i = find(name)
      return i < 0 ? undefined : decode(tag.valueFrom[i] ?? 0, tag.valueTo[i] ?? 0)
    },
    number: (name) => {
      const i = find(name)
      return i < 0 ? NaN : numberIn(bytes, tag.valueFrom[i] ?? 0, tag.valueTo[i] ?? 0)
    },
    line: () => {
      let line = 1
      for (let i = 0; i < tag.from; i++) if (bytes[i] === 10) line++
      return line
    },
  }
  const held: HeldValue = {
    text: () => decode(tag.heldFrom, tag.heldTo),
    number: () => numberIn(bytes, tag.heldFrom, tag.heldTo),
    seconds: () => secondsIn(bytes, tag.heldFrom, tag.heldTo),
  }
  return { at, held }
}

type NameOf = ReturnType<typeof nameBook>['nameOf']

/**
 * Reads a tag's attributes from behind its name to its end.
 * @returns the place behind the tag; -1 where something in it is not plain
 */
function readAttributes(bytes: Uint8Array, from: number, tag: Passing, nameOf: NameOf): number {
  const { length } = bytes
  tag.attributes = 0
  tag.empty = false
  for (let i = from; ;) {
    while ((bytes[i] ?? 0) <= SPACE && i < length) i++
    let code = bytes[i] ?? 0
    if (code === MORE) return i + 1
    if (code === SLASH) {
      tag.empty = true
      return bytes[i + 1] === MORE ? i + 2 : -1
    }
    if (i >= length || tag.attributes === MOST_ATTRIBUTES) return -1
    const keyFrom = i
    let hash = 7
    while (code !== EQUALS) {
      if (code <= SPACE || code === MORE || code === LESS || code === QUOTE) return -1
      hash = (Math.imul(hash, 31) + code) | 0
      code = bytes[++i] ?? 0
    }
    tag.names[tag.attributes] = nameOf(bytes, keyFrom, i, hash)
    if (bytes[++i] !== QUOTE) return -1
    tag.valueFrom[tag.attributes] = ++i
    for (code = bytes[i] ?? 0; code !== QUOTE; code = bytes[++i] ?? 0)
      if (i >= length || code === LESS || code === AMPERSAND || code === APOSTROPHE) return -1
    tag.valueTo[tag.attributes++] = i++
  }
}

/** Sets what the tag held to the text between two places, without the spaces about it. */
function holdText(bytes: Uint8Array, tag: Passing, from: number, to: number): void {
  let [start, end] = [from, to]
  while (start < end && (bytes[start] ?? 0) <= SPACE) start++
  while (end > start && (bytes[end - 1] ?? 0) <= SPACE) end--
  tag.heldFrom = start
  tag.heldTo = end
}

/** The place behind a declaration such as `<?xml version="1.0"?>`. */
function afterDeclaration(bytes: Uint8Array, from: number): number {
  let i = from
  while (i < bytes.length && !(bytes[i] === MORE && bytes[i - 1] === QUESTION)) i++
  return i + 1
}

/**
 * The quick way through an XML file of the plain kind that devices write: tags, double-quoted attributes, text. It
 * reads the bytes once, keeps the book of open tags, and gives up on the first thing it does not know (a comment, an
 * entity, a tag that does not fit), whereupon the full parser reads the file from the start and says what is wrong,
 * if anything is. Many times the full parser's speed, for folders with a thousand rides.
 * @param bytes in UTF-8 or another encoding that keeps ASCII as it is
 * @returns whether it came to the end
 */
export function scanPlain(bytes: Uint8Array, handler: XmlHandler): boolean {
  const { length } = bytes
  const { nameOf, isFull } = nameBook()
  const tag: Passing = {
    from: 0,
    attributes: 0,
    names: [],
    valueFrom: new Int32Array(MOST_ATTRIBUTES),
    valueTo: new Int32Array(MOST_ATTRIBUTES),
    heldFrom: 0,
    heldTo: 0,
    empty: false,
  }
  const { at, held } = readersOf(bytes, tag)
  const stack: Name[] = []
  const close = (name: Name): void => handler.close(name.local, held, (stack.at(-1) ?? ROOT).local)
  let leaf = false
  let contentFrom = 0
  let roots = 0
  // A byte order mark may stand before everything.
  let i = bytes[0] === 0xef && bytes[1] === 0xbb && bytes[2] === 0xbf ? 3 : 0
  for (;;) {
    let plain = true
    for (; i < length && bytes[i] !== LESS; i++) if (bytes[i] === AMPERSAND) plain = false
    if (i >= length) return stack.length === 0 && roots === 1
    if (!plain) return false
    const before = i
    tag.from = ++i
    const first = bytes[i]
    if (first === SLASH) {
      const name = stack.pop()
      if (!name) return false
      i++
      for (let k = 0; k < name.bytes.length; k++) if (bytes[i++] !== name.bytes[k]) return false
      if (bytes[i++] !== MORE) return false
      holdText(bytes, tag, leaf ? contentFrom : before, before)
      close(name)
      leaf = false
      continue
    }
    if (first === QUESTION && stack.length === 0 && roots === 0) {
      i = afterDeclaration(bytes, i)
      continue
    }
    if (first === BANG || first === QUESTION || (stack.length === 0 && roots++ > 0)) return false
    let hash = 7
    const nameFrom = i
    for (let code = bytes[i] ?? 0; code > SPACE && code !== MORE && code !== SLASH; code = bytes[++i] ?? 0) {
      if (code === LESS || code === AMPERSAND || code === QUOTE) return false
      hash = (Math.imul(hash, 31) + code) | 0
    }
    if (i === nameFrom || i >= length) return false
    const name = nameOf(bytes, nameFrom, i, hash)
    i = readAttributes(bytes, i, tag, nameOf)
    if (i < 0 || isFull()) return false
    handler.open(name.local, at)
    leaf = !tag.empty
    if (leaf) {
      stack.push(name)
      contentFrom = i
    } else {
      holdText(bytes, tag, i, i)
      close(name)
    }
  }
}
