/** The words of PastFaults. */
export const words = {
  foundBefore: 'Found before',
  whatWasFoundMakes: 'What was found makes that cause likelier next time.',
}
