import type { Motor } from '../log/entries.ts'

/** What a rider's work is estimated from where there is no power meter. */
export interface RidingBody {
  /** Rider, bike and load, kg. */
  readonly massKg: number
  readonly motor: Motor
  /** Share of the work at the wheel that the motor does, 0 to 1. */
  readonly motorShare: number
}

/** A sample with its height, for the slope. */
export interface EffortSample {
  readonly t: number
  readonly speedMs: number
  /** m above the sea */
  readonly heightM?: number | undefined
  readonly cadenceRpm?: number | undefined
  readonly powerW?: number | undefined
}

/** Guesses for a rider on an upright bike on ordinary tyres. */
export const USUAL_MASS_KG = 90
export const USUAL_MOTOR_SHARE: Readonly<Record<Motor, number>> = { none: 0, hub: 0.5, 'mid-drive': 0.5 }
const ROLLING = 0.007
const DRAG_AREA_M2 = 0.45
const AIR_KG_M3 = 1.2
const GRAVITY = 9.81
const EFFICIENCY = 0.96
/** Nobody keeps up more than this through the pedals, W: what lies above is the receiver's noise. */
const MOST_W = 900
/** Heights and speeds of a receiver are noisy from second to second: they are averaged over this, s. */
const WINDOW_S = 12

/**
 * What passes through the chain out of what the rider does (methods 3): a mid-drive works through the chain, so its
 * part comes on top of the rider's; a hub motor's does not.
 */
export function throughChain(riderW: number, { motor, motorShare }: RidingBody): number {
  return motor === 'mid-drive' && motorShare < 1 ? riderW / (1 - motorShare) : riderW
}

/** Mean slope and acceleration about each sample, from samples half a window before and after. */
function slopeAt(samples: readonly EffortSample[], i: number): { slope: number; acceleration: number } {
  const at = samples[i]?.t ?? 0
  let a = i
  let b = i
  while (a > 0 && at - (samples[a - 1]?.t ?? 0) <= WINDOW_S / 2) a--
  while (b < samples.length - 1 && (samples[b + 1]?.t ?? 0) - at <= WINDOW_S / 2) b++
  const [first, last] = [samples[a], samples[b]]
  const seconds = (last?.t ?? 0) - (first?.t ?? 0)
  if (!first || !last || seconds <= 0) return { slope: 0, acceleration: 0 }
  let metres = 0
  for (let k = a; k < b; k++)
    metres += (samples[k]?.speedMs ?? 0) * ((samples[k + 1]?.t ?? 0) - (samples[k]?.t ?? 0))
  const climb = first.heightM !== undefined && last.heightM !== undefined ? last.heightM - first.heightM : 0
  return {
    slope: metres > 5 ? Math.max(-0.25, Math.min(0.25, climb / metres)) : 0,
    acceleration: (last.speedMs - first.speedMs) / seconds,
  }
}

/**
 * Power through the chain at each sample, W, 0 or more: the rider's own where it was measured, else what rolling,
 * air, slope and acceleration take (methods 10's road equation, with acceleration), none while coasting; a motor's
 * part added or taken off.
 * @param body mass 1 kg or more; motor share 0 to 1
 */
export function chainPower(samples: readonly EffortSample[], body: RidingBody): Float64Array {
  const { massKg, motor, motorShare } = body
  const measured = samples.some(({ powerW }) => powerW !== undefined)
  return Float64Array.from(samples, (sample, i) => {
    if (measured) return throughChain(Math.max(0, sample.powerW ?? 0), body)
    const { speedMs: v, cadenceRpm } = sample
    if (cadenceRpm === 0 || v <= 0) return 0
    const { slope, acceleration } = slopeAt(samples, i)
    const force =
      massKg *
        (GRAVITY * (Math.sin(Math.atan(slope)) + ROLLING * Math.cos(Math.atan(slope))) + acceleration) +
      0.5 * AIR_KG_M3 * DRAG_AREA_M2 * v * v
    const atWheel = Math.min(MOST_W, Math.max(0, (force * v) / EFFICIENCY))
    return motor === 'hub' ? atWheel * (1 - motorShare) : atWheel
  })
}

/** Energy, kJ, of powers held until the next sample; a gap over 5 s counts as 5. */
export function energyKj(samples: readonly { readonly t: number }[], powers: ArrayLike<number>): number {
  let joules = 0
  for (let i = 0; i + 1 < samples.length; i++)
    joules += (powers[i] ?? 0) * Math.min(5, Math.max(0, (samples[i + 1]?.t ?? 0) - (samples[i]?.t ?? 0)))
  return joules / 1000
}
