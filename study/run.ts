import { mkdirSync, writeFileSync } from 'node:fs'
import { seededRandom } from '../src/core/random.ts'
import { defaultWearKm, type RoadPiece } from '../src/core/exposure/roads.ts'
import { rateBelief, wearKmToReach } from '../src/core/wear/rate-grid.ts'
import { drawRider, FORECAST_CAP_KM } from '../src/core/wear/rider-forecast.ts'
import { crps, placeIn, quantiles, type Told } from './score.ts'
import { simulateRider, type SimulatedRider } from './simulate.ts'

// Are the forecasts right as often as they claim? Run with: npm run study. Seeded: the same figures every time.

const RIDERS = Number(process.env['RIDERS'] ?? 500)
const SEED = 20_261
const SHARES = [0.5, 0.8, 0.95] as const
const FOLKLORE_KM = 3000

const byDefault = (road: readonly RoadPiece[]): number =>
  road.reduce((sum, piece) => sum + defaultWearKm(piece), 0)

/** The first slice's grid: the chain alone, multipliers at their defaults. */
function gridTold({ question }: SimulatedRider): Told {
  const { chains, chain, now, limit, ahead } = question
  const readings = chains.find(({ id }) => id === chain)?.readings ?? []
  const belief = rateBelief(
    'new',
    readings.map(({ road, ...one }) => ({ ...one, wearKm: byDefault(road) })),
  )
  const gone = byDefault(now)
  const perKm = byDefault(ahead)
  return {
    values: wearKmToReach(belief, limit).map((at) =>
      Math.min(FORECAST_CAP_KM, Math.max(0, at - gone) / perKm),
    ),
    weights: belief.weight,
  }
}

/** A straight line through zero and the last figure read; the folklore where there is none. */
function lineTold({ question, km, lastValue }: SimulatedRider): Told {
  if (!lastValue || lastValue.percent <= 0.02) return folkloreTold(km)
  return {
    values: [
      Math.min(FORECAST_CAP_KM, Math.max(0, (lastValue.km * question.limit) / lastValue.percent - km)),
    ],
  }
}
const folkloreTold = (km: number): Told => ({ values: [Math.max(0, FOLKLORE_KM - km)] })

interface Tally {
  crps: number
  error: number
  readonly covered: number[]
}
const tally = (): Tally => ({ crps: 0, error: 0, covered: SHARES.map(() => 0) })

function score(held: Tally, told: Told, truth: number, tie: number): void {
  const place = placeIn(told, truth, tie)
  held.crps += crps(told, truth)
  held.error += Math.abs((quantiles(told, [0.5])[0] ?? NaN) - truth)
  SHARES.forEach(
    (share, i) => (held.covered[i] = (held.covered[i] ?? 0) + Number(Math.abs(place - 0.5) <= share / 2)),
  )
}

const tallies = { model: tally(), grid: tally(), line: tally(), folklore: tally() }
const wornNow = tally()
let [past, readings] = [0, 0]
const began = Date.now()
const ties = seededRandom(SEED - 1)
for (let r = 0; r < RIDERS; r++) {
  const rider = simulateRider(seededRandom(SEED + 7919 * r))
  const drawn = drawRider(rider.question, { seed: SEED + r, chains: 2, draws: 600, warmUp: 300 })
  const truth = Math.min(FORECAST_CAP_KM, rider.truth.toLimitKm)
  const tie = ties.unit()
  readings += rider.readings
  past += Number(rider.truth.atLimit)
  score(wornNow, { values: drawn.worn }, rider.truth.nowPercent, tie)
  score(tallies.model, { values: drawn.toLimitKm }, truth, tie)
  score(tallies.grid, gridTold(rider), truth, tie)
  score(tallies.line, lineTold(rider), truth, tie)
  score(tallies.folklore, folkloreTold(rider.km), truth, tie)
  if ((r + 1) % 50 === 0)
    process.stderr.write(`${r + 1} of ${RIDERS} riders, ${((Date.now() - began) / 1000).toFixed(0)} s\n`)
}
const counted = RIDERS

const percent = (count: number, of: number): string => `${((100 * count) / of).toFixed(1)} %`
const km = (sum: number): string => `${Math.round(sum / counted)} km`
const row = (name: string, held: Tally, interval: boolean): string =>
  `| ${name} | ${interval ? held.covered.map((count) => percent(count, counted)).join(' | ') : '– | – | –'} | ${km(held.error)} | ${km(held.crps)} |`
const text = `# Are the forecasts right as often as they claim?

Taken by \`npm run study\`: ${RIDERS} made-up riders, seeded, so that the figures come out the same every time. Each rider is drawn from the
model's own prior (methods 4): a rate of their own, one to four chains, one to three kinds of road with multipliers, lubricants, one to
three tools with biases, looks after some of the rides; ${(readings / RIDERS).toFixed(1)} readings on average, ${percent(past, RIDERS)} of the last chains past their limit already.
The question is how far the last chain still goes to its limit. An interval that claims 80 % should hold the truth in 80 of 100
riders; with ${RIDERS} of them the share found scatters by ${(100 * Math.sqrt((0.8 * 0.2) / RIDERS)).toFixed(1)} points by chance alone. A truth of exactly 0 (past the limit already) is
placed by chance within the draws that are 0 too. The continuous ranked probability score is the area between what was told and
what came: for a single figure its distance from the truth. Lower is better.

| distance to the limit, told by | 50 % interval | 80 % interval | 95 % interval | error of the median | CRPS |
|---|---|---|---|---|---|
${row('all of the rider’s chains together (methods 4)', tallies.model, true)}
${row('the chain alone, on the grid of the first slice', tallies.grid, true)}
${row('a straight line through zero and the last figure read', tallies.line, false)}
${row(`“every ${FOLKLORE_KM} km”`, tallies.folklore, false)}

Elongation now, by the model: its intervals hold the truth in ${wornNow.covered.map((count) => percent(count, RIDERS)).join(', ')} of riders where they claim 50, 80 and 95 %.

What this does not show: that real riders are like the prior. The readings here come from the very noise and bias that the model
assumes; a gauge that is worse than its description, or rides that nobody logged, would widen the truth and not the interval.
`
process.stdout.write(text)
mkdirSync('docs', { recursive: true })
writeFileSync('docs/forecast.md', text)
