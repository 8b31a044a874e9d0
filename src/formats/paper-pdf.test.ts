import { describe, expect, test } from '@jest/globals'
import { pagesOf } from '../../test/pdf-text.ts'
import type { PaperSheet } from '../core/paper/paper-sheet.ts'
import { paperPdf } from './paper-pdf.ts'

const SHEET: PaperSheet = {
  title: 'Heron: what was done, and what comes next',
  about: '27 November 2026 \u00b7 steel commuter',
  sections: [
    {
      heading: 'What was found',
      lines: ['The chain has lengthened by 0.62\u00a0%.', 'A new chain will skip.'],
    },
    { heading: 'Done', lines: ['New chain: €30'] },
    { heading: 'Not done, and why', lines: [] },
  ],
  pictures: [],
  foot: 'Distances are estimates.',
}

describe('the owner’s sheet as a PDF', () => {
  test('says all of it, in order, and leaves out what has nothing to say', async () => {
    const { bytes, lost } = await paperPdf(SHEET, 'a4')
    const [text = '', ...more] = await pagesOf(bytes)
    const page = text.replaceAll('\n', ' ')
    expect(lost).toBe(0)
    expect(more).toEqual([])
    const places = [SHEET.title, 'What was found', '0.62\u00a0%', 'Done', 'New chain: €30', 'estimates'].map(
      (text) => page.indexOf(text),
    )
    expect(places.every((place) => place >= 0)).toBe(true)
    expect([...places].sort((a, b) => a - b)).toEqual(places)
    expect(page).not.toContain('Not done')
  })

  test('goes on to as many pages as it takes, long words and all', async () => {
    const lines = Array.from({ length: 200 }, (_, i) => `Line ${i}: ${'word '.repeat(12)}`)
    const { bytes } = await paperPdf(
      { ...SHEET, sections: [{ heading: 'Much', lines: [...lines, 'x'.repeat(400)] }] },
      'letter',
    )
    const pages = await pagesOf(bytes)
    expect(pages.length).toBeGreaterThan(3)
    expect(pages.join('\n')).toContain('Line 199')
    expect((pages.join('').match(/x/g) ?? []).length).toBeGreaterThanOrEqual(400)
  })

  test('counts letters that it cannot set, and sets the rest', async () => {
    const { bytes, lost } = await paperPdf({ ...SHEET, title: 'Цапля and Heron' }, 'a4')
    expect(lost).toBe(5)
    expect((await pagesOf(bytes))[0]).toContain('????? and Heron')
  })

  test('a picture that is none is an error, not a page without it', async () => {
    const broken = { caption: 'the 13', jpeg: new Uint8Array([1, 2, 3]) }
    await expect(paperPdf({ ...SHEET, pictures: [broken] }, 'a4')).rejects.toThrow()
  })
})
