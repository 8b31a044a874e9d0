/** The words of use-gearing. */
export const words = {
  asItIs: 'as it is',
  figuresKept: (name: string) => `${name}: figures kept.`,
}
