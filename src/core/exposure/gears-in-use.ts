import { LEAST_CADENCE_RPM } from './sensors.ts'
import { MOST_STEP_S, secondsEach } from './stretches.ts'

/** One second or so of a ride, as far as the drivetrain goes. */
export interface GearSample {
  /** s, rising */
  readonly t: number
  readonly speedMs: number
  /** Absent where the sensor was silent. */
  readonly cadenceRpm?: number | undefined
  readonly powerW?: number | undefined
}

export interface GearSetup {
  /** Wheel circumference, mm. */
  readonly wheelMm: number
  /** Tooth counts. */
  readonly rings: readonly number[]
  readonly cogs: readonly number[]
}

/** Spread of the measured ratio about the gear's own (methods 3). */
const RATIO_NOISE = 0.03
/** Cost of a shift from one second to the next, as a logarithm of odds: a change of gear is about one second in a hundred. */
const SHIFT_COST = 4.6
/** However long ago the sample before was, staying in gear is likelier than not. */
const LEAST_SHIFT_COST = 0.7
/** The cost of a shift between a sample and the one before it: the longer the step, the likelier is one. */
const shiftCost = (seconds: number): number =>
  Math.max(LEAST_SHIFT_COST, SHIFT_COST - Math.log(Math.max(1, Math.min(MOST_STEP_S, seconds))))
/** A reading this far off every gear says nothing: cost is capped, so that one stray second shifts nothing. */
const MOST_COST = 18
const LEAST_SPEED_MS = 0.8

/** Wheel turns per crank turn of a sample; undefined while coasting or standing. */
function ratioOf({ speedMs, cadenceRpm, powerW }: GearSample, wheelMm: number): number | undefined {
  if (cadenceRpm === undefined || !(cadenceRpm >= LEAST_CADENCE_RPM) || !(speedMs >= LEAST_SPEED_MS))
    return undefined
  if (powerW !== undefined && powerW <= 0) return undefined
  return (speedMs * 60_000) / (wheelMm * cadenceRpm)
}

/**
 * The gear in use at each sample: the likeliest sequence by the Viterbi algorithm (methods 3). The measured ratio
 * scatters by 3 % about a gear's own, a shift costs, and samples without pedalling are passed over.
 * @returns per sample the index of the gear, `ring * cogs.length + cog`, or -1 where nobody pedalled
 * @throws RangeError without a ring, a cog or a wheel
 */
export function gearSequence(samples: readonly GearSample[], setup: GearSetup): Int16Array {
  const { wheelMm, rings, cogs } = setup
  if (!(wheelMm > 0) || rings.length === 0 || cogs.length === 0)
    throw new RangeError('The gears in use want a wheel, a ring and a cog.')
  const logRatios = rings.flatMap((ring) => cogs.map((cog) => Math.log(ring / cog)))
  const states = logRatios.length
  const gears = new Int16Array(samples.length).fill(-1)
  const pedalled: number[] = []
  let cost = new Float64Array(states)
  let next = new Float64Array(states)
  const back: Int16Array[] = []
  samples.forEach((sample, i) => {
    const ratio = ratioOf(sample, wheelMm)
    if (ratio === undefined) return
    const log = Math.log(ratio)
    let best = 0
    for (let s = 1; s < states; s++) if ((cost[s] ?? 0) < (cost[best] ?? 0)) best = s
    const floor =
      (cost[best] ?? 0) + (pedalled.length > 0 ? shiftCost(sample.t - (samples[i - 1]?.t ?? sample.t)) : 0)
    const from = new Int16Array(states)
    for (let s = 0; s < states; s++) {
      // Every shift costs the same, so a state is reached from itself or from the best of all.
      const stay = cost[s] ?? 0
      from[s] = stay <= floor ? s : best
      const z = (log - (logRatios[s] ?? 0)) / RATIO_NOISE
      next[s] = Math.min(stay, floor) + Math.min(MOST_COST, 0.5 * z * z)
    }
    back.push(from)
    pedalled.push(i)
    ;[cost, next] = [next, cost]
  })
  let state = cost.reduce((best, value, s) => (value < (cost[best] ?? Infinity) ? s : best), 0)
  for (let k = pedalled.length - 1; k >= 0; k--) {
    gears[pedalled[k] ?? 0] = state
    state = back[k]?.[state] ?? 0
  }
  return gears
}

/**
 * What went through each gear: energy, kJ, where there is power, else seconds; by ring and cog, as "40x15".
 * Coasting is left out.
 * @param powerOf power through the chain at a sample, W; absent: time is counted
 */
export function useOfGears(
  samples: readonly GearSample[],
  setup: GearSetup,
  powerOf?: (index: number) => number | undefined,
): Record<string, number> {
  const gears = gearSequence(samples, setup)
  const seconds = secondsEach(samples)
  const use = new Float64Array(setup.rings.length * setup.cogs.length)
  gears.forEach((gear, i) => {
    if (gear < 0) return
    const each = seconds[i] ?? 0
    use[gear] = (use[gear] ?? 0) + (powerOf ? ((powerOf(i) ?? 0) * each) / 1000 : each)
  })
  const named: Record<string, number> = {}
  setup.rings.forEach((ring, r) =>
    setup.cogs.forEach((cog, c) => {
      const value = use[r * setup.cogs.length + c] ?? 0
      if (value > 0) named[`${ring}x${cog}`] = value
    }),
  )
  return named
}

/** What falls on each ring and each cog, by tooth count, out of what went through each gear. */
export function bySprocket(gears: Readonly<Record<string, number>>): {
  readonly rings: ReadonlyMap<number, number>
  readonly cogs: ReadonlyMap<number, number>
  readonly total: number
} {
  const rings = new Map<number, number>()
  const cogs = new Map<number, number>()
  let total = 0
  for (const [gear, value] of Object.entries(gears)) {
    const [ring = 0, cog = 0] = gear.split('x').map(Number)
    rings.set(ring, (rings.get(ring) ?? 0) + value)
    cogs.set(cog, (cogs.get(cog) ?? 0) + value)
    total += value
  }
  return { rings, cogs, total }
}
