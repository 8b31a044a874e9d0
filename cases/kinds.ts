import { readFileSync } from 'node:fs'
import { basename, resolve } from 'node:path'
import { array, boolean, mixed, number, object, string, type InferType } from 'yup'
import { CONDITIONS, type Condition } from '../src/core/exposure/conditions.ts'
import { partDistances } from '../src/core/exposure/distance.ts'
import { wearKm } from '../src/core/exposure/wear-km.ts'
import { wearWork } from '../src/core/exposure/wear-work.ts'
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
import { bySprocket, useOfGears } from '../src/core/exposure/gears-in-use.ts'
import { readRideFile } from '../src/formats/rides/read-ride-file.ts'
import type { RideTable } from '../src/formats/rides/ride-table.ts'
import { guessMapping, isWhole, ridesOfTable } from '../src/formats/rides/table-rides.ts'
import { readCsvTrack } from '../src/formats/rides/csv-track.ts'
import { doubtfulDay, type DoubtfulDay } from '../src/formats/rides/doubtful-day.ts'
import type { RecordedRide } from '../src/formats/rides/recorded-ride.ts'
import { figure, kind, type Output, type Runner } from './kind.ts'
import { SESSION_KINDS } from './session-kinds.ts'
import { FAULT_KINDS } from './fault-kinds.ts'
import { GEARING_KINDS } from './gearing-kinds.ts'
import { STRATEGY_KINDS } from './strategy-kinds.ts'
import { TEETH_KINDS } from './teeth-kinds.ts'
import { isRide } from '../src/formats/rides/sports.ts'
import { rideGears } from '../src/core/exposure/ride-gears.ts'

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

/** A table of rides, summed up: its rows are the points. What it leaves open is taken as most would write it. */
function tableOutput(table: RideTable): Output {
  const { mapping } = guessMapping(table)
  const whole = { unit: 'km', dates: 'day-first', durations: 'h:m', ...mapping } as const
  if (!isWhole(whole))
    throw new RangeError('The table has no columns of dates and distances that can be told apart.')
  const { rides, faults } = ridesOfTable(table, whole, Date.now())
  const ridden = rides.filter(({ otherSport }) => otherSport === undefined)
  if (ridden.length === 0)
    throw new RangeError(faults[0]?.fault ?? 'There is no ride in the table that can be read.')
  return {
    km: ridden.reduce((sum, ride) => sum + ride.km, 0),
    movingSeconds: ridden.reduce((sum, ride) => sum + (ride.movingSeconds ?? 0), 0),
    points: ridden.length,
    startedAt: ridden.map(({ at }) => at).sort()[0],
    hasCadence: false,
    hasPower: false,
  }
}

const DOUBTFUL: Readonly<Record<DoubtfulDay['why'], string>> = {
  future: 'is still to come',
  'lost-count':
    'is 1024 weeks before one of these days, as a receiver shows that has lost count of the weeks',
  'clock-not-set': 'is none on which rides were recorded',
}

interface CaseBike {
  readonly massKg: number
  readonly circumferenceMm: number
  readonly rings: readonly number[]
  readonly cogs: readonly number[]
}

/** The rides of a recording, summed up: those on a bike, on days that can be. */
function ridesOutput(all: readonly RecordedRide[], bike: CaseBike | undefined): Output {
  const rides = all.filter(({ sport }) => isRide(sport))
  const [first] = rides
  if (!first) throw new RangeError(`It was recorded as ${all[0]?.sport ?? 'something else'}, not as a ride.`)
  for (const { startedAt } of rides) {
    const doubt = doubtfulDay(startedAt, Date.now())
    if (doubt) throw new RangeError(`Its day, ${startedAt.slice(0, 10)}, ${DOUBTFUL[doubt.why]}.`)
  }
  const sum = (of: (ride: RecordedRide) => number): number => rides.reduce((all, ride) => all + of(ride), 0)
  const hasDevice = rides.every(({ deviceKm }) => deviceKm !== undefined)
  const told = bike ? rides.map(({ samples }) => rideGears(samples, { motor: 'none', ...bike })) : []
  const km = (i: number): number => rides[i]?.deviceKm ?? rides[i]?.km ?? 0
  const known = told.reduce((all, { energyKjPerKm }, i) => all + (energyKjPerKm === undefined ? 0 : km(i)), 0)
  const energy = told.reduce((all, { energyKjPerKm = 0 }, i) => all + energyKjPerKm * km(i), 0)
  const cogs = new Map<number, number>()
  for (const { gears } of told)
    for (const [cog, kj] of bySprocket(gears ?? {}).cogs) cogs.set(cog, (cogs.get(cog) ?? 0) + kj)
  const total = [...cogs.values()].reduce((a, b) => a + b, 0)
  return {
    km: sum(({ km: one }) => one),
    ...(hasDevice && { deviceKm: sum(({ deviceKm = 0 }) => deviceKm) }),
    movingSeconds: sum(({ movingSeconds }) => movingSeconds),
    points: sum(({ points }) => points),
    startedAt: first.startedAt,
    hasCadence: rides.some(({ hasCadence }) => hasCadence),
    hasPower: rides.some(({ hasPower }) => hasPower),
    ...(known > 0 && { energyKjPerKm: energy / known }),
    ...(total > 0 && {
      cogShare: Object.fromEntries([...cogs].map(([cog, kj]) => [String(cog), kj / total])),
    }),
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
  ...TEETH_KINDS,
  ...SESSION_KINDS,
  ...STRATEGY_KINDS,
  ...FAULT_KINDS,
  ...GEARING_KINDS,
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
  'rides.read': kind(
    object({
      path: string().required(),
      bike: object({
        massKg: figure().positive(),
        circumferenceMm: figure().positive(),
        rings: array(figure().integer().positive()).required(),
        cogs: array(figure().integer().positive()).required(),
      }).default(undefined),
    }),
    async ({ path, bike }, folder) => {
      const held = await readRideFile(basename(path), bytesOf(resolve(folder, path)))
      if (held.form === 'rides') return ridesOutput(held.rides, bike)
      if (held.isTrack) return ridesOutput(readCsvTrack(held.table, 'day-first'), bike)
      return tableOutput(held.table)
    },
  ),
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
