/** The words of run-entries. */
export const words = {
  joiningLinkOf: (at: string) => `Joining link of ${at}`,
}
