/** The words of step-for. */
export const words = {
  seeToIt: 'See to it',
  seeWhy: 'See why',
}
