import { Printer, ZoomIn, ZoomOut } from 'lucide-react'
import {
  useEffect,
  useId,
  useMemo,
  useRef,
  useState,
  type KeyboardEvent,
  type PointerEvent,
  type RefObject,
} from 'react'
import { flushSync } from 'react-dom'
import { useNavigate } from 'react-router'
import type { StripMark } from '../../../core/strategy/mile-strip.ts'
import { useOpenLog } from '../../../store/log-context.ts'
import { inkOf } from '../../../ui/charts/ink.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { useScreen, useUnits } from '../../../ui/screen-state.ts'
import { frameFor, kmOfX } from './frame.ts'
import { paintStrip, type StripPicture } from './paint.ts'
import { sayMark, sayPlace } from './say-place.ts'
import { clampView, panView, viewWith, zoomView, type View } from './view.ts'

const CLOSER = 0.7
/** A mark this near to a finger is the one that was meant, px. */
const REACH_PX = 14

interface Props {
  readonly picture: StripPicture
  /** How far the road is drawn, past today, km. */
  readonly end: number
  readonly topPercent: number
}

/** The mark nearest to a place, if one is within reach. */
function markNear(marks: readonly StripMark[], km: number, reachKm: number): StripMark | undefined {
  return marks.reduce<StripMark | undefined>(
    (best, mark) => (Math.abs(mark.km - km) <= (best ? Math.abs(best.km - km) : reachKm) ? mark : best),
    undefined,
  )
}

