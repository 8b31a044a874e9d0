import { words } from '../../../words/stations/faults/drawings/barrel-drawing.ts'
/** The barrel at the derailleur and which way a quarter turn goes. */
export function BarrelDrawing({ label }: { readonly label: string }) {
  return (
    <svg viewBox="0 0 240 200" role="img" aria-label={label} className="w-full max-w-[15rem]">
      <path d="M0 100h76" className="stroke-ink" strokeWidth={12} />
      <rect x={76} y={78} width={64} height={44} rx={5} className="fill-raised stroke-ink" strokeWidth={3} />
      {[88, 100, 112, 124].map((x) => (
        <path key={x} d={`M${x} 80v40`} className="stroke-steel" strokeWidth={3} />
      ))}
      <path d="M140 100h24" className="stroke-steel" strokeWidth={9} />
      <rect
        x={164}
        y={66}
        width={60}
        height={68}
        rx={7}
        className="fill-steel/30 stroke-ink"
        strokeWidth={3}
      />
      <path d="M66 56a46 46 0 0 1 84 -4" fill="none" className="stroke-ochre" strokeWidth={3} />
      <path d="M150 52l-13-4m13 4l-1-14" className="stroke-ochre" strokeWidth={3} />
      <text x={108} y={22} textAnchor="middle" className="fill-ink text-[13px]">
        {words.aQuarterTurn}
      </text>
      <path d="M120 146h-40m9-6l-9 6l9 6" fill="none" className="stroke-petrol" strokeWidth={2.5} />
      <text x={78} y={172} textAnchor="middle" className="fill-ink text-[13px]">
        {words.outwardMorePull}
      </text>
      <text x={204} y={160} textAnchor="middle" className="fill-steel text-[12px]">
        {words.derailleur}
      </text>
    </svg>
  )
}
