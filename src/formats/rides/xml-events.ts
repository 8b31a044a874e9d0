import { SaxesParser } from 'saxes'
import { decodeText } from './decode-text.ts'
import { heldText } from './held-bytes.ts'
import { RideFileError } from './ride-file-error.ts'
import { scanPlain } from './scan-plain.ts'
import type { XmlHandler } from './xml-handler.ts'
import { words } from '../../words/formats/rides/xml-events.ts'

const localNames = new Map<string, string>()
/** A name without its prefix, in lower case; each spelling is worked out once. */
function localName(name: string): string {
  const held = localNames.get(name)
  if (held !== undefined) return held
  const local = name.slice(name.indexOf(':') + 1).toLowerCase()
  if (localNames.size < 500) localNames.set(name, local)
  return local
}

/** An ampersand that begins no entity. */
const BARE = /&(?!(#\d+|#x[\da-f]+|[a-z]+);)/i

function faultOf(text: string, line: number, open: readonly string[], root: string): RideFileError {
  const trimmed = text.trimEnd()
  const bare = BARE.exec(text)
  if (bare) return new RideFileError(words.onLineThereIsAnAnd(text.slice(0, bare.index).split('\n').length))
  if (open.length > 0 && !trimmed.endsWith(`</${root}>`))
    return new RideFileError(words.theFileIsCut(trimmed.split('\n').length, open.at(-1) ?? 'tag'))
  return new RideFileError(words.theFileIsDamaged(line))
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
      number: (attribute) => Number((attributes as Readonly<Record<string, string>>)[attribute] || NaN),
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
    handler.close(localName(name), heldText(leaf ? held.trim() : ''), localName(open.at(-1) ?? ''))
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
export function readXml<H extends XmlHandler>(bytes: Uint8Array, makeHandler: () => H): H {
  const quick = makeHandler()
  if (scanPlain(bytes, quick)) return quick
  const thorough = makeHandler()
  parseFully(decodeText(bytes), thorough)
  return thorough
}

/**
 * Looks at how a file begins before it is read.
 * @param what the kind it is said to be: "GPX"
 * @throws RideFileError where it is empty, or no XML
 */
export function checkBeginning(bytes: Uint8Array, what: string): void {
  const begin = decodeText(bytes.subarray(0, 400)).trimStart()
  if (begin === '' && decodeText(bytes).trim() === '') throw new RideFileError(words.theFileIsEmpty)
  if (!begin.startsWith('<')) throw new RideFileError(words.thisIsNotAFile(what))
}
