/** The words of entry-schema. */
export const words = {
  isOfTheWrong: (path: string) => `${path} is of the wrong kind`,
  itIsNotAnEntry: 'it is not an entry',
  itsFormatIs: (shown: string) => `its format is ${shown}`,
  anEntryOfFormat: (format: number) => `an entry of format ${format}`,
  itsKindIs: (shown: string) => `its kind is ${shown}`,
  anEntryOfTheKind: (shown: string) => `an entry of the kind ${shown}`,
}
