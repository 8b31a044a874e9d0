import { PDFDocument, rgb, StandardFonts, type PDFFont, type PDFImage, type PDFPage } from 'pdf-lib'
import { PAPER_MM, type Paper, type PaperSheet } from '../core/paper/paper-sheet.ts'
import { words } from '../words/formats/paper-pdf.ts'
import { toPoints } from './printed-sheet.ts'

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

/** Where the next line goes, and how. */
interface Setter {
  readonly document: PDFDocument
  readonly widthMm: number
  readonly plain: PDFFont
  readonly bold: PDFFont
  page: PDFPage
  /** The lower edge of what is set already, mm from the foot of the page. */
  y: number
  /** Letters that the typefaces do not have. */
  lost: number
  /** Goes to a new page where so much, mm, does not fit on this one. */
  readonly room: (mm: number) => void
  readonly write: (text: string, size: number, font: PDFFont, indentMm: number, colour?: typeof INK) => void
}

async function setterFor(paper: Paper): Promise<Setter> {
  const document = await PDFDocument.create()
  const [widthMm, heightMm] = PAPER_MM[paper]
  const newPage = (): PDFPage => document.addPage([toPoints(widthMm), toPoints(heightMm)])
  const setter: Setter = {
    document,
    widthMm,
    plain: await document.embedFont(StandardFonts.Helvetica),
    bold: await document.embedFont(StandardFonts.HelveticaBold),
    page: newPage(),
    y: heightMm - MARGIN,
    lost: 0,
    room: (mm) => {
      if (setter.y - mm > MARGIN) return
      setter.page = newPage()
      setter.y = heightMm - MARGIN
    },
    write: (text, size, font, indentMm, color = INK) => {
      const set = settable(font, text)
      setter.lost += set.lost
      for (const line of wrapped(font, set.text, size, toPoints(widthMm - 2 * MARGIN - indentMm))) {
        setter.room(LINE)
        setter.y -= (LINE * size) / 10.5
        setter.page.drawText(line, {
          x: toPoints(MARGIN + indentMm),
          y: toPoints(setter.y),
          size,
          font,
          color,
        })
      }
    },
  }
  return setter
}

function setSections(setter: Setter, sections: PaperSheet['sections']): void {
  for (const { heading, lines, mark } of sections) {
    if (lines.length === 0) continue
    // A heading is never left alone at the foot of a page.
    setter.room(4 + 3 * LINE)
    setter.y -= 4
    setter.write(heading, 12.5, setter.bold, 0)
    setter.y -= 0.8
    for (const line of lines) {
      if (mark !== 'box') {
        setter.write(`\u2022 ${line}`, 10.5, setter.plain, 2)
        continue
      }
      setter.room(LINE)
      drawBox(setter.page, setter.y)
      setter.write(line, 10.5, setter.plain, 8)
    }
  }
}

/** Drawings across the page, each under its caption. */
async function setDrawings(setter: Setter, drawings: NonNullable<PaperSheet['drawings']>): Promise<void> {
  for (const { caption, png } of drawings) {
    const drawing = await setter.document.embedPng(png)
    const wide = setter.widthMm - 2 * MARGIN
    const high = (wide * drawing.height) / drawing.width
    setter.room(high + 2 * LINE + 4)
    setter.y -= 4
    setter.write(caption, 10.5, setter.plain, 0, STEEL)
    setter.y -= high + 2
    setter.page.drawImage(drawing, {
      x: toPoints(MARGIN),
      y: toPoints(setter.y),
      width: toPoints(wide),
      height: toPoints(high),
    })
  }
}

/** Pictures beside one another, each over its caption. */
async function setPictures(setter: Setter, pictures: PaperSheet['pictures']): Promise<void> {
  let x: number = MARGIN
  for (const { caption, jpeg } of pictures) {
    const picture = await setter.document.embedJpg(jpeg)
    const high = (PICTURE_MM * picture.height) / picture.width
    if (x === MARGIN) {
      setter.room(high + 12)
      setter.y -= high + 6
    }
    setter.lost += drawPicture(setter.page, picture, { caption, font: setter.plain, x, y: setter.y, high })
    x += PICTURE_MM + 6
    if (x + PICTURE_MM > setter.widthMm - MARGIN) {
      x = MARGIN
      setter.y -= 6
    }
  }
  if (x !== MARGIN) setter.y -= 6
}

/** The foot of every page of a sheet that has several: what it is, and which page. */
function numberPages({ document, plain, widthMm }: Setter, title: string): void {
  const pages = document.getPages()
  if (pages.length < 2) return
  for (const [i, page] of pages.entries()) {
    const { text } = settable(plain, words.pageOf(title, i + 1, pages.length))
    const [line = ''] = wrapped(plain, text, 8, toPoints(widthMm - 2 * MARGIN))
    page.drawText(line, { x: toPoints(MARGIN), y: toPoints(MARGIN - 8), size: 8, font: plain, color: STEEL })
  }
}

/** Sets a sheet on as many pages as it takes, in ink and grey alone. */
export async function paperPdf(sheet: PaperSheet, paper: Paper): Promise<SheetPdf> {
  const setter = await setterFor(paper)
  setter.document.setTitle(sheet.title)
  setter.write(sheet.title, 18, setter.bold, 0)
  setter.y -= 1
  setter.write(sheet.about, 10.5, setter.plain, 0, STEEL)
  await setDrawings(setter, sheet.drawings ?? [])
  setSections(setter, sheet.sections)
  await setPictures(setter, sheet.pictures)
  setter.y -= 4
  setter.write(sheet.foot, 9, setter.plain, 0, STEEL)
  numberPages(setter, sheet.title)
  return { bytes: await setter.document.save(), lost: setter.lost }
}
