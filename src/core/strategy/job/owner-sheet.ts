/** An owner's sheet, ready to be laid out: on a screen, on paper or as a PDF. */
export interface OwnerSheet {
  readonly title: string
  /** The day, the bike. */
  readonly about: string
  readonly sections: readonly {
    readonly heading: string
    readonly lines: readonly string[]
    /** What stands before each line: a dot, or a box to tick on paper. */
    readonly mark?: 'box'
  }[]
  readonly pictures: readonly { readonly caption: string; readonly jpeg: Uint8Array }[]
  readonly foot: string
}
