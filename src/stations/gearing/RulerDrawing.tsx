import { useMemo } from 'react'
import { energyAlong, logRuler } from '../../core/gearing/log-ruler.ts'
import { speedAt } from '../../core/gearing/ratio.ts'
import { useNarrow } from '../../ui/use-narrow.ts'
import { useUnits } from '../../ui/screen-state.ts'
import { sayDevelopment, saySet, saySpeed } from '../../words/gearing-words.ts'
import type { GearingInHand, OnBench } from './use-gearing.ts'
import { words } from '../../words/stations/gearing/ruler-drawing.ts'

const RING_LOOKS = ['stroke-petrol', 'stroke-ochre', 'stroke-rust'] as const
/** The hill’s gear is not drawn below this, m: nobody has one. */
const LEAST_SHOWN_M = 0.8
const [TOP, ROW, ENERGY, PLACES] = [34, 54, 70, 160] as const

interface GearsProps {
  readonly one: OnBench
  readonly baseline: number
  readonly x: (developmentM: number) => number
}

/** The gears of a set-up as strokes on its line: each ring in its own colour and the crossed ones dashed. */
function Gears({ one, baseline, x }: GearsProps) {
  const rings = [...one.set.rings].sort((a, b) => b - a)
  return one.bench.gears.map((gear) => (
    <path
      key={`${gear.ring}x${gear.cog}`}
      d={`M${x(gear.developmentM)} ${baseline}v${gear.isCrossed || gear.isDouble ? -12 : -24}`}
      className={RING_LOOKS[rings.indexOf(gear.ring)] ?? RING_LOOKS[0]}
      strokeWidth={gear.isCrossed ? 2 : 4}
      strokeDasharray={gear.isCrossed ? '3 2' : undefined}
    />
  ))
}

interface MarksProps {
  readonly marks: readonly number[]
  readonly x: (developmentM: number) => number
  readonly bottom: number
  readonly cadenceRpm: number
}

/** The marks of the ruler: how far one turn of the crank goes, and how fast that is. */
function Marks({ marks, x, bottom, cadenceRpm }: MarksProps) {
  const units = useUnits()
  return marks.map((mark) => (
    <g key={mark}>
      <path d={`M${x(mark)} ${TOP - 8}V${bottom}`} className="stroke-hairline" strokeWidth={1} />
      <text x={x(mark)} y={TOP - 16} textAnchor="middle" className="fill-steel font-mono text-[12px]">
        {sayDevelopment(mark, units)
          .replace(/0(\u00a0m)$/, '$1')
          .replace(/[.,]0(\u00a0m)$/, '$1')}
      </text>
      <text x={x(mark)} y={bottom + 18} textAnchor="middle" className="fill-steel font-mono text-[12px]">
        {saySpeed(speedAt(mark, cadenceRpm), units).split('\u00a0')[0]}
      </text>
    </g>
  ))
}

/** The set-ups one under the other on one ruler, with the rider's energy laid under them and the hill marked. */
export function RulerDrawing({ gearing }: { readonly gearing: GearingInHand }) {
  const { onBench, rider, used } = gearing
  const units = useUnits()
  const isNarrow = useNarrow()
  const width = isNarrow ? 360 : 1180
  const [left, right] = [isNarrow ? 6 : 132, 10]
  const needed = (onBench[0]?.hill.neededRatio ?? 0) * (rider.circumferenceMm / 1000)
  const ruler = useMemo(
    () =>
      logRuler([
        ...onBench.flatMap(({ bench }) => [bench.lowest.developmentM, bench.highest.developmentM]),
        Math.max(LEAST_SHOWN_M, needed),
      ]),
    [onBench, needed],
  )
  const heights = useMemo(
    () => (used.length > 0 ? energyAlong(used, rider.circumferenceMm, ruler, PLACES) : []),
    [used, rider.circumferenceMm, ruler],
  )
  // On a phone every figure would touch the next.
  const marks = isNarrow
    ? ruler.marks.filter((mark) => Number.isInteger(Math.log2(mark)) || mark === 3)
    : ruler.marks
  const x = (developmentM: number): number => left + (width - left - right) * ruler.at(developmentM)
  const bottom = TOP + ENERGY + ROW * onBench.length
  const isNeededIn = needed > ruler.fromM && needed < ruler.toM
  const area = heights
    .map(
      (h, i) =>
        `${(left + ((width - left - right) * i) / (PLACES - 1)).toFixed(1)} ${(TOP + ENERGY - 8 - h * (ENERGY - 14)).toFixed(1)}`,
    )
    .join('L')
  const rowLabel = (one: OnBench): string => (one.isOwn ? words.asItIsWith(saySet(one.set)) : one.name)
  return (
    <figure>
      <div>
        <svg
          viewBox={`0 0 ${width} ${bottom + 26}`}
          role="img"
          aria-label={words.gearsOfSetUps(
            onBench.length,
            onBench
              .map((one) =>
                words.to(
                  rowLabel(one),
                  sayDevelopment(one.bench.lowest.developmentM, units),
                  sayDevelopment(one.bench.highest.developmentM, units),
                ),
              )
              .join('; '),
          )}
          className="w-full"
        >
          <Marks marks={marks} x={x} bottom={bottom} cadenceRpm={rider.cadenceRpm} />
          {area !== '' && (
            <path
              d={`M${left} ${TOP + ENERGY - 8}L${area}L${width - right} ${TOP + ENERGY - 8}Z`}
              className="fill-petrol/25"
            />
          )}
          {!isNarrow && (
            <text x={0} y={TOP + ENERGY - 14} className="fill-steel text-[13px]">
              {words.whereYouRide}
            </text>
          )}
          {isNeededIn && (
            <g>
              <path
                d={`M${x(needed)} ${TOP - 8}V${bottom}`}
                className="stroke-rust"
                strokeWidth={2}
                strokeDasharray="6 4"
              />
              <text x={x(needed) + 5} y={TOP + 6} className="fill-rust text-[12px]">
                {words.theHill}
              </text>
            </g>
          )}
          {onBench.map((one, row) => {
            const y = TOP + ENERGY + row * ROW
            return (
              <g key={`${one.name} ${row}`}>
                <text
                  x={0}
                  y={isNarrow ? y + 10 : y + 25}
                  className={`fill-ink stroke-paper text-[13px] ${one.isOwn ? 'font-semibold' : ''}`}
                  strokeWidth={5}
                  paintOrder="stroke"
                >
                  {isNarrow ? rowLabel(one) : one.isOwn ? words.asItIs : one.name}
                </text>
                <path d={`M${left} ${y + 40}H${width - right}`} className="stroke-hairline" strokeWidth={1} />
                <Gears one={one} baseline={y + 40} x={x} />
              </g>
            )
          })}
        </svg>
      </div>
      <figcaption className="text-sm text-steel">
        {words.aboveAtRpmBelow(
          units === 'metric' ? words.metresPerCrankTurn : words.gearInches,
          units === 'metric' ? 'km/h' : words.mph,
          Math.round(rider.cadenceRpm),
        )}
      </figcaption>
    </figure>
  )
}
