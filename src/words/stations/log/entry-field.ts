/** The words of EntryField. */
export const words = {
  values: (name: string) => `values.${name}`,
}
