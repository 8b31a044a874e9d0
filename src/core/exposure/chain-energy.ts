import type { Motor } from '../log/kinds/bike.ts'
import { between, secondsEach, stepAfter, stretchEnds } from './stretches.ts'

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
  /** s, rising */
  readonly t: number
  readonly speedMs: number
  /** Way gone since the start, m; absent: by the speeds. */
  readonly alongM?: number | undefined
  /** m above the sea */
  readonly heightM?: number | undefined
  /** Absent where the sensor was silent. */
  readonly cadenceRpm?: number | undefined
  readonly powerW?: number | undefined
}

/** Guesses for a rider on ordinary tyres: together with the law of methods 10 about 25 kJ a km on rolling road. */
export const USUAL_MASS_KG = 84
export const USUAL_MOTOR_SHARE: Readonly<Record<Motor, number>> = { none: 0, hub: 0.5, 'mid-drive': 0.5 }
const ROLLING = 0.006
const DRAG_AREA_M2 = 0.385
const AIR_KG_M3 = 1.2
const GRAVITY = 9.81
const EFFICIENCY = 0.96
/** Nobody keeps up more than this through the pedals, W: what lies above is the receiver's noise. */
const MOST_W = 900
/** Heights and positions of a receiver are noisy from second to second: they are taken over this either side, s. */
const HALF_WINDOW_S = 6

/**
 * What passes through the chain out of what the rider does (methods 3): a mid-drive works through the chain, so its
 * part comes on top of the rider's; a hub motor's does not.
 */
export function throughChain(riderW: number, { motor, motorShare }: RidingBody): number {
  return motor === 'mid-drive' && motorShare < 1 ? riderW / (1 - motorShare) : riderW
}

/** Way gone at each sample, m: as told, else by the mean speed of each step. */
export function wayGone(samples: readonly EffortSample[]): Float64Array {
  const along = new Float64Array(samples.length)
  for (let i = 1; i < samples.length; i++) {
    const [a, b] = [samples[i - 1], samples[i]]
    if (!a || !b) continue
    const told = a.alongM !== undefined && b.alongM !== undefined ? b.alongM - a.alongM : undefined
    const step = told ?? ((a.speedMs + b.speedMs) / 2) * stepAfter(samples, i - 1)
    along[i] = (along[i - 1] ?? 0) + Math.max(0, step)
  }
  return along
}

/** Heights at each sample, the last one known carried on; all 0 where none is. */
function heightsOf(samples: readonly EffortSample[]): Float64Array {
  let held = samples.find(({ heightM }) => heightM !== undefined)?.heightM ?? 0
  return Float64Array.from(samples, ({ heightM }) => (held = heightM ?? held))
}

/**
 * Power at each sample by the road equation (methods 10, with acceleration), W, 0 or more. Speed, slope and
 * acceleration are taken over the same few seconds however often the device wrote.
 */
function powerByRoad(
  samples: readonly EffortSample[],
  { massKg, motor, motorShare }: RidingBody,
): Float64Array {
  const { first, last } = stretchEnds(samples)
  const along = wayGone(samples)
  // Each asks in nearly rising order, so each has a look-up of its own.
  const way = (): ((t: number) => number) => between(samples, along)
  const [wayBefore, wayAfter, wayLongBefore, wayLongAfter] = [way(), way(), way(), way()]
  const heights = heightsOf(samples)
  const [heightBefore, heightAfter] = [between(samples, heights), between(samples, heights)]
  return Float64Array.from(samples, ({ t, cadenceRpm }, i) => {
    if (cadenceRpm === 0) return 0
    const [begin, end] = [samples[first[i] ?? i]?.t ?? t, samples[last[i] ?? i]?.t ?? t]
    const [from, to] = [Math.max(begin, t - HALF_WINDOW_S), Math.min(end, t + HALF_WINDOW_S)]
    if (to <= from) return 0
    const metres = wayAfter(to) - wayBefore(from)
    const v = metres / (to - from)
    if (v <= 0) return 0
    const climb = heightAfter(to) - heightBefore(from)
    const slope = metres > 5 ? Math.max(-0.25, Math.min(0.25, climb / metres)) : 0
    const window = Math.min(HALF_WINDOW_S, (t - begin) / 2, (end - t) / 2)
    const here = along[i] ?? 0
    // Two windows, one before and one after: the change of their mean speeds.
    const acceleration =
      window > 0.4
        ? (wayLongAfter(t + 2 * window) - 2 * here + wayLongBefore(t - 2 * window)) / (4 * window * window)
        : 0
    const angle = Math.atan(slope)
    const force =
      massKg * (GRAVITY * (Math.sin(angle) + ROLLING * Math.cos(angle)) + acceleration) +
      0.5 * AIR_KG_M3 * DRAG_AREA_M2 * v * v
    const atWheel = Math.min(MOST_W, Math.max(0, (force * v) / EFFICIENCY))
    return motor === 'hub' ? atWheel * (1 - motorShare) : atWheel
  })
}

