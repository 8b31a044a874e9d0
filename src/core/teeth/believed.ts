import { normalDensity } from '../stats/normal.ts'
import { evidenceLikelihood, MM_PER_PERCENT, type ToothEvidence } from './evidence.ts'
import { skipRisk, THRESHOLD_SD } from './skip.ts'

/** What is believed of a cog beforehand: normal, cut to 0..2 %. */
export interface CogBelief {
  readonly teeth: number
  readonly mean: number
  readonly sd: number
  readonly evidence: readonly ToothEvidence[]
}

const WORN_STEPS = 800
const MOST_WORN = 2
const SHIFT_STEPS = 120
const SHIFT_REACH = 6

/** What the evidence makes of some cogs. */
export interface CogsBelieved {
  /** Mean of what the teeth have shaped themselves to, %, by tooth count. */
  readonly worn: Readonly<Record<string, number>>
  /** Risk that the chain skips, by tooth count. */
  readonly skip: Readonly<Record<string, number>>
}

/**
 * Weighs normal beliefs of some cogs by what was found out about them, on grids; the rider's threshold is summed out, and shared
 * (methods 5).
 * @param chain elongation of the chain in question, %
 */
export function believedCogs(cogs: readonly CogBelief[], chain: number): CogsBelieved {
  const step = MOST_WORN / WORN_STEPS
  const grid = Array.from({ length: WORN_STEPS }, (_, i) => (i + 0.5) * step)
  const priors = cogs.map(({ mean, sd }) => grid.map((worn) => normalDensity((worn - mean) / sd)))
  const sums = cogs.map(() => ({ worn: 0, skip: 0 }))
  let total = 0
  for (let k = 0; k <= SHIFT_STEPS; k++) {
    const spreads = SHIFT_REACH * ((2 * k) / SHIFT_STEPS - 1)
    const by = { shift: spreads * THRESHOLD_SD, mmPerPercent: MM_PER_PERCENT }
    const moments = cogs.map(({ teeth, evidence }, j) => {
      let [mass, worn, skip, prior] = [0, 0, 0, 0]
      grid.forEach((w, i) => {
        const before = priors[j]?.[i] ?? 0
        prior += before
        const p = evidence.reduce((product, one) => product * evidenceLikelihood(one, w, teeth, by), before)
        mass += p
        worn += p * w
        skip += p * skipRisk(w, chain, teeth, by.shift)
      })
      return { mass: mass / prior, worn: worn / mass, skip: skip / mass }
    })
    const weight = moments.reduce((product, { mass }) => product * mass, normalDensity(spreads))
    total += weight
    moments.forEach(({ worn, skip }, j) => {
      const sum = sums[j]
      if (!sum) return
      sum.worn += weight * worn
      sum.skip += weight * skip
    })
  }
  const by = (of: 'worn' | 'skip') =>
    Object.fromEntries(cogs.map(({ teeth }, j) => [String(teeth), (sums[j]?.[of] ?? NaN) / total]))
  return { worn: by('worn'), skip: by('skip') }
}
