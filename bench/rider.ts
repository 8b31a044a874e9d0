import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { seededRandom } from '../src/core/stats/random.ts'
import { lengthAtElongation } from '../src/core/measure/elongation.ts'
import { evidenceOf } from '../src/core/measure/likelihood.ts'
import type { Reading } from '../src/core/measure/reading.ts'
import { slipOf } from '../src/core/measure/slip.ts'
import { sampleHmc } from '../src/core/wear/hmc.ts'
import { summitsOf } from '../src/core/wear/summits.ts'
import { logDensityOf } from '../src/core/wear/rider-density.ts'
import { chainState, riderModel, type RiderChain, type RiderModel } from '../src/core/wear/rider-model.ts'
import type { Road, RoadPiece } from '../src/core/exposure/roads.ts'

const DRAWS = 2000
const WARM_UP = 250

/** Twelve chains of one rider with ten readings each by three tools, on four kinds of road. */
export function twelveChains(): RiderChain[] {
  const random = seededRandom(12)
  const conditions = ['dry-road', 'wet-road', 'dry-gravel', 'mud'] as const
  return Array.from({ length: 12 }, (_, c): RiderChain => {
    const rate = 0.17 * Math.exp(random.normal(0, 0.3))
    const road: RoadPiece[] = []
    return {
      id: `chain ${c}`,
      past: 'new',
      readings: Array.from({ length: 10 }, (__, n) => {
        road.push({
          km: 250,
          condition: conditions[n % 4] ?? 'dry-road',
          lube: c % 2 ? 'drip-wax' : undefined,
        })
        const percent = rate * 0.5 * (n + 1) + random.normal(0, 0.06)
        const reading: Reading =
          n % 3 === 0
            ? { instrument: 'rule', pitches: 24, lengthMm: lengthAtElongation(24, percent) }
            : n % 3 === 1
              ? { instrument: 'three-contact-scale', percent }
              : { instrument: 'two-contact-limit', limit: 0.5, result: percent > 0.45 ? 'drops' : 'clear' }
        return { reading, road: [...road] }
      }),
    }
  })
}

/** What a road has more of each kind than the one before it, 1000 wear-km. */
function moreOf(road: Road, before: Road | undefined): number[] {
  const sums = new Map<number, number>()
  road.kind.forEach((kind, i) => sums.set(kind, (road.km[i] ?? 0) / 1000))
  before?.kind.forEach((kind, i) => sums.set(kind, (sums.get(kind) ?? 0) - (before.km[i] ?? 0) / 1000))
  return [...sums].filter(([, more]) => more !== 0).flat()
}

/** The model as bench/rider.c reads it. */
function asText(model: RiderModel): string {
  const { dimension, places, factors, kinds, tools, chains, lay } = model
  const bound = (value: number) => (Number.isFinite(value) ? value : value > 0 ? 1e9 : -1e9)
  const readings = chains.flatMap((chain, c) =>
    chain.readings.map((taken, r) => {
      const evidence = evidenceOf(taken.reading)
      const [low, high] = evidence.form === 'between' ? [evidence.low, evidence.high] : [0, 0]
      const last = chain.readings[r - 1]
      const more = moreOf(lay(taken.road), last && lay(last.road))
      const tool = tools.findIndex((one) => one.tool === taken.reading.instrument)
      const value = evidence.form === 'value' ? evidence.value : 0
      const { chance, share } = slipOf(taken, evidence)
      const isLimit = Number(evidence.form === 'between')
      return [
        c,
        tool,
        value,
        evidence.sd,
        isLimit,
        bound(low),
        bound(high),
        chance,
        share,
        more.length / 2,
        ...more,
      ]
    }),
  )
  return [
    [dimension, places.chains, factors.length, kinds.length, tools.length, chains.length, readings.length],
    ...factors.map(({ place, logSd }) => [place, logSd]),
    ...kinds.map((of) => [of.length, ...of]),
    ...tools.map(({ place, bias }) => [place, bias.b, bias.sb]),
    chains.map(({ past }) => Number(past === 'unknown')),
    ...readings,
  ]
    .map((line) => line.join(' '))
    .join('\n')
}

/** The same sampler in C, built into a folder; undefined where there is no C compiler. */
function buildC(folder: string): string | undefined {
  const program = join(folder, 'rider')
  return spawnSync('cc', ['-O2', '-o', program, 'bench/rider.c', '-lm']).status === 0 ? program : undefined
}

/** Runs it once: the mean of the first rate, and what it took, ms. */
function runC(program: string, input: string): { readonly mean: number; readonly ms: number } {
  const { stdout } = spawnSync(program, [String(DRAWS), String(WARM_UP)], { input, encoding: 'utf8' })
  const [mean = NaN, , ms = NaN] = stdout.trim().split(' ').map(Number)
  return { mean, ms }
}

const ROUNDS = 7
const medianOf = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[values.length >> 1] ?? NaN

/** The figure of the sampler: twelve chains, 120 readings, four times 2000 draws, beside the same in C, by turns. */
export function riderFigure(): { what: string; median: string; worst: string; goal: string } {
  const chains = twelveChains()
  const model = riderModel(chains)
  const run = () => {
    const density = logDensityOf(model)
    const options = { seed: 3, chains: 4, draws: DRAWS, warmUp: WARM_UP }
    return sampleHmc(density, model.dimension, options, summitsOf(model, density))
  }
  const folder = mkdtempSync(join(tmpdir(), 'jolt-mile-rider-'))
  try {
    const program = buildC(folder)
    const input = asText(model)
    run()
    run()
    const rounds = Array.from({ length: ROUNDS }, () => {
      const began = performance.now()
      run()
      return { here: performance.now() - began, inC: program && runC(program, input) }
    })
    const rates = run().chains.flatMap((draws) =>
      Array.from(
        { length: DRAWS },
        (_, n) => chainState(model, draws.subarray(n * model.dimension, (n + 1) * model.dimension), 0).rate,
      ),
    )
    const mean = rates.reduce((a, b) => a + b, 0) / rates.length
    const here = medianOf(rounds.map((round) => round.here))
    const there = rounds.flatMap(({ inC }) => (inC ? [inC] : []))
    const inC = medianOf(there.map(({ ms }) => ms))
    const beside =
      there.length > 0
        ? `in C ${(inC / 1000).toFixed(2)} s, so ${(here / inC).toFixed(1)} times as long; first rate ${mean.toFixed(3)} here, ${there[0]?.mean.toFixed(3)} there`
        : 'no C compiler here'
    return {
      what: `all chains of a rider: ${chains.length} chains, ${chains.flatMap(({ readings }) => readings).length} readings, 4 × ${DRAWS} draws; by turns with C`,
      median: `${(here / 1000).toFixed(2)} s`,
      worst: beside,
      goal: 'under 1.5 s, within 3 times of C',
    }
  } finally {
    rmSync(folder, { recursive: true })
  }
}
