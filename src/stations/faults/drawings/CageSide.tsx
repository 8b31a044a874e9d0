import { words } from '../../../words/stations/faults/drawings/cage-side.ts'
interface Props {
  readonly shows: 'tab' | 'stiff-link' | 'pulleys' | 'gap'
  readonly label: string
}

/** The derailleur from the right side: two pulleys, the cage with its tab, and the chain through it. */
export function CageSide({ shows, label }: Props) {
  return (
    <svg viewBox="0 0 240 220" role="img" aria-label={label} className="w-full max-w-[15rem]">
      {/* Part of the cog above. */}
      <path
        d="M58 0a62 62 0 0 0 124 0"
        fill="none"
        className="stroke-steel"
        strokeWidth={9}
        strokeDasharray="6 4"
      />
      {/* The cage between the pulleys. */}
      <path d="M112 92l-16 84M136 92l-16 84" className="stroke-steel" strokeWidth={5} strokeLinecap="round" />
      <circle
        cx={124}
        cy={90}
        r={20}
        className="fill-raised stroke-ink"
        strokeWidth={5}
        strokeDasharray="5 3.5"
      />
      <circle
        cx={108}
        cy={176}
        r={20}
        className="fill-raised stroke-ink"
        strokeWidth={5}
        strokeDasharray="5 3.5"
      />
      <circle cx={124} cy={90} r={4} className="fill-ink" />
      <circle cx={108} cy={176} r={4} className="fill-ink" />
      {/* The chain: down from the cog, round the front of the upper pulley, the back of the lower one, and away. */}
      <path
        d="M62 20C74 66 146 58 148 92C148 120 84 140 84 176C84 196 100 202 122 198L236 178"
        fill="none"
        className="stroke-ink"
        strokeWidth={4.5}
        strokeDasharray="8 2.5"
      />
      {shows === 'tab' && (
        <>
          <rect x={108} y={129} width={20} height={8} rx={2} className="fill-rust" />
          <path d="M206 126h-70" className="stroke-ochre" strokeWidth={1.5} />
          <text x={238} y={120} textAnchor="end" className="fill-ink text-[13px]">
            {words.theTab}
          </text>
        </>
      )}
      {shows === 'stiff-link' && (
        <>
          <path
            d="M158 191l14-13l16 8"
            fill="none"
            className="stroke-rust"
            strokeWidth={7}
            strokeLinejoin="round"
          />
          <text x={174} y={166} textAnchor="middle" className="fill-ink text-[13px]">
            {words.staysBent}
          </text>
        </>
      )}
      {shows === 'gap' && (
        <>
          <path d="M122 63v6" className="stroke-rust" strokeWidth={12} />
          <path d="M192 66h-58" className="stroke-ochre" strokeWidth={1.5} />
          <text x={238} y={60} textAnchor="end" className="fill-ink text-[13px]">
            {words.theGap}
          </text>
        </>
      )}
      {shows === 'pulleys' && (
        <g className="stroke-ochre" strokeWidth={2.5} fill="none">
          <path d="M24 176h30m-8-6l8 6l-8 6M32 176m0-6l-8 6l8 6" />
          <path d="M40 90h30m-8-6l8 6l-8 6M48 90m0-6l-8 6l8 6" />
        </g>
      )}
    </svg>
  )
}
