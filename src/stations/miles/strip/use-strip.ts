import { useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'
import type { MileStrip, StripMark } from '../../../core/strategy/mile-strip.ts'
import { kmOfX, type Frame } from '../../../ui/road/frame.ts'
import { markFinder } from './mark-places.ts'
import type { StripPicture } from '../../../ui/road/picture.ts'
import { clampView, panView, viewWith, zoomView, type View } from '../../../ui/road/view.ts'

/** How much closer one press brings the road. */
export const CLOSER = 0.7
/** A finger that moved less than this has tapped, not dragged, px. */
const TAP_PX = 5

/** Where one stands on the road, and what of it is in sight. */
export interface Standing {
  readonly view: View
  readonly cursor: number | undefined
  /** The marks one stands on: one, or several that lie on one another. */
  readonly marks: readonly StripMark[]
  readonly setView: (view: View) => void
  /** Stands on marks, or, where there are none, at a place. */
  readonly stand: (km: number, marks: readonly StripMark[]) => void
  /** Walks to a mark and brings it into sight. */
  readonly standOn: (mark: StripMark | undefined) => void
  /** Walks to a place and brings it into sight. */
  readonly go: (km: number) => void
}

/** Keeps the place and the view, within the road. */
export function useStanding(end: number): Standing {
  // Absent: the whole road, which grows once the forecast has come.
  const [part, setPart] = useState<View>()
  const view = useMemo(() => (part ? clampView(part, end) : { from: 0, to: end }), [part, end])
  const setView = (next: View): void => setPart(next.from <= 0 && next.to >= end ? undefined : next)
  const [cursor, setCursor] = useState<number>()
  const [marks, setMarks] = useState<readonly StripMark[]>([])
  const within = (km: number): number => Math.max(0, Math.min(end, km))
  return {
    view,
    cursor,
    marks,
    setView,
    stand: (km, on) => {
      setMarks(on)
      setCursor(on[0]?.km ?? within(km))
    },
    standOn: (next) => {
      if (!next) return
      setMarks([next])
      setCursor(next.km)
      setView(viewWith(view, next.km, end))
    },
    go: (km) => {
      setMarks([])
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
  const [on] = standing.marks
  const place = on ? marks.indexOf(on) : -1
  /** The next or the last mark: many may stand at one place of the road, and each is walked to. */
  const markBeside = (by: 1 | -1): StripMark | undefined => {
    if (place >= 0) return marks[place + by]
    return by > 0 ? marks.find(({ km }) => km > at) : marks.findLast(({ km }) => km < at)
  }
  const does: Readonly<Record<string, (shift: boolean) => void>> = {
    ArrowRight: (shift) => (shift ? standOn(markBeside(1)) : go(at + span / 100)),
    ArrowLeft: (shift) => (shift ? standOn(markBeside(-1)) : go(at - span / 100)),
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
  picture: StripPicture,
  standing: Standing,
  frame: Frame,
  end: number,
  open: (marks: readonly StripMark[]) => void,
) {
  const marksAt = useMemo(() => markFinder(picture, frame), [picture, frame])
  const fingers = useRef(new Map<number, number>())
  const moved = useRef(0)
  const { view, marks, setView, stand } = standing
  const kmAt = (x: number): number => kmOfX(frame, view, x)
  return {
    onPointerDown: (event: PointerEvent<HTMLCanvasElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId)
      fingers.current.set(event.pointerId, event.nativeEvent.offsetX)
      moved.current = 0
    },
    onPointerMove: (event: PointerEvent<HTMLCanvasElement>) => {
      const { offsetX: x, offsetY: y } = event.nativeEvent
      const before = fingers.current.get(event.pointerId)
      if (before === undefined) {
        if (event.pointerType === 'mouse' && x >= frame.left) stand(kmAt(x), marksAt(view, x, y))
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
      const { offsetX: x, offsetY: y } = event.nativeEvent
      if (moved.current > TAP_PX || x < frame.left) return
      const near = marksAt(view, x, y)
      const shown = near.length > 0 && near[0] === marks[0]
      // A mouse has shown the mark before it clicks; a finger shows it first and opens it with a second tap.
      if (near.length > 0 && (event.pointerType === 'mouse' || shown)) open(near)
      else stand(kmAt(x), near)
    },
    onPointerCancel: (event: PointerEvent<HTMLCanvasElement>) => {
      fingers.current.delete(event.pointerId)
    },
  }
}
