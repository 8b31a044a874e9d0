/** The palette of the theme in force, for what is drawn on canvas. */
export interface Ink {
  readonly paper: string
  readonly ink: string
  readonly petrol: string
  readonly steel: string
  readonly hairline: string
  readonly ochre: string
  readonly rust: string
  readonly sans: string
}

/** Reads the palette in force where an element stands. */
export function inkOf(element: Element): Ink {
  const style = getComputedStyle(element)
  const read = (name: string) => style.getPropertyValue(name).trim()
  return {
    paper: read('--paper'),
    ink: read('--ink'),
    petrol: read('--petrol'),
    steel: read('--steel'),
    hairline: read('--hairline'),
    ochre: read('--ochre'),
    rust: read('--rust'),
    sans: style.fontFamily,
  }
}