/** Width of an element, kept up to date. */
function useWidth(box: RefObject<HTMLElement | null>): number {
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

/** One bike as a road: drag along it, zoom, stand anywhere, open what is there. */
export function MileStrip({ picture, end, topPercent }: Props) {
  const { garage, entries, now } = useOpenLog()
  const units = useUnits()
  const navigate = useNavigate()
  const theme = useScreen((state) => state.screen.theme)
  const box = useRef<HTMLDivElement>(null)
  const canvas = useRef<HTMLCanvasElement>(null)
  const help = useId()
  const liveWidth = useWidth(box)
  const [printing, setPrinting] = useState(false)
  const width = printing ? 1000 : liveWidth
  const { strip } = picture
  const [seen, setSeen] = useState<View>({ from: 0, to: end })
  const view = useMemo(() => (printing ? { from: 0, to: end } : clampView(seen, end)), [seen, end, printing])
  const [cursor, setCursor] = useState<number>()
  const [mark, setMark] = useState<StripMark>()
  const frame = useMemo(() => frameFor(width, strip, topPercent), [width, strip, topPercent])
  const fingers = useRef(new Map<number, number>())
  const moved = useRef(0)

  useEffect(() => {
    const element = canvas.current
    const ctx = element?.getContext('2d')
    if (!element || !ctx || width === 0) return undefined
    const ratio = printing ? 3 : Math.min(3, window.devicePixelRatio || 1)
    const paint = () => {
      element.width = Math.round(width * ratio)
      element.height = Math.round(frame.height * ratio)
      paintStrip(ctx, picture, frame, view, inkOf(element), ratio, printing ? undefined : cursor)
      element.dataset['drawn'] = 'true'
    }
    paint()
    let wanted = true
    // The figures' face may come after the first drawing.
    void document.fonts?.ready.then(() => wanted && paint())
    return () => {
      wanted = false
    }
  }, [picture, frame, view, width, cursor, printing, theme])

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

  useEffect(() => {
    const element = canvas.current
    if (!element) return undefined
    const onWheel = (event: WheelEvent) => {
      const sideways = Math.abs(event.deltaX) > Math.abs(event.deltaY) || event.shiftKey
      if (!event.ctrlKey && !event.metaKey && !sideways) return
      event.preventDefault()
      const km = kmOfX(frame, view, event.offsetX)
      const perPx = (view.to - view.from) / (frame.right - frame.left)
      setSeen(
        sideways
          ? panView(view, (event.deltaX || event.deltaY) * perPx, end)
          : zoomView(view, km, Math.exp(event.deltaY / 300), end),
      )
    }
    element.addEventListener('wheel', onWheel, { passive: false })
    return () => element.removeEventListener('wheel', onWheel)
  }, [frame, view, end])

  const stand = (km: number, snap: boolean) => {
    const at = Math.max(0, Math.min(end, km))
    const perPx = (view.to - view.from) / (frame.right - frame.left)
    const near = snap ? markNear(strip.marks, at, REACH_PX * perPx) : undefined
    setMark(near)
    setCursor(near?.km ?? at)
  }
  const standOn = (next: StripMark | undefined) => {
    if (!next) return
    setMark(next)
    setCursor(next.km)
    setSeen(viewWith(view, next.km, end))
  }
  const open = (which: StripMark | undefined) => {
    if (which) void navigate(`/log?entry=${which.entry}`)
  }

  const onPointerDown = (event: PointerEvent<HTMLCanvasElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId)
    fingers.current.set(event.pointerId, event.nativeEvent.offsetX)
    moved.current = 0
  }
  const onPointerMove = (event: PointerEvent<HTMLCanvasElement>) => {
    const x = event.nativeEvent.offsetX
    const before = fingers.current.get(event.pointerId)
    if (before === undefined) {
      if (event.pointerType === 'mouse' && x >= frame.left) stand(kmOfX(frame, view, x), true)
      return
    }
    const others = [...fingers.current].filter(([id]) => id !== event.pointerId).map(([, at]) => at)
    fingers.current.set(event.pointerId, x)
    moved.current += Math.abs(x - before)
    const [other] = others
    if (other !== undefined) {
      const times = Math.max(0.5, Math.min(2, Math.abs(before - other) / Math.max(10, Math.abs(x - other))))
      setSeen(zoomView(view, kmOfX(frame, view, (x + other) / 2), times, end))
    } else setSeen(panView(view, kmOfX(frame, view, before) - kmOfX(frame, view, x), end))
  }
  const onPointerUp = (event: PointerEvent<HTMLCanvasElement>) => {
    fingers.current.delete(event.pointerId)
    if (moved.current > 5 || event.nativeEvent.offsetX < frame.left) return
    const km = kmOfX(frame, view, event.nativeEvent.offsetX)
    const perPx = (view.to - view.from) / (frame.right - frame.left)
    const near = markNear(strip.marks, km, REACH_PX * perPx)
    // A second tap on the same mark opens it.
    if (near && near === mark && event.pointerType !== 'mouse') open(near)
    else if (near && event.pointerType === 'mouse') open(near)
    else stand(km, true)
  }

  const onKeyDown = (event: KeyboardEvent) => {
    const at = cursor ?? strip.totalKm
    const span = view.to - view.from
    const go = (km: number) => {
      const to = Math.max(0, Math.min(end, km))
      setMark(undefined)
      setCursor(to)
      setSeen(viewWith(view, to, end))
    }
    const step = span / 100
    switch (event.key) {
      case 'ArrowRight':
        if (event.shiftKey) standOn(strip.marks.find(({ km }) => km > at + 1e-9))
        else go(at + step)
        break
      case 'ArrowLeft':
        if (event.shiftKey) standOn(strip.marks.findLast(({ km }) => km < at - 1e-9))
        else go(at - step)
        break
      case 'PageDown':
        go(at + span / 2)
        break
      case 'PageUp':
        go(at - span / 2)
        break
      case 'Home':
        go(0)
        break
      case 'End':
        go(strip.totalKm)
        break
      case '+':
      case '=':
        setSeen(zoomView(view, at, CLOSER, end))
        break
      case '-':
        setSeen(zoomView(view, at, 1 / CLOSER, end))
        break
      case '0':
        setSeen({ from: 0, to: end })
        break
      case 'Enter':
        open(mark)
        break
      default:
        return
    }
    event.preventDefault()
  }

  const find = (id: string) => entries.find((entry) => entry.id === id)
  const here = cursor ?? strip.totalKm
  const place = sayPlace(picture, here, units, now)
  const sentence = mark ? `${sayMark(mark, garage, units, now, find)} ${place}` : place
  const middle = (view.from + view.to) / 2
  const whole = view.from <= 0 && view.to >= end
  return (
    <div className="strip-print">
      <div ref={box} className="relative">
        <canvas
          ref={canvas}
          role="slider"
          tabIndex={0}
          aria-label="Place on the road"
          aria-valuemin={0}
          aria-valuemax={Math.round(end)}
          aria-valuenow={Math.round(here)}
          aria-valuetext={sentence}
          aria-describedby={help}
          className="block w-full cursor-crosshair touch-pan-y select-none"
          style={{ height: frame.height }}
          onPointerDown={onPointerDown}
          onPointerMove={onPointerMove}
          onPointerUp={onPointerUp}
          onPointerCancel={(event) => fingers.current.delete(event.pointerId)}
          onDoubleClick={(event) =>
            setSeen(zoomView(view, kmOfX(frame, view, event.nativeEvent.offsetX), 0.4, end))
          }
          onKeyDown={onKeyDown}
        />
      </div>
      <div className="mt-1 flex flex-wrap items-start gap-x-6 gap-y-2">
        <p className="min-h-12 min-w-0 flex-1 basis-80 text-[0.95rem]">
          {sentence}
          {mark && (
            <Button look="link" className="ml-2" onClick={() => open(mark)}>
              Open it
            </Button>
          )}
        </p>
        <div className="no-print flex gap-1.5">
          <Button aria-label="Closer" onClick={() => setSeen(zoomView(view, cursor ?? middle, CLOSER, end))}>
            <ZoomIn aria-hidden="true" className="size-5" />
          </Button>
          <Button
            aria-label="Further"
            disabled={whole}
            onClick={() => setSeen(zoomView(view, cursor ?? middle, 1 / CLOSER, end))}
          >
            <ZoomOut aria-hidden="true" className="size-5" />
          </Button>
          <Button disabled={whole} onClick={() => setSeen({ from: 0, to: end })}>
            Whole road
          </Button>
          <Button aria-label="Print the road" className="max-sm:hidden" onClick={() => window.print()}>
            <Printer aria-hidden="true" className="size-5" />
          </Button>
        </div>
      </div>
      <p id={help} className="no-print text-sm text-steel">
        Drag to move; pinch, Ctrl and wheel, or + and − to zoom; arrows walk, with Shift from mark to mark;
        Enter opens.
      </p>
    </div>
  )
}
