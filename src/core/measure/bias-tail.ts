import { logSumExp, type BiasNodes } from './likelihood.ts'
import type { Bias } from './reading.ts'

/** How long the tails are: 0 would be a normal's. */
const TAIL = 1.1
/** The middle is drawn in by so much that as many tools as before lie within one spread, and a few far out. */
const MIDDLE = 0.85
/** How far the sampler's own coordinate bends with the tails: 0 would leave it long tails, 1.1 steep likelihoods. */
const WALK = 0.45

/** The lattice reaches out to 16 spreads. */
const NODES_TO = 6
const NODES_PER_SIDE = 18

/**
 * A tool's bias is `b + s_b m sinh(1.1 z) / 1.1` with a standard normal `z`: normal in the middle, with long tails, so that a
 * gauge that is far off can be found out. The sampler walks over a coordinate `y` of its own, `m sinh(w y) / w`: with `z` itself
 * readings would pull ever more steeply far out, with the bias itself it would have to walk far to know a long tail.
 */
export const biasSpreads = (y: number): number => (MIDDLE * Math.sinh(WALK * y)) / WALK

/** The slope of {@link biasSpreads}. */
export const biasSpreadsSlope = (y: number): number => MIDDLE * Math.cosh(WALK * y)

/** Logarithm of the density of `y`, up to a constant. */
export function tailLog(y: number): number {
  const x = Math.sinh(WALK * y) / WALK
  const z = Math.asinh(TAIL * x) / TAIL
  return -0.5 * z * z - 0.5 * Math.log1p(TAIL * TAIL * x * x) + Math.log(Math.cosh(WALK * y))
}

/** The slope of {@link tailLog}. */
export function tailSlope(y: number): number {
  const x = Math.sinh(WALK * y) / WALK
  const root = Math.sqrt(1 + TAIL * TAIL * x * x)
  const byX = -Math.asinh(TAIL * x) / (TAIL * root) - (TAIL * TAIL * x) / (root * root)
  return byX * Math.cosh(WALK * y) + WALK * Math.tanh(WALK * y)
}

/** How strongly it holds a bias back about a place, as a spring would: what Newton's steps may take for its bend. */
export const tailBend = (y: number): number =>
  Math.abs(y) < 1e-4 ? 1 + TAIL * TAIL - WALK * WALK : -tailSlope(y) / y

/**
 * Weights of an even lattice over a long-tailed bias, out to 16 spreads.
 * @param perSide places on each side of the middle
 */
export function tailNodes({ b, sb }: Bias, perSide = NODES_PER_SIDE): BiasNodes {
  if (sb <= 0) return { offsets: [b], logWeights: [0] }
  const ys = Array.from({ length: 2 * perSide + 1 }, (_, i) => (NODES_TO * (i - perSide)) / perSide)
  const logs = ys.map(tailLog)
  const total = logSumExp(logs)
  return {
    offsets: ys.map((y) => b + sb * biasSpreads(y)),
    logWeights: logs.map((log) => log - total),
  }
}
