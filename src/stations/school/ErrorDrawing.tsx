import type { OwnError } from '../../core/school/own-error.ts'
import { words } from '../../words/stations/school/error-drawing.ts'

const [WIDE, HIGH, MIDDLE, REACH] = [280, 60, 140, 0.3]

/** A rider's shift as a mark beside the truth, with how surely it is known, and how far single readings scatter. */
export function ErrorDrawing({ error: { shift, shiftSd, spread } }: { readonly error: OwnError }) {
  const x = (percent: number): number =>
    MIDDLE + (Math.min(REACH, Math.max(-REACH, percent)) / REACH) * (MIDDLE - 8)
  return (
    <svg viewBox={`0 0 ${WIDE} ${HIGH}`} aria-hidden="true" className="w-full">
      <path d={`M8 30H${WIDE - 8}`} className="stroke-hairline" strokeWidth={1.5} />
      <path
        d={`M${x(shift - 1.28 * spread)} 30H${x(shift + 1.28 * spread)}`}
        className="stroke-petrol/40"
        strokeWidth={12}
      />
      <path
        d={`M${x(shift - 1.28 * shiftSd)} 30H${x(shift + 1.28 * shiftSd)}`}
        className="stroke-petrol"
        strokeWidth={5}
      />
      <path d={`M${MIDDLE} 16V44`} className="stroke-ink" strokeWidth={2} />
      <circle cx={x(shift)} cy={30} r={6} className="fill-paper stroke-petrol" strokeWidth={2.5} />
      <text x={MIDDLE} y={11} textAnchor="middle" className="fill-ink text-[11px]">
        {words.true}
      </text>
      <text x={8} y={54} className="fill-steel text-[11px]">
        {words.n03Low}
      </text>
      <text x={WIDE - 8} y={54} textAnchor="end" className="fill-steel text-[11px]">
        {words.n03High}
      </text>
    </svg>
  )
}
