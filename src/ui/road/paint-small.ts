import type { Ink } from '../charts/ink.ts'
import { brushFor, clipped, label, line, type Brush } from './brush.ts'
import type { Frame } from './frame.ts'
import { DUE_MARKS } from './marks.ts'
import { paintChain, paintFan, paintToday } from './paint-curves.ts'
import { paintPlanned, paintRoad } from './paint-road.ts'
import { sayLimit } from '../../words/numbers.ts'
import type { StripPicture } from './picture.ts'
import { rulerStep, type View } from './view.ts'
import { words } from '../../words/ui/road/paint-curves.ts'

/** What is due on a small road, km from today. */
export interface DueAlong {
  readonly lookKm: number | undefined
  /** How far what is on the chain still goes; 0 where it is due. */
  readonly lubeKm: number | undefined
}

/** The limit across the road, with its figure, and the road's ground. */
function paintLimit({ ctx, frame, ink, y }: Brush, limit: number): void {
  ctx.lineWidth = 1
  ctx.strokeStyle = ink.hairline
  line(ctx, [
    [frame.left, y(0)],
    [frame.right, y(0)],
  ])
  ctx.strokeStyle = ink.rust
  line(ctx, [
    [frame.left, y(limit)],
    [frame.right, y(limit)],
  ])
}

/** How far what is on the chain still goes, as a line on the road ahead that ends in a drop. */
function paintLubeLeft({ ctx, frame, ink, x }: Brush, totalKm: number, lubeKm: number): void {
  const [from, to] = [x(totalKm), Math.min(frame.right, x(totalKm + lubeKm))]
  const middle = (frame.roadTop + frame.roadBottom) / 2
  ctx.strokeStyle = ink.petrol
  ctx.lineWidth = 2.5
  if (to - from > 1)
    line(ctx, [
      [from, middle],
      [to, middle],
    ])
  if (x(totalKm + lubeKm) > frame.right) return
  ctx.save()
  ctx.translate(Math.max(to, from + 7), middle - 1)
  ctx.fillStyle = lubeKm > 0 ? ink.petrol : ink.rust
  ctx.strokeStyle = ink.paper
  ctx.lineWidth = 2
  const drop = new Path2D(DUE_MARKS.lube)
  ctx.stroke(drop)
  ctx.fill(drop)
  ctx.restore()
}

/** Where the chain is to be looked at again. */
function paintLook({ ctx, frame, ink, x, y }: Brush, totalKm: number, lookKm: number): void {
  const at = x(totalKm + lookKm)
  if (at > frame.right) return
  ctx.save()
  ctx.translate(Math.min(frame.right - 6, Math.max(at, x(totalKm) + 9)), y(0) - 6)
  ctx.lineWidth = 1.8
  ctx.strokeStyle = ink.petrol
  ctx.stroke(new Path2D(DUE_MARKS.look))
  ctx.restore()
}

/** Paints one chain's road so small that many stand under one another, on a scale they share. */
export function paintSmall(
  ctx: CanvasRenderingContext2D,
  picture: StripPicture,
  due: DueAlong,
  frame: Frame,
  view: View,
  ink: Ink,
  ratio: number,
): void {
  const brush = brushFor(ctx, frame, view, ink)
  const { strip, limit } = picture
  paintLimit(brush, limit)
  label(brush, sayLimit(limit), frame.left - 5, brush.y(limit) + 4, ink.rust, 600, 'right')
  clipped(brush, () => {
    for (const chain of picture.chains) paintChain(brush, chain)
    paintFan(brush, picture)
    paintRoad(brush, picture, ratio)
    paintPlanned(brush, picture, ratio)
    if (due.lubeKm !== undefined) paintLubeLeft(brush, strip.totalKm, due.lubeKm)
    paintToday(brush, picture)
    if (due.lookKm !== undefined) paintLook(brush, strip.totalKm, due.lookKm)
  })
}

/**
 * The ruler that small roads share: distance back and ahead of today.
 * @param perUnit km a unit
 */
export function paintSharedRuler(
  ctx: CanvasRenderingContext2D,
  frame: Frame,
  view: View,
  ink: Ink,
  { perUnit, unit }: Pick<StripPicture, 'perUnit' | 'unit'>,
): void {
  const brush = brushFor(ctx, frame, view, ink)
  const step = rulerStep((view.to - view.from) / (frame.right - frame.left) / perUnit, 56)
  const bottom = frame.height - 1
  ctx.strokeStyle = ink.steel
  ctx.lineWidth = 1
  const [first, last] = [view.from, view.to].map((km) => km / perUnit / step) as [number, number]
  // From the right, so that the last figure there is room for names the unit.
  let isNamed = false
  for (let i = Math.floor(last); i >= Math.ceil(first); i--) {
    const at = brush.x(i * step * perUnit)
    line(ctx, [
      [at, bottom - 6],
      [at, bottom],
    ])
    if (i === 0) continue
    const text = isNamed ? `${Math.abs(i * step)}` : `${i * step} ${unit}`
    ctx.font = `400 12px ${ink.sans}`
    const half = ctx.measureText(text).width / 2
    if (at - half < frame.left - 10 || at + half > frame.right + 2) continue
    label(brush, text, at, bottom - 10, ink.steel, 400, 'center')
    isNamed = true
  }
  label(brush, words.today, brush.x(0), bottom - 10, ink.ink, 600, 'center')
}
