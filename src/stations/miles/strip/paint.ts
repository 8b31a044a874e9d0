import { CONDITIONS, type Condition } from '../../../core/exposure/conditions.ts'
import {
  rideIndexAt,
  roadKmAt,
  type MileStrip,
  type StripChain,
  type StripLane,
} from '../../../core/strategy/mile-strip.ts'
import type { WearAnswer } from '../../../core/wear/forecast.ts'
import type { Ink } from '../../../ui/charts/ink.ts'
import { markWidth, ROAD_TEXTURES } from '../../../ui/drawings/RoadTextures.tsx'
import { TOOTH_PROFILES } from '../../../ui/glyphs/ToothGlyph.tsx'
import { xOfKm, yOfPercent, type Frame } from './frame.ts'
import type { Peg } from '../../../ui/charts/pegs.ts'
import { rulerStep, type View } from './view.ts'

/** A chain on the strip with what the model says of it, and its readings as pegs. */
export interface CurvedChain {
  readonly strip: StripChain
  readonly answer: WearAnswer | undefined
  readonly pegs: readonly Peg[]
}

/** All that a drawing depends on. */
export interface StripPicture {
  readonly strip: MileStrip
  readonly chains: readonly CurvedChain[]
  readonly limit: number
  /** The fan ahead: the chain now on, and what is said where it meets the limit. */
  readonly ahead?: { readonly answer: WearAnswer; readonly said: string }
  /** A distance in the units chosen, and the ruler's name. */
  readonly perUnit: number
  readonly unit: string
  readonly sayLane: (lane: StripLane, span: number) => string
}

interface Brush {
  readonly ctx: CanvasRenderingContext2D
  readonly frame: Frame
  readonly view: View
  readonly ink: Ink
  readonly x: (km: number) => number
  readonly y: (percent: number) => number
}

const MONO = '"JetBrains Mono Variable", monospace'
const textures = new Map<string, CanvasPattern | null>()

/** The pattern of a road on this palette, drawn once. */
function texture(
  ctx: CanvasRenderingContext2D,
  ink: Ink,
  condition: Condition,
  ratio: number,
): CanvasPattern | string {
  const key = `${ink.paper} ${condition} ${ratio}`
  if (!textures.has(key)) {
    const tile = document.createElement('canvas')
    tile.width = tile.height = Math.round(12 * ratio)
    const brush = tile.getContext('2d')
    if (brush) {
      const named: Readonly<Record<string, string>> = {
        'var(--paper)': ink.paper,
        'var(--hairline)': ink.hairline,
        'var(--steel)': ink.steel,
      }
      const { fill, marks } = ROAD_TEXTURES[condition]
      brush.scale(tile.width / 12, tile.height / 12)
      brush.fillStyle = named[fill] ?? ink.hairline
      brush.fillRect(0, 0, 12, 12)
      brush.strokeStyle = condition === 'mud' ? ink.paper : ink.petrol
      brush.lineWidth = markWidth(condition)
      brush.lineCap = 'round'
      brush.stroke(new Path2D(marks))
    }
    const pattern = ctx.createPattern(tile, 'repeat')
    pattern?.setTransform(new DOMMatrix().scale(12 / tile.width))
    textures.set(key, pattern)
  }
  return textures.get(key) ?? ink.hairline
}

function label(
  brush: Brush,
  text: string,
  x: number,
  y: number,
  colour: string,
  weight = 400,
  align: CanvasTextAlign = 'left',
): void {
  const { ctx, ink } = brush
  ctx.font = `${weight} 12px ${ink.sans}`
  ctx.fillStyle = colour
  ctx.textAlign = align
  ctx.textBaseline = 'alphabetic'
  ctx.fillText(text, x, y)
}

function line(ctx: CanvasRenderingContext2D, points: readonly (readonly [number, number])[]): void {
  ctx.beginPath()
  points.forEach(([x, y], i) => (i === 0 ? ctx.moveTo(x, y) : ctx.lineTo(x, y)))
  ctx.stroke()
}

