import type { HeldValue } from './held-bytes.ts'

/** The tag that is just being opened; good until the next one is. */
export interface OpenTag {
  /** An attribute's value by its name as written. */
  readonly attribute: (name: string) => string | undefined
  /** An attribute as a number; NaN where there is none. */
  readonly number: (name: string) => number
  readonly line: () => number
}

/** Hears the tags of an XML file go by. Names are local and in lower case: devices put fields under prefixes of their own. */
export interface XmlHandler {
  readonly open: (tag: string, at: OpenTag) => void
  /** @param held what stood directly in the tag, trimmed; empty where it held other tags */
  readonly close: (tag: string, held: HeldValue, parent: string) => void
}
