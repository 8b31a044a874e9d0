import type { PartId } from '../log/entry.ts'
import type { Lube } from '../lube/lubes.ts'
import { suggestWays, type WayJudged } from '../lube/suggest.ts'
import type { WashWay } from '../lube/wash-ways.ts'
import { isWax, misfits, WAYS, type Misfit } from '../lube/ways.ts'
import type { WashJob } from '../session/wash-steps.ts'
import type { WashableChain, WashFacts } from './facts/wash-facts.ts'

/** What was chosen at the stand for one bike; what is not chosen is suggested. */
export interface WashChoice {
  readonly way?: WashWay
  readonly lube?: Exclude<Lube, 'none'>
  readonly chains?: readonly PartId[]
  readonly fits?: PartId
}

/** One bike's wash as it was chosen, the rest of it suggested. */
export interface ChosenWash {
  /** All ways, the best first. */
  readonly ways: readonly WayJudged[]
  readonly best: WayJudged | undefined
  readonly way: WashWay
  readonly judged: WayJudged | undefined
  readonly lube: Exclude<Lube, 'none'>
  /** What does not mix. */
  readonly mixes: readonly Misfit[]
  /** Chains are dipped, and several may be. */
  readonly isPot: boolean
  readonly picked: readonly WashableChain[]
  /** Absent where the bike has no chain. */
  readonly job?: WashJob
}

/** Spares that are washed with the chain on the bike unless somebody says otherwise: those whose wax is used up. */
const isDueToo = ({ lube, facts, isOn }: WashableChain): boolean =>
  !isOn && (isWax(lube) || lube === 'none') && (facts?.clock.due ?? false)

/**
 * What a bike's wash is by what was chosen: everything else as it is suggested.
 * @param minutes time at hand; undefined where it does not matter
 */
export function chosenWash(
  { wants, chains: kept, bike, ownMin }: WashFacts,
  choice: WashChoice,
  minutes: number | undefined,
): ChosenWash {
  const ways = suggestWays({ ...wants, minutes })
  const [best] = ways
  const way = choice.way ?? best?.way ?? 'wipe'
  const judged = ways.find((one) => one.way === way)
  const { lubes } = WAYS[way]
  const lube = lubes.find((one) => one === choice.lube) ?? judged?.lube ?? lubes[0] ?? 'wet-lube'
  const isPot = way === 're-wax' || way === 'strip-wax'
  const isPicked = ({ id, isOn, ...rest }: WashableChain): boolean =>
    isPot && choice.chains ? choice.chains.includes(id) : isOn || (isPot && isDueToo({ id, isOn, ...rest }))
  const picked = kept.filter(isPicked)
  const fits = (picked.find(({ id }) => id === choice.fits) ?? picked.find(({ isOn }) => isOn) ?? picked[0])
    ?.id
  return {
    ways,
    best,
    way,
    judged,
    lube,
    mixes: misfits(way, lube, wants),
    isPot,
    picked,
    ...(fits !== undefined && {
      job: {
        way,
        lube,
        bike,
        chains: picked.map(({ id, isOn }) => ({ id, isOn })),
        fits,
        kit: wants.kit,
        ownMin,
      },
    }),
  }
}
