/** The words of MeasureThickness. */
export const words = {
  noted: (part: string) => `${part}: noted.`,
  stillLiquid: 'Still liquid',
  driedOut: 'Dried out',
  filledFresh: 'Filled fresh',
  fittedNew: (part: string) => `${part}: fitted new.`,
  saved: (part: string, mm: string) => `${part}: ${mm}, saved.`,
  wide: 'wide',
  thick: 'thick',
  howIsIt: (phrase: string) => `How ${phrase} is it?`,
  mm: 'mm',
  inches: 'inches',
  with: 'With',
  save: 'Save',
  fittedNew2: 'Fitted new',
  isLessWornThan: (mm: string) =>
    `${mm} is less worn than the last time, and things do not grow back. Is it new, or was one of the two misread?`,
  itIsNew: 'It is new',
  thisOneIsRight: 'This one is right: keep both',
  letMeMeasureAgain: 'Let me measure again',
  measured: (phrase: string) => `Measured, ${phrase}`,
}
