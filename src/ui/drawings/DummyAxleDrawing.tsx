import { words } from '../../words/ui/drawings/dummy-axle-drawing.ts'
/** A bolt, a hose and two washers in place of the wheel, and two brushes bound face to face: seen from behind and from the side. */
export function DummyAxleDrawing() {
  const bristles = Array.from({ length: 9 }, (_, i) => 224 + 9 * i)
  return (
    <svg viewBox="0 0 340 150" role="img" aria-label={words.leftBetweenTheTwo} className="w-full max-w-lg">
      {/* The ends of the frame, the bolt through both, the nut. */}
      <path d="M28 14v86M118 14v86" className="stroke-ink" strokeWidth={9} strokeLinecap="round" />
      <path d="M12 58h122" className="stroke-steel" strokeWidth={6} />
      <path d="M8 46v24M132 48v20" className="stroke-ink" strokeWidth={7} />
      {/* Washers and hose. */}
      <path d="M44 40v36M102 40v36" className="stroke-petrol" strokeWidth={5} />
      <rect
        x={48}
        y={47}
        width={50}
        height={22}
        rx={4}
        className="fill-ochre/60 stroke-ochre"
        strokeWidth={1.5}
      />
      {/* The chain over the hose, running forward. */}
      <path
        d="M68 132V47a5 5 0 0 1 10 0v85"
        fill="none"
        className="stroke-ink"
        strokeWidth={5}
        strokeDasharray="7 3"
      />
      <text x={73} y={146} textAnchor="middle" className="fill-steel text-[11px]">
        {words.boltHoseTwoWashers}
      </text>
      {/* Two brushes, bristles inward, a band round the handles, the chain between. */}
      <rect x={216} y={16} width={90} height={12} rx={3} className="fill-petrol" />
      <rect x={216} y={94} width={90} height={12} rx={3} className="fill-petrol" />
      {bristles.map((x) => (
        <path key={x} d={`M${x} 28v28M${x} 94V66`} className="stroke-steel" strokeWidth={3} />
      ))}
      <path d="M200 61h124" className="stroke-ink" strokeWidth={8} strokeDasharray="9 4" />
      <path d="M310 16v90M316 16v90" className="stroke-ochre" strokeWidth={3} />
      <text x={262} y={146} textAnchor="middle" className="fill-steel text-[11px]">
        {words.twoBrushesBoundTogether}
      </text>
    </svg>
  )
}
