import type { ReactNode } from 'react'
import type { Instrument, LimitResult } from '../../core/measure/reading.ts'
import { words } from '../../words/ui/drawings/instrument-picture.ts'

const PITCH = 26
const ROLLERS = 9
const Y = 46

/** A run of chain seen from the side. */
function Run({ lift }: { readonly lift?: (i: number) => number }) {
  const y = (i: number) => Y - (lift?.(i) ?? 0)
  return (
    <g>
      {Array.from({ length: ROLLERS - 1 }, (_, i) => (
        <line
          key={i}
          x1={20 + i * PITCH}
          y1={y(i)}
          x2={20 + (i + 1) * PITCH}
          y2={y(i + 1)}
          className={i % 2 === 0 ? 'stroke-ink' : 'stroke-steel'}
          strokeWidth={i % 2 === 0 ? 15 : 9}
          strokeLinecap="round"
        />
      ))}
      {Array.from({ length: ROLLERS }, (_, i) => (
        <circle key={i} cx={20 + i * PITCH} cy={y(i)} r={3.2} className="fill-paper" />
      ))}
    </g>
  )
}

const TOOL = 'fill-petrol/25 stroke-petrol'

/** How far a tip stands in the chain for each answer of a side. */
const DEPTH: Readonly<Record<LimitResult, number>> = { clear: 0, 'not-in': 0, starts: 7, drops: 17 }

/** A drop-in gauge: a bar with a hook at one end, a tip at the other, and for some a third contact beside the hook. */
function DropIn({ contacts, result }: { readonly contacts: 2 | 3; readonly result: LimitResult }) {
  const tilt = 17 - DEPTH[result]
  const tip = 20 + 6.5 * PITCH
  return (
    <g className={TOOL} strokeWidth={1.5} strokeLinejoin="round">
      <path
        d={`M${20 + PITCH * 0.3} 12H${tip + 14}V${12 - tilt * 0.4}L${tip + 4} ${20 - tilt}V${36 + DEPTH[result] - tilt * 0.2}l-4 6l-4 -6V${20 - tilt}L${20 + PITCH * 0.9} 20V34l-5 8l-5 -8V20H${20 + PITCH * 0.3}Z`}
      />
      {contacts === 3 && <path d={`M${20 + PITCH * 2.4} 18h9v18l-4.5 6l-4.5 -6Z`} />}
      <text x={tip} y={84} className="fill-ink stroke-none text-[11px]" textAnchor="middle">
        {result === 'drops' ? words.seats : result === 'starts' ? words.enters : words.staysOut}
      </text>
    </g>
  )
}

function Rule({ vernier }: { readonly vernier: boolean }) {
  return (
    <g>
      <rect x={20} y={60} width={222} height={18} className={TOOL} strokeWidth={1.2} />
      {Array.from({ length: 23 }, (_, i) => (
        <line
          key={i}
          x1={20 + i * 10}
          x2={20 + i * 10}
          y1={60}
          y2={i % 5 === 0 ? 70 : 65}
          className="stroke-petrol"
          strokeWidth={1}
        />
      ))}
      {vernier && (
        <path d="M196 78v10M201 78v7M206 78v7M211 78v7M216 78v10" className="stroke-rust" strokeWidth={1.2} />
      )}
      <path d="M20 40V60M228 40V60" className="stroke-rust" strokeWidth={1.4} strokeDasharray="3 2" />
    </g>
  )
}

function Caliper() {
  return (
    <g className={TOOL} strokeWidth={1.4} strokeLinejoin="round">
      <path d="M34 4H250V14H44V40l-5 6l-5 -6Z" />
      <path d="M206 14h12V40l-6 6l-6 -6Z" />
      <path d="M6 70H232V80H18V58l-6 -8l-6 8Z" />
      <path d="M222 70V56l7 -8l7 8V80H222" />
      <text x={126} y={28} className="fill-ink stroke-none text-[11px]" textAnchor="middle">
        {words.insidePushedApart}
      </text>
      <text x={126} y={66} className="fill-ink stroke-none text-[11px]" textAnchor="middle">
        {words.outsidePushedTogether}
      </text>
    </g>
  )
}

function Dial({ percent, contacts }: { readonly percent: number; readonly contacts: 2 | 3 }) {
  const turn = Math.max(0, Math.min(1.2, percent)) * 60 - 36
  return (
    <g>
      <DropIn contacts={contacts} result="drops" />
      <g transform={`rotate(${turn} 126 16)`}>
        <line x1={126} y1={16} x2={126} y2={-4} className="stroke-rust" strokeWidth={2.4} />
      </g>
    </g>
  )
}

function pictureOf(instrument: Instrument, result: LimitResult, percent: number): ReactNode {
  switch (instrument) {
    case 'rule':
    case 'strip':
      return (
        <>
          <Run />
          <Rule vernier={instrument === 'strip'} />
        </>
      )
    case 'caliper-pair':
      return (
        <>
          <Run />
          <Caliper />
        </>
      )
    case 'two-contact-limit':
    case 'three-contact-limit':
      return (
        <>
          <Run />
          <DropIn contacts={instrument === 'two-contact-limit' ? 2 : 3} result={result} />
        </>
      )
    case 'two-contact-scale':
    case 'three-contact-scale':
      return (
        <>
          <Run />
          <Dial percent={percent} contacts={instrument === 'two-contact-scale' ? 2 : 3} />
        </>
      )
    case 'ring-lift':
      return (
        <>
          <path d="M10 92Q126 30 242 92" fill="none" className="stroke-hairline" strokeWidth={16} />
          <Run lift={(i) => 18 * Math.exp(-(((i - 4) / 1.6) ** 2)) - 10} />
          <path d="M124 20V2m-5 6l5 -7l5 7" fill="none" className="stroke-rust" strokeWidth={2} />
        </>
      )
    case 'side-play':
      return (
        <>
          <Run lift={(i) => -0.55 * (i - 1) ** 2 + 14} />
          <path d="M236 10q12 18 2 40m-6 -5l6 6l3 -8" fill="none" className="stroke-rust" strokeWidth={2} />
        </>
      )
  }
}

interface Props {
  readonly instrument: Instrument
  /** For a gauge with sides: what its side did. */
  readonly result?: LimitResult
  /** For a gauge with a scale: where it points, %. */
  readonly percent?: number
}

/** How an instrument sits in the chain. The words beside it say the same. */
export function InstrumentPicture({ instrument, result = 'clear', percent = 0 }: Props) {
  return (
    <svg viewBox="0 -8 256 104" aria-hidden="true" className="w-full max-w-72 shrink-0">
      {pictureOf(instrument, result, percent)}
    </svg>
  )
}
