/** The words of LimitChoice. */
export const words = {
  aLimitLiesBetween: 'A limit lies between 0.1 and 2 %.',
  giveAReasonTheNext: 'Give a reason: the next mechanic will want to know.',
  nowGoesBy: (name: string, limit: string) => `${name} now goes by ${limit} %.`,
  limit: 'Limit, %',
  because: 'Because',
  setIt: 'Set it',
  nowGoesByTheLimit: (name: string, choice: string) => `${name} now goes by the ${choice} limit.`,
  whichLimitToGo: 'Which limit to go by',
  myOwn: (limit: string) => `my own ${limit} %`,
  myOwn2: 'my own',
  theMakersOwnLimit: (limit: string, reason: string) =>
    `${limit} %: ${reason}. The maker’s own limit comes first where there is one.`,
}
