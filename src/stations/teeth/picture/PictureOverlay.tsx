import clsx from 'clsx'
import { useEffect, useMemo, useRef, type KeyboardEvent, type PointerEvent } from 'react'
import { sprocketGeometry } from '../../../core/teeth/geometry.ts'
import type { Point } from '../../../core/teeth/outline.ts'
import { laidOutline, valleyAt } from '../../../core/teeth/picture/laid.ts'
import { nudged, project, type Box, type Pose } from '../../../core/teeth/picture/pose.ts'
import type { DecodedPicture } from '../../../ui/pictures/decode.ts'
import { words } from '../../../words/stations/teeth/picture/picture-overlay.ts'

/** Drawn over a picture, whatever the theme. */
const OVER = '#ffd23f'
/** Rings round the worst valleys, mm. */
const RING_MM = 4.6

const pathOf = (points: readonly Point[]): string =>
  `M${points.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`

/** What can be taken hold of, and what moving it does. */
const HANDLES = ['centre', 'edge', 'tip'] as const
type Handle = (typeof HANDLES)[number]
const HANDLE_NAMES: Readonly<Record<Handle, string>> = {
  centre: words.centreMoveIt,
  edge: words.edgeMakeItLarger,
  tip: words.tipTurnIt,
}

/** Where a handle lies, pixels of the picture. */
function handleAt(handle: Handle, teeth: number, pose: Pose): Point {
  const at = new Float64Array(6)
  const shape = sprocketGeometry(teeth)
  const [radius, angle] =
    handle === 'centre'
      ? [0, 0]
      : handle === 'edge'
        ? [shape.rootDiameterMm / 2, 0]
        : // A quarter of the way round, so that neither lies on the other.
          [(shape.tipMinMm + shape.tipMaxMm) / 4, ((2 * Math.round(teeth / 4) + 1) * Math.PI) / teeth]
  project(pose, radius * Math.cos(angle), radius * Math.sin(angle), at)
  return { x: at[0] as number, y: at[1] as number }
}

/** The pose after a handle was taken from one place to another. */
function dragged(handle: Handle, pose: Pose, from: Point, to: Point): Pose {
  if (handle === 'centre') return nudged(pose, { x: to.x - from.x, y: to.y - from.y })
  const [cx, cy] = [pose[2] as number, pose[5] as number]
  if (handle === 'edge') {
    const size = Math.hypot(to.x - cx, to.y - cy) / Math.max(1, Math.hypot(from.x - cx, from.y - cy))
    return nudged(pose, { size: Math.min(4, Math.max(0.25, size)) })
  }
  return nudged(pose, { turn: Math.atan2(to.y - cy, to.x - cx) - Math.atan2(from.y - cy, from.x - cx) })
}

const STEP_PX = 1
const LONG_STEP_PX = 10
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

/** The pose after an arrow key on a handle; undefined for another key. */
function keyed(handle: Handle, pose: Pose, { key, shiftKey }: KeyboardEvent): Pose | undefined {
  const arrow = ARROWS[key]
  if (!arrow) return undefined
  const px = shiftKey ? LONG_STEP_PX : STEP_PX
  const [dx, dy] = arrow
  if (handle === 'centre') return nudged(pose, { x: dx * px, y: dy * px })
  const radius = Math.hypot(pose[0] as number, pose[3] as number) * 40
  const by = ((dx - dy) * px) / radius
  return handle === 'edge' ? nudged(pose, { size: 1 + by }) : nudged(pose, { turn: by })
}

interface Props {
  readonly picture: DecodedPicture
  readonly name: string
  readonly teeth: number
  readonly pose: Pose | undefined
  readonly worn: readonly [number, number]
  /** Valleys that are marked as the worst. */
  readonly worst: readonly number[]
  /** The part of the picture that is shown, in its pixels. */
  readonly view: Box
  /** Where the hand has laid it: the handles are there. */
  readonly laid?: Pose
  /** Told of every move; the last of a row of moves is one that ends it. Absent: the outline cannot be moved. */
  readonly onMove?: (pose: Pose, isOver: boolean) => void
}

