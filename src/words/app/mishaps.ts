/** The words of use-mishaps. */
export const words = {
  refusedByThePolicy: 'the browser refused a part of the app that it needed',
  somethingFailed: (why: string) =>
    `Something failed out of sight: ${why.replace(/\.$/, '')}. Look whether what you did last is there, and try again.`,
}
