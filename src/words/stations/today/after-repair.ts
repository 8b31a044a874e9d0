/** The words of AfterRepair. */
export const words = {
  riddenSinceItWas: 'Ridden since it was mended',
  oneTapItTeaches: 'One tap. It teaches what is at fault most on your bikes.',
  isItGoneOn: (name: string) => `Is it gone on ${name}?`,
}
