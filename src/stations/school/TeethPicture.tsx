import { useId, useMemo } from 'react'
import type { TeethSetup } from '../../core/school/teeth-lesson.ts'
import { shiftAidRack, toothRack, type Rack } from '../../core/teeth/rack.ts'
import { words } from '../../words/stations/school/teeth-picture.ts'
import { ROLE_NAMES } from '../../words/names.ts'

const RIM_MM = 3

const lineOf = ({ outline }: Rack, heightMm: number, fromMm: number): string =>
  outline.map(({ x, y }) => `${(x + fromMm).toFixed(2)} ${(heightMm - y).toFixed(2)}`).join('L')

interface Props {
  readonly setup: TeethSetup
  /** A profile laid over the teeth, its valleys so much wider than new, mm. */
  readonly matchMm?: number
  /** The truth is told: new teeth are drawn over them, and shift aids are pale. */
  readonly isTold: boolean
}

/** A rim of teeth laid flat, in changing light and with some dirt, no two worn alike. */
export function TeethPicture({ setup, matchMm, isTold }: Props) {
  const id = useId()
  const { teeth, role, excessMm, aids, lightDeg, dirt } = setup
  const drawn = useMemo(() => {
    const fresh = toothRack(teeth, role, 0, 1)
    const aid = shiftAidRack(teeth)
    const racks = excessMm.map((mm, i) => (aids.includes(i) ? aid : toothRack(teeth, role, mm, 1)))
    return { fresh, racks, pitchMm: fresh.lengthMm, heightMm: fresh.heightMm }
  }, [teeth, role, excessMm, aids])
  const { fresh, racks, pitchMm, heightMm } = drawn
  const wide = pitchMm * racks.length
  const low = heightMm + RIM_MM
  const match = matchMm === undefined ? undefined : toothRack(teeth, role, matchMm, 1)
  const toothPath = (rack: Rack, i: number): string =>
    `M${i * pitchMm} ${low}L${i * pitchMm} ${heightMm}L${lineOf(rack, heightMm, i * pitchMm)}L${(i + 1) * pitchMm} ${heightMm}L${(i + 1) * pitchMm} ${low}Z`
  const light = (lightDeg * Math.PI) / 180
  return (
    <svg
      viewBox={`-1 -1.5 ${(wide + 2).toFixed(2)} ${(low + 2).toFixed(2)}`}
      role="img"
      aria-label={words.teethOfATooth(racks.length, teeth, ROLE_NAMES[role])}
      className="w-full max-w-[60rem]"
    >
      <defs>
        <linearGradient
          id={`${id}-light`}
          x1={0.5 - 0.5 * Math.cos(light)}
          y1={1 - Math.sin(light)}
          x2={0.5 + 0.5 * Math.cos(light)}
          y2={Math.sin(light)}
        >
          <stop offset="0" stopColor="#dfe3e1" />
          <stop offset="0.5" stopColor="#8f9a9c" />
          <stop offset="1" stopColor="#4a565b" />
        </linearGradient>
        <clipPath id={`${id}-metal`}>
          <path d={racks.map(toothPath).join('')} />
        </clipPath>
      </defs>
      {racks.map((rack, i) => (
        <path
          key={i}
          d={toothPath(rack, i)}
          fill={`url(#${id}-light)`}
          opacity={isTold && aids.includes(i) ? 0.4 : 1}
        />
      ))}
      {/* Dirt lies in the valleys, on the metal only. */}
      <g clipPath={`url(#${id}-metal)`}>
        {Array.from({ length: racks.length + 1 }, (_, i) => (
          <ellipse
            key={i}
            cx={i * pitchMm}
            cy={heightMm + 0.2}
            rx={4.4}
            ry={1.4 + 2.2 * dirt}
            fill="#241f18"
            opacity={0.8 * dirt}
          />
        ))}
      </g>
      {(isTold || match) &&
        racks.map((_, i) => (
          <path
            key={i}
            d={`M${lineOf(isTold ? fresh : (match ?? fresh), heightMm, i * pitchMm)}`}
            fill="none"
            className={isTold ? 'stroke-ink' : 'stroke-rust'}
            strokeWidth={1.6}
            strokeDasharray={isTold ? '4 3' : undefined}
            vectorEffect="non-scaling-stroke"
          />
        ))}
    </svg>
  )
}
