import { writeFileSync } from 'node:fs'
import { heardEyes } from './school-eyes.ts'

// Do looks that School has corrected make Teeth's intervals better? Run with: npm run study:eyes. Seeded.

const CASSETTES = Number(process.env['CASSETTES'] ?? 60)
const LESSONS = 30
const SEED = 5711
const WAYS = {
  'new-eye': 'as a new eye\u2019s, whoever looks (methods 5)',
  doubted: 'as an eye taken to be twice as unsure, 0.30 %',
  lessons: `as ${LESSONS} lessons measured it`,
  known: 'as it is, known exactly',
} as const

const percent = (share: number): string => `${(100 * share).toFixed(1)} %`
const rows = (Object.keys(WAYS) as (keyof typeof WAYS)[]).map((way) => {
  const { holds, width, error, cogs } = heardEyes(way, { cassettes: CASSETTES, lessons: LESSONS, seed: SEED })
  return { cogs, row: `| ${WAYS[way]} | ${percent(holds)} | ${width.toFixed(3)} % | ${error.toFixed(3)} % |` }
})

const text = `# Do lessons make looks at teeth worth more?

Taken by \`npm run study:eyes\`: ${CASSETTES} riders whose eyes differ (shifted by N(0, 0.10) %, scattering by about 0.15 %), each with a made-up cassette
that is looked at half of the times, ${rows[0]?.cogs ?? 0} cogs; the same riders, cassettes and looks in every row, only heard differently. Lessons are ${LESSONS} made-up
sprockets of known wear. The truth is drawn from the model itself.

| looks are heard | 80 % interval holds | its mean width | error of the middle |
|---|---|---|---|
${rows.map(({ row }) => row).join('\n')}
`
process.stdout.write(text)
writeFileSync('docs/eyes.md', text)
