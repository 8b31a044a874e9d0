/** The words of StepActions. */
export const words = {
  notYetTheChain: 'Not yet: the chain is still wet, and water makes hot wax spit. Wait until it is dry.',
  notLikeThisTheChain:
    'Not like this: the chain was never dried, and water makes hot wax spit. Dry it fully, then put it back into the plan.',
  notYetTheWax: 'Not yet: the wax is not melted through.',
  notYetUnderC: (least: number) => `Not yet: under ${least} °C the wax does not run into the rollers.`,
  stopOverCWax: (most: number) =>
    `Stop: over ${most} °C wax smokes and may catch fire. Turn it down and let it cool.`,
  done: 'Done',
  over: (clock: string) => `${clock} over`,
  left: (clock: string) => `${clock} left`,
  waxCByIts: 'Wax, °C, by its thermometer (if it has one)',
  begin: 'Begin',
  beginEarly: 'Begin early',
  skipIt: 'Skip it',
  doThatLater: 'Do that later',
}
