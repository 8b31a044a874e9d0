import { PDFDocument, rgb, StandardFonts, type PDFFont, type PDFImage, type PDFPage } from 'pdf-lib'
import type { OwnerSheet } from '../core/strategy/job/owner-sheet.ts'
import { toPoints, type Paper } from './printed-sheet.ts'

const SIZES_MM: Readonly<Record<Paper, readonly [number, number]>> = {
  a4: [210, 297],
  letter: [215.9, 279.4],
}
const [MARGIN, LINE, PICTURE_MM, BOX_MM] = [18, 5.4, 52, 3.4] as const
const INK = rgb(0.08, 0.15, 0.17)
const STEEL = rgb(0.36, 0.42, 0.45)

/** Letters that the sheet's own typefaces have (Windows-1252), and what stands in for some that they have not. */
const STAND_INS: Readonly<Record<string, string>> = { '\u2212': '-', '\u2009': ' ', '\u202f': ' ', '✓': '-' }

/** A text as the typeface can set it. */
function settable(font: PDFFont, text: string): { readonly text: string; readonly lost: number } {
  const known = new Set(font.getCharacterSet())
  let lost = 0
  const set = [...text.replace(/[\r\n\t]+/g, ' ')].map((letter) => {
    const stand = STAND_INS[letter] ?? letter
    if (known.has(stand.codePointAt(0) ?? 0)) return stand
    lost++
    return '?'
  })
  return { text: set.join(''), lost }
}

/** A text cut into lines no wider than so much, points; a word that is wider than that is cut too. */
function wrapped(font: PDFFont, text: string, size: number, width: number): string[] {
  const lines: string[] = []
  let line = ''
  const isTooWide = (words: string): boolean => font.widthOfTextAtSize(words, size) > width
  for (const word of text.split(' ')) {
    let rest = word
    while (isTooWide(rest)) {
      let cut = rest.length - 1
      while (cut > 1 && isTooWide(rest.slice(0, cut))) cut--
      if (line !== '') lines.push(line)
      line = ''
      lines.push(rest.slice(0, cut))
      rest = rest.slice(cut)
    }
    const longer = line === '' ? rest : `${line} ${rest}`
    if (isTooWide(longer)) {
      lines.push(line)
      line = rest
    } else line = longer
  }
  return [...lines, line].filter((one) => one !== '')
}

/** A PDF, and how many letters of its text its typefaces do not have: those stand as question marks. */
export interface SheetPdf {
  readonly bytes: Uint8Array
  readonly lost: number
}

/** A box to tick, before a line whose top is so high, mm. */
const drawBox = (page: PDFPage, y: number): void =>
  page.drawRectangle({
    x: toPoints(MARGIN + 2),
    y: toPoints(y - LINE - 0.4),
    width: toPoints(BOX_MM),
    height: toPoints(BOX_MM),
    borderColor: INK,
    borderWidth: 0.8,
  })

/** Draws a picture with its caption under it. @returns letters of the caption that the typeface does not have */
function drawPicture(
  page: PDFPage,
  picture: PDFImage,
  { caption, font, x, y, high }: { caption: string; font: PDFFont; x: number; y: number; high: number },
): number {
  page.drawImage(picture, {
    x: toPoints(x),
    y: toPoints(y),
    width: toPoints(PICTURE_MM),
    height: toPoints(high),
  })
  const set = settable(font, caption)
  page.drawText(set.text.slice(0, 44), { x: toPoints(x), y: toPoints(y - 4), size: 8, font, color: STEEL })
  return set.lost
}

/** Sets an owner's sheet on as many pages as it takes. */
export async function ownerSheetPdf(sheet: OwnerSheet, paper: Paper): Promise<SheetPdf> {
  const document = await PDFDocument.create()
  document.setTitle(sheet.title)
  const [plain, bold] = [
    await document.embedFont(StandardFonts.Helvetica),
    await document.embedFont(StandardFonts.HelveticaBold),
  ]
  const [widthMm, heightMm] = SIZES_MM[paper]
  let lost = 0
  let page: PDFPage = document.addPage([toPoints(widthMm), toPoints(heightMm)])
  let y = heightMm - MARGIN
  const room = (mm: number): void => {
    if (y - mm > MARGIN) return
    page = document.addPage([toPoints(widthMm), toPoints(heightMm)])
    y = heightMm - MARGIN
  }
  const write = (text: string, size: number, font: PDFFont, indentMm: number, colour = INK): void => {
    const set = settable(font, text)
    lost += set.lost
    for (const line of wrapped(font, set.text, size, toPoints(widthMm - 2 * MARGIN - indentMm))) {
      room(LINE)
      y -= (LINE * size) / 10.5
      page.drawText(line, {
        x: toPoints(MARGIN + indentMm),
        y: toPoints(y),
        size,
        font,
        color: colour,
      })
    }
  }
  write(sheet.title, 18, bold, 0)
  y -= 1
  write(sheet.about, 10.5, plain, 0, STEEL)
  for (const { heading, lines, mark } of sheet.sections) {
    if (lines.length === 0) continue
    // A heading is never left alone at the foot of a page.
    room(4 + 3 * LINE)
    y -= 4
    write(heading, 12.5, bold, 0)
    y -= 0.8
    for (const line of lines) {
      if (mark !== 'box') {
        write(`\u2022 ${line}`, 10.5, plain, 2)
        continue
      }
      room(LINE)
      drawBox(page, y)
      write(line, 10.5, plain, 8)
    }
  }
  let x = MARGIN
  for (const { caption, jpeg } of sheet.pictures) {
    const picture = await document.embedJpg(jpeg)
    const high = (PICTURE_MM * picture.height) / picture.width
    if (x === MARGIN) {
      room(high + 12)
      y -= high + 6
    }
    lost += drawPicture(page, picture, { caption, font: plain, x, y, high })
    x += PICTURE_MM + 6
    if (x + PICTURE_MM > widthMm - MARGIN) {
      x = MARGIN
      y -= 6
    }
  }
  if (x !== MARGIN) y -= 6
  y -= 4
  write(sheet.foot, 9, plain, 0, STEEL)
  return { bytes: await document.save(), lost }
}
