import { VERNIER } from '../../core/measure/strip-marks.ts'

const PX = 22
const HIGH = 96

const Tick = ({ x, mm }: { readonly x: number; readonly mm: number }) => {
  const isFive = Math.round(mm * 2) % 10 === 0
  const isWhole = Number.isInteger(mm)
  return (
    <g>
      <path
        d={`M${x} 48v${isFive ? 20 : isWhole ? 14 : 8}`}
        className="stroke-petrol"
        strokeWidth={isFive ? 2 : 1.3}
      />
      {isFive && (
        <text x={x} y={84} textAnchor="middle" className="fill-ink font-mono text-[13px]">
          {mm}
        </text>
      )}
    </g>
  )
}

interface WindowProps {
  readonly title: string
  /** What lies at the edge of the pin, mm on the scale. */
  readonly atMm: number
  /** Lines of the scale are so far apart, mm. */
  readonly everyMm: number
  readonly hasVernier?: boolean
}

/** One end of a rule or strip, seen through a lens: the edge of the pin over the scale. */
export function ScaleWindow({ title, atMm, everyMm, hasVernier }: WindowProps) {
  const [left, right] = hasVernier ? [1.6, 9.4] : [4.2, 4.2]
  const wide = (left + right) * PX
  const x = (mm: number): number => (mm - atMm + left) * PX
  const first = Math.ceil((atMm - left) / everyMm)
  const last = Math.floor((atMm + right) / everyMm)
  return (
    <figure className="m-0">
      <figcaption className="text-sm text-steel">{title}</figcaption>
      <div>
        <svg
          viewBox={`0 0 ${wide} ${HIGH}`}
          aria-hidden="true"
          className="w-full border border-hairline bg-raised"
        >
          <rect x={0} y={48} width={wide} height={HIGH - 48} className="fill-petrol/10" />
          {Array.from({ length: last - first + 1 }, (_, i) => {
            const mm = (first + i) * everyMm
            return <Tick key={mm} x={x(mm)} mm={mm} />
          })}
          {/* The pin, its right-hand edge on the line. */}
          <circle cx={left * PX - 34} cy={18} r={34} className="fill-steel/50 stroke-ink" strokeWidth={2} />
          <path d={`M${left * PX} 6V${hasVernier ? 30 : 48}`} className="stroke-rust" strokeWidth={2} />
          {hasVernier &&
            Array.from({ length: VERNIER.divisions + 1 }, (_, k) => {
              const at = (left + (k * VERNIER.spanMm) / VERNIER.divisions) * PX
              return (
                <g key={k}>
                  <path d={`M${at} ${k % 5 === 0 ? 28 : 34}V48`} className="stroke-rust" strokeWidth={1.3} />
                  {k % 5 === 0 && (
                    <text x={at + 4} y={26} className="fill-rust font-mono text-[12px]">
                      {k}
                    </text>
                  )}
                </g>
              )
            })}
        </svg>
      </div>
    </figure>
  )
}

/** A dial from 0 to 1.2 %, its hand where the gauge stands. */
export function Dial({ percent }: { readonly percent: number }) {
  const angle = (value: number): number =>
    (-120 + (240 * Math.min(1.25, Math.max(-0.05, value))) / 1.2) * (Math.PI / 180)
  const at = (value: number, radius: number): string =>
    `${120 + radius * Math.sin(angle(value))} ${110 - radius * Math.cos(angle(value))}`
  return (
    <svg viewBox="0 0 240 204" aria-hidden="true" className="w-full max-w-[18rem]">
      <circle cx={120} cy={110} r={88} className="fill-raised stroke-ink" strokeWidth={3} />
      {Array.from({ length: 25 }, (_, i) => {
        const value = i / 20
        const isLong = i % 5 === 0
        return (
          <g key={i}>
            <path
              d={`M${at(value, 82)}L${at(value, isLong ? 66 : 74)}`}
              className="stroke-ink"
              strokeWidth={isLong ? 2 : 1}
            />
            {isLong && (
              <text
                x={120 + 52 * Math.sin(angle(value))}
                y={114 - 52 * Math.cos(angle(value))}
                textAnchor="middle"
                className="fill-ink font-mono text-[12px]"
              >
                {value}
              </text>
            )}
          </g>
        )
      })}
      <path
        d={`M120 110L${at(percent, 78)}`}
        className="stroke-rust"
        strokeWidth={2.5}
        strokeLinecap="round"
      />
      <circle cx={120} cy={110} r={6} className="fill-ink" />
    </svg>
  )
}
