import { PIN_MM, PITCH_MM } from '../units/pitch.ts'

export interface WearWork {
  /** Friction work per pin joint, J, before the coefficient of friction. */
  readonly pinWorkJ: number
  /** Energy passed by each tooth of the ring, kJ. */
  readonly ringTooth: number
  /** Energy passed by each tooth of the cog, kJ. */
  readonly cogTooth: number
}

/**
 * Where energy through a chain goes (methods 3): each pin joint slides by `pi d / z` as it bends on and off a
 * sprocket of `z` teeth under the chain's tension, so its work is `E (pi d / (p N)) (1/zf + 1/zr)`; speeds and
 * wheel size cancel out. Each tooth takes `E / z`.
 * @param energyKj energy through the chain, kJ, 0 or more
 * @param ring teeth, 1 or more
 * @param cog teeth, 1 or more
 * @param links links in the chain, 1 or more
 * @throws RangeError outside these ranges
 */
export function wearWork(energyKj: number, ring: number, cog: number, links: number): WearWork {
  if (!(energyKj >= 0)) throw new RangeError('Energy must be 0 kJ or more.')
  if (!(ring >= 1) || !(cog >= 1)) throw new RangeError('A ring or cog has at least one tooth.')
  if (!(links >= 1)) throw new RangeError('A chain has at least one link.')
  const slide = (Math.PI * PIN_MM) / (PITCH_MM * links)
  return {
    pinWorkJ: energyKj * 1000 * slide * (1 / ring + 1 / cog),
    ringTooth: energyKj / ring,
    cogTooth: energyKj / cog,
  }
}
