import { writeFileSync } from 'node:fs'
import { toEnd } from '../src/core/job.ts'
import { seededRandom } from '../src/core/stats/random.ts'
import { quantileOf } from '../src/core/stats/interval.ts'
import { skipChance } from '../src/core/teeth/skipping.ts'
import { teethOutlookSteps } from '../src/core/teeth/teeth-outlook.ts'
import { madeUpCassette } from './made-up-teeth.ts'

// Is what is said of cogs right as often as it claims? Run with: npm run study:teeth. Seeded.

const CASSETTES = Number(process.env['CASSETTES'] ?? 400)
const SEED = 5711
const SHARES = [0.5, 0.8, 0.95] as const
/** Risks as they are said, and what of those said so skips. */
const SAID = [
  ['less than 1 in 20', 0, 0.05],
  ['1 in 10', 0.05, 0.18],
  ['1 in 4', 0.18, 0.32],
  ['1 in 2', 0.32, 0.68],
  ['3 in 4 or more', 0.68, 1.01],
] as const

interface Judged {
  readonly places: readonly boolean[]
  readonly said: number
  readonly skips: number
  readonly isFound: boolean
  readonly error: number
  readonly roadError: number
}

const judged = Array.from({ length: CASSETTES }, (_, c): Judged[] => {
  const { ask, truth } = madeUpCassette(seededRandom(SEED + 7919 * c))
  const outlook = toEnd(teethOutlookSteps(ask))
  return (outlook.sets['cassette']?.sprockets ?? []).map((cog, j): Judged => {
    const { worn = NaN, skips = NaN } = truth[j] ?? {}
    const sorted = Float64Array.from(cog.worn).sort()
    return {
      places: SHARES.map(
        (share) => worn >= quantileOf(sorted, (1 - share) / 2) && worn <= quantileOf(sorted, (1 + share) / 2),
      ),
      said: skipChance(cog, outlook),
      skips,
      isFound: ask.sets[0]?.evidence.some(({ sprocket }) => sprocket === j) ?? false,
      error: Math.abs(cog.after.p50 - worn),
      roadError: Math.abs(cog.before.p50 - worn),
    }
  })
}).flat()

const percent = (share: number): string => `${(100 * share).toFixed(1)} %`
const mean = (values: readonly number[]): number =>
  values.reduce((a, b) => a + b, 0) / Math.max(1, values.length)
const holds = (of: readonly Judged[]) =>
  SHARES.map((_, i) => percent(mean(of.map(({ places }) => Number(places[i])))))

const found = judged.filter(({ isFound }) => isFound)
const text = `# Is what is said of cogs right as often as it claims?

Taken by \`npm run study:teeth\`: ${CASSETTES} made-up cassettes, ${judged.length} cogs, seeded. Each has met one to five chains whose rates are known to
about 8 %, one in seven came used; cogs were looked at, tried with a cog-check tool, photographed and ridden hard now and then, each
with the errors of methods 5. The truth is drawn from the model itself: this tells whether the weighing is right, not whether the law is.

| cogs | 50 % interval holds | 80 % | 95 % | error of the middle, by the road alone | with all that was found |
|---|---|---|---|---|---|
| all ${judged.length} | ${holds(judged).join(' | ')} | ${mean(judged.map(({ roadError }) => roadError)).toFixed(3)} % | ${mean(judged.map(({ error }) => error)).toFixed(3)} % |
| the ${found.length} something was found out about | ${holds(found).join(' | ')} | ${mean(found.map(({ roadError }) => roadError)).toFixed(3)} % | ${mean(found.map(({ error }) => error)).toFixed(3)} % |

| said that a fresh chain skips | cogs | of those skip |
|---|---|---|
${SAID.map(([name, from, to]) => {
  const those = judged.filter(({ said }) => said >= from && said < to)
  return `| ${name} | ${those.length} | ${percent(mean(those.map(({ skips }) => skips)))} |`
}).join('\n')}
`
process.stdout.write(text)
writeFileSync('docs/teeth.md', text)
