import { readFileSync } from 'node:fs'
import { basename, resolve } from 'node:path'
import { array, boolean, mixed, number, object, string, type InferType, type Schema } from 'yup'
import { CONDITIONS, type Condition } from '../src/core/exposure/conditions.ts'
import { partDistances } from '../src/core/exposure/distance.ts'
import { wearKm } from '../src/core/exposure/wear-km.ts'
import { wearWork } from '../src/core/exposure/wear-work.ts'
import { gear } from '../src/core/gearing/ratio.ts'
import type { Fitting } from '../src/core/log/garage.ts'
import { lubeClock } from '../src/core/lube/clock.ts'
import { LUBES } from '../src/core/lube/lubes.ts'
import { elongationFromCaliper, elongationFromLength } from '../src/core/measure/elongation.ts'
import { posterior } from '../src/core/measure/posterior.ts'
import type { Bias, Reading } from '../src/core/measure/reading.ts'
import { INSTRUMENTS } from '../src/core/measure/instruments.ts'
import { forecastRider } from '../src/core/wear/rider-forecast.ts'
import { roadPiece } from '../src/core/exposure/roads.ts'
import type { RiderChain } from '../src/core/wear/rider-model.ts'
import { sprocketGeometry } from '../src/core/teeth/geometry.ts'
import { bySprocket, useOfGears } from '../src/core/exposure/gears-in-use.ts'
import { readRideFile } from '../src/formats/rides/read-ride-file.ts'
import type { RideTable } from '../src/formats/rides/ride-table.ts'
import { guessMapping, isWhole, ridesOfTable, type TableMapping } from '../src/formats/rides/table-rides.ts'

type Output = Readonly<Record<string, unknown>>
type Runner = (input: unknown, folder: string) => Output | Promise<Output>

/** A kind of case: its input checked once, then computed. */
function kind<S extends Schema>(
  schema: S,
  compute: (input: InferType<S>, folder: string) => Output | Promise<Output>,
): Runner {
  return (input, folder) => compute(schema.validateSync(input, { strict: true }), folder)
}

const figure = () => number().strict().required()
const condition = () =>
  string()
    .oneOf([...CONDITIONS])
    .required()
const lube = () => string().oneOf([...LUBES])
const ride = object({ bike: string().required(), at: string().required(), km: figure().min(0) })
const fitting = object({
  part: string().required(),
  bike: string().required(),
  from: string().required(),
  to: string().optional(),
})

/** Times compare as text once they are written alike. */
function isoTime(text: string): string {
  const ms = Date.parse(text)
  if (!Number.isFinite(ms)) throw new RangeError(`"${text}" is not a time.`)
  return new Date(ms).toISOString()
}

function bytesOf(path: string): Uint8Array {
  try {
    return readFileSync(path)
  } catch {
    throw new RangeError(`The file ${basename(path)} cannot be opened.`)
  }
}

const isInstrument = (name: unknown): boolean => typeof name === 'string' && Object.hasOwn(INSTRUMENTS, name)

/** A table of rides, summed up: its rows are the points. */
function tableOutput(table: RideTable): Output {
  const mapping = guessMapping(table)
  if (!isWhole({ unit: 'km', dates: 'day-first', ...mapping }))
    throw new RangeError('The table has no columns of dates and distances that can be told apart.')
  const { rides } = ridesOfTable(table, { unit: 'km', dates: 'day-first', ...mapping } as TableMapping)
  if (rides.length === 0) throw new RangeError('There is no ride in the table that can be read.')
  return {
    km: rides.reduce((sum, ride) => sum + ride.km, 0),
    movingSeconds: rides.reduce((sum, ride) => sum + (ride.movingSeconds ?? 0), 0),
    points: rides.length,
    startedAt: rides.map(({ at }) => at).sort()[0],
    hasCadence: false,
    hasPower: false,
  }
}

