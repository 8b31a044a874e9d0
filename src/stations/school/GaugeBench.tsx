import { useRef, type KeyboardEvent, type PointerEvent } from 'react'
import { SPAN, type GaugeSetup, type PutOn } from '../../core/school/gauge-lesson.ts'
import { words } from '../../words/stations/school/gauge-bench.ts'

const PITCH_PX = 21
const HIGH = 120
/** So many pitches are seen beside the span. */
const BESIDE = 4

interface Props {
  readonly setup: GaugeSetup
  readonly put: PutOn
  readonly onMove: (links: number) => void
}

/** A stretch of the made-up chain under the instrument: dragged along, or moved link by link with the arrow keys. */
export function GaugeBench({ setup, put, onMove }: Props) {
  const { links, instrument } = setup
  const span = SPAN[instrument]
  const count = span + 2 * BESIDE
  const wide = (count + 1) * PITCH_PX
  const dragged = useRef(0)
  const drag = (event: PointerEvent<SVGSVGElement>): void => {
    if (event.buttons === 0) return
    const { width } = event.currentTarget.getBoundingClientRect()
    dragged.current += (event.movementX * wide) / width / PITCH_PX
    const whole = Math.trunc(dragged.current)
    if (whole === 0) return
    dragged.current -= whole
    onMove(-whole)
  }
  const key = (event: KeyboardEvent): void => {
    const by = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0
    if (by === 0) return
    event.preventDefault()
    onMove(by)
  }
  const x = (i: number): number => (i + 0.5) * PITCH_PX
  // A slack run hangs through between the two sprockets.
  const y = (i: number): number => (put.isTight ? 44 : 44 + 14 * Math.sin((Math.PI * i) / count))
  const linkAt = (i: number): number => (((put.from - BESIDE + i) % links) + links) % links
  const ends = [BESIDE, BESIDE + span] as const
  return (
    <div className="overflow-x-auto">
      <svg
        viewBox={`0 0 ${wide} ${HIGH}`}
        role="slider"
        tabIndex={0}
        aria-label={words.whereOnTheChain}
        aria-valuemin={0}
        aria-valuemax={links - 1}
        aria-valuenow={((put.from % links) + links) % links}
        aria-valuetext={words.linksFromTheJoining(((put.from % links) + links) % links)}
        className={`w-full ${span > 12 ? 'min-w-[34rem]' : 'min-w-[22rem]'} cursor-ew-resize touch-pan-y outline-offset-2 select-none focus-visible:outline-3 focus-visible:outline-petrol`}
        onKeyDown={key}
        onPointerDown={(event) => {
          dragged.current = 0
          event.currentTarget.setPointerCapture(event.pointerId)
        }}
        onPointerMove={drag}
      >
        {Array.from({ length: count }, (_, i) => (
          <line
            key={i}
            x1={x(i)}
            y1={y(i)}
            x2={x(i + 1)}
            y2={y(i + 1)}
            className={linkAt(i) === 0 ? 'stroke-ochre' : linkAt(i) % 2 === 0 ? 'stroke-ink' : 'stroke-steel'}
            strokeWidth={linkAt(i) % 2 === 0 ? 14 : 9}
            strokeLinecap="round"
          />
        ))}
        {Array.from({ length: count + 1 }, (_, i) => (
          <circle key={i} cx={x(i)} cy={y(i)} r={2.8} className="fill-paper" />
        ))}
        {Array.from({ length: count }, (_, i) =>
          linkAt(i) === 0 ? (
            <text
              key={i}
              x={x(i + 0.5)}
              y={y(i) - 18}
              textAnchor="middle"
              className="fill-ochre text-[12px] font-semibold"
            >
              {words.joiningLink}
            </text>
          ) : null,
        )}
        <path
          d={`M${x(ends[0])} 78v-22M${x(ends[1])} 78v-22M${x(ends[0])} 78H${x(ends[1])}v12H${x(ends[0])}Z`}
          className="fill-petrol/25 stroke-petrol"
          strokeWidth={2}
        />
        <text x={x((ends[0] + ends[1]) / 2)} y={108} textAnchor="middle" className="fill-steel text-[12px]">
          {words.pitches(span)}
        </text>
      </svg>
    </div>
  )
}
