import clsx from 'clsx'
import { useId } from 'react'
import type { Interval } from '../../core/stats/interval.ts'
import { words } from '../../words/ui/charts/rate-rows.ts'

/** One quantity: what it was taken to be, and what the readings made of it. */
export interface RateRow {
  readonly name: string
  readonly note: string
  readonly before?: Interval
  readonly after: Interval
  /** The interval in words: "0.15, 0.12 to 0.19". */
  readonly said: string
  /** Nothing was read of it: it is still a guess. */
  readonly guess: boolean
}

interface Props {
  readonly rows: readonly RateRow[]
  /** What the table is of, for those who hear it. */
  readonly caption: string
  /** Written at the marks of the scale. */
  readonly sayMark: (value: number) => string
  readonly marks: readonly number[]
}

const [WIDTH, HEIGHT] = [400, 30]

/** Places on a scale of equal factors, so that twice and half are the same way off. */
function scaleOf(rows: readonly RateRow[], marks: readonly number[]): (value: number) => number {
  const all = [...rows.flatMap(({ before, after }) => [before, after]), undefined]
  const ends = all.flatMap((interval) => (interval ? [interval.p10, interval.p90] : []))
  const low = Math.log(Math.min(...ends, ...marks) * 0.93)
  const high = Math.log(Math.max(...ends, ...marks) * 1.07)
  return (value) => (WIDTH * (Math.log(Math.max(1e-6, value)) - low)) / (high - low)
}

/** Guess and learned beside one another: a thin dashed line for what was thought, a bar for what is known. */
function Bars({ row, x, marks }: { row: RateRow; x: (value: number) => number; marks: readonly number[] }) {
  const { before, after, guess } = row
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      preserveAspectRatio="none"
      aria-hidden="true"
      className="h-[30px] w-full overflow-visible"
    >
      {marks.map((mark) => (
        <line
          key={mark}
          x1={x(mark)}
          x2={x(mark)}
          y1={0}
          y2={HEIGHT}
          stroke="var(--hairline)"
          strokeDasharray="1 4"
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {before && (
        <line
          x1={x(before.p10)}
          x2={x(before.p90)}
          y1={22}
          y2={22}
          stroke="var(--steel)"
          strokeWidth={1.5}
          strokeDasharray="4 3"
          vectorEffect="non-scaling-stroke"
        />
      )}
      {before && <rect x={x(before.p50) - 1} y={17} width={2} height={10} fill="var(--steel)" />}
      {!guess && (
        <>
          <rect
            x={x(after.p10)}
            y={4}
            width={Math.max(2, x(after.p90) - x(after.p10))}
            height={9}
            fill="var(--petrol)"
            opacity={0.35}
          />
          <rect x={x(after.p50) - 1.5} y={1} width={3} height={15} fill="var(--petrol)" />
        </>
      )}
    </svg>
  )
}

/** Rates or multipliers as rows: name, drawing on one scale, figure. */
export function RateRows({ rows, caption, sayMark, marks }: Props) {
  const id = useId()
  const x = scaleOf(rows, marks)
  return (
    <table className="w-full table-fixed text-left">
      <caption className="sr-only">{caption}</caption>
      <thead className="sr-only">
        <tr>
          <th id={`${id}-name`}>{words.what}</th>
          <th>{words.drawn}</th>
          <th>{words.likelyAndWhere8}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.name} className="border-b border-hairline/70 align-middle">
            <th scope="row" className="w-[30%] py-1.5 pr-4 font-normal max-sm:w-[35%] max-sm:pr-2">
              <span className="block leading-tight">{row.name}</span>
              <span className="block text-sm leading-tight text-steel">{row.note}</span>
            </th>
            <td className="py-1.5">
              <Bars row={row} x={x} marks={marks} />
            </td>
            <td className="w-[11.5rem] py-1.5 pl-4 text-[0.95rem] tabular-nums max-sm:w-[6.5rem] max-sm:pl-2">
              {row.said}
              {row.guess && <span className="block text-sm text-steel">{words.stillAGuess}</span>}
            </td>
          </tr>
        ))}
      </tbody>
      <tfoot aria-hidden="true">
        <tr>
          <td />
          <td>
            <div className="relative h-5 font-mono text-[0.7rem] text-steel">
              {marks.map((mark, i) => (
                <span
                  key={mark}
                  className={clsx('absolute top-0 -translate-x-1/2', i % 2 === 1 && 'max-sm:hidden')}
                  style={{ left: `${(100 * x(mark)) / WIDTH}%` }}
                >
                  {sayMark(mark)}
                </span>
              ))}
            </div>
          </td>
          <td />
        </tr>
      </tfoot>
    </table>
  )
}