const leg = object({
  km: figure().min(0),
  condition: condition(),
  lube: lube(),
  energyKjPerKm: number().strict(),
})
const forecastSchema = object({
  chains: array(
    object({
      id: string().required(),
      unknownPast: boolean().optional(),
      legs: array(leg).required(),
      readings: array(
        object({
          afterLegs: figure().integer().min(0),
          instrument: string().required().test('known', '${path} is no instrument', isInstrument),
          slack: boolean().optional(),
        }),
      ).required(),
    }),
  ).required(),
  chain: string().required(),
  limit: figure().positive(),
  ahead: object({
    mix: mixed<Record<string, number>>().required(),
    lube: lube(),
    energyKjPerKm: number().strict(),
  }).required(),
  seed: figure().integer(),
})

/** Draws for a case: enough that two seeds differ by a per cent or two. */
const CASE_DRAWS = { chains: 4, draws: 2000, warmUp: 600 } as const

function forecastCase({ chains, chain, limit, ahead, seed }: InferType<typeof forecastSchema>): Output {
  const riderChains = chains.map(({ id, unknownPast, legs, readings }): RiderChain => ({
    id,
    past: unknownPast === true ? 'unknown' : 'new',
    readings: readings.map(({ afterLegs, ...reading }) => ({
      reading: reading as Reading,
      road: legs.slice(0, afterLegs).map(roadPiece),
    })),
  }))
  const mix = Object.entries(ahead.mix).map(([name, share]) => {
    if (!CONDITIONS.includes(name as Condition)) throw new RangeError(`"${name}" is no condition.`)
    return roadPiece({ ...ahead, km: share, condition: name as Condition })
  })
  const now = (chains.find(({ id }) => id === chain)?.legs ?? []).map(roadPiece)
  const answer = forecastRider(
    { chains: riderChains, chain, now, limit, ahead: mix },
    { seed, ...CASE_DRAWS },
  )
  const { toLimitKm, nextLookKm, rHat } = answer
  return { now: answer.now, toLimitKm, nextLookKm, rHat }
}

