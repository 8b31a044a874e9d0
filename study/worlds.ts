import { readFileSync, writeFileSync } from 'node:fs'
import { judge, type Judged } from './judge.ts'
import { WORLDS, type World } from './real-riders.ts'
import { worldsChart, type WorldFigures } from './worlds-chart.ts'

// Are the verdicts honest with riders who are not like the model? Run with: npm run study:worlds. Seeded; of another seed than
// the usual one (SEED=1) the table is printed and nothing kept.

const RIDERS = Number(process.env['RIDERS'] ?? 200)
const USUAL_SEED = 40_311
const SEED = Number(process.env['SEED'] ?? USUAL_SEED)
/** A swap is false where the chain is this far under its limit, riding on false where it is this far past it, %. */
const MARGIN = 0.1

const count = (all: readonly Judged[], is: (one: Judged) => boolean): number => all.filter(is).length

/** All riders of a world, counted up. */
function figuresOf(judged: readonly Judged[]): WorldFigures {
  const [under, past] = [
    judged.filter(({ over }) => over < -MARGIN),
    judged.filter(({ over }) => over > MARGIN),
  ]
  return {
    riders: judged.length,
    holds: count(judged, ({ holds }) => holds),
    crps: judged.reduce((sum, one) => sum + one.crps, 0) / judged.length,
    asked: count(judged, ({ isAsked }) => isAsked),
    under: under.length,
    falseSwaps: count(under, ({ isSwap }) => isSwap),
    falseSwapsAsked: count(under, ({ isSwap, isAsked }) => isSwap && isAsked),
    past: past.length,
    swaps: count(past, ({ isSwap }) => isSwap),
    falseRideOns: count(past, ({ isSwap, isHeld }) => !isSwap && !isHeld),
  }
}

const worlds = Object.keys(WORLDS) as World[]
const judgedIn = new Map(
  worlds.map((world) => {
    const judged = Array.from({ length: RIDERS }, (_, r) => judge(world, SEED + 7919 * r))
    process.stderr.write(`${world}\n`)
    return [world, judged] as const
  }),
)
const now = new Map([...judgedIn].map(([world, judged]) => [world, figuresOf(judged)]))
const { taken, worlds: before } = JSON.parse(readFileSync('study/worlds-before.json', 'utf8')) as {
  taken: string
  worlds: Readonly<Record<World, WorldFigures>>
}

const share = (part: number, of: number): string => `${part} of ${of}`
const pair = (a: string, b: string): string => `${a} → **${b}**`

function row(world: World): string {
  const [was, is] = [before[world], now.get(world)]
  if (!is) return ''
  const percent = ({ holds, riders }: WorldFigures) => `${Math.round((100 * holds) / riders)} %`
  return `| ${[
    WORLDS[world],
    pair(percent(was), percent(is)),
    pair(was.crps.toFixed(3), is.crps.toFixed(3)),
    pair(String(was.asked), share(is.asked, is.riders)),
    pair(String(was.falseSwaps), share(is.falseSwaps, is.under)),
    pair(String(was.falseSwapsAsked), String(is.falseSwapsAsked)),
    pair(String(was.swaps), share(is.swaps, is.past)),
    pair(String(was.falseRideOns), String(is.falseRideOns)),
  ].join(' | ')} |`
}

const all = [...judgedIn.values()].flat()
const worst = (value: (one: Judged) => number) => [...all].map(value).sort((a, b) => b - a)
const unsettled = count(all, ({ rHat }) => rHat > 1.02)
const thin = count(all, ({ effectiveSize }) => effectiveSize < 200)
const text = `# Are the verdicts honest with riders who are not like the model?

Taken by \`npm run study:worlds\`: ${RIDERS} made-up riders a world, seeded. Each has one bike, one to three chains after one another, each
looked at two to seven times with one or two tools, and one thing goes wrong that is not written down. Each cell says what it was before and
what it is now; before: taken ${taken}.

- The 80 % interval of the elongation now should hold the truth in 80 of 100 riders.
- The continuous ranked probability score (CRPS) is the area between what was forecast and the truth, in %; lower is better.
- *Asked about*: a question about a look was open. In the first world, where nothing went wrong, that is a false alarm; in the second
  and fourth it mostly is.
- A swap is false where the chain is more than ${MARGIN} % under its limit, and right where it is more than ${MARGIN} % past it; riding on is
  false where it is past it by so much and the advice is neither to swap nor to measure or answer a question first.

![How often the 80 % interval holds the truth, by world, before and now](forecast-worlds-holds.svg)

![The score by world, before and now](forecast-worlds-score.svg)

| world | 80 % interval holds | CRPS, % | asked about | false swaps | with the question open | right swaps | false ride-ons |
|---|---|---|---|---|---|---|---|
${worlds.map(row).join('\n')}

Of these ${all.length} riders ${unsettled} had samplers that still disagreed (R-hat over 1.02; the worst ${(worst(({ rHat }) => rHat)[0] ?? NaN).toFixed(2)}), and in ${thin} the draws
of some unknown were worth fewer than 200 independent ones.
`
process.stdout.write(text)
if (SEED === USUAL_SEED) {
  writeFileSync('docs/forecast-worlds.md', text)
  const told = worlds.map((world) => ({ name: WORLDS[world], before: before[world], now: now.get(world) }))
  writeFileSync('docs/forecast-worlds-holds.svg', worldsChart(told, 'holds'))
  writeFileSync('docs/forecast-worlds-score.svg', worldsChart(told, 'score'))
}
