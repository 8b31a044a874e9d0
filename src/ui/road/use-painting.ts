import { useEffect, useState, type RefObject } from 'react'
import { flushSync } from 'react-dom'
import { inkOf, type Ink } from '../charts/ink.ts'
import { drawnBy } from '../saving/drawn.ts'

/** Width of an element, px, kept up to date. */
export function useWidth(box: RefObject<HTMLElement | null>): number {
  const [width, setWidth] = useState(0)
  useEffect(() => {
    const element = box.current
    if (!element) return undefined
    const watcher = new ResizeObserver(([entry]) => setWidth(Math.round(entry?.contentRect.width ?? 0)))
    watcher.observe(element)
    return () => watcher.disconnect()
  }, [box])
  return width
}

/** Whether the page is being printed, known in time to draw for paper. */
export function usePrinting(): boolean {
  const [printing, setPrinting] = useState(false)
  useEffect(() => {
    const before = () => flushSync(() => setPrinting(true))
    const after = () => setPrinting(false)
    window.addEventListener('beforeprint', before)
    window.addEventListener('afterprint', after)
    return () => {
      window.removeEventListener('beforeprint', before)
      window.removeEventListener('afterprint', after)
    }
  }, [])
  return printing
}

const PRINT_RATIO = 3

/** Paints on a canvas of some size in CSS px, given the palette and the device's pixels a CSS pixel. */
export type Paint = (ctx: CanvasRenderingContext2D, ink: Ink, ratio: number) => void

/**
 * Draws on a canvas whenever what is drawn changes.
 * @param paint the very same function for as long as the drawing is
 */
export function usePainting(
  canvas: RefObject<HTMLCanvasElement | null>,
  size: { readonly width: number; readonly height: number },
  paint: Paint,
  printing: boolean,
  theme: string | undefined,
): void {
  const { width: wide, height: high } = size
  useEffect(() => {
    const element = canvas.current
    const ctx = element?.getContext('2d')
    if (!element || !ctx || wide === 0) return undefined
    const ratio = printing ? PRINT_RATIO : Math.min(PRINT_RATIO, window.devicePixelRatio || 1)
    const [width, height] = [Math.round(wide * ratio), Math.round(high * ratio)]
    const draw = () => {
      if (element.width !== width) element.width = width
      if (element.height !== height) element.height = height
      ctx.setTransform(ratio, 0, 0, ratio, 0, 0)
      ctx.clearRect(0, 0, wide, high)
      paint(ctx, inkOf(element), ratio)
      element.dataset['drawn'] = 'true'
    }
    draw()
    drawnBy(element, {
      canvas: (more) => {
        const copy = document.createElement('canvas')
        copy.width = Math.round(wide * more)
        copy.height = Math.round(high * more)
        const own = copy.getContext('2d')
        own?.setTransform(more, 0, 0, more, 0, 0)
        if (own) paint(own, inkOf(element), more)
        return copy
      },
    })
    let wanted = document.fonts?.status === 'loading'
    // The figures' face may come after the first drawing.
    if (wanted) void document.fonts.ready.then(() => wanted && draw())
    return () => {
      wanted = false
    }
  }, [canvas, wide, high, paint, printing, theme])
}
