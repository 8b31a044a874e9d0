import { expect, test } from '@jest/globals'
import { madeXlsx } from '../../../test/made-xlsx.ts'
import { understandNotes } from './understand.ts'
import { readNoteTable } from './note-table.ts'
import { textOfSheetFile } from './sheet-file.ts'

const blob = (bytes: Uint8Array): Blob => new Blob([new Uint8Array(bytes)])

test('a spreadsheet file is read as the table in it: days, numbers, words', async () => {
  const text = await textOfSheetFile(
    blob(
      madeXlsx([
        ['My chains'],
        ['Date', 'Odometer km', 'Stretch', 'Note'],
        [new Date(Date.UTC(2025, 2, 4)), 1200.125, 0.05, 'new chain & link'],
        [new Date(Date.UTC(2025, 4, 9)), 2100, 0.21, ''],
      ]),
    ),
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

test('a file that is no spreadsheet says what to do', async () => {
  await expect(textOfSheetFile(new Blob(['not a zip']))).rejects.toThrow(/save it as CSV/)
})
