import { useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'
import type { MileStrip, StripMark } from '../../../core/strategy/mile-strip.ts'
import { kmOfX, type Frame } from './frame.ts'
import { clampView, panView, viewWith, zoomView, type View } from './view.ts'

/** How much closer one press brings the road. */
export const CLOSER = 0.7
/** A mark this near to a finger is the one that was meant, px. */
const REACH_PX = 14
/** A finger that moved less than this has tapped, not dragged, px. */
const TAP_PX = 5

/** The mark nearest to a place, if one is within reach. */
function markNear(marks: readonly StripMark[], km: number, reachKm: number): StripMark | undefined {
  return marks.reduce<StripMark | undefined>(
    (best, mark) => (Math.abs(mark.km - km) <= (best ? Math.abs(best.km - km) : reachKm) ? mark : best),
    undefined,
  )
}

/** Where one stands on the road, and what of it is in sight. */
export interface Standing {
  readonly view: View
  readonly cursor: number | undefined
  readonly mark: StripMark | undefined
  readonly setView: (view: View) => void
  /** Stands somewhere; on a mark that is near, where that is wanted. */
  readonly stand: (km: number, perPx?: number) => void
  readonly standOn: (mark: StripMark | undefined) => void
  /** Walks to a place and brings it into sight. */
  readonly go: (km: number) => void
}

/** Keeps the place and the view, within the road. */
export function useStanding(strip: MileStrip, end: number): Standing {
  const [seen, setView] = useState<View>({ from: 0, to: end })
  const view = useMemo(() => clampView(seen, end), [seen, end])
  const [cursor, setCursor] = useState<number>()
  const [mark, setMark] = useState<StripMark>()
  const within = (km: number): number => Math.max(0, Math.min(end, km))
  return {
    view,
    cursor,
    mark,
    setView,
    stand: (km, perPx) => {
      const near = perPx === undefined ? undefined : markNear(strip.marks, within(km), REACH_PX * perPx)
      setMark(near)
      setCursor(near?.km ?? within(km))
    },
    standOn: (next) => {
      if (!next) return
      setMark(next)
      setCursor(next.km)
      setView(viewWith(view, next.km, end))
    },
    go: (km) => {
      setMark(undefined)
      setCursor(within(km))
      setView(viewWith(view, within(km), end))
    },
  }
}

/** Keys on the drawing: walking, from mark to mark, closer and further, opening. */
export function stripKeys(
  { marks, totalKm }: MileStrip,
  standing: Standing,
  end: number,
  open: () => void,
): (event: KeyboardEvent) => void {
  const { view, cursor, go, standOn, setView } = standing
  const at = cursor ?? totalKm
  const span = view.to - view.from
  const does: Readonly<Record<string, (shift: boolean) => void>> = {
    ArrowRight: (shift) => (shift ? standOn(marks.find(({ km }) => km > at + 1e-9)) : go(at + span / 100)),
    ArrowLeft: (shift) => (shift ? standOn(marks.findLast(({ km }) => km < at - 1e-9)) : go(at - span / 100)),
    PageDown: () => go(at + span / 2),
    PageUp: () => go(at - span / 2),
    Home: () => go(0),
    End: () => go(totalKm),
    '+': () => setView(zoomView(view, at, CLOSER, end)),
    '=': () => setView(zoomView(view, at, CLOSER, end)),
    '-': () => setView(zoomView(view, at, 1 / CLOSER, end)),
    '0': () => setView({ from: 0, to: end }),
    Enter: open,
  }
  return (event) => {
    const act = event.ctrlKey || event.metaKey || event.altKey ? undefined : does[event.key]
    if (!act) return
    event.preventDefault()
    act(event.shiftKey)
  }
}

/** Fingers and mouse on the drawing: dragging, pinching, standing, opening. */
export function useStripPointers(
  strip: MileStrip,
  standing: Standing,
  frame: Frame,
  end: number,
  open: (mark: StripMark) => void,
) {
  const fingers = useRef(new Map<number, number>())
  const moved = useRef(0)
  const { view, mark, setView, stand } = standing
  const perPx = (view.to - view.from) / (frame.right - frame.left)
  const kmAt = (x: number): number => kmOfX(frame, view, x)
  return {
    onPointerDown: (event: PointerEvent<HTMLCanvasElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId)
      fingers.current.set(event.pointerId, event.nativeEvent.offsetX)
      moved.current = 0
    },
    onPointerMove: (event: PointerEvent<HTMLCanvasElement>) => {
      const x = event.nativeEvent.offsetX
      const before = fingers.current.get(event.pointerId)
      if (before === undefined) {
        if (event.pointerType === 'mouse' && x >= frame.left) stand(kmAt(x), perPx)
        return
      }
      const [other] = [...fingers.current].filter(([id]) => id !== event.pointerId).map(([, at]) => at)
      fingers.current.set(event.pointerId, x)
      moved.current += Math.abs(x - before)
      if (other !== undefined) {
        const times = Math.abs(before - other) / Math.max(10, Math.abs(x - other))
        setView(zoomView(view, kmAt((x + other) / 2), Math.max(0.5, Math.min(2, times)), end))
      } else setView(panView(view, kmAt(before) - kmAt(x), end))
    },
    onPointerUp: (event: PointerEvent<HTMLCanvasElement>) => {
      fingers.current.delete(event.pointerId)
      const x = event.nativeEvent.offsetX
      if (moved.current > TAP_PX || x < frame.left) return
      const near = markNear(strip.marks, kmAt(x), REACH_PX * perPx)
      // A mouse has shown the mark before it clicks; a finger shows it first and opens it with a second tap.
      if (near && (event.pointerType === 'mouse' || near === mark)) open(near)
      else stand(kmAt(x), perPx)
    },
    onPointerCancel: (event: PointerEvent<HTMLCanvasElement>) => {
      fingers.current.delete(event.pointerId)
    },
  }
}
