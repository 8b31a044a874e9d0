import type { Ink } from '../charts/ink.ts'
import { xOfKm, yOfPercent, type Frame } from './frame.ts'
import type { View } from './view.ts'

/** What a part of the strip is drawn with. */
export interface Brush {
  readonly ctx: CanvasRenderingContext2D
  readonly frame: Frame
  readonly view: View
  readonly ink: Ink
  readonly x: (km: number) => number
  readonly y: (percent: number) => number
}

/** A brush for a frame and the part of the road that is in sight. */
export const brushFor = (ctx: CanvasRenderingContext2D, frame: Frame, view: View, ink: Ink): Brush => ({
  ctx,
  frame,
  view,
  ink,
  x: (km) => xOfKm(frame, view, km),
  y: (percent) => yOfPercent(frame, percent),
})

/** The face of figures on a scale. */
export const MONO = '"JetBrains Mono Variable", monospace'

/** A few words at a place, px. */
export function label(
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

/** A line through some places, px, in the stroke that is set. */
export function line(ctx: CanvasRenderingContext2D, points: readonly (readonly [number, number])[]): void {
  ctx.beginPath()
  points.forEach(([x, y], i) => (i === 0 ? ctx.moveTo(x, y) : ctx.lineTo(x, y)))
  ctx.stroke()
}

/** Clips everything to the road's own width, so that nothing runs into the names at the left. */
export function clipped(brush: Brush, paint: () => void): void {
  const { ctx, frame } = brush
  ctx.save()
  ctx.beginPath()
  ctx.rect(frame.left - 1, 0, frame.right - frame.left + 2, frame.height)
  ctx.clip()
  paint()
  ctx.restore()
}
