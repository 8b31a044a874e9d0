/** The words of use-follow. */
export const words = {
  thePlanYouFollow: 'the plan you follow',
}
