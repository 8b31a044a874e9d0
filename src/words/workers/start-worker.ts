/** The words of start-worker. */
export const words = {
  aPartOfTheApp: 'A part of the app that works in the background could not be started. Reload the page.',
}
