import { secondsEach } from './stretches.ts'

/** What the sensors of a ride said at a moment. */
interface Sensed {
  readonly t: number
  readonly speedMs: number
  readonly cadenceRpm?: number | undefined
  readonly powerW?: number | undefined
}

/** More than any rider puts down for a moment, W; a file that says so speaks of something else. */
export const MOST_POWER_W = 2500
/** Nobody turns the cranks faster, rpm. */
export const MOST_CADENCE_RPM = 250
/** Turning the cranks this long with no power at all, or the other way round, is a sensor that was away, s. */
const AWAY_S = 60
/** Turning slower than this is no pedalling, rpm. */
export const LEAST_CADENCE_RPM = 20
const ROLLING_MS = 2

/**
 * Takes out what a sensor said while it was away.
 * @param isZero whether it said nothing at a sample
 * @param contradicts whether something else says at a sample that it was pedalled
 */
function withoutAbsence<S extends Sensed>(
  samples: readonly S[],
  isZero: (sample: S) => boolean,
  contradicts: (sample: S) => boolean,
  silenced: (sample: S) => S,
): readonly S[] {
  const seconds = secondsEach(samples)
  const away: [number, number][] = []
  for (let i = 0; i < samples.length;) {
    const sample = samples[i]
    if (!sample || !isZero(sample)) {
      i++
      continue
    }
    const from = i
    let pedalled = 0
    for (let one = samples[i]; one && isZero(one); one = samples[++i])
      if (contradicts(one)) pedalled += seconds[i] ?? 0
    if (pedalled > AWAY_S) away.push([from, i])
  }
  if (away.length === 0) return samples
  const held = [...samples]
  for (const [from, to] of away) for (let i = from; i < to; i++) held[i] = silenced(samples[i] as S)
  return held
}

/**
 * Tells a sensor that said nothing from one that was not there. Somebody who coasts stands or rolls with no cadence and no
 * power; a whole ride without either, or a minute's pedalling without power, is a sensor that was away. Figures that no
 * rider has are taken out.
 * @param samples in order of time
 * @returns the very list where all is well
 */
export function sensed<S extends Sensed>(samples: readonly S[]): readonly S[] {
  let [turns, pushes] = [false, false]
  let wild = false
  for (const { cadenceRpm, powerW } of samples) {
    if ((cadenceRpm ?? 0) > 0) turns = true
    if ((powerW ?? 0) > 0) pushes = true
    if ((cadenceRpm ?? 0) > MOST_CADENCE_RPM || (powerW ?? 0) > MOST_POWER_W) wild = true
  }
  const hadCadence = samples.some(({ cadenceRpm }) => cadenceRpm !== undefined)
  const hadPower = samples.some(({ powerW }) => powerW !== undefined)
  let held = samples
  if (wild || (hadCadence && !turns) || (hadPower && !pushes))
    held = samples.map((sample) => ({
      ...sample,
      cadenceRpm: turns && (sample.cadenceRpm ?? 0) <= MOST_CADENCE_RPM ? sample.cadenceRpm : undefined,
      powerW: pushes && (sample.powerW ?? 0) <= MOST_POWER_W ? sample.powerW : undefined,
    }))
  if (!turns || !pushes) return held
  const noPower = withoutAbsence(
    held,
    ({ powerW }) => powerW === 0,
    ({ cadenceRpm, speedMs }) => (cadenceRpm ?? 0) >= LEAST_CADENCE_RPM && speedMs >= ROLLING_MS,
    (sample) => ({ ...sample, powerW: undefined }),
  )
  return withoutAbsence(
    noPower,
    ({ cadenceRpm }) => cadenceRpm === 0,
    ({ powerW }) => (powerW ?? 0) > 0,
    (sample) => ({ ...sample, cadenceRpm: undefined }),
  )
}
