/** The words of WashClock. */
export const words = {
  theWaitIsOver: 'the wait is over',
  handsAreFree: 'hands are free',
  theWashThatIsGoing: 'The wash that is going on',
  washOf: (bikes: string) => `Wash of ${bikes}.`,
  backToTheWash: 'Back to the wash',
}
