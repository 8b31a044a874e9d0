import { seededRandom } from '../stats/random.ts'
import { keptChain, keptElongation, keptWearKm, type KeptDraws } from '../wear/kept-draws.ts'
import type { AskedSet } from './asked-teeth.ts'
import { conformed, followRate } from './conform.ts'

/** What the road alone has done to a set of sprockets, draw by draw. */
export interface RoadOfTeeth {
  /** For each sprocket what its teeth have shaped themselves to by now, %. */
  readonly now: readonly Float64Array[]
  /** For each piece of evidence the same of its sprocket when it was found, and the chain's elongation then. */
  readonly then: readonly { readonly worn: Float64Array; readonly chain: Float64Array }[]
}

/** One draw in so many takes a set that is said to be new for one that was not: logs are wrong about that now and then. */
const NOT_NEW_EVERY = 25

/**
 * Runs a set's whole road through the conforming law, once for every draw of the rider (methods 5). A set of unknown past starts
 * from a common age, anywhere from 0 to 1 %; with a chance of 1 in 25 any other does too.
 * @param seed for that age
 */
export function roadOfTeeth(draws: KeptDraws, set: AskedSet, seed: number): RoadOfTeeth {
  const { count } = draws
  const random = seededRandom(seed)
  const age = Float64Array.from({ length: count }, (_, n) =>
    set.past === 'unknown' || n % NOT_NEW_EVERY === NOT_NEW_EVERY >> 1 ? random.unit() : 0,
  )
  const worn = set.sprockets.map(() => Float64Array.from(age))
  const follow = set.sprockets.map(({ material }) => followRate(set.role, material))
  const then: { worn: Float64Array; chain: Float64Array }[] = []
  let elongation: Float64Array = new Float64Array(count)
  const note = (after: number): void =>
    set.evidence.forEach((one, i) => {
      if (one.after === after)
        then[i] = { worn: Float64Array.from(worn[one.sprocket] ?? []), chain: elongation }
    })
  let gone: Float64Array = new Float64Array(count)
  set.stretches.forEach((stretch, s) => {
    const chain = keptChain(draws, stretch.chain)
    if (stretch.gone) {
      gone = keptWearKm(draws, stretch.gone)
      elongation = keptElongation(chain, gone)
    }
    note(s)
    const road = keptWearKm(draws, stretch.road)
    const there = gone.map((km, n) => km + (road[n] ?? 0))
    const to = keptElongation(chain, there)
    worn.forEach((list, j) => {
      const [load, rate] = [stretch.loads[j] ?? 0, follow[j] ?? 0]
      for (let n = 0; n < count; n++)
        list[n] = conformed(
          list[n] as number,
          { wearKm: road[n] as number, from: elongation[n] as number, to: to[n] as number },
          load,
          rate,
        )
    })
    gone = there
    elongation = to
  })
  note(set.stretches.length)
  return { now: worn, then }
}
