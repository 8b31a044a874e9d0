import { mkdirSync, writeFileSync } from 'node:fs'
import { seededRandom } from '../src/core/stats/random.ts'
import { defaultWearKm, type RoadPiece } from '../src/core/exposure/roads.ts'
import { wearKmToReach } from '../src/core/wear/part-grid.ts'
import { rateBelief } from '../src/core/wear/rate-grid.ts'
import { drawRider, FORECAST_CAP_KM } from '../src/core/wear/rider-forecast.ts'
import { calibrationChart, coverage, scoreChart } from './charts.ts'
import { crps, placeIn, quantiles, type Told } from './score.ts'
import { simulateRider, type SimulatedRider } from './simulate.ts'

// Are the forecasts right as often as they claim? Run with: npm run study. Seeded: the same figures every time.

const RIDERS = Number(process.env['RIDERS'] ?? 600)
const SEED = 20_261
const SHARES = [0.5, 0.8, 0.95] as const
const FOLKLORE_KM = 3000

const byDefault = (road: readonly RoadPiece[]): number =>
  road.reduce((sum, piece) => sum + defaultWearKm(piece), 0)

/** The first slice's grid: the chain alone, multipliers at their defaults. */
function gridTold({ question }: SimulatedRider): Told {
  const { chains, chain, now, limit, ahead } = question
  const asked = chains.find(({ id }) => id === chain)
  const belief = rateBelief(
    asked?.past ?? 'new',
    (asked?.readings ?? []).map(({ road, ...one }) => ({ ...one, wearKm: byDefault(road) })),
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

/** How one way of telling fared, rider by rider. */
interface Tally {
  readonly name: string
  readonly places: number[]
  readonly scores: { crps: number; readings: number }[]
  readonly errors: number[]
}
const tally = (name: string): Tally => ({ name, places: [], scores: [], errors: [] })

function score(held: Tally, told: Told, truth: number, tie: number, readings: number): void {
  held.places.push(placeIn(told, truth, tie))
  held.scores.push({ crps: crps(told, truth), readings })
  held.errors.push(Math.abs((quantiles(told, [0.5])[0] ?? NaN) - truth))
}

const model = tally('all of the rider’s chains together (methods 4)')
const grid = tally('the chain alone, on the grid of the first slice')
const line = tally('a straight line through zero and the last figure read')
const folklore = tally(`“every ${FOLKLORE_KM} km”`)
const wornNow = tally('elongation now')
let past = 0
const began = Date.now()
const ties = seededRandom(SEED - 1)
for (let r = 0; r < RIDERS; r++) {
  const rider = simulateRider(seededRandom(SEED + 7919 * r))
  const drawn = drawRider(rider.question, { seed: SEED + r, chains: 2, draws: 600, warmUp: 250 })
  const truth = Math.min(FORECAST_CAP_KM, rider.truth.toLimitKm)
  const tie = ties.unit()
  past += Number(rider.truth.atLimit)
  score(wornNow, { values: drawn.worn }, rider.truth.nowPercent, tie, rider.readings)
  score(model, { values: drawn.toLimitKm }, truth, tie, rider.readings)
  score(grid, gridTold(rider), truth, tie, rider.readings)
  score(line, lineTold(rider), truth, tie, rider.readings)
  score(folklore, folkloreTold(rider.km), truth, tie, rider.readings)
  if ((r + 1) % 200 === 0)
    process.stderr.write(`${r + 1} of ${RIDERS} riders, ${((Date.now() - began) / 1000).toFixed(0)} s\n`)
}

const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length
const percent = (share: number): string => `${(100 * share).toFixed(1)} %`
const km = (values: readonly number[]): string => `${Math.round(mean(values))} km`
const covered = ({ places }: Tally): string[] => SHARES.map((share) => percent(coverage(places, share)))
const row = (held: Tally, interval: boolean): string =>
  `| ${held.name} | ${interval ? covered(held).join(' | ') : '– | – | –'} | ${km(held.errors)} | ${km(held.scores.map((one) => one.crps))} |`
const readings = mean(model.scores.map((one) => one.readings))
const text = `# Are the forecasts right as often as they claim?

Taken by \`npm run study\`: ${RIDERS} made-up riders, seeded, so that the figures come out the same every time. Each rider is drawn from the
prior of methods 4, but with no slips, no tools far off and no late wear: a rate of their own, one to four chains, one to three kinds of road with multipliers, lubricants, one to
three tools with biases, looks after some of the rides, one chain in seven of unknown past, one ride in seven whose condition is not set; ${readings.toFixed(1)} readings on average, ${percent(past / RIDERS)} of the last chains past their limit already.
The question is how far the last chain still goes to its limit. An interval that claims 80 % should hold the truth in 80 of 100
riders; with ${RIDERS} of them the share found scatters by ${(100 * Math.sqrt((0.8 * 0.2) / RIDERS)).toFixed(1)} points by chance alone. A truth of exactly 0 (past the limit already) is
placed by chance within the draws that are 0 too. The continuous ranked probability score is the area between what was forecast and
what came: for a single figure its distance from the truth. Lower is better.

| distance to the limit, by | 50 % interval | 80 % interval | 95 % interval | error of the median | CRPS |
|---|---|---|---|---|---|
${row(model, true)}
${row(grid, true)}
${row(line, false)}
${row(folklore, false)}

Elongation now, by the model: its intervals hold the truth in ${covered(wornNow).join(', ')} of riders where they claim 50, 80 and 95 %.

![Claimed against found, for intervals of every width](forecast-calibration.svg)

On the diagonal an interval is right as often as it claims; the tinted band is where chance alone puts ${RIDERS} riders, 19 times in 20.

![The score by how many readings there were to tell from](forecast-score.svg)

With no reading at all the two models are alike: a wide guess, and still nearer than a figure that does not say how sure it is. From the
first readings on all chains together are nearer than the chain alone, and both far nearer than a straight line or a fixed distance.

The model doubts more than this prior gives it reason to: slips, tools that are far off and late wear (methods 2 and 4), none of which these
riders have. What that costs here is in the table; what it buys with riders who are not like the prior is in
[a study of its own](forecast-worlds.md).
`
process.stdout.write(text)
mkdirSync('docs', { recursive: true })
writeFileSync('docs/forecast.md', text)
writeFileSync(
  'docs/forecast-calibration.svg',
  calibrationChart([
    { ...model, name: 'all chains together' },
    { ...grid, name: 'the chain alone' },
  ]),
)
writeFileSync(
  'docs/forecast-score.svg',
  scoreChart([
    { ...model, name: 'all chains together' },
    { ...grid, name: 'the chain alone' },
    { ...line, name: 'straight line' },
    { ...folklore, name: `every ${FOLKLORE_KM} km` },
  ]),
)
