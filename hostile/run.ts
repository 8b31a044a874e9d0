import { readFileSync, writeFileSync } from 'node:fs'
import { threeDevices } from '../test/devices.ts'
import { edgesOf } from '../test/edges.ts'
import { mutantBackups } from '../test/mutants.ts'
import { faultOfFile, GOOD_FILES, ruinedFiles } from '../test/ride-mutants.ts'
import { faultOfAnswers } from '../test/whole-app.ts'
import { readBackup } from '../src/formats/read-backup.ts'
import { browserFigures } from './browser.ts'

const NOW = '2026-12-01T12:00:00.000Z'
const [MUTANTS, HISTORIES, RIDE_FILES, KILLS, TABS] = [10_000, 1000, 10_000, 50, 20]
const kept = readBackup(readFileSync('test/backups/format-1.json', 'utf8')).entries
const say = (text: string): void => void process.stdout.write(`${text}\n`)

function mutants(): string {
  const began = performance.now()
  let [lost, broke, slowest] = [0, 0, 0]
  let example = ''
  for (const { mutant, untouched } of mutantBackups(kept, MUTANTS, 2026)) {
    const from = performance.now()
    try {
      const { entries } = readBackup(mutant)
      const ids = new Set(entries.map(({ id }) => id))
      lost += untouched.filter((id) => !ids.has(id)).length
      const fault = faultOfAnswers(entries, NOW)
      if (fault !== undefined) {
        broke++
        example = fault
      }
    } catch (error) {
      broke++
      example = String(error)
    }
    slowest = Math.max(slowest, performance.now() - from)
  }
  const seconds = ((performance.now() - began) / 1000).toFixed(0)
  return `| ${MUTANTS} ruined backups (a field made odd, a line cut, doubled, garbled), read and everything worked out | ${lost} sound entries lost, ${broke} broke${example && `: ${example}`} | slowest ${slowest.toFixed(0)} ms, all ${seconds} s |`
}

function edges(): string {
  let [refused, letIn, broke] = [0, 0, 0]
  let example = ''
  for (const { outcome, kind, field, value, fault } of edgesOf(kept, NOW)) {
    if (outcome === 'refused') refused++
    else if (outcome === 'let in') letIn++
    else {
      broke++
      example ||= `${kind}.${field} = ${JSON.stringify(value)}: ${fault}`
    }
  }
  return `| every odd value in every field of every kind of entry | ${refused} refused, ${letIn} let in and harmless, ${broke} broke${example && `: ${example}`} | each let in was written, read back and worked out |`
}

function histories(): string {
  const faults = Array.from({ length: HISTORIES }, (_, i) => threeDevices(10_000 + i)).filter(Boolean)
  return `| ${HISTORIES} random histories on three devices with wrong clocks, merged in three orders | ${faults.length} ended unlike${faults[0] ? `: ${faults[0]}` : ''} | 40 steps each: rides, readings, corrections, undo, redo, restore, merges |`
}

async function rideFiles(): Promise<string[]> {
  const rows: string[] = []
  for (const name of Object.keys(GOOD_FILES)) {
    const began = performance.now()
    let [broke, slowest] = [0, 0]
    let example = ''
    for (const bytes of ruinedFiles(name, RIDE_FILES, 2027)) {
      const from = performance.now()
      const fault = await faultOfFile(name, bytes)
      slowest = Math.max(slowest, performance.now() - from)
      if (fault === undefined) continue
      broke++
      example ||= fault
    }
    const seconds = ((performance.now() - began) / 1000).toFixed(0)
    process.stdout.write('.')
    rows.push(
      `| ${RIDE_FILES} ruined copies of a good ${name} | ${broke} broke${example && `: ${example}`} | slowest ${slowest.toFixed(0)} ms, all ${seconds} s |`,
    )
  }
  return rows
}

say('ruined backups…')
const rows = [mutants()]
say('odd values…')
rows.push(edges())
say('three devices…')
rows.push(histories())
say('ruined ride files…')
rows.push(...(await rideFiles()))
say('a browser killed, and two tabs…')
const figures = await browserFigures(KILLS, TABS, 7)
rows.push(
  `| a browser killed within 160 ms of pressing "Add 400 rides", ${figures.kills} times | ${figures.wholeOrNothing} all or nothing (${figures.came} times all), ${figures.reopened} opened again, ${figures.cameBack} of them from the second copy | every process of it at once, by SIGKILL |`,
  `| one file of 400 rides added from two tabs at once, ${figures.tabs} times | ${figures.once} times added once | |`,
)
writeFileSync(
  'docs/hostile.md',
  `# What the log bears

Taken by \`npm run build && npm run hostile\`: seeded, so that the same build meets the same mutants, edges and histories. A few
hundred of each but the kills are in the unit tests; lost and full storage, old tabs and doubled presses are in
[the end-to-end tests](../e2e/safe-log.spec.ts). The backup that is ruined is the one kept from the first format, with every kind of entry.

| what | outcome | how |
| --- | --- | --- |
${rows.join('\n')}

"Everything worked out" is what the screens ask of the core: every bike's report, advice, reminders and road, and the questions to the
wear model; every number is looked at. A ride file is read or refused in plain words; "broke" is any other error, a figure that is below nothing
or no number, a distance that no bike goes in the time, or a wait of over two seconds. The model's draws themselves are not made.

The browser keeps a database as a log of writes. Killed in the middle of a large one it leaves half a record at the end, goes on writing
behind it after the restart, and at the next start takes it all for damaged and starts it again, empty and without a word. That was
seen once in 10 to 70 kills, in the browser's own files; flushing every write does not help. The app therefore keeps a second copy in a
storage bucket, which is another set of files, and puts the log back from it (\`src/store/second-copy.ts\`).
`,
)
say(rows.join('\n'))
process.exit(0)
