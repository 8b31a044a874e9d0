/** The words of AfterRide. */
export const words = {
  sChain: (name: string, look: string) => `${name}’s chain: ${look}.`,
  on: (km: string, day: string) => `, ${km} on ${day}`,
  howWasTheChain: 'How was the chain on the last ride?',
  oneTapItTeaches: 'One tap. It teaches how long lube lasts on your chains.',
}
