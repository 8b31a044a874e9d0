import { writeFileSync } from 'node:fs'
import { ENTRY_FORMAT } from '../src/core/log/entry.ts'
import type { Entry, EntryDraft } from '../src/core/log/entries.ts'
import { makeEntryId } from '../src/core/log/entry-id.ts'
import { replay } from '../src/core/log/replay.ts'
import { toEnd } from '../src/core/job.ts'
import { seededRandom } from '../src/core/stats/random.ts'
import { bikeReport } from '../src/core/strategy/facts/bike-report.ts'
import { riderGroups } from '../src/core/strategy/rider-ask.ts'
import { SWAPS, verdictOf } from '../src/core/strategy/verdict.ts'
import { onBike } from '../src/core/wear/outlook.ts'
import { riderOutlookSteps } from '../src/core/wear/rider-outlook.ts'
import { realRider, WORLDS, type World } from './real-riders.ts'
import { crps, quantiles, type Told } from './score.ts'

// Are the verdicts honest with riders who are not like the model? Run with: npm run study:worlds. Seeded.

const RIDERS = Number(process.env['RIDERS'] ?? 200)
const SEED = 40_311
/** A swap is false where the chain is this far under its limit, riding on false where it is this far past it, %. */
const MARGIN = 0.1

/** Entries as the store would write them. */
const written = (drafts: readonly EntryDraft[]): Entry[] =>
  drafts.map((draft, i) => ({
    ...draft,
    format: ENTRY_FORMAT,
    id: makeEntryId(Date.UTC(2025, 0, 1) + i, 0, new Uint8Array(16)),
  }))

/** How one rider was judged. */
interface Judged {
  readonly holds: boolean
  readonly crps: number
  readonly isAsked: boolean
  readonly isSwap: boolean
  readonly isHeld: boolean
  /** Truth less the limit, %. */
  readonly over: number
}

function judge(world: World, seed: number): Judged {
  const { drafts, now, nowPercent } = realRider(seededRandom(seed), world)
  const garage = replay(written(drafts))
  const bike = garage.bikes.get('heron')
  const [group] = riderGroups(garage, now)
  if (!bike || !group) throw new Error('a rider without a bike')
  const report = bikeReport(garage, bike, now)
  const outlook = toEnd(riderOutlookSteps(group.ask))
  const answer = onBike(outlook.chains[report.chain?.part.entry.part ?? ''])
  if (!answer) throw new Error('the chain was not worked out')
  const verdict = verdictOf(report, answer)
  const told: Told = { values: answer.density.e, weights: normalised(answer.density.density) }
  const [low = NaN, high = NaN] = quantiles(told, [0.1, 0.9])
  return {
    holds: nowPercent >= low && nowPercent <= high,
    crps: crps(told, nowPercent),
    isAsked: answer.surprise !== undefined,
    isSwap: verdict !== undefined && SWAPS.includes(verdict.action),
    isHeld: verdict?.action === 'measure' || verdict?.action === 'answer-first',
    over: nowPercent - report.limit.percent,
  }
}

function normalised(weights: readonly number[]): number[] {
  const sum = weights.reduce((a, b) => a + b, 0)
  return weights.map((weight) => weight / sum)
}

const share = (all: readonly Judged[], is: (one: Judged) => boolean): string => {
  const count = all.filter(is).length
  return `${count} of ${all.length}`
}

function row(world: World): string {
  const judged = Array.from({ length: RIDERS }, (_, r) => judge(world, SEED + 7919 * r))
  const [under, over] = [
    judged.filter((one) => one.over < -MARGIN),
    judged.filter((one) => one.over > MARGIN),
  ]
  process.stderr.write(`${world}\n`)
  return `| ${[
    WORLDS[world],
    `${Math.round((100 * judged.filter(({ holds }) => holds).length) / RIDERS)} %`,
    (judged.reduce((sum, one) => sum + one.crps, 0) / RIDERS).toFixed(3),
    share(judged, ({ isAsked }) => isAsked),
    share(under, ({ isSwap }) => isSwap),
    share(under, ({ isSwap, isAsked }) => isSwap && isAsked),
    share(over, ({ isSwap, isHeld }) => !isSwap && !isHeld),
  ].join(' | ')} |`
}

const rows = (Object.keys(WORLDS) as World[]).map(row)
const text = `# Are the verdicts honest with riders who are not like the model?

Taken by \`npm run study:worlds\`: ${RIDERS} made-up riders a world, seeded. Each has one bike, one to three chains after one another, each
looked at two to seven times with one or two tools, and one thing goes wrong that the model does not know of. The
80 % interval of the elongation now should hold the truth in 80 of 100 riders; the continuous ranked probability score is the area between
what was forecast and the truth, lower is better. A swap is false where the chain is more than ${MARGIN} % under its limit, riding on is
false where it is more than ${MARGIN} % past it and the advice is neither to swap nor to measure or answer a question first.

| world | 80 % interval holds | CRPS, % | asked about | false swaps | of them with the question open | false ride-ons |
|---|---|---|---|---|---|---|
${rows.join('\n')}
`
process.stdout.write(text)
writeFileSync('docs/forecast-worlds.md', text)
