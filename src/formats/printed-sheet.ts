import { PDFDocument, rgb, StandardFonts, type PDFFont, type PDFPage } from 'pdf-lib'
import { PAPER_MM, type Paper } from '../core/paper/paper-sheet.ts'
import { CHECK_BAR_MM, markMm, STRIP_MARKS, STRIP_MM, VERNIER } from '../core/measure/strip-marks.ts'
import { sprocketGeometry } from '../core/teeth/geometry.ts'
import { sprocketOutline } from '../core/teeth/outline.ts'
import { words as phrases } from '../words/formats/printed-sheet.ts'

const POINTS_PER_MM = 72 / 25.4
const INK = rgb(0.08, 0.15, 0.17)
const RUST = rgb(0.64, 0.23, 0.08)

/** Millimetres as points, which a PDF is measured in. */
export const toPoints = (mm: number): number => mm * POINTS_PER_MM

/** What a printer leaves white at a sheet's edges, mm. */
const MARGIN_MM = 7
/** Paper beyond the strip's nominal end, mm: room for the millimetres and the last mark. */
const TAIL_MM = 12

interface Pen {
  readonly line: (
    x1: number,
    y1: number,
    x2: number,
    y2: number,
    widthMm?: number,
    colour?: typeof INK,
  ) => void
  readonly text: (words: string, x: number, y: number, sizePt?: number) => void
}

/** A pen that takes millimetres from the lower left corner. */
function penFor(page: PDFPage, font: PDFFont): Pen {
  return {
    line: (x1, y1, x2, y2, widthMm = 0.2, color = INK) =>
      page.drawLine({
        start: { x: toPoints(x1), y: toPoints(y1) },
        end: { x: toPoints(x2), y: toPoints(y2) },
        thickness: toPoints(widthMm),
        color,
      }),
    text: (words, x, y, size = 8) =>
      page.drawText(words, { x: toPoints(x), y: toPoints(y), size, font, color: INK }),
  }
}

/** The strip with its zero edge at (x, y): millimetres near the far end, and the marks in per cent. */
function drawStrip({ line, text }: Pen, x: number, y: number): void {
  const top = y + 16
  line(x, y, x, top, 0.3)
  line(x, top, x + STRIP_MM + TAIL_MM, top)
  line(x, y, x + STRIP_MM + TAIL_MM, y)
  line(x + STRIP_MM + TAIL_MM, y, x + STRIP_MM + TAIL_MM, top)
  text(phrases.layThisEdgeOnTheEdge, x + 3, y + 6)
  text(phrases.n20PitchesOnRead, x + 150, y + 6)
  for (const percent of STRIP_MARKS) line(x + markMm(percent), y + 8, x + markMm(percent), top, 0.15, RUST)
  text('new', x + markMm(0) - 4.2, y + 11, 6)
  text('1.0 %', x + markMm(1) + 0.7, y + 11, 6)
  for (let mm = 250; mm <= 264; mm++) line(x + mm, y, x + mm, y + (mm % 5 === 0 ? 4 : 2.6), 0.12)
  for (const mm of [250, 255, 260]) text(String(mm), x + mm - 1.6, y + 4.8, 5)
}

/** The vernier, to be cut out and slid along the strip's millimetres. */
function drawVernier({ line, text }: Pen, x: number, y: number): void {
  line(x - 4, y, x + VERNIER.spanMm + 4, y)
  for (let i = 0; i <= VERNIER.divisions; i++) {
    const at = x + (VERNIER.spanMm * i) / VERNIER.divisions
    line(at, y, at, y - (i % 5 === 0 ? 4 : 2.6), 0.12)
  }
  text(phrases.vernierCutItOut, x + 18, y - 3)
}

function drawCheckBar({ line, text }: Pen, x: number, y: number): void {
  line(x, y, x + CHECK_BAR_MM, y, 0.3)
  line(x, y - 3, x, y + 3, 0.2)
  line(x + CHECK_BAR_MM, y - 3, x + CHECK_BAR_MM, y + 3, 0.2)
  text(phrases.thisBarShouldMeasure, x, y - 7)
}

/**
 * The new outline of a sprocket, whole where the sheet is wide enough; else the right half of it about a centre at
 * the left edge, on which the part is turned to see the rest.
 */
function drawCard({ line, text }: Pen, teeth: number, widthMm: number, heightMm: number): void {
  const radius = sprocketGeometry(teeth).tipMaxMm / 2
  const whole = 2 * radius <= widthMm - 2 * MARGIN_MM
  const x = whole ? widthMm / 2 : MARGIN_MM
  const y = Math.min(heightMm / 2, heightMm - MARGIN_MM - radius)
  const outline = sprocketOutline(teeth)
  outline.forEach((from, i) => {
    const to = outline[(i + 1) % outline.length] ?? from
    if (whole || (from.x >= 0 && to.x >= 0)) line(x + from.x, y + from.y, x + to.x, y + to.y, 0.15)
  })
  line(x - 4, y, x + 4, y, 0.1)
  line(x, y - 4, x, y + 4, 0.1)
  // Below a small sprocket, within a large one.
  const below = y - (radius < 60 ? radius + 8 : 10)
  const words = phrases.teethNewLayThePart(teeth, whole ? '' : phrases.halfOfItTurn)
  text(words, whole ? x - 38 : x + 8, below)
}

/**
 * The printed strip with its vernier and check bar, and a tooth card, at true scale (methods 13).
 * @param paper A4 or Letter: the strip lies along the long side, the card on a second sheet stands upright
 * @param cardTeeth 9 to 60
 * @throws RangeError for other tooth counts
 */
export async function printedSheet(paper: Paper, cardTeeth: number): Promise<Uint8Array> {
  if (!Number.isInteger(cardTeeth) || cardTeeth < 9 || cardTeeth > 60)
    throw new RangeError('A tooth card is drawn for 9 to 60 teeth.')
  const [short, long] = PAPER_MM[paper]
  const document = await PDFDocument.create()
  document.setTitle(phrases.joltMilePrintedStrip)
  const font = await document.embedFont(StandardFonts.Helvetica)
  const strip = document.addPage([toPoints(long), toPoints(short)])
  const pen = penFor(strip, font)
  const x = (long - STRIP_MM - TAIL_MM) / 2
  drawStrip(pen, x, short - 60)
  drawVernier(pen, x + 20, short - 85)
  drawCheckBar(pen, (long - CHECK_BAR_MM) / 2, 40)
  const card = document.addPage([toPoints(short), toPoints(long)])
  const cardPen = penFor(card, font)
  drawCard(cardPen, cardTeeth, short, long)
  drawCheckBar(cardPen, (short - CHECK_BAR_MM) / 2, 12)
  return document.save()
}
