import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { cpus } from 'node:os'
import { gzipSync } from 'node:zlib'
import { demoWorld } from '../demo/world.ts'
import { rideGears } from '../src/core/exposure/ride-gears.ts'
import { followLog } from '../src/core/log/replay-more.ts'
import { replay } from '../src/core/log/replay.ts'
import { usualCandidates } from '../src/core/measure/next-reading.ts'
import { posterior } from '../src/core/measure/posterior.ts'
import jpeg from 'jpeg-js'
import { bikeReport } from '../src/core/strategy/facts/bike-report.ts'
import { toEnd } from '../src/core/job.ts'
import { riderOutlookSteps } from '../src/core/wear/rider-outlook.ts'
import { teethAsk } from '../src/core/strategy/teeth-ask.ts'
import { pictureSteps } from '../src/core/teeth/picture/measure.ts'
import type { Pixels } from '../src/core/teeth/picture/pixels.ts'
import { teethOutlookSteps } from '../src/core/teeth/teeth-outlook.ts'
import { riderGroups } from '../src/core/strategy/rider-ask.ts'
import { nextLookSteps, type NextLookQuestion } from '../src/core/wear/next-look-value.ts'
import { checkEntry } from '../src/formats/entry-schema.ts'
import { readGpx } from '../src/formats/rides/gpx.ts'
import { riderFigure } from './rider.ts'
import { checkFigures } from './checks.ts'
import { faultFigures } from './faults.ts'
import { planFigures } from './plans.ts'
import { sessionFigures } from './sessions.ts'
import { tenYears } from './ten-years.ts'
import { pageFigures } from './page.ts'
import {
  hourOfRiding,
  hundredReadings,
  largeLog,
  oneMoreRide,
  sixtyReadings,
  twoMegabytesOfGpx,
  workshopLog,
} from './samples.ts'

const RUNS = 15

interface Figure {
  readonly what: string
  readonly median: string
  readonly worst: string
  readonly goal: string
}

/** Median and worst of some runs, ms, after two that warm up. */
function time(work: () => unknown): { readonly median: number; readonly worst: number } {
  work()
  work()
  const taken = Array.from({ length: RUNS }, () => {
    const began = performance.now()
    work()
    return performance.now() - began
  }).sort((a, b) => a - b)
  return { median: taken[RUNS >> 1] ?? NaN, worst: taken.at(-1) ?? NaN }
}

function figure(what: string, goal: string, work: () => unknown): Figure {
  const { median, worst } = time(work)
  return { what, goal, median: `${median.toFixed(1)} ms`, worst: `${worst.toFixed(1)} ms` }
}

/** Only the last step is timed: the log was followed up to it before. */
function oneMoreFigure(): Figure {
  const taken = Array.from({ length: RUNS + 2 }, () => {
    const follow = followLog()
    follow(workshop)
    const began = performance.now()
    follow(grown)
    return performance.now() - began
  })
    .slice(2)
    .sort((a, b) => a - b)
  return {
    what: 'the same and one more ride',
    median: `${(taken[RUNS >> 1] ?? NaN).toFixed(2)} ms`,
    worst: `${(taken.at(-1) ?? NaN).toFixed(2)} ms`,
    goal: 'under 10 ms',
  }
}

/** Ten years and twenty bikes: what the page does of it, and what the worker does. */
function tenYearsFigure(): Figure {
  const { entries, now } = tenYears()
  const years = replay(entries)
  const taken = Array.from({ length: 4 }, () => {
    const began = performance.now()
    const groups = riderGroups(years, now)
    const told = performance.now()
    const outlooks = groups.map(({ ask }) => toEnd(riderOutlookSteps(ask)))
    return { outlooks, asking: told - began, answering: performance.now() - told }
  }).slice(1)
  const told = taken[0]?.outlooks[0]
  if (!told) throw new Error('the ten years hold no rider')
  const middle = (times: readonly number[]): number =>
    [...times].sort((a, b) => a - b)[times.length >> 1] ?? NaN
  const asking = middle(taken.map((one) => one.asking))
  const answering = middle(taken.map((one) => one.answering))
  const { chains, readings, rHat } = told.workings
  return {
    what: `ten years, ${years.bikes.size} bikes: ${chains} chains, ${readings} readings, all that is said of them (in a worker)`,
    median: `${(answering / 1000).toFixed(2)} s`,
    worst: `worst ${(Math.max(...taken.map((one) => one.answering)) / 1000).toFixed(2)} s; gathering the question on the page ${(asking / 1000).toFixed(2)} s; R-hat ${rHat.toFixed(3)}`,
    goal: 'under 4 s',
  }
}

