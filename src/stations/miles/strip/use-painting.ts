import { useEffect, useState, type RefObject } from 'react'
import { flushSync } from 'react-dom'
import { inkOf } from '../../../ui/charts/ink.ts'
import { kmOfX, type Frame } from './frame.ts'
import { paintStrip } from './paint.ts'
import type { StripPicture } from './picture.ts'
import { panView, zoomView, type View } from './view.ts'

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

/** Draws the strip whenever something in it changes. */
export function usePainting(
  canvas: RefObject<HTMLCanvasElement | null>,
  picture: StripPicture,
  frame: Frame,
  view: View,
  cursor: number | undefined,
  printing: boolean,
  theme: string | undefined,
): void {
  useEffect(() => {
    const element = canvas.current
    const ctx = element?.getContext('2d')
    if (!element || !ctx || frame.width === 0) return undefined
    const ratio = printing ? PRINT_RATIO : Math.min(PRINT_RATIO, window.devicePixelRatio || 1)
    const [width, height] = [Math.round(frame.width * ratio), Math.round(frame.height * ratio)]
    const paint = () => {
      if (element.width !== width) element.width = width
      if (element.height !== height) element.height = height
      paintStrip(ctx, picture, frame, view, inkOf(element), ratio, printing ? undefined : cursor)
      element.dataset['drawn'] = 'true'
    }
    paint()
    let wanted = document.fonts?.status === 'loading'
    // The figures' face may come after the first drawing.
    if (wanted) void document.fonts.ready.then(() => wanted && paint())
    return () => {
      wanted = false
    }
  }, [canvas, picture, frame, view, cursor, printing, theme])
}

/** Wheel with Ctrl zooms about the pointer, sideways or with Shift moves; plainly it scrolls the page as ever. */
export function useWheel(
  canvas: RefObject<HTMLCanvasElement | null>,
  frame: Frame,
  view: View,
  end: number,
  setView: (view: View) => void,
): void {
  useEffect(() => {
    const element = canvas.current
    if (!element) return undefined
    const onWheel = (event: WheelEvent) => {
      const sideways = Math.abs(event.deltaX) > Math.abs(event.deltaY) || event.shiftKey
      if (!event.ctrlKey && !event.metaKey && !sideways) return
      event.preventDefault()
      const perPx = (view.to - view.from) / (frame.right - frame.left)
      setView(
        sideways
          ? panView(view, (event.deltaX || event.deltaY) * perPx, end)
          : zoomView(view, kmOfX(frame, view, event.offsetX), Math.exp(event.deltaY / 300), end),
      )
    }
    element.addEventListener('wheel', onWheel, { passive: false })
    return () => element.removeEventListener('wheel', onWheel)
  }, [canvas, frame, view, end, setView])
}
