import { isBetweenWhole } from '../../../core/teeth/picture/ends.ts'
import type { MeasuredPicture } from '../../../core/teeth/picture/measure.ts'
import { sayMm } from './say-picture.ts'
import { words } from '../../../words/stations/teeth/picture/round-curve.ts'

const HEIGHT = 56
/** The scale reaches at least so far, mm. */
const LEAST_MM = 0.6

/** Wear round the part: a bar for every valley, those beside a shift aid or out of sight left open. */
export function RoundCurve({ byValley, teeth, valleyExcessMm }: MeasuredPicture) {
  const count = byValley.length
  const most = Math.max(LEAST_MM, ...byValley.filter(Number.isFinite)) * 1.1
  const isCounted = (valley: number): boolean =>
    Number.isFinite(byValley[valley]) && isBetweenWhole(teeth, valley)
  const counted = byValley.filter((_, valley) => isCounted(valley))
  const yOf = (mm: number): number => HEIGHT - (Math.max(0, mm) / most) * HEIGHT
  return (
    <figure>
      <svg
        viewBox={`0 0 ${count * 8} ${HEIGHT}`}
        preserveAspectRatio="none"
        role="img"
        aria-label={words.wearRoundThePart(sayMm(Math.min(...counted)), sayMm(Math.max(...counted)))}
        className="h-14 w-full border-b border-ink"
      >
        {byValley.map((mm, valley) => (
          <rect
            key={valley}
            x={valley * 8 + 1}
            width={6}
            y={yOf(Number.isFinite(mm) ? mm : 0)}
            height={HEIGHT - yOf(Number.isFinite(mm) ? mm : 0)}
            className={isCounted(valley) ? 'fill-petrol' : 'fill-steel/30'}
          />
        ))}
        <line
          x1={0}
          x2={count * 8}
          y1={yOf(valleyExcessMm)}
          y2={yOf(valleyExcessMm)}
          className="stroke-ink"
          strokeDasharray="4 3"
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      <figcaption className="mt-1 text-sm text-steel">
        {words.onceRoundValleyByValley(sayMm(most))}
      </figcaption>
    </figure>
  )
}
