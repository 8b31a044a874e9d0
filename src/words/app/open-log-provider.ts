/** The words of OpenLogProvider. */
export const words = {
  yourLogLivesInThisBrowser:
    'Your log lives in this browser alone. The browser has promised not to delete it.',
  yourLogLivesInThis:
    'Your log lives in this browser alone, and the browser may delete it when it runs out of room. Save a backup now and then, on Files.',
  yourLogLivesInThisBrowserAlone:
    'Your log lives in this browser alone. Save a backup now and then, on Files.',
  openingTheLog: 'Opening the log…',
  openingTheGarageOfOstermere: 'Opening the garage of Ostermere…',
}
