import { inflateSync } from 'node:zlib'
import { describe, expect, test } from '@jest/globals'
import { PDFDocument, PDFRawStream, type PDFPage } from 'pdf-lib'
import { markMm, STRIP_MARKS } from '../core/measure/strip-marks.ts'
import { printedSheet, toPoints } from './printed-sheet.ts'

interface Line {
  readonly x1: number
  readonly y1: number
  readonly x2: number
  readonly y2: number
}

/** The straight lines of a page, in points, read back from its content stream. */
function linesOf(page: PDFPage): Line[] {
  const { Contents } = page.node.normalizedEntries()
  const text = (Contents?.asArray() ?? [])
    .map((ref) => page.doc.context.lookup(ref))
    .filter((stream): stream is PDFRawStream => stream instanceof PDFRawStream)
    .map((stream) => inflateSync(stream.contents).toString('latin1'))
    .join('\n')
  return [...text.matchAll(/([\d.-]+) ([\d.-]+) m\s+([\d.-]+) ([\d.-]+) l/g)].map((match) => {
    const [x1 = NaN, y1 = NaN, x2 = NaN, y2 = NaN] = match.slice(1).map(Number)
    return { x1, y1, x2, y2 }
  })
}

describe.each([
  ['a4', 841.89, 595.276],
  ['letter', 792, 612],
] as const)('the sheet on %s', (paper, long, short) => {
  const open = async () => PDFDocument.load(await printedSheet(paper, 15))

  test('has its two pages at the paper’s size in points', async () => {
    const document = await open()
    const [strip, card] = document.getPages().map((page) => page.getSize())
    expect(strip?.width).toBeCloseTo(long, 1)
    expect(strip?.height).toBeCloseTo(short, 1)
    expect(card?.width).toBeCloseTo(short, 1)
    expect(card?.height).toBeCloseTo(long, 1)
  })

  test('has the strip’s marks at true scale from its zero edge, in points', async () => {
    const [strip] = (await open()).getPages()
    const upright = strip ? linesOf(strip).filter(({ x1, x2 }) => Math.abs(x1 - x2) < 1e-6) : []
    const zero = Math.min(...upright.map(({ x1 }) => x1))
    for (const percent of STRIP_MARKS) {
      const wanted = zero + toPoints(markMm(percent))
      expect(upright.some(({ x1 }) => Math.abs(x1 - wanted) < 0.01)).toBe(true)
    }
    // 254 mm are exactly ten inches: 720 points.
    expect(toPoints(markMm(0))).toBeCloseTo(720, 9)
  })

  test('has a check bar of 200 mm on each page', async () => {
    for (const page of (await open()).getPages()) {
      const flat = linesOf(page).filter(({ y1, y2 }) => Math.abs(y1 - y2) < 1e-6)
      expect(flat.some(({ x1, x2 }) => Math.abs(x2 - x1 - toPoints(200)) < 0.01)).toBe(true)
    }
  })

  test('keeps the strip on the paper', async () => {
    const [strip] = (await open()).getPages()
    for (const { x1, x2, y1, y2 } of strip ? linesOf(strip) : []) {
      expect(Math.min(x1, x2)).toBeGreaterThan(0)
      expect(Math.max(x1, x2)).toBeLessThan(long)
      expect(Math.min(y1, y2)).toBeGreaterThan(0)
      expect(Math.max(y1, y2)).toBeLessThan(short)
    }
  })
})

test('the tooth card has the sprocket’s outline at true size', async () => {
  const [, card] = (await PDFDocument.load(await printedSheet('a4', 15))).getPages()
  const lines = card ? linesOf(card) : []
  const centre = toPoints(105)
  const widest = Math.max(...lines.slice(0, 300).map(({ x1 }) => Math.abs(x1 - centre)))
  // Pitch diameter of 15 teeth, 61.08 mm, and a tooth's height beyond it.
  expect(widest / toPoints(1)).toBeGreaterThan(30.5)
  expect(widest / toPoints(1)).toBeLessThan(35.5)
})

test.each([
  ['a4', 210, 297],
  ['letter', 215.9, 279.4],
] as const)('every card from 9 to 60 teeth keeps to the %s sheet', async (paper, width, height) => {
  for (const teeth of [9, 30, 46, 47, 52, 60]) {
    const [, card] = (await PDFDocument.load(await printedSheet(paper, teeth))).getPages()
    for (const { x1, x2, y1, y2 } of card ? linesOf(card) : []) {
      expect(Math.min(x1, x2)).toBeGreaterThan(0)
      expect(Math.max(x1, x2)).toBeLessThan(toPoints(width))
      expect(Math.min(y1, y2)).toBeGreaterThan(0)
      expect(Math.max(y1, y2)).toBeLessThan(toPoints(height))
    }
  }
})

test.each([8, 61, 15.5])('a card of %p teeth is not drawn', async (teeth) => {
  await expect(printedSheet('a4', teeth)).rejects.toThrow(RangeError)
})
