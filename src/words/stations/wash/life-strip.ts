/** The words of LifeStrip. */
export const words = {
  ofTheLubesLife: (phrase: number, count: number) =>
    `${phrase} % of the lube’s life is used, over ${count} rides.`,
  putOn: 'put on',
  usedUp: 'used up',
  due: 'due',
}
