interface Props {
  /** Tooth counts, smallest first. */
  readonly cogs: readonly number[]
  /** How the cage hangs. */
  readonly cage: 'under' | 'beside' | 'slanted'
  readonly label: string
}

const [STEP, TOP] = [16, 12]

/** Cogs and derailleur seen from behind: the pulley under its cog or not, the cage straight or slanted. */
export function RearView({ cogs, cage, label }: Props) {
  const largest = Math.max(...cogs, 20)
  const middle = Math.floor(cogs.length / 2)
  // Seen from behind, the smallest cog is on the right.
  const x = (i: number): number => 40 + (cogs.length - 1 - i) * STEP
  const centre = TOP + 58
  const cog = x(middle)
  const off = cage === 'beside' ? 8 : 0
  const tilt = cage === 'slanted' ? 14 : 0
  const width = 80 + cogs.length * STEP
  return (
    <svg viewBox={`0 0 ${width} 220`} role="img" aria-label={label} className="w-full max-w-[15rem]">
      {cogs.map((teeth, i) => {
        const half = (52 * teeth) / largest
        return (
          <rect
            key={i}
            x={x(i) - 2.5}
            y={centre - half}
            width={5}
            height={2 * half}
            rx={1.5}
            className={i === middle ? 'fill-petrol' : 'fill-steel/60'}
          />
        )
      })}
      <path d={`M${cog} ${TOP}V206`} className="stroke-ochre" strokeWidth={1.5} strokeDasharray="5 4" />
      <g transform={`translate(${cog + off} 0) rotate(${tilt} 0 150)`}>
        <rect x={-8} y={128} width={3} height={74} rx={1.5} className="fill-ink" />
        <rect x={5} y={128} width={3} height={74} rx={1.5} className="fill-ink" />
        <rect x={-2} y={124} width={4} height={30} rx={2} className="fill-ink" />
        <rect x={-2} y={174} width={4} height={30} rx={2} className="fill-ink" />
      </g>
    </svg>
  )
}
