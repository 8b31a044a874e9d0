import type { LogDensity, SampleStart } from './hmc.ts'
import { laplaceOf } from './laplace.ts'
import { logDensityOf } from './rider-density.ts'
import type { RiderModel } from './rider-model.ts'

/** Summits nearer than this to one another, in spreads, are one. */
const APART = 1

/** How far a place is from a summit, in spreads. */
function spreadsApart(summit: SampleStart, at: Float64Array): number {
  const step = at.map((value, i) => value - (summit.at[i] ?? 0))
  const flat = new Float64Array(at.length)
  summit.metric.flatten(flat, step)
  return Math.sqrt(flat.reduce((sum, value) => sum + value * value, 0))
}

/** Those that differ. */
function distinct(summits: readonly SampleStart[]): SampleStart[] {
  const found: SampleStart[] = []
  for (const summit of summits)
    if (found.every((other) => spreadsApart(other, summit.at) > APART)) found.push(summit)
  return found
}

/**
 * Where the posterior of a rider's chains may have its summits: climbing from the prior's middle, and from where one comes
 * to if no reading could be a slip. With slips among the readings these may be two.
 */
export function summitsOf(model: RiderModel, density: LogDensity): SampleStart[] {
  const plain = laplaceOf(model, logDensityOf(model, { slips: false }), undefined, { slips: false })
  return distinct([laplaceOf(model, density), laplaceOf(model, density, plain.at)])
}

/** The summits above some places. */
export const summitsAbove = (
  model: RiderModel,
  density: LogDensity,
  places: readonly Float64Array[],
): SampleStart[] => distinct(places.map((at) => laplaceOf(model, density, at)))