/** Measured power at each sample, W; across a short silence in a straight line, NaN where there is no measurement. */
function measuredPower(samples: readonly EffortSample[], body: RidingBody): Float64Array {
  const { first } = stretchEnds(samples)
  const powers = Float64Array.from(samples, ({ powerW }) =>
    powerW === undefined ? NaN : throughChain(powerW, body),
  )
  let known = -1
  samples.forEach(({ t, powerW }, i) => {
    if (powerW === undefined) return
    const from = samples[known]
    if (from && known < i - 1 && known >= (first[i] ?? i) && stepAfter([from, { t }], 0) > 0)
      for (let k = known + 1; k < i; k++) {
        const share = ((samples[k]?.t ?? t) - from.t) / (t - from.t)
        powers[k] = (powers[known] ?? 0) * (1 - share) + (powers[i] ?? 0) * share
      }
    known = i
  })
  return powers
}

/** What a ride's energy is worked out from. */
export type EnergyFrom = 'power' | 'speed'

/** Power through the chain over a ride. */
export interface ChainPower {
  readonly from: EnergyFrom
  /** W at each sample, 0 or more; NaN where it is not known. */
  readonly powers: Float64Array
}

/** Less of a ride's way than this with a power meter does not stand for the whole. */
const ENOUGH = 0.5

/** Share of the samples' time that has a value. */
function shareKnown(samples: readonly EffortSample[], powers: Float64Array): number {
  const seconds = secondsEach(samples)
  let [known, all] = [0, 0]
  seconds.forEach((one, i) => {
    all += one
    if (!Number.isNaN(powers[i])) known += one
  })
  return all > 0 ? known / all : 0
}

/**
 * Power through the chain at each sample of a ride (methods 3): the rider's own where a meter measured most of it, else
 * what rolling, air, slope and acceleration take wherever cadence says that it was pedalled; a motor's part added or taken
 * off.
 * @param samples in order of time, as {@link sensed} leaves them
 * @param body mass 1 kg or more; motor share 0 to 1
 * @returns undefined where neither was there for at least half of the ride
 */
export function chainPower(samples: readonly EffortSample[], body: RidingBody): ChainPower | undefined {
  const measured = measuredPower(samples, body)
  if (shareKnown(samples, measured) >= ENOUGH) return { from: 'power', powers: measured }
  const silent = Float64Array.from(samples, ({ cadenceRpm }) => (cadenceRpm === undefined ? NaN : 0))
  if (shareKnown(samples, silent) < ENOUGH) return undefined
  return { from: 'speed', powers: powerByRoad(samples, body) }
}

/** Above this, kJ per km, no chain is driven for a whole ride: a mid-drive up a steep climb has half of it. */
const MOST_KJ_PER_KM = 300

/**
 * Energy through the chain per kilometre, over the part of the ride where it is known; steps of up to
 * {@link MOST_STEP_S} count in full, each half to the sample at either end.
 * @returns undefined where it did not come along at all, or the figure is none that a bike has
 */
export function energyPerKm(samples: readonly EffortSample[], { powers }: ChainPower): number | undefined {
  const along = wayGone(samples)
  let [joules, metres] = [0, 0]
  for (let i = 0; i + 1 < samples.length; i++) {
    const step = stepAfter(samples, i)
    const [a, b] = [powers[i] ?? NaN, powers[i + 1] ?? NaN]
    if (step === 0 || Number.isNaN(a) || Number.isNaN(b)) continue
    joules += ((a + b) / 2) * step
    metres += (along[i + 1] ?? 0) - (along[i] ?? 0)
  }
  if (!(metres > 0) || !(joules > 0)) return undefined
  const kjPerKm = joules / metres
  return kjPerKm <= MOST_KJ_PER_KM ? kjPerKm : undefined
}
