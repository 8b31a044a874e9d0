/** The words of SaveSheet. */
export const words = {
  csv: (file: string) => `${file}.csv`,
  thisOneCannotBe: (form: string) => `This one cannot be saved as ${form} here.`,
  theBrowserCouldNot: 'The browser could not make the file.',
  saved: (form: string) => `${form} saved.`,
  joltMile: 'Jolt Mile',
  saveDrawingsAndTables: 'Save drawings and tables',
  thereIsNoDrawing: 'There is no drawing or table on this page yet.',
  ofThePageThatIsOpen: 'Of the page that is open. Painted roads come as PNG, tables as CSV.',
  drawingsAndTables: 'Drawings and tables',
}
