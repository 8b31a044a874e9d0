import { expect, test } from '@jest/globals'
import { strToU8, zipSync } from 'fflate'
import { madeXlsx, rowsXml, xlsxParts, type MadeCell } from '../../../test/made-xlsx.ts'
import { faultOfSheet, ruinedSheets } from '../../../test/sheet-mutants.ts'
import { sheetFileSteps } from './sheet-file.ts'
import { understandNotes } from './understand.ts'
import { readNoteTable } from './note-table.ts'

const blob = (bytes: Uint8Array): Blob => new Blob([new Uint8Array(bytes)])

async function textOf(
  bytes: Uint8Array,
  onShare: (share: number) => void = () => undefined,
): Promise<string> {
  const walk = sheetFileSteps(blob(bytes))
  for (;;) {
    const step = await walk.next()
    if (step.done) return step.value
    onShare(step.value.done / step.value.of)
  }
}
/** A file whose sheet holds these rows, as XML. */
const sheet = (rows: string): Uint8Array => zipSync(xlsxParts(rows))
const cell = (at: string, value = '1'): string => `<c r="${at}"><v>${value}</v></c>`

test('a spreadsheet file is read as the table in it: days, numbers, words', async () => {
  const text = await textOf(
    madeXlsx([
      ['My chains'],
      ['Date', 'Odometer km', 'Stretch', 'Note'],
      [new Date(Date.UTC(2025, 2, 4)), 1200.125, 0.05, 'new chain & link'],
      [new Date(Date.UTC(2025, 4, 9)), 2100, 0.21, ''],
    ]),
  )
  const table = readNoteTable(text)
  expect(table.heads).toEqual(['Date', 'Odometer km', 'Stretch', 'Note'])
  // 1200.125 is written so that nobody reads a million in it.
  expect(table.rows[0]).toEqual(['2025-03-04', '1200.1250', '0.05', 'new chain & link'])
  expect(understandNotes(table, Date.parse('2026-01-01'))).toMatchObject({
    uses: ['date', 'odometer', 'percent', 'words'],
    dates: 'iso',
    decimals: 'point',
  })
})

test('twenty thousand rows are read, and how far it is told on the way', async () => {
  const rows = Array.from({ length: 20_000 }, (_, i): MadeCell[] => [i, `note ${i}`, i / 7])
  const shares: number[] = []
  const text = await textOf(madeXlsx([['n', 'words', 'part'], ...rows]), (share) => shares.push(share))
  expect(text.split('\n')).toHaveLength(20_001)
  expect(text).toContain('19999\tnote 19999\t')
  expect(shares.length).toBeGreaterThan(3)
  expect([...shares].sort((a, b) => a - b)).toEqual(shares)
})

test('a table below which and beside which nothing stands but the look of empty cells is read', async () => {
  const rows =
    rowsXml([['km'], [12]]) + '<row r="1048576"><c r="A1048576" s="1"/><c r="XFD1048576" s="1"/></row>'
  expect(await textOf(sheet(rows))).toBe('km\r\n12')
})

test.each([
  ['no archive at all', strToU8('not a zip'), /cannot be opened.*save it as CSV/],
  ['an archive of other things', zipSync({ 'a.txt': strToU8('a') }), /cannot be opened/],
  ['an archive with a spreadsheet in it', zipSync({ 'a.xlsx': madeXlsx([['a']]) }), /Unpack it/],
  ['one cell in the last corner', sheet(`<row r="1048576">${cell('XFD1048576')}</row>`), /row 1\D048\D576/],
  ['one cell far to the right', sheet(`<row r="1">${cell('XFD1')}</row>`), /column 16\D384/],
  ['a row that there is in no sheet', sheet(`<row r="1e999">${cell('A1')}</row>`), /damaged/],
  [
    'a row number that hides behind a prefix',
    sheet(`<row r="1" x:r="99999999"><c r="A1"/></row>`),
    /damaged/,
  ],
  ['a place that there is in no sheet', sheet(`<row r="1">${cell('AAAA1')}</row>`), /damaged/],
  ['tags that do not close', sheet(`<row r="1">${cell('A1')}`), /damaged/],
  [
    'more cells than any garage has notes',
    sheet(rowsXml([['a']]) + `<row r="50000">${cell('HA50000')}</row>`),
    /more than a million cells/,
  ],
  [
    'entities that grow',
    zipSync({
      ...xlsxParts(rowsXml([['a']])),
      'xl/sharedStrings.xml': strToU8(
        '<!DOCTYPE sst [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;">]><sst><si><t>&b;</t></si></sst>',
      ),
    }),
    /entities/,
  ],
])('%s is refused with a sentence', async (_what, bytes, said) => {
  await expect(textOf(bytes)).rejects.toThrow(said)
})

test('a sheet that swells beyond measure is not unpacked, whatever it says of its size', async () => {
  const parts = xlsxParts('')
  const grown = zipSync({ ...parts, 'xl/worksheets/sheet1.xml': new Uint8Array(101e6) })
  await expect(textOf(grown)).rejects.toThrow(/101 MB; up to 100 MB/)
  // A size that is given as a quarter of the true one stops the unpacking there, and the check sum does not fit.
  const view = new DataView(grown.buffer)
  for (let i = 0; i < grown.length - 4; i++)
    if (view.getUint32(i, true) === 101e6) view.setUint32(i, 30e6, true)
  await expect(textOf(grown)).rejects.toThrow(/damaged/)
})

test('a long text that every cell names is not written out for each of them', async () => {
  const parts = xlsxParts(
    Array.from(
      { length: 3000 },
      (_, i) => `<row r="${i + 1}"><c r="A${i + 1}" t="s"><v>0</v></c></row>`,
    ).join(''),
  )
  const relations = new TextDecoder().decode(parts['xl/_rels/workbook.xml.rels'])
  const shared =
    '<Relationship Id="rId9" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/sharedStrings" Target="sharedStrings.xml"/>'
  const bytes = zipSync({
    ...parts,
    'xl/_rels/workbook.xml.rels': strToU8(relations.replace('</Relationships>', `${shared}</Relationships>`)),
    'xl/sharedStrings.xml': strToU8(
      `<sst xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"><si><t>${'long '.repeat(6000)}</t></si></sst>`,
    ),
  })
  await expect(textOf(bytes)).rejects.toThrow(/more text than any table of notes/)
})

test('archives and pictures within a spreadsheet file, and sheets after the first, are left alone', async () => {
  const bytes = zipSync({
    ...xlsxParts(rowsXml([['km'], [7]])),
    'xl/embeddings/bomb.zip': new Uint8Array(2e6),
    'xl/worksheets/sheet2.xml': strToU8('<not closed'),
    'xl/media/image1.png': new Uint8Array(2e6),
  })
  expect(await textOf(bytes)).toBe('km\r\n7')
})

test('ruined spreadsheet files are read or refused in plain words', async () => {
  for (const bytes of ruinedSheets(300, 2026)) expect(await faultOfSheet(bytes)).toBeUndefined()
})
