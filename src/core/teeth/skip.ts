/** Elongation that teeth may be ahead of a chain by before it skips, %, for a cog of 11; more with each tooth. Methods 5. */
const MARGIN = 0.45
const MARGIN_PER_TOOTH = 0.01
/** How sharp the threshold is, %. */
export const SPREAD = 0.06

/** The spread of a rider's own threshold about it, % (weight, style): shared by all their cogs. */
export const THRESHOLD_SD = 0.1

/** How far the teeth of a cog may be ahead of the chain before it skips as likely as not, %. */
export const skipMargin = (teeth: number): number => MARGIN + MARGIN_PER_TOOTH * (teeth - 11)

/**
 * Risk that a chain skips on a cog under a hard push (methods 5): `logistic(((w - e) - m - d) / 0.06)`.
 * @param worn what the cog's teeth have shaped themselves to, %
 * @param chain its elongation, %
 * @param shift of the rider's own threshold, %
 */
export const skipRisk = (worn: number, chain: number, teeth: number, shift = 0): number =>
  1 / (1 + Math.exp(-(worn - chain - skipMargin(teeth) - shift) / SPREAD))
