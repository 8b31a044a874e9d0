/** The words of Clocks. */
export const words = {
  clocks: 'Clocks',
  ready: 'ready',
  theWaitIsOver: 'the wait is over',
  waiting: 'waiting',
  n1MinMore: '1 min more',
  n1MinLess: '1 min less',
}
