import { readFileSync, writeFileSync } from 'node:fs'
import { plainNames, withoutPeople } from '../src/core/log/left-out.ts'
import { liveEntries } from '../src/core/log/supersede.ts'
import { logAfter, mergeLogs } from '../src/core/log/merge.ts'
import { firstText } from '../src/core/log/first-writing.ts'
import { conflictsIn } from '../src/core/log/conflicts.ts'
import { replay } from '../src/core/log/replay.ts'
import { writtenAs } from '../src/core/log/written-as.ts'
import { seededRandom } from '../src/core/stats/random.ts'
import { inOneFolder, threeDevices } from '../test/devices.ts'
import { playLiar } from '../test/liar.ts'
import { commuter, ride } from '../test/log.ts'
import { faultOfSheet, ruinedSheets } from '../test/sheet-mutants.ts'
import { edgesOf } from '../test/edges.ts'
import { mutantBackups } from '../test/mutants.ts'
import { faultOfFile, GOOD_FILES, ruinedFiles } from '../test/ride-mutants.ts'
import { faultOfAnswers } from '../test/whole-app.ts'
import { readBackup } from '../src/formats/read-backup.ts'
import { browserFigures } from './browser.ts'
import { pictureFigures } from './pictures.ts'
import { versionFigures } from './versions.ts'

const NOW = '2026-12-01T12:00:00.000Z'
const [MUTANTS, HISTORIES, RIDE_FILES, KILLS, TABS] = [10_000, 1000, 10_000, 50, 20]
const [LIARS, FOLDERS, CORRECTIONS, VERSIONS] = [10_000, 20, 100_000, 10]
const kept = readBackup(readFileSync('test/backups/format-1.json', 'utf8')).entries
const say = (text: string): void => void process.stdout.write(`${text}\n`)
/** The table, each row said as soon as it is there: a run takes half an hour. */
const rows: string[] = []
function keep(...more: readonly string[]): void {
  rows.push(...more)
  for (const row of more) say(row)
}

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
  const lines: string[] = []
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
    lines.push(
      `| ${RIDE_FILES} ruined copies of a good ${name} | ${broke} broke${example && `: ${example}`} | slowest ${slowest.toFixed(0)} ms, all ${seconds} s |`,
    )
  }
  return lines
}

/** Records of a log with people and places left out, ruined, and brought into the whole of it. */
function records(): string {
  const plain = plainNames(({ kind }) => kind)
  const record = liveEntries(kept).flatMap((entry) => withoutPeople(entry, plain) ?? [])
  let [lost, broke] = [0, 0]
  let example = ''
  const whole = kept.map(firstText)
  for (const { mutant } of mutantBackups(record, MUTANTS, 2028)) {
    try {
      const { entries } = readBackup(mutant)
      const after = new Set(logAfter(kept, mergeLogs(kept, entries, Date.parse(NOW))).map(firstText))
      lost += whole.filter((text) => !after.has(text)).length
    } catch (error) {
      broke++
      example = String(error)
    }
  }
  return `| ${MUTANTS} ruined records without people, brought into the whole log | ${lost} whole entries lost or shortened, ${broke} broke${example && `: ${example}`} | |`
}

async function sheets(): Promise<string> {
  let [broke, slowest] = [0, 0]
  let example = ''
  for (const bytes of ruinedSheets(MUTANTS, 2029)) {
    const from = performance.now()
    const fault = await faultOfSheet(bytes)
    slowest = Math.max(slowest, performance.now() - from)
    if (fault === undefined) continue
    broke++
    example ||= fault
  }
  return `| ${MUTANTS} ruined copies of a good a.xlsx | ${broke} broke${example && `: ${example}`} | slowest ${slowest.toFixed(0)} ms |`
}

function liars(): string {
  const random = seededRandom(31)
  const faults = Array.from({ length: LIARS }, (_, i) => playLiar(random, i % 2 > 0)).filter(Boolean)
  return `| ${LIARS} plays of a liar's files against an honest log, in any order; half of the logs of an earlier version, whose ids prove nothing | ${faults.length} times an honest entry changed, went or came back without a question${faults[0] ? `: ${faults[0]}` : ''} | eleven kinds of lies |`
}

function folders(): readonly string[] {
  const play = (isWithLiar: boolean): readonly (string | undefined)[] =>
    Array.from({ length: FOLDERS }, (_, i) => inOneFolder(500 + i, isWithLiar)).filter(Boolean)
  const [plain, fooled] = [play(false), play(true)]
  return [
    `| three devices in one folder over 300 operations, ${FOLDERS} times | ${plain.length} ended unlike${plain[0] ? `: ${plain[0]}` : ''} | each writes its own file and takes in the others |`,
    `| the same with a liar's file, empty, foreign and cut ones in the folder | ${fooled.length} lost an honest entry${fooled[0] ? `: ${fooled[0]}` : ''} | the lie changes every fifth operation |`,
  ]
}

/** One ride corrected so many times, each correction correcting the one before. */
function corrections(): string {
  const log = [...writtenAs([...commuter, ride(2, 1, 10)], undefined, Date.parse(NOW) - 9e8)]
  for (let n = 0; n < CORRECTIONS; n++) {
    const last = log.at(-1)
    if (!last) break
    const [next] = writtenAs([{ ...ride(2, 1, 1 + (n % 90)), supersedes: last.id }], last.id, 0)
    if (next) log.push(next)
  }
  const took = (work: () => unknown): string => {
    const from = performance.now()
    work()
    return ((performance.now() - from) / 1000).toFixed(2)
  }
  const merge = took(() => mergeLogs(log.slice(0, 20), log, Date.parse(NOW)))
  const opening = took(() => replay(log))
  const asking = took(() => conflictsIn(log))
  return `| ${CORRECTIONS} corrections in a row | merge ${merge} s, replay ${opening} s, questions ${asking} s | |`
}

say('ruined backups…')
keep(mutants())
say('ruined records and spreadsheets…')
keep(records(), await sheets())
say('liars…')
keep(liars(), ...folders(), corrections())
say('odd values…')
keep(edges())
say('three devices…')
keep(histories())
say('ruined ride files…')
keep(...(await rideFiles()))
say('a browser killed, and two tabs…')
const figures = await browserFigures(KILLS, TABS, 7)
keep(
  `| a browser killed within 160 ms of pressing "Add 400 rides", ${figures.kills} times | ${figures.wholeOrNothing} all or nothing (${figures.came} times all), ${figures.reopened} opened again, ${figures.cameBack} of them from the second copy; ${figures.packed} times with packs | every process of it at once, by SIGKILL |`,
  `| the log's own files overwritten with rubbish while the browser was shut, ${figures.damages} times | ${figures.healed} times the log came back whole from the second copy | |`,
  `| one file of 400 rides added from two tabs at once, ${figures.tabs} times | ${figures.once} times added once | |`,
)
say('pictures, and two builds…')
keep(...(await pictureFigures()), await versionFigures(VERSIONS))
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
process.exit(0)
