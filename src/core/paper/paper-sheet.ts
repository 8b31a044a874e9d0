export type Paper = 'a4' | 'letter'

/** Width and height of a sheet of paper, mm: ISO 216 and ANSI Y14.1. */
export const PAPER_MM: Readonly<Record<Paper, readonly [width: number, height: number]>> = {
  a4: [210, 297],
  letter: [215.9, 279.4],
}

/** Something to be laid out on paper: an owner's sheet, a day's list, a check round, a wash, a road. All in one look. */
export interface PaperSheet {
  readonly title: string
  /** The day, the bike. */
  readonly about: string
  readonly sections: readonly {
    readonly heading: string
    readonly lines: readonly string[]
    /** What stands before each line: a dot, or a box to tick on paper. */
    readonly mark?: 'box'
  }[]
  /** Drawings as wide as the page. */
  readonly drawings?: readonly { readonly caption: string; readonly png: Uint8Array }[]
  readonly pictures: readonly { readonly caption: string; readonly jpeg: Uint8Array }[]
  readonly foot: string
}
