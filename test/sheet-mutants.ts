import { zipSync } from 'fflate'
import { seededRandom } from '../src/core/stats/random.ts'
import { readNoteTable } from '../src/formats/notes/note-table.ts'
import { sheetFileSteps } from '../src/formats/notes/sheet-file.ts'
import { understandNotes } from '../src/formats/notes/understand.ts'
import { RideFileError } from '../src/formats/rides/ride-file-error.ts'
import { madeXlsx, rowsXml, xlsxParts } from './made-xlsx.ts'
import { ruinBytes, ruinText } from './ride-mutants.ts'

const ROWS = [
  ['Date', 'Odometer km', 'Stretch', 'Note'],
  ...Array.from({ length: 6 }, (_, i) => [
    new Date(Date.UTC(2025, i, 4)),
    1200 + 310.5 * i,
    0.05 * i,
    i % 2 > 0 ? 'new chain & link' : '',
  ]),
]
const NOW = Date.UTC(2026, 11, 1)

/** Ruined copies of a good spreadsheet file, the same for the same seed: of its sheet, of another part, of its bytes. */
export function* ruinedSheets(count: number, seed: number): Generator<Uint8Array> {
  const random = seededRandom(seed)
  const whole = madeXlsx(ROWS)
  for (let i = 0; i < count; i++) {
    if (random.unit() < 0.4) {
      yield ruinBytes(whole, random)
      continue
    }
    const parts = xlsxParts(rowsXml(ROWS))
    const names = Object.keys(parts)
    const name = random.unit() < 0.7 ? names.at(-1) : names[Math.floor(random.unit() * names.length)]
    const part = name === undefined ? undefined : parts[name]
    if (name !== undefined && part) parts[name] = ruinText(part, random)
    yield zipSync(parts, { level: 0 })
  }
}

/**
 * What is wrong with how a spreadsheet file is read: an error that is not the reader's own, or a wait of over two seconds.
 * Undefined where nothing is: a refusal in plain words is nothing wrong.
 */
export async function faultOfSheet(bytes: Uint8Array): Promise<string | undefined> {
  const began = performance.now()
  try {
    const walk = sheetFileSteps(new Blob([new Uint8Array(bytes)]))
    let step = await walk.next()
    while (!step.done) step = await walk.next()
    understandNotes(readNoteTable(step.value), NOW)
  } catch (error) {
    if (!(error instanceof RideFileError)) return String(error)
  }
  const ms = performance.now() - began
  return ms > 2000 ? `it took ${Math.round(ms)} ms` : undefined
}