function paintScale(brush: Brush, picture: StripPicture): void {
  const { ctx, frame, ink, y } = brush
  ctx.lineWidth = 1
  for (let percent = 0; percent <= frame.topPercent + 1e-9; percent += 0.25) {
    ctx.strokeStyle = ink.hairline
    ctx.setLineDash([1, 4])
    line(ctx, [
      [frame.left, y(percent)],
      [frame.right, y(percent)],
    ])
    if (Math.abs(percent - picture.limit) > 0.05)
      label(
        brush,
        percent === 0 ? '0' : percent.toFixed(2),
        frame.left - 8,
        y(percent) + 4,
        ink.steel,
        400,
        'right',
      )
  }
  ctx.setLineDash([])
  ctx.strokeStyle = ink.rust
  ctx.lineWidth = 1.5
  line(ctx, [
    [frame.left, y(picture.limit)],
    [frame.right, y(picture.limit)],
  ])
  label(brush, picture.limit.toFixed(2), frame.left - 8, y(picture.limit) + 4, ink.rust, 600, 'right')
  if (frame.narrow) return
  label(brush, 'limit', 0, y(picture.limit) + 4, ink.rust, 600)
  label(brush, 'elongation,', 0, y(frame.topPercent / 3), ink.steel)
  label(brush, 'per cent', 0, y(frame.topPercent / 3) + 15, ink.steel)
}

/** Clips everything to the road's own width, so that nothing runs into the names at the left. */
function clipped(brush: Brush, paint: () => void): void {
  const { ctx, frame } = brush
  ctx.save()
  ctx.beginPath()
  ctx.rect(frame.left - 1, 0, frame.right - frame.left + 2, frame.height)
  ctx.clip()
  paint()
  ctx.restore()
}

function paintBand(
  brush: Brush,
  points: readonly { readonly x: number; readonly p10: number; readonly p90: number }[],
  colour: string,
): void {
  const { ctx, y } = brush
  ctx.beginPath()
  points.forEach(({ x, p90 }, i) => (i === 0 ? ctx.moveTo(x, y(p90)) : ctx.lineTo(x, y(p90))))
  ;[...points].reverse().forEach(({ x, p10 }) => ctx.lineTo(x, y(p10)))
  ctx.closePath()
  ctx.globalAlpha = 0.18
  ctx.fillStyle = colour
  ctx.fill()
  ctx.globalAlpha = 1
}

function paintPeg(brush: Brush, peg: Peg): void {
  const { ctx, ink, x, y } = brush
  const at = x(peg.x) - 9 * peg.beside
  ctx.strokeStyle = ink.ink
  ctx.lineWidth = 1.4
  const [low, high] = [y(peg.low), y(peg.high)]
  if (peg.middle === undefined) {
    ctx.globalAlpha = 0.35
    line(ctx, [
      [at, low],
      [at, high],
    ])
    ctx.globalAlpha = 1
    const caps = [peg.low > 0 ? low : undefined, peg.high < brush.frame.topPercent ? high : undefined]
    for (const cap of caps)
      if (cap !== undefined)
        line(ctx, [
          [at - 4, cap],
          [at + 4, cap],
        ])
    return
  }
  line(ctx, [
    [at, low],
    [at, high],
  ])
  ctx.beginPath()
  ctx.arc(at, y(peg.middle), 3.8, 0, 2 * Math.PI)
  ctx.fillStyle = ink.paper
  ctx.fill()
  ctx.stroke()
}

function paintChain(brush: Brush, { strip, answer, pegs }: CurvedChain): void {
  const { ctx, frame, ink, view, x, y } = brush
  const stretches = new Map<number, { x: number; p10: number; p50: number; p90: number }[]>()
  for (const { km, mark, stretch } of strip.points) {
    const way = answer?.wayHere[mark]
    if (!way) continue
    stretches.set(stretch, [...(stretches.get(stretch) ?? []), { ...way, x: x(km) }])
  }
  for (const points of stretches.values()) {
    if ((points.at(-1)?.x ?? 0) < frame.left || (points[0]?.x ?? 0) > frame.right) continue
    paintBand(brush, points, ink.petrol)
    ctx.strokeStyle = ink.petrol
    ctx.lineWidth = 2.2
    line(
      ctx,
      points.map((point) => [point.x, y(point.p50)] as const),
    )
  }
  for (const peg of pegs) if (peg.x >= view.from - 1 && peg.x <= view.to + 1) paintPeg(brush, peg)
}

/** Names of chains where their stretches begin, and the hand-overs between them. */
function paintHandovers(brush: Brush, picture: StripPicture): void {
  const { ctx, frame, ink, x, y } = brush
  let free = -Infinity
  const begins = picture.chains
    .flatMap(({ strip }) => {
      const seen = new Set<number>()
      return strip.points.flatMap(({ km, stretch }) => {
        if (seen.has(stretch)) return []
        seen.add(stretch)
        return [{ km, name: strip.chain.part.entry.name }]
      })
    })
    .sort((a, b) => a.km - b.km)
  for (const { km, name } of begins) {
    const at = x(km)
    if (at < frame.left - 60 || at > frame.right) continue
    ctx.strokeStyle = ink.petrol
    ctx.lineWidth = 1
    ctx.setLineDash([2, 3])
    line(ctx, [
      [at, y(0)],
      [at, frame.curveTop - 16],
    ])
    ctx.setLineDash([])
    ctx.font = `600 12px ${ink.sans}`
    const width = ctx.measureText(name).width
    if (at + 6 < free || at + 6 + width > frame.right) continue
    label(brush, name, at + 5, frame.curveTop - 7, ink.petrol, 600)
    free = at + 14 + width
  }
}

