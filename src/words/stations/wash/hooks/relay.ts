/** The words of Relay. */
export const words = {
  runsNowTakesOver: (name: string, name2: string, km: string) =>
    `${name} runs now; ${name2} takes over in about ${km}, as things stand.`,
  chainsAndTheirTurns: (count: number) => `${count} chains and their turns on the road so far.`,
  aboutToCome: (name: string, km: string) => `${name}: about ${km} to come`,
  today: 'today',
  km: 'km',
  mi: 'mi',
  fromNow: (phrase: string) => `${phrase} from now`,
}
