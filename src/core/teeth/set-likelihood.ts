import type { AskedSet, PlacedEvidence } from './asked-teeth.ts'
import { evidenceLikelihood, resultChances, type ToothEvidence, type ToothShift } from './evidence.ts'
import type { RoadOfTeeth } from './road-of-teeth.ts'
import { skipRisk } from './skip.ts'

/** What the law does not know, as spreads of the logarithm: of a whole cassette, and of one cog of it (methods 5). */
export const SET_LOG_SD = 0.3
export const COG_LOG_SD = 0.15

/** Gauss and Hermite's five places and weights for a standard normal (Abramowitz & Stegun 25.10). */
export const NODES = [
  -2.856970013872806, -1.355626179974266, 0, 1.355626179974266, 2.856970013872806,
] as const
const WEIGHTS = Float64Array.of(
  0.011257411327721,
  0.222075922005613,
  0.533333333333333,
  0.222075922005613,
  0.011257411327721,
)
const PLACES = NODES.length

/** How a set's evidence is heard, at one draw of its road and with one rider's own numbers. */
export interface SetLikelihood {
  /** The likelihood of all of it, the factors of the set and of its cogs summed out. */
  readonly at: (n: number, own: ToothShift) => number
  /** After {@link at}: the same by the set's factor. */
  readonly bySet: Float64Array
  /** After {@link at}: by the cog's own factor, for one factor of the set and one sprocket that something was found out about. */
  readonly byCog: (setPlace: number, sprocket: number) => Float64Array
}

type Placed = { readonly i: number; readonly found: PlacedEvidence['found'] }

const hangsOnRider = ({ found }: Placed): boolean => found.kind !== 'look'

/** How many times as worn as the road alone would have them teeth are, by the two factors. */
const TIMES = NODES.map((set) => NODES.map((cog) => Math.exp(SET_LOG_SD * set + COG_LOG_SD * cog)))

/** A finding that hangs on the rider's numbers, heard at any draw; `times` as worn as the road alone would have the teeth. */
type Hears = (n: number, times: number, own: ToothShift) => number

/** The likelihood of methods 5 without making an object for each call: there are millions of calls. */
function hearing({ found, i }: Placed, road: RoadOfTeeth, teeth: number): Hears {
  const { worn, chain } = road.then[i] ?? { worn: new Float64Array(0), chain: new Float64Array(0) }
  const heard = (evidence: ToothEvidence): Hears => {
    const chances = resultChances(evidence)
    if (!chances)
      return (n, times, own) => evidenceLikelihood(evidence, times * (worn[n] as number), teeth, own)
    const { ifSkips, ifNot } = chances
    const isRide = evidence.kind === 'ride'
    return (n, times, { shift }) => {
      const risk = skipRisk(times * (worn[n] as number), isRide ? (chain[n] as number) : 0, teeth, shift)
      return ifNot + (ifSkips - ifNot) * risk
    }
  }
  return heard(found.kind === 'ride' ? { ...found, chain: 0 } : found)
}

/** One sprocket's evidence, ready to be heard at any draw: what does not hang on the rider's numbers is heard once. */
function heardOf(road: RoadOfTeeth, teeth: number, found: readonly Placed[], draws: number) {
  const looks = new Float64Array(draws * PLACES * PLACES).fill(1)
  for (const { found: what, i } of found) {
    if (what.kind !== 'look') continue
    for (let n = 0; n < draws; n++) {
      const worn = road.then[i]?.worn[n] ?? 0
      TIMES.forEach((cogs, k) =>
        cogs.forEach((times, m) => {
          const place = (n * PLACES + k) * PLACES + m
          looks[place] = (looks[place] as number) * evidenceLikelihood(what, times * worn, teeth)
        }),
      )
    }
  }
  const rest = found.filter(hangsOnRider).map((one) => hearing(one, road, teeth))
  return (n: number, k: number, m: number, own: ToothShift): number => {
    let product = looks[(n * PLACES + k) * PLACES + m] as number
    const times = TIMES[k]?.[m] ?? 1
    for (let r = 0; r < rest.length; r++) product *= (rest[r] as Hears)(n, times, own)
    return product
  }
}

/**
 * How likely a set's evidence is (methods 5). The factors of the set and of each of its cogs are summed over five places each.
 * @param draws of the road
 */
export function setLikelihood(set: AskedSet, road: RoadOfTeeth, draws: number): SetLikelihood {
  const found = set.sprockets.map(({ teeth }, j) => {
    const own = set.evidence.flatMap(({ sprocket, found: what }, i) =>
      sprocket === j ? [{ i, found: what }] : [],
    )
    return own.length > 0 ? heardOf(road, teeth, own, draws) : undefined
  })
  const bySet = new Float64Array(PLACES)
  const byCog = new Float64Array(PLACES * found.length * PLACES)
  return {
    bySet,
    byCog: (k, j) => byCog.subarray((k * found.length + j) * PLACES, (k * found.length + j + 1) * PLACES),
    at: (n, own) => {
      let total = 0
      for (let k = 0; k < PLACES; k++) {
        let product = WEIGHTS[k] as number
        for (let j = 0; j < found.length; j++) {
          const heard = found[j]
          if (!heard) continue
          let sum = 0
          for (let m = 0; m < PLACES; m++) {
            const part = (WEIGHTS[m] as number) * heard(n, k, m, own)
            byCog[(k * found.length + j) * PLACES + m] = part
            sum += part
          }
          product *= sum
        }
        bySet[k] = product
        total += product
      }
      return total
    },
  }
}