/** The outline as it is, drawn so that it shows on light and dark alike; as new, dashed; the worst valleys ringed. */
function Lines({
  view,
  teeth,
  pose,
  worn,
  worst,
}: Pick<Props, 'teeth' | 'worn' | 'worst'> & {
  readonly view: Box
  readonly pose: Pose
}) {
  const { now, fresh, ringPx } = useMemo(
    () => ({
      now: pathOf(laidOutline(teeth, pose, worn)),
      fresh: pathOf(laidOutline(teeth, pose, [0, 0])),
      ringPx: Math.hypot(pose[0] as number, pose[3] as number) * RING_MM,
    }),
    [teeth, pose, worn],
  )
  const line = { fill: 'none', vectorEffect: 'non-scaling-stroke' } as const
  return (
    <svg
      viewBox={`${view.x} ${view.y} ${view.width} ${view.height}`}
      aria-hidden="true"
      className="pointer-events-none absolute inset-0 size-full"
    >
      <path {...line} d={fresh} stroke="white" strokeOpacity={0.9} strokeDasharray="4 3" />
      <path {...line} d={now} stroke="black" strokeOpacity={0.55} strokeWidth={3.4} />
      <path {...line} d={now} stroke={OVER} strokeWidth={1.6} />
      {worst.map((valley) => {
        const { x, y } = valleyAt(teeth, pose, valley)
        return <circle key={valley} {...line} cx={x} cy={y} r={ringPx} stroke={OVER} strokeWidth={2} />
      })}
    </svg>
  )
}

/** The picture with the outline laid over it: as worn in full, as new dashed, the worst valleys ringed. */
export function PictureOverlay({ picture, name, teeth, pose, worn, worst, view, laid, onMove }: Props) {
  const { canvas } = picture
  const { x: left, y: top, width, height } = view
  const place = useRef<HTMLDivElement>(null)
  const held = useRef<{ readonly handle: Handle; readonly from: Point } | undefined>(undefined)
  const shown = useRef<HTMLCanvasElement>(null)
  useEffect(() => {
    shown.current?.getContext('2d')?.drawImage(canvas, -left, -top)
  }, [canvas, left, top, width, height])
  const pointIn = (event: PointerEvent): Point => {
    const box = place.current?.getBoundingClientRect()
    if (!box) return { x: 0, y: 0 }
    return {
      x: left + ((event.clientX - box.left) / box.width) * width,
      y: top + ((event.clientY - box.top) / box.height) * height,
    }
  }
  const moveTo = (event: PointerEvent, isOver: boolean): void => {
    const grip = held.current
    if (!grip || !laid) return
    const to = pointIn(event)
    onMove?.(dragged(grip.handle, laid, grip.from, to), isOver)
    held.current = isOver ? undefined : { ...grip, from: to }
  }
  return (
    <div ref={place} className="relative select-none">
      <canvas
        ref={shown}
        width={width}
        height={height}
        role="img"
        aria-label={words.yourPictureOf(name)}
        className="block h-auto w-full"
      />
      {pose && <Lines view={view} teeth={teeth} pose={pose} worn={worn} worst={worst} />}
      {laid &&
        onMove &&
        HANDLES.map((handle) => {
          const { x, y } = handleAt(handle, teeth, laid)
          return (
            <button
              key={handle}
              type="button"
              aria-label={HANDLE_NAMES[handle]}
              title={HANDLE_NAMES[handle]}
              style={{ left: `${(100 * (x - left)) / width}%`, top: `${(100 * (y - top)) / height}%` }}
              className={clsx(
                'absolute grid size-11 -translate-x-1/2 -translate-y-1/2 cursor-grab touch-none place-items-center',
                'before:block before:border-2 before:border-black before:bg-white before:content-[""]',
                handle === 'centre' && 'before:size-4 before:rounded-full',
                handle === 'edge' && 'before:size-4',
                handle === 'tip' && 'before:size-3.5 before:rotate-45',
              )}
              onPointerDown={(event) => {
                event.currentTarget.setPointerCapture(event.pointerId)
                held.current = { handle, from: pointIn(event) }
              }}
              onPointerMove={(event) => moveTo(event, false)}
              onPointerUp={(event) => moveTo(event, true)}
              onPointerCancel={() => {
                held.current = undefined
              }}
              onKeyDown={(event) => {
                const next = keyed(handle, laid, event)
                if (!next) return
                event.preventDefault()
                onMove(next, true)
              }}
            />
          )
        })}
    </div>
  )
}
