import { words } from '../../../words/stations/faults/drawings/ring-front.ts'
/** The front of the ring with the chain lifted off it by hand. */
export function RingFront({ label }: { readonly label: string }) {
  const teeth = Array.from({ length: 15 }, (_, i) => -0.95 + (1.9 * i) / 14)
  const on = (r: number, a: number): string => `${90 + r * Math.cos(a)} ${110 + r * Math.sin(a)}`
  return (
    <svg viewBox="120 10 150 200" role="img" aria-label={label} className="w-full max-w-[12rem]">
      <path
        d={`M${on(88, -1)}A88 88 0 0 1 ${on(88, 1)}`}
        fill="none"
        className="stroke-steel"
        strokeWidth={8}
      />
      {teeth.map((a) => (
        <path key={a} d={`M${on(90, a)}L${on(101, a)}`} className="stroke-steel" strokeWidth={6} />
      ))}
      {/* Lifted at three o'clock: daylight between the teeth and the chain. */}
      <path
        d={`M${on(106, -1)}Q${on(106, -0.5)} 206 98L212 110L206 122Q${on(106, 0.5)} ${on(106, 1)}`}
        fill="none"
        className="stroke-ink"
        strokeWidth={7}
        strokeDasharray="10 3"
      />
      <path d="M214 110h22m-8-6l8 6l-8 6" fill="none" className="stroke-ochre" strokeWidth={2.5} />
      <path d="M203 90L222 52" className="stroke-ochre" strokeWidth={1.5} />
      <text x={222} y={44} textAnchor="middle" className="fill-ink text-[13px]">
        {words.daylightHere}
      </text>
    </svg>
  )
}
