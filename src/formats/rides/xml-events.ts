import { SaxesParser } from 'saxes'
import { RideFileError } from './ride-file-error.ts'

/** The tag that is just being opened; good until the next one is. */
export interface OpenTag {
  /** An attribute's value by its name as written. */
  readonly attribute: (name: string) => string | undefined
  readonly line: () => number
}

/** Hears the tags of an XML file go by. Names are local and in lower case: devices put fields under prefixes of their own. */
export interface XmlHandler {
  readonly open: (tag: string, at: OpenTag) => void
  /** @param text what stood directly in the tag, trimmed; empty where it held other tags */
  readonly close: (tag: string, text: string, parent: string) => void
}

const localNames = new Map<string, string>()
/** A name without its prefix, in lower case; each spelling is worked out once. */
function localName(name: string): string {
  const held = localNames.get(name)
  if (held !== undefined) return held
  const local = name.slice(name.indexOf(':') + 1).toLowerCase()
  if (localNames.size < 500) localNames.set(name, local)
  return local
}

const lineAt = (text: string, place: number): number => {
  let line = 1
  for (let i = text.indexOf('\n'); i >= 0 && i < place; i = text.indexOf('\n', i + 1)) line++
  return line
}

const LESS = 60
const SLASH = 47
const BANG = 33
const QUESTION = 63

/** Where a name ends: at a space, a slash or the end of the tag. */
function nameEnd(text: string, from: number, end: number): number {
  let i = from
  while (i < end && text.charCodeAt(i) > 32 && text.charCodeAt(i) !== SLASH) i++
  return i
}

/** The value of an attribute in a tag whose quotes are plain: `name="value"`. */
function attributeIn(text: string, from: number, end: number, name: string): string | undefined {
  const start = text.indexOf(`${name}="`, from)
  if (start < 0 || start >= end || text.charCodeAt(start - 1) > 32) return undefined
  const value = start + name.length + 2
  return text.slice(value, text.indexOf('"', value))
}

/** Plain attributes only: nothing escaped, double quotes in pairs. Otherwise the full parser has to look. */
function isPlain(text: string, from: number, end: number): boolean {
  let quotes = 0
  for (let i = from; i < end; i++) {
    const code = text.charCodeAt(i)
    if (code === 34) quotes++
    else if (code === 38 || code === 39 || code === LESS) return false
  }
  return quotes % 2 === 0
}

/**
 * The quick way through an XML file of the plain kind that devices write: tags, double-quoted attributes, text. It
 * keeps the book of open tags, and gives up on the first thing it does not know (a comment, an entity, a tag that
 * does not fit), whereupon the full parser reads the file from the start and says what is wrong, if anything is.
 * Ten times the full parser's speed, for folders with a thousand rides.
 * @returns whether it came to the end
 */
function scanPlain(text: string, handler: XmlHandler): boolean {
  const names: string[] = []
  const locals: string[] = []
  let contentFrom = 0
  let leaf = false
  let roots = 0
  // One for all tags: a file of a ride has ten thousand of them.
  let tagFrom = 0
  let tagTo = 0
  const at: OpenTag = {
    attribute: (name) => attributeIn(text, tagFrom, tagTo, name),
    line: () => lineAt(text, tagFrom),
  }
  for (let i = text.indexOf('<'); i >= 0; i = text.indexOf('<', i)) {
    const code = text.charCodeAt(i + 1)
    if (code === QUESTION && names.length === 0 && roots === 0) {
      i = text.indexOf('?>', i)
      if (i < 0) return false
      continue
    }
    if (code === BANG || code === QUESTION) return false
    const end = text.indexOf('>', i)
    if (end < 0) return false
    if (code === SLASH) {
      const name = names.pop()
      if (name === undefined || end !== i + 2 + name.length || !text.startsWith(name, i + 2)) return false
      const held = leaf ? text.slice(contentFrom, i) : ''
      if (held.includes('&')) return false
      handler.close(locals.pop() ?? '', held.trim(), locals.at(-1) ?? '')
      leaf = false
    } else {
      if (names.length === 0 && roots++ > 0) return false
      const nameTo = nameEnd(text, i + 1, end)
      const name = text.slice(i + 1, nameTo)
      const local = localName(name)
      const attributed = nameTo < end
      if (name === '' || (attributed && !isPlain(text, nameTo, end))) return false
      tagFrom = nameTo
      tagTo = end
      handler.open(local, at)
      if (text.charCodeAt(end - 1) === SLASH) {
        handler.close(local, '', locals.at(-1) ?? '')
        leaf = false
      } else {
        names.push(name)
        locals.push(local)
        contentFrom = end + 1
        leaf = true
      }
    }
    i = end + 1
  }
  return names.length === 0 && roots === 1
}

function faultOf(text: string, line: number, open: readonly string[], root: string): RideFileError {
  const trimmed = text.trimEnd()
  if (open.length > 0 && !trimmed.endsWith(`</${root}>`))
    return new RideFileError(
      `The file is cut short: it ends on line ${trimmed.split('\n').length} in the middle of a ${open.at(-1) ?? 'tag'}. Copy or export it again.`,
    )
  return new RideFileError(
    `The file is damaged on line ${line}: its tags do not fit together there. Export it again.`,
  )
}

function parseFully(text: string, handler: XmlHandler): void {
  const parser = new SaxesParser()
  const open: string[] = []
  let root = ''
  let held = ''
  let leaf = false
  parser.on('error', (error) => {
    throw error
  })
  parser.on('opentag', ({ name, attributes }) => {
    if (open.length === 0) root = name
    const tag = localName(name)
    open.push(tag)
    held = ''
    leaf = true
    handler.open(tag, {
      attribute: (attribute) => (attributes as Readonly<Record<string, string>>)[attribute],
      line: () => parser.line,
    })
  })
  parser.on('text', (piece) => {
    held += piece
  })
  parser.on('cdata', (piece) => {
    held += piece
  })
  parser.on('closetag', ({ name }) => {
    open.pop()
    handler.close(localName(name), leaf ? held.trim() : '', open.at(-1) ?? '')
    leaf = false
  })
  try {
    parser.write(text).close()
  } catch (error) {
    if (error instanceof RideFileError) throw error
    throw faultOf(text, parser.line, open, root)
  }
}

/**
 * Reads an XML file with a handler made for the purpose, which may be made twice: once for the quick way, once
 * again for the full parser.
 * @returns the handler that saw the whole file
 * @throws RideFileError where the file is cut short or damaged
 */
export function readXml<H extends XmlHandler>(text: string, makeHandler: () => H): H {
  const quick = makeHandler()
  if (scanPlain(text, quick)) return quick
  const thorough = makeHandler()
  parseFully(text, thorough)
  return thorough
}
