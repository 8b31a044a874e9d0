/** The words of HowWorkedOut. */
export const words = {
  whatIsKnownOfConditions: 'What is known of conditions, lubes and tools:',
  rates: 'Rates',
}