function paintAhead(brush: Brush, { strip, ahead, limit }: StripPicture): void {
  const { ctx, frame, ink, x, y } = brush
  const today = x(strip.totalKm)
  if (ahead) {
    const points = ahead.answer.fan.map((point) => ({ ...point, x: x(strip.totalKm + point.x) }))
    paintBand(brush, points, ink.rust)
    ctx.strokeStyle = ink.rust
    ctx.lineWidth = 2
    ctx.setLineDash([6, 4])
    const within = points.filter(({ p50 }) => p50 <= frame.topPercent)
    line(
      ctx,
      within.map((point) => [point.x, y(point.p50)] as const),
    )
    ctx.setLineDash([])
    const crossing = x(strip.totalKm + ahead.answer.toLimitKm.p50)
    if (ahead.answer.toLimitKm.p50 > 0 && crossing < frame.right) {
      ctx.beginPath()
      ctx.arc(crossing, y(limit), 5, 0, 2 * Math.PI)
      ctx.fillStyle = ink.rust
      ctx.fill()
      ctx.font = `700 12px ${ink.sans}`
      const width = ctx.measureText(ahead.said).width
      const at = Math.max(frame.left, Math.min(crossing - width / 2, frame.right - width))
      // A rim of paper, so that the words can be read over pegs and band.
      ctx.strokeStyle = ink.paper
      ctx.lineWidth = 4
      ctx.lineJoin = 'round'
      ctx.textAlign = 'left'
      ctx.strokeText(ahead.said, at, y(limit) - 12)
      label(brush, ahead.said, at, y(limit) - 12, ink.rust, 700)
    }
  }
  ctx.strokeStyle = ink.ink
  ctx.lineWidth = 1.5
  line(ctx, [
    [today, 18],
    [today, frame.datesY - 12],
  ])
  ctx.font = `600 12px ${ink.sans}`
  const width = ctx.measureText('today').width + 18
  const left = Math.max(frame.left, Math.min(today - width / 2, frame.right - width))
  if (today >= frame.left - 1 && today <= frame.right + 1) {
    ctx.fillStyle = ink.ink
    ctx.fillRect(left, 0, width, 20)
    label(brush, 'today', left + 9, 14, ink.paper, 600)
  }
}

function paintRuler(brush: Brush, { perUnit }: StripPicture): void {
  const { ctx, frame, view, ink, x } = brush
  const perPx = (view.to - view.from) / (frame.right - frame.left) / perUnit
  const step = rulerStep(perPx, frame.narrow ? 62 : 76)
  ctx.strokeStyle = ink.ink
  ctx.lineWidth = 1.5
  line(ctx, [
    [frame.left, frame.rulerY],
    [frame.right, frame.rulerY],
  ])
  const first = Math.ceil(view.from / perUnit / (step / 5))
  const last = Math.floor(view.to / perUnit / (step / 5))
  ctx.font = `400 11px ${MONO}`
  ctx.fillStyle = ink.ink
  ctx.textAlign = 'left'
  for (let i = first; i <= last; i++) {
    const at = x((i * step * perUnit) / 5)
    const figure = i % 5 === 0
    ctx.lineWidth = figure ? 1.5 : 1
    line(ctx, [
      [at, frame.rulerY],
      [at, frame.rulerY + (figure ? 9 : 5)],
    ])
    if (!figure) continue
    const text = ((i * step) / 5).toLocaleString('en').replaceAll(',', '\u00a0')
    if (at + 4 + ctx.measureText(text).width < frame.right) ctx.fillText(text, at + 4, frame.rulerY + 20)
  }
}

/** Condition that most of the road between two places was ridden in; from the rides' edges alone. */
function mostOf(strip: MileStrip, from: number, to: number, km: Float64Array): number {
  km.fill(0)
  for (let i = rideIndexAt(strip.edges, from); i < strip.rides.length && (strip.edges[i] ?? 0) < to; i++) {
    const ride = strip.rides[i]
    if (!ride) break
    const part = Math.min(to, strip.edges[i + 1] ?? to) - Math.max(from, strip.edges[i] ?? from)
    const kind = ride.unsure ? CONDITIONS.length : CONDITIONS.indexOf(ride.condition)
    km[kind] = (km[kind] ?? 0) + part
  }
  let most = 0
  for (let k = 1; k < km.length; k++) if ((km[k] ?? 0) > (km[most] ?? 0)) most = k
  return (km[most] ?? 0) > 0 ? most : -1
}

