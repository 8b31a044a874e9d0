/** The words of PlanTable. */
export const words = {
  costPer: (said: string) => `Cost per ${said}:`,
  whisker8In10: 'whisker: 8 in 10 lives',
  plan: 'plan',
  costAsABar: 'cost as a bar',
  per: (said: string) => `per ${said}`,
  chainsACassette: 'chains a cassette',
  minutes: 'minutes',
  daysWaiting: 'days waiting',
  skipsUnderLoad: 'skips under load',
  thePlanYouAre: 'the plan you are on',
  follow: (name: string) => `Follow: ${name}`,
  followIt: 'Follow it',
  n8In10Lives: (money: string, money2: string) => `, 8 in 10 lives between ${money} and ${money2}`,
  noneRenewed: 'none renewed',
}
