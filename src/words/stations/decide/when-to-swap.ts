/** The words of WhenToSwap. */
export const words = {
  swappingMeansHereThatThisChain:
    ' Swapping means here that this chain is retired, not that it takes its turn on a hook.',
  whatWaitingCosts: 'What waiting costs',
  beingUpdated: ' Being updated.',
  tryingASwapNow: (phrase: number) => `Trying a swap now and later… ${phrase} %`,
  howMuchDoYou: 'How much do you mind?',
  movesEveryCostOnThisPage:
    'Moves every cost on this page. Marks show where another plan becomes the cheapest.',
}
