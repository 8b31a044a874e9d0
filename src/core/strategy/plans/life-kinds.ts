import type { CogSet } from './cogs.ts'

/** How one chain wears: `start + rate (S/1000)^beta`, faster late (methods 4). */
export interface ChainWay {
  /** % per 1000 wear-km */
  readonly rate: number
  readonly beta: number
  readonly start: number
  readonly lateTimes: number
  readonly lateFrom: number
  /** Behind it when the life begins, wear-km. */
  readonly wearKm: number
}

/** One life of a drivetrain: its road, its owner, its luck. */
export interface Life {
  readonly cogs: CogSet
  readonly horizonKm: number
  /** It goes in steps of so many km. */
  readonly stepKm: number
  /** Wear-km of a km. */
  readonly wearPerKm: number
  /** Hard pushes a km. */
  readonly pushesPerKm: number
  /** The rider's own skip threshold, % more than most. */
  readonly shift: number
  /** The owner looks every so many km. */
  readonly lookKm: number
  /** The first of these looks, km from the beginning; absent: `lookKm`. */
  readonly firstLookKm?: number
  /** Error of the n-th look, %; undefined: it is forgotten. */
  readonly lookError: (nth: number) => number | undefined
  /** After the n-th look nothing is done yet, whatever it said: the owner acts late; absent: never. */
  readonly isPutOff?: (nth: number) => boolean
  /** The n-th chain that is ever mounted for the first time, 0 the first. */
  readonly chain: (nth: number) => ChainWay
  /** What the cogs have shaped themselves to at the beginning, %; new where it is absent. */
  readonly worn?: ArrayLike<number>
  /** Chains that there are already, the mounted one first; absent: a first set is bought. */
  readonly has?: readonly ChainWay[]
  /** Cogs that can be bought singly, by their place in the set; absent: none. */
  readonly soldSingly?: readonly boolean[]
  /** The ring: how quickly it follows the chain, and what it has shaped itself to, %; absent: it is left out. */
  readonly ring?: { readonly follow: number; readonly worn: number; readonly isBoughtFirst?: boolean }
  /** What the pulleys have worn to, %; absent: new. */
  readonly pulleysWorn?: number
  /** The mounted chain goes after so many km, whatever is read of it; absent: by the policy, as all that follow. */
  readonly firstSwapKm?: number
}

/** What a life came to. Counted, not priced: prices change without living it again. */
export interface LifeCounts {
  /** Bought. */
  chains: number
  cassettes: number
  singleCogs: number
  rings: number
  /** Pairs. */
  pulleys: number
  /** Times that something had to be bought, however much at once. */
  orders: number
  /** Times a chain was put on. */
  mountings: number
  looks: number
  /** Expected number of skips under a hard push, and how many of them in the first {@link SOON_KM}. */
  skips: number
  skipsSoon: number
  /** What is left of everything at the end: of all chains, of the cogs, and of the ring, as shares of a new one. */
  chainsLeft: number
  cogsLeft: number
  ringLeft: number
}

/** "Soon", km: for risks that are told of the near road. */
export const SOON_KM = 1000

/** Told of what happens, where a life is to be drawn. km from its beginning. */
export type LifeTold = (what: 'worn' | 'chain' | 'cassette' | 'cogs', km: number, percent: number) => void
