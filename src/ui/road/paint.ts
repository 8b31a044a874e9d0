import type { Ink } from '../charts/ink.ts'
import type { Frame } from './frame.ts'
import type { View } from './view.ts'
import type { StripPicture } from './picture.ts'
import { brushFor, clipped, label, line, type Brush } from './brush.ts'
import { paintChain, paintFan, paintHandovers, paintScale, paintToday } from './paint-curves.ts'
import {
  paintDates,
  paintLane,
  paintPennants,
  paintPlanned,
  paintRoad,
  paintRuler,
  paintWashes,
} from './paint-road.ts'

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
  const brush = brushFor(ctx, frame, view, ink)
  paintScale(brush, picture)
  clipped(brush, () => {
    paintHandovers(brush, picture)
    for (const chain of picture.chains) paintChain(brush, chain)
  })
  paintRuler(brush, picture)
  if (!frame.narrow) label(brush, picture.unit, 0, frame.rulerY + 5, ink.steel)
  clipped(brush, () => {
    paintPennants(brush, picture)
    paintRoad(brush, picture, ratio)
    paintPlanned(brush, picture, ratio)
  })
  if (!frame.narrow) label(brush, 'road', 0, frame.roadTop + 18, ink.steel)
  paintWashes(brush, picture)
  picture.strip.lanes.forEach((lane, i) => paintLane(brush, picture, lane, frame.laneY[i] ?? 0))
  paintDates(brush, picture)
  clipped(brush, () => {
    paintFan(brush, picture)
    paintToday(brush, picture)
    if (cursor !== undefined) paintCursor(brush, cursor)
  })
}
