import { AREAS, itemOf, type Area, type ItemId } from '../../core/checks/items.ts'
import { BikeOutline } from '../../ui/drawings/BikeOutline.tsx'
import { AREA_NAMES } from '../../words/checks/check-words.ts'
import { words } from '../../words/stations/checks/round-map.ts'

/** Where each part of the round lies on the outline. */
const SPOTS: Readonly<Record<Exclude<Area, 'whole'>, readonly [number, number]>> = {
  rear: [96, 136],
  drivetrain: [116, 170],
  saddle: [149, 52],
  cranks: [182, 142],
  bars: [282, 60],
  front: [310, 136],
}
/** The way of the round: from the rear wheel up, down, up, and down to the front. */
const WAY = 'M96 136Q92 166 116 170Q110 100 149 52Q176 92 182 142Q232 112 282 60Q322 92 310 136'

const inArea = (items: readonly ItemId[], area: Area): readonly ItemId[] =>
  items.filter((id) => itemOf(id).area === area)

interface Props {
  readonly items: readonly ItemId[]
  readonly done: ReadonlySet<ItemId>
  /** Where hands are now. */
  readonly at?: Area
}

/** The round as a path over the bike: what is done, where one is, what is left. */
export function RoundMap({ items, done, at }: Props) {
  const stops = AREAS.filter((area) => inArea(items, area).length > 0)
  const sentence = stops
    .map((area) => {
      const all = inArea(items, area)
      return words.of(AREA_NAMES[area], all.filter((id) => done.has(id)).length, all.length)
    })
    .join('; ')
  return (
    <svg viewBox="0 0 400 216" role="img" aria-label={sentence} className="w-full max-w-[26rem]">
      <g opacity={0.55}>
        <BikeOutline />
      </g>
      <path
        d={WAY}
        fill="none"
        className="stroke-petrol"
        strokeWidth={2.5}
        strokeDasharray="2 7"
        strokeLinecap="round"
      />
      {stops.map((area) => {
        if (area === 'whole') return null
        const [x, y] = SPOTS[area]
        const all = inArea(items, area)
        const count = all.filter((id) => done.has(id)).length
        const isDone = count === all.length
        const isHere = area === at
        return (
          <g key={area}>
            <circle
              cx={x}
              cy={y}
              r={isHere ? 21 : 16}
              className={
                isHere
                  ? 'fill-jolt stroke-ink'
                  : isDone
                    ? 'fill-petrol stroke-petrol'
                    : 'fill-paper stroke-ink'
              }
              strokeWidth={2.5}
            />
            <text
              x={x}
              y={y + 5}
              textAnchor="middle"
              className={`text-[13px] font-semibold ${isHere ? 'fill-on-jolt' : isDone ? 'fill-paper' : 'fill-ink'}`}
            >
              {isDone && !isHere ? '✓' : all.length - count}
            </text>
          </g>
        )
      })}
    </svg>
  )
}