const RUNNERS: Readonly<Record<string, Runner>> = {
  'measure.length': kind(object({ pitches: figure(), lengthMm: figure() }), ({ pitches, lengthMm }) => ({
    elongation: elongationFromLength(pitches, lengthMm),
  })),
  'measure.caliperPair': kind(
    object({ pitches: figure(), insideMm: figure(), outsideMm: figure() }),
    ({ pitches, insideMm, outsideMm }) => ({ ...elongationFromCaliper(pitches, insideMm, outsideMm) }),
  ),
  'measure.posterior': kind(
    object({
      readings: array(
        object({
          instrument: string().required().test('known', '${path} is no instrument', isInstrument),
          slack: boolean().optional(),
        }),
      ).required(),
      limits: array(figure()).required(),
      prior: object({ mean: figure(), sd: figure() }).optional().default(undefined),
      zeroed: mixed<Record<string, Bias>>().optional(),
    }),
    ({ readings, limits, prior, zeroed }) => {
      const { mean, p05, p95, pAbove } = posterior(readings as Reading[], limits, {
        ...(prior && { prior }),
        ...(zeroed && { zeroed }),
      })
      return { mean, p05, p95, pAbove }
    },
  ),
  'wear.forecast': kind(forecastSchema, forecastCase),
  'exposure.distance': kind(
    object({ rides: array(ride).required(), fittings: array(fitting).required() }),
    ({ rides, fittings }) => {
      const byBike = new Map<string, { at: string; km: number }[]>()
      for (const { bike, at, km } of rides)
        byBike.set(bike, [...(byBike.get(bike) ?? []), { at: isoTime(at), km }])
      for (const list of byBike.values()) list.sort((a, b) => (a.at < b.at ? -1 : 1))
      const fitted = fittings.map(({ part, bike, from, to }): Fitting => ({
        part,
        bike,
        from: isoTime(from),
        ...(to !== undefined && { to: isoTime(to) }),
      }))
      return { km: Object.fromEntries(partDistances(byBike, fitted)) }
    },
  ),
  'exposure.wearKm': kind(
    object({ km: figure(), condition: condition(), lube: lube(), energyKjPerKm: number().strict() }),
    (input) => ({ wearKm: wearKm(input) }),
  ),
  'exposure.wearWork': kind(
    object({ energyKj: figure(), ring: figure(), cog: figure(), links: figure() }),
    ({ energyKj, ring, cog, links }) => ({ ...wearWork(energyKj, ring, cog, links) }),
  ),
  'teeth.geometry': kind(
    object({ teeth: figure(), elongation: number().strict() }),
    ({ teeth, elongation }) => ({ ...sprocketGeometry(teeth, elongation) }),
  ),
  'lube.clock': kind(
    object({
      lube: lube().required(),
      rides: array(object({ km: figure(), condition: condition() })).required(),
      stored: object({ days: figure(), where: string().oneOf(['indoors', 'outdoors']).required() })
        .optional()
        .default(undefined),
    }),
    ({ lube: on, rides, stored }) => ({ ...lubeClock(on, rides, stored) }),
  ),
  'gearing.ratio': kind(
    object({ circumferenceMm: figure(), ring: figure(), cog: figure(), cadence: figure() }),
    ({ circumferenceMm, ring, cog, cadence }) => ({ ...gear(circumferenceMm, ring, cog, cadence) }),
  ),
  'exposure.gears': kind(
    object({
      samples: array(
        object({
          t: figure(),
          speedMs: figure().min(0),
          cadenceRpm: number().strict().min(0).optional(),
          powerW: number().strict().optional(),
        }),
      ).required(),
      wheelMm: figure().positive(),
      rings: array(figure().integer().min(1)).min(1).required(),
      cogs: array(figure().integer().min(1)).min(1).required(),
    }),
    ({ samples, ...setup }) => {
      const byPower = samples.some(({ powerW }) => powerW !== undefined)
      const powerOf = (i: number): number => Math.max(0, samples[i]?.powerW ?? 0)
      const { cogs, rings, total } = bySprocket(useOfGears(samples, setup, byPower ? powerOf : undefined))
      if (total <= 0) throw new RangeError('Nobody pedals in these samples: there is no gear to tell.')
      const shares = (of: ReadonlyMap<number, number>) =>
        Object.fromEntries([...of].map(([teeth, held]) => [teeth, held / total]))
      return { cogShare: shares(cogs), ringShare: shares(rings) }
    },
  ),
  'rides.read': kind(object({ path: string().required() }), async ({ path }, folder) => {
    const held = await readRideFile(basename(path), bytesOf(resolve(folder, path)))
    if (held.form === 'table') return tableOutput(held.table)
    const { km, deviceKm, movingSeconds, points, startedAt, hasCadence, hasPower } = held.ride
    return {
      km,
      ...(deviceKm !== undefined && { deviceKm }),
      movingSeconds,
      points,
      startedAt,
      hasCadence,
      hasPower,
    }
  }),
}

/** Every kind of case that can be run. */
export const CASE_KINDS = Object.keys(RUNNERS)

type CaseResult =
  { readonly kind: unknown; readonly output: Output } | { readonly kind: unknown; readonly error: string }

/** Runs one case: its output, or one clear sentence where the input is bad. Never throws for bad input. */
export async function runCase(one: unknown, folder: string): Promise<CaseResult> {
  const { kind: name, input } = (one ?? {}) as { kind?: unknown; input?: unknown }
  const runner = typeof name === 'string' && Object.hasOwn(RUNNERS, name) ? RUNNERS[name] : undefined
  if (!runner)
    return { kind: name, error: `There is no kind of case called ${JSON.stringify(name) ?? 'nothing'}.` }
  try {
    return { kind: name, output: await runner(input, folder) }
  } catch (error) {
    return { kind: name, error: (error as Error).message }
  }
}
