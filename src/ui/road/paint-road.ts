import type { EntryKind } from '../../core/log/entries.ts'
import { CONDITIONS, type Condition } from '../../core/exposure/conditions.ts'
import { rideIndexAt, roadKmAt, type MileStrip, type StripLane } from '../../core/strategy/mile-strip.ts'
import type { Ink } from '../charts/ink.ts'
import { markWidth, ROAD_TEXTURES } from '../drawings/RoadTextures.tsx'
import { TOOTH_PROFILES } from '../glyphs/ToothGlyph.tsx'
import { groupedNumber } from '../../words/grouped-number.ts'
import { rulerStep } from './view.ts'
import type { StripPicture } from './picture.ts'
import { clipped, label, line, MONO, type Brush } from './brush.ts'
import { words } from '../../words/ui/road/paint-road.ts'

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

/** The ruler of distance, in the units chosen. */
export function paintRuler(brush: Brush, { perUnit }: StripPicture): void {
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
    const text = groupedNumber((i * step) / 5)
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

/** The road itself, textured by what it was ridden in; dashed where that is not known. */
export function paintRoad(brush: Brush, { strip }: StripPicture, ratio: number): void {
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
    if (!condition && to - since > 18 && !frame.small)
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

/** The road that is planned, in what it is to be ridden in, with its name under it where there is room. */
export function paintPlanned(brush: Brush, { strip, ahead }: StripPicture, ratio: number): void {
  const { ctx, frame, ink, x } = brush
  const height = frame.roadBottom - frame.roadTop
  let free = Math.max(frame.left, x(strip.totalKm) + 6)
  for (const { name, condition, from, to } of ahead?.events ?? []) {
    const left = Math.max(frame.left, x(strip.totalKm + from))
    const right = Math.min(frame.right, Math.max(x(strip.totalKm + to), left + 3))
    if (right <= frame.left || left >= frame.right) continue
    ctx.fillStyle = texture(ctx, ink, condition, ratio)
    ctx.globalAlpha = 0.75
    ctx.fillRect(left, frame.roadTop, right - left, height)
    ctx.globalAlpha = 1
    ctx.strokeStyle = ink.petrol
    ctx.lineWidth = 1
    ctx.strokeRect(left + 0.5, frame.roadTop + 0.5, right - left - 1, height - 1)
    ctx.font = `600 12px ${ink.sans}`
    const width = ctx.measureText(name).width
    const at = Math.min(left, frame.right - width)
    if (at < free) continue
    label(brush, name, at, frame.roadBottom + 15, ink.petrol, 600)
    free = at + width + 12
  }
}

/** A tick for each wash or lube, broad where the chain came off for it. */
export function paintWashes(brush: Brush, { strip }: StripPicture): void {
  const { ctx, frame, ink, x } = brush
  label(brush, frame.narrow ? words.wash : words.washLube, 0, frame.washY + 4, ink.steel)
  ctx.fillStyle = ink.petrol
  for (const { wash, km } of strip.washes) {
    const at = x(km)
    if (at < frame.left - 6 || at > frame.right + 6) continue
    const cleaned = wash.method === 'on-bike' || wash.method === 'off-bike'
    ctx.fillRect(at - (cleaned ? 3.5 : 1), frame.washY - 6, cleaned ? 7 : 2, 13)
  }
}

/** The kinds that are drawn in a way of their own. */
const DRAWN = new Set<EntryKind>(['reading', 'wash', 'look', 'fit'])

/** A pennant over the curves for each mark that has no drawing of its own, as a note. */
export function paintPennants({ ctx, frame, ink, x }: Brush, { strip }: StripPicture): void {
  for (const mark of strip.marks) {
    if (DRAWN.has(mark.kind)) continue
    const [at, top] = [x(mark.km), frame.curveTop - 18]
    ctx.strokeStyle = ink.petrol
    ctx.lineWidth = 1.5
    line(ctx, [
      [at, top],
      [at, top + 14],
    ])
    ctx.fillStyle = ink.petrol
    ctx.fillRect(at, top, 9, 7)
  }
}

const WORD_TONES: Readonly<Record<string, keyof Ink>> = {
  fresh: 'petrol',
  good: 'petrol',
  watch: 'ochre',
  swap: 'rust',
  spent: 'rust',
}

/** One kind of part: its spans, what they are called, and how they last looked. */
export function paintLane(brush: Brush, picture: StripPicture, lane: StripLane, y: number): void {
  const { ctx, frame, ink, x } = brush
  label(brush, lane.name, 0, y - 6, ink.steel)
  const parts = new Set(lane.spans.map(({ part }) => part.entry.part))
  clipped(brush, () => {
    // A dot under the line for each look, so that there is something to stand on and open.
    ctx.fillStyle = ink.steel
    for (const mark of picture.strip.marks)
      if (mark.kind === 'look' && parts.has(mark.about)) ctx.fillRect(x(mark.km) - 1.5, y + 2, 3, 5)
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

const MONTHS = [
  words.jan,
  words.feb,
  words.mar,
  words.apr,
  words.may,
  words.jun,
  words.jul,
  words.aug,
  words.sep,
  words.oct,
  words.nov,
  words.dec,
]

/** The second ruler: months as ticks, seasons as bands, where the road was at their first day. */
export function paintDates(brush: Brush, { strip }: StripPicture): void {
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
  if (!frame.narrow) label(brush, words.when, 0, frame.datesY + 20, ink.steel)
}
