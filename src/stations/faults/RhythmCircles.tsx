import { ROUNDS, type TapAnswer } from '../../core/faults/tap-period.ts'
import { ROUND_NAMES } from '../../words/faults/tap-words.ts'
import { sayChance, sayFigure } from '../../words/numbers.ts'

const [SIZE, R] = [104, 38]

/** For each thing that comes round, one turn of it as a circle and the jerks where they fell: together where it is that one. */
export function RhythmCircles({
  answer,
}: {
  readonly answer: Extract<TapAnswer, { readonly isTold: true }>
}) {
  const { periods, places, chances } = answer
  return (
    <ul className="flex flex-wrap gap-4">
      {ROUNDS.flatMap((round) => {
        const period = periods[round]
        if (period === undefined) return []
        return (
          <li key={round} className="w-32 text-sm leading-tight">
            <svg viewBox={`0 0 ${SIZE} ${SIZE}`} aria-hidden="true" className="w-26">
              <circle
                cx={SIZE / 2}
                cy={SIZE / 2}
                r={R}
                fill="none"
                className="stroke-steel"
                strokeWidth={2}
              />
              {places.map((place, i) => {
                const angle = 2 * Math.PI * (place / period - Math.floor(place / period)) - Math.PI / 2
                return (
                  <circle
                    key={i}
                    cx={SIZE / 2 + R * Math.cos(angle)}
                    cy={SIZE / 2 + R * Math.sin(angle)}
                    r={5}
                    className="fill-rust/60"
                  />
                )
              })}
              <text
                x={SIZE / 2}
                y={SIZE / 2 + 4}
                textAnchor="middle"
                className="fill-ink font-mono text-[13px]"
              >
                {sayFigure(period)}
              </text>
            </svg>
            <p>
              {ROUND_NAMES[round].each}: <span className="text-steel">{sayChance(chances[round])}</span>
            </p>
          </li>
        )
      })}
    </ul>
  )
}