const COLUMN_PX = 4

function paintRoad(brush: Brush, { strip }: StripPicture, ratio: number): void {
  const { ctx, frame, view, ink } = brush
  const perPx = (view.to - view.from) / (frame.right - frame.left)
  const km = new Float64Array(CONDITIONS.length + 1)
  let held = -1
  let since = frame.left
  const lay = (to: number): void => {
    if (held < 0) return
    const condition = CONDITIONS[held]
    ctx.fillStyle = condition ? texture(ctx, ink, condition, ratio) : ink.paper
    ctx.fillRect(since, frame.roadTop, to - since, frame.roadBottom - frame.roadTop)
    ctx.strokeStyle = ink.steel
    ctx.lineWidth = 0.75
    if (!condition) ctx.setLineDash([3, 3])
    ctx.strokeRect(since + 0.5, frame.roadTop + 0.5, to - since - 1, frame.roadBottom - frame.roadTop - 1)
    ctx.setLineDash([])
    if (!condition && to - since > 18)
      label(brush, '?', (since + to) / 2, frame.roadTop + 18, ink.steel, 600, 'center')
  }
  // Columns stand fast on the road, not on the screen: dragging does not make them flicker.
  const step = COLUMN_PX * perPx
  const first = Math.floor(view.from / step)
  for (let i = first; i * step < view.to; i++) {
    const at = Math.max(frame.left, frame.left + (i * step - view.from) / perPx)
    const most = mostOf(strip, i * step, (i + 1) * step, km)
    if (most === held) continue
    lay(at)
    held = most
    since = at
  }
  lay(Math.min(frame.right, frame.left + (Math.min(strip.totalKm, view.to) - view.from) / perPx))
}

function paintWashes(brush: Brush, { strip }: StripPicture): void {
  const { ctx, frame, ink, x } = brush
  label(brush, frame.narrow ? 'wash' : 'wash, lube', 0, frame.washY + 4, ink.steel)
  ctx.fillStyle = ink.petrol
  for (const { wash, km } of strip.washes) {
    const at = x(km)
    if (at < frame.left - 6 || at > frame.right + 6) continue
    const cleaned = wash.method === 'on-bike' || wash.method === 'off-bike'
    ctx.fillRect(at - (cleaned ? 3.5 : 1), frame.washY - 6, cleaned ? 7 : 2, 13)
  }
}

const WORD_TONES: Readonly<Record<string, keyof Ink>> = {
  fresh: 'petrol',
  good: 'petrol',
  watch: 'ochre',
  swap: 'rust',
  spent: 'rust',
}

function paintLane(brush: Brush, picture: StripPicture, lane: StripLane, y: number): void {
  const { ctx, frame, ink, x } = brush
  label(brush, lane.name, 0, y - 6, ink.steel)
  clipped(brush, () => {
    const shown = lane.spans.filter((span) => x(span.to) >= frame.left && x(span.from) <= frame.right)
    shown.forEach((span) => {
      const [from, to] = [Math.max(frame.left, x(span.from)), Math.min(frame.right, x(span.to))]
      ctx.strokeStyle = ink.steel
      ctx.lineWidth = 1
      line(ctx, [
        [from, y],
        [to, y],
      ])
      ctx.strokeStyle = ink.ink
      ctx.lineWidth = 1.5
      if (x(span.from) >= frame.left - 1)
        line(ctx, [
          [from + 0.5, y - 13],
          [from + 0.5, y + 4],
        ])
      let right = to - 4
      if (span.word) {
        const tone = ink[WORD_TONES[span.word] ?? 'steel']
        ctx.font = `600 12px ${ink.sans}`
        const width = ctx.measureText(span.word).width
        if (right - from > width + 46) {
          ctx.save()
          ctx.translate(right - 30, y - 19)
          ctx.scale(0.85, 0.85)
          ctx.fillStyle = tone
          ctx.fill(new Path2D(TOOTH_PROFILES[span.word]))
          ctx.restore()
          label(brush, span.word, right - 36, y - 6, tone, 600, 'right')
          right -= width + 46
        }
      }
      const text = picture.sayLane(lane, lane.spans.indexOf(span))
      ctx.font = `400 12px ${ink.sans}`
      if (ctx.measureText(text).width < right - from - 10) label(brush, text, from + 7, y - 6, ink.ink)
    })
  })
}

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']

