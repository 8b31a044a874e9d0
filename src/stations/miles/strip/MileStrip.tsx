import { Printer, ZoomIn, ZoomOut } from 'lucide-react'
import { useCallback, useId, useMemo, useRef } from 'react'
import { useNavigate } from 'react-router'
import type { StripMark } from '../../../core/strategy/mile-strip.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { useScreen, useUnits } from '../../../ui/screen-state.ts'
import { frameFor, kmOfX } from '../../../ui/road/frame.ts'
import type { StripPicture } from '../../../ui/road/picture.ts'
import { addressOf } from './mark-places.ts'
import { sayMarks, sayPlace } from './say-place.ts'
import { paintStrip } from '../../../ui/road/paint.ts'
import { usePainting, usePrinting, useWidth, type Paint } from '../../../ui/road/use-painting.ts'
import { useWheel } from './use-wheel.ts'
import { CLOSER, stripKeys, useStanding, useStripPointers, type Standing } from './use-strip.ts'
import { PRINT_PX } from './print-width.ts'
import { zoomView } from '../../../ui/road/view.ts'
import { words } from '../../../words/stations/miles/strip/mile-strip.ts'

interface Props {
  readonly picture: StripPicture
  /** How far the road is drawn, past today, km. */
  readonly end: number
  readonly topPercent: number
}

function Zoom({ standing, end }: { readonly standing: Standing; readonly end: number }) {
  const { view, cursor, setView } = standing
  const middle = cursor ?? (view.from + view.to) / 2
  const whole = view.from <= 0 && view.to >= end
  return (
    <div className="no-print flex gap-1.5">
      <Button aria-label={words.closer} onClick={() => setView(zoomView(view, middle, CLOSER, end))}>
        <ZoomIn aria-hidden="true" className="size-5" />
      </Button>
      <Button
        aria-label={words.further}
        disabled={whole}
        onClick={() => setView(zoomView(view, middle, 1 / CLOSER, end))}
      >
        <ZoomOut aria-hidden="true" className="size-5" />
      </Button>
      <Button disabled={whole} onClick={() => setView({ from: 0, to: end })}>
        {words.wholeRoad}
      </Button>
      <Button aria-label={words.printTheRoad} className="max-sm:hidden" onClick={() => window.print()}>
        <Printer aria-hidden="true" className="size-5" />
      </Button>
    </div>
  )
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
  const printing = usePrinting()
  const screenWidth = useWidth(box)
  const { strip } = picture
  const width = printing ? PRINT_PX : screenWidth
  const frame = useMemo(() => frameFor(width, strip, topPercent), [width, strip, topPercent])
  const standing = useStanding(end)
  const { cursor, marks, setView } = standing
  const whole = useMemo(() => ({ from: 0, to: end }), [end])
  const view = printing ? whole : standing.view
  const open = (which: readonly StripMark[]) => {
    const address = addressOf(which)
    if (address !== undefined) void navigate(address)
  }
  const paint = useCallback<Paint>(
    (ctx, ink, ratio) => paintStrip(ctx, picture, frame, view, ink, ratio, printing ? undefined : cursor),
    [picture, frame, view, cursor, printing],
  )
  usePainting(canvas, frame, paint, printing, theme)
  useWheel(canvas, frame, view, end, setView)
  const pointers = useStripPointers(picture, standing, frame, end, open)

  const here = cursor ?? strip.totalKm
  const place = sayPlace(picture, here, units, now)
  const [mark] = marks
  const marked = mark && entries.find((entry) => entry.id === mark.entry)
  const sentence = marks.length > 0 ? `${sayMarks(marks, marked, garage, units, now)} ${place}` : place
  return (
    <div>
      <div ref={box}>
        <canvas
          ref={canvas}
          role="slider"
          tabIndex={0}
          aria-label={words.placeOnTheRoad}
          aria-valuemin={0}
          aria-valuemax={Math.round(end)}
          aria-valuenow={Math.round(here)}
          aria-valuetext={sentence}
          aria-describedby={help}
          className={`block cursor-crosshair touch-pan-y select-none ${printing ? 'h-auto max-h-[120mm] w-auto max-w-full' : 'w-full'}`}
          style={printing ? undefined : { height: frame.height }}
          {...pointers}
          onDoubleClick={(event) =>
            setView(zoomView(view, kmOfX(frame, view, event.nativeEvent.offsetX), 0.4, end))
          }
          onKeyDown={stripKeys(strip, standing, end, () => open(marks))}
        />
      </div>
      <div className="mt-1 flex flex-wrap items-start gap-x-6 gap-y-2">
        <p className="min-h-12 min-w-0 flex-1 basis-80 text-[0.95rem]">
          {sentence}
          {marks.length > 0 && (
            <Button look="link" className="no-print ml-2" onClick={() => open(marks)}>
              {marks.length === 1 ? words.openIt : words.openThem}
            </Button>
          )}
        </p>
        <Zoom standing={standing} end={end} />
      </div>
      <p id={help} className="no-print text-sm text-steel">
        <span className="pointer-coarse:hidden">{words.dragToMoveCtrl}</span>
        <span className="pointer-fine:hidden">{words.dragToMovePinch}</span>
      </p>
    </div>
  )
}