/** The teeth of one bike with ten years behind it: what the page does of it, and what the worker does. */
function teethFigure(): Figure {
  const { entries, now } = tenYears()
  const years = replay(entries.filter((entry) => !('bike' in entry) || entry.bike === 'bike-0'))
  const [group] = riderGroups(years, now)
  if (!group) throw new Error('the ten years hold no rider')
  const { draws } = toEnd(riderOutlookSteps(group.ask))
  const asked = Array.from({ length: RUNS }, () => {
    const began = performance.now()
    const ask = teethAsk(years, new Set(['bike-0']), draws)
    const told = performance.now()
    toEnd(teethOutlookSteps(ask))
    return { asking: told - began, answering: performance.now() - told }
  })
    .slice(2)
    .sort((a, b) => a.answering - b.answering)
  const worst = asked.at(-1)
  return {
    what: 'teeth of a bike with ten years of rides, from 500 draws (in a worker)',
    median: `${(asked[asked.length >> 1]?.answering ?? NaN).toFixed(0)} ms`,
    worst: `${(worst?.answering ?? NaN).toFixed(0)} ms; gathering the question on the page ${Math.max(...asked.map(({ asking }) => asking)).toFixed(0)} ms at most`,
    goal: 'under 300 ms',
  }
}

/** A photo of so many pixels along its longer side, from a made-up one. */
function largePhoto(side: number): Pixels {
  const { width, height, data } = jpeg.decode(readFileSync('public/pictures/photo-cog-15.jpg'), {
    useTArray: true,
  })
  const by = side / width
  const [w, h] = [Math.round(width * by), Math.round(height * by)]
  const large = new Uint8Array(4 * w * h)
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      const from = 4 * (Math.floor(y / by) * width + Math.floor(x / by))
      large.set(data.subarray(from, from + 4), 4 * (y * w + x))
    }
  return { width: w, height: h, data: large }
}

/** A photo of 12 megapixels, measured, and the memory that it takes beside its own bytes. */
function photoFigure(): Figure {
  const photo = largePhoto(4000)
  let most = 0
  const took = Array.from({ length: 7 }, () => {
    const before = process.memoryUsage().arrayBuffers
    const began = performance.now()
    const steps = pictureSteps({ ...photo, teeth: 15 })
    let step = steps.next()
    while (!step.done) {
      most = Math.max(most, process.memoryUsage().arrayBuffers - before)
      step = steps.next()
    }
    most = Math.max(most, process.memoryUsage().arrayBuffers - before)
    if ('fault' in step.value) throw new Error(`the photo is not measured: ${step.value.fault}`)
    return performance.now() - began
  })
    .slice(2)
    .sort((a, b) => a - b)
  return {
    what: 'a photo of 12 megapixels measured (in a worker; opening it apart)',
    median: `${(took[took.length >> 1] ?? NaN).toFixed(0)} ms`,
    worst: `${(took.at(-1) ?? NaN).toFixed(0)} ms; ${(most / 1e6).toFixed(0)} MB beside its own ${(photo.data.length / 1e6).toFixed(0)}`,
    goal: 'under 3 s',
  }
}

type Manifest = Record<string, { file: string; imports?: string[] }>

/** Scripts fetched before Today draws: the entry, what it imports, and the station's own, gzipped. */
function firstLoadKb(): { readonly entry: number; readonly all: number } {
  const manifest = JSON.parse(readFileSync('dist/.vite/manifest.json', 'utf8')) as Manifest
  const wanted = new Set<string>()
  const add = (name: string): void => {
    const chunk = manifest[name]
    if (!chunk || wanted.has(chunk.file)) return
    wanted.add(chunk.file)
    for (const next of chunk.imports ?? []) add(next)
  }
  const size = (): number =>
    [...wanted].reduce((sum, file) => sum + gzipSync(readFileSync(`dist/${file}`), { level: 9 }).length, 0) /
    1000
  add('index.html')
  const entry = size()
  add('src/stations/today/Today.tsx')
  return { entry, all: size() }
}

