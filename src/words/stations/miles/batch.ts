/** The words of batch. */
export const words = {
  itHasNoDistance: 'It has no distance: nothing to add.',
  theSameRideAs: (ofText: string) => `The same ride as ${ofText}.`,
  theSameRideAsWhich: (ofText: string) => `The same ride as ${ofText}, which has at least as much data.`,
  itHasMoreData: (ofText: string) => `It has more data than ${ofText} and replaces it.`,
  itIsInTheLog: 'It is in the log already.',
}