/** The second ruler: months as ticks, seasons as bands, where the road was at their first day. */
function paintDates(brush: Brush, { strip }: StripPicture): void {
  const { ctx, frame, view, ink, x } = brush
  const [start] = strip.rides
  const last = strip.rides.at(-1)
  if (!start || !last) return
  const first = strip.rides[Math.min(strip.rides.length - 1, rideIndexAt(strip.edges, view.from))] ?? start
  const end = strip.rides[Math.min(strip.rides.length - 1, rideIndexAt(strip.edges, view.to))] ?? last
  const date = new Date(`${first.at.slice(0, 7)}-01T00:00:00Z`)
  let free = -Infinity
  for (; date.toISOString() <= end.at; date.setUTCMonth(date.getUTCMonth() + 1)) {
    const month = date.getUTCMonth()
    const at = x(roadKmAt(strip, date.toISOString()))
    const winter = month === 11 || month < 2
    const next = new Date(date)
    next.setUTCMonth(month + 1)
    const to = Math.min(x(roadKmAt(strip, next.toISOString())), x(strip.totalKm))
    if (winter) {
      ctx.fillStyle = ink.hairline
      ctx.globalAlpha = 0.6
      ctx.fillRect(
        Math.max(frame.left, at),
        frame.datesY - 3,
        Math.max(0, Math.min(frame.right, to) - Math.max(frame.left, at)),
        6,
      )
      ctx.globalAlpha = 1
    }
    if (at < frame.left - 1 || at > frame.right) continue
    ctx.strokeStyle = ink.steel
    ctx.lineWidth = 1
    const isSeason = month % 3 === 2
    line(ctx, [
      [at, frame.datesY - (isSeason ? 7 : 3)],
      [at, frame.datesY + (isSeason ? 7 : 3)],
    ])
    const text =
      month === 0 || free === -Infinity ? `${MONTHS[month]} ${date.getUTCFullYear()}` : (MONTHS[month] ?? '')
    ctx.font = `400 12px ${ink.sans}`
    const width = ctx.measureText(text).width
    if (at < free || at + width > frame.right) continue
    label(brush, text, at, frame.datesY + 20, ink.steel)
    free = at + width + 22
  }
  if (!frame.narrow) label(brush, 'when', 0, frame.datesY + 20, ink.steel)
}

function paintCursor(brush: Brush, km: number): void {
  const { ctx, frame, ink, x } = brush
  const at = x(km)
  if (at < frame.left - 1 || at > frame.right + 1) return
  ctx.strokeStyle = ink.ochre
  ctx.lineWidth = 1.5
  line(ctx, [
    [at, frame.curveTop - 8],
    [at, frame.datesY + 4],
  ])
  ctx.fillStyle = ink.ochre
  ctx.beginPath()
  ctx.moveTo(at - 6, frame.curveTop - 10)
  ctx.lineTo(at + 6, frame.curveTop - 10)
  ctx.lineTo(at, frame.curveTop - 1)
  ctx.fill()
}

/**
 * Paints the mile strip. Works on what is in sight only, so that ten years are no more work than one.
 * @param ratio device pixels a CSS pixel
 * @param cursor where one stands, km; absent: nowhere
 */
export function paintStrip(
  ctx: CanvasRenderingContext2D,
  picture: StripPicture,
  frame: Frame,
  view: View,
  ink: Ink,
  ratio: number,
  cursor?: number,
): void {
  const brush: Brush = {
    ctx,
    frame,
    view,
    ink,
    x: (km) => xOfKm(frame, view, km),
    y: (percent) => yOfPercent(frame, percent),
  }
  ctx.setTransform(ratio, 0, 0, ratio, 0, 0)
  ctx.clearRect(0, 0, frame.width, frame.height)
  paintScale(brush, picture)
  clipped(brush, () => {
    paintHandovers(brush, picture)
    for (const chain of picture.chains) paintChain(brush, chain)
  })
  paintRuler(brush, picture)
  if (!frame.narrow) label(brush, picture.unit, 0, frame.rulerY + 5, ink.steel)
  clipped(brush, () => paintRoad(brush, picture, ratio))
  if (!frame.narrow) label(brush, 'road', 0, frame.roadTop + 18, ink.steel)
  paintWashes(brush, picture)
  picture.strip.lanes.forEach((lane, i) => paintLane(brush, picture, lane, frame.laneY[i] ?? 0))
  paintDates(brush, picture)
  clipped(brush, () => {
    paintAhead(brush, picture)
    if (cursor !== undefined) paintCursor(brush, cursor)
  })
}
