import type { SprocketMaterial } from '../log/kinds/part.ts'

/** How quickly teeth follow the chain, per 1000 wear-km of an even share (methods 5). */
const FOLLOWS: Readonly<Record<'cog' | 'ring', Readonly<Record<SprocketMaterial, number>>>> = {
  cog: { steel: 0.18, aluminium: 0.36, titanium: 0.36 },
  ring: { steel: 0.1, aluminium: 0.2, titanium: 0.2 },
}
/** What any chain takes off, % per 1000 wear-km of an even share. */
export const RUBS_OFF = 0.005

/** How quickly a sprocket of a kind follows the chain, per 1000 wear-km of an even share. */
export const followRate = (role: 'cog' | 'ring', material: SprocketMaterial): number =>
  FOLLOWS[role][material]

/**
 * How much more a sprocket bears than an even one of its set: `u_j zbar / z_j`.
 * @param share of the energy, 0 to 1
 * @param teeth of the whole set, this one's among them
 */
export function loadOf(share: number, own: number, teeth: readonly number[]): number {
  const mean = teeth.reduce((sum, one) => sum + one, 0) / teeth.length
  return (share * teeth.length * mean) / own
}

/** A stretch of road on which a chain lengthens evenly. */
export interface ChainStretch {
  readonly wearKm: number
  /** Elongation at its ends, %. */
  readonly from: number
  readonly to: number
}

/**
 * The elongation that teeth have shaped themselves to, after a stretch (methods 5): `dw = load (follow max(0, e - w) + 0.005)`
 * per 1000 wear-km. In closed form: the lag `g = e - w` runs toward `(r - c) / a` while the chain is ahead, and grows by `r - c`
 * while the teeth are.
 * @param worn before it, %
 * @param load as {@link loadOf} has it
 * @param follow as {@link followRate} has it
 * @returns %; never less than before
 */
export function conformed(
  worn: number,
  { wearKm, from, to }: ChainStretch,
  load: number,
  follow: number,
): number {
  const length = wearKm / 1000
  if (!(length > 0) || load <= 0) return worn
  const rate = (to - from) / length
  const rub = load * RUBS_OFF
  const pull = load * follow
  let [lag, left, w] = [from - worn, length, worn]
  if (lag <= 0) {
    // The teeth are ahead: they only rub off, until the chain has caught up.
    const meets = rate > rub ? -lag / (rate - rub) : Infinity
    if (meets >= left) return w + rub * left
    w += rub * meets
    left -= meets
    lag = 0
  }
  const steady = (rate - rub) / pull
  // A lag that shrinks below nothing ends the following there.
  if (steady < 0) {
    const ends = Math.log((lag - steady) / -steady) / pull
    if (ends < left) return w + lag + rate * ends + rub * (left - ends)
  }
  const lagAfter = steady + (lag - steady) * Math.exp(-pull * left)
  return w + lag + rate * left - lagAfter
}