const readings = sixtyReadings()
const log = largeLog()
const gpx = new TextEncoder().encode(twoMegabytesOfGpx())
const demo = demoWorld('2026-11-23')
const garage = replay(demo)
const heron = garage.bikes.get('heron')
const question = heron && bikeReport(garage, heron, '2026-11-23T12:00:00.000Z').chain?.nextLook
const [asked] = riderGroups(garage, '2026-11-23T12:00:00.000Z')
if (!question || !asked) throw new Error('the demo has lost its question')
const load = firstLoadKb()
const hundred = hundredReadings()
const workshop = workshopLog()
const grown = [...workshop, oneMoreRide()]
const hour = hourOfRiding()
const elevenCogs = {
  motor: 'none',
  rings: [34, 50],
  cogs: [11, 12, 13, 14, 16, 18, 20, 22, 25, 28, 32],
} as const
const eight = usualCandidates(0.75)
const ownTool = { tool: 'own', instrument: 'two-contact-scale', bias: { b: 0.12, sb: 0.03 } } as const
const nextLook: NextLookQuestion = {
  past: 'new',
  earlier: question.earlier,
  look: question.look,
  now: question.now,
  limit: 0.5,
  candidates: [ownTool, ...eight],
}

const figures: Figure[] = [
  figure('posterior of 60 readings by five instruments', 'under 20 ms', () =>
    posterior(readings, [0.5, 0.75, 1]),
  ),
  figure(
    `posterior of ${hundred.length} readings by ${new Set(hundred.map(({ instrument }) => instrument)).size} instruments`,
    'under 50 ms',
    () => posterior(hundred, [0.5, 0.75, 1]),
  ),
  figure(
    `what one more reading would be worth, ${nextLook.candidates.length} candidates (in a worker)`,
    'under 400 ms',
    () => toEnd(nextLookSteps(nextLook)),
  ),
  figure('replay of 20 000 rides and 500 readings', 'under 150 ms', () => replay(log)),
  figure('replay of 200 bikes, 100 000 rides and 2000 fittings', 'under 500 ms', () => replay(workshop)),
  oneMoreFigure(),
  figure('the gears of a one-hour ride: two rings, eleven cogs (in a worker)', 'under 80 ms', () =>
    rideGears(hour, elevenCogs),
  ),
  figure(`a GPX of ${(gpx.length / 1e6).toFixed(1)} MB read`, 'under 250 ms', () => readGpx(gpx)),
  figure(
    `the demo garage: ${asked.ask.chains.length} chains, all that is said of them (in a worker)`,
    'none set',
    () => toEnd(riderOutlookSteps(asked.ask)),
  ),
  figure(`${demo.length} entries checked by the schema`, 'none set', () => demo.forEach(checkEntry)),
  {
    what: 'script before the first station draws, gzipped',
    median: `${load.all.toFixed(0)} kB`,
    worst: `of which the entry and what it imports: ${load.entry.toFixed(0)} kB`,
    goal: 'under 220 kB',
  },
]
figures.push(
  riderFigure(),
  tenYearsFigure(),
  teethFigure(),
  photoFigure(),
  ...sessionFigures(),
  ...planFigures(),
  ...faultFigures(time),
  ...checkFigures(time),
)
const pages = await pageFigures()
const rows = (of: readonly Figure[]): string =>
  of.map(({ what, median, worst, goal }) => `| ${what} | ${median} | ${worst} | ${goal} |`).join('\n')
const text = `# Figures

Taken by \`npm run build && npm run bench\` on Node.js ${process.versions.node}, ${cpus().length} cores, one run of the whole script:
each line is the median and the worst of ${RUNS} rounds after two that warm up. The machine is shared and noisy; compare within
one run. The script size is what the browser fetches before Today is drawn: the entry chunk, everything it imports, and the
station with everything it imports, each gzipped at level 9; charts, file readers and the demo's generator are fetched when wanted.

| what | median | worst | goal |
|---|---|---|---|
${rows(figures)}

## In the real page

The built app in headless Chromium without a graphics card, two cores shared by the page, its workers, the server and this
script. The thousand files lie on the disk and are chosen all at once; they are read in the app's own pool of workers. Counting
tags opens the same files the same way in two bare workers, decodes them and looks for every \`<\`: no reader can be faster. Memory is what the
processes that run pages hold, every worker and the browser's own spare page included, what they share counted once. The road is dragged by pointer events, one for each picture.

| what | figure | beside it | goal |
|---|---|---|---|
${rows(pages)}
`
mkdirSync('docs', { recursive: true })
writeFileSync('docs/bench.md', text)
process.stdout.write(text)
