import { useEffect, type RefObject } from 'react'
import { kmOfX, type Frame } from '../../../ui/road/frame.ts'
import { panView, zoomView, type View } from '../../../ui/road/view.ts'

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
