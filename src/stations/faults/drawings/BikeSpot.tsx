import { BikeOutline } from '../../../ui/drawings/BikeOutline.tsx'

/** Places on a bike seen from the right, in the drawing's own units. */
const SPOTS = {
  saddle: [148, 44],
  post: [151, 74],
  pedals: [206, 152],
  crank: [182, 142],
  bars: [292, 50],
  stem: [280, 52],
  headset: [284, 74],
  rear: [96, 136],
  hub: [96, 136],
  derailleur: [104, 160],
  chain: [140, 148],
  cable: [208, 84],
  front: [310, 136],
  ring: [182, 142],
  battery: [110, 150],
} as const
export type Spot = keyof typeof SPOTS

interface Props {
  readonly spot: Spot
  /** Which way a hand pushes or turns. */
  readonly push?: 'down' | 'sideways' | 'turn' | 'rock'
  readonly label: string
}

const PUSHES = {
  down: 'M0 -44v26m-7-9l7 9l7-9',
  sideways: 'M-46 0h26m-9-7l9 7l-9 7M46 0h-26m9-7l-9 7l9 7',
  turn: 'M-26 -16a30 30 0 0 1 48 -6m1 -13l-1 13l-13 -2',
  rock: 'M-44 -26h88m-9-7l9 7l-9 7M-35 -33l-9 7l9 7',
} as const

/** A bike from the right side, and the place where one looks or lays a hand. */
export function BikeSpot({ spot, push, label }: Props) {
  const [x, y] = SPOTS[spot]
  return (
    <svg viewBox="0 0 400 216" role="img" aria-label={label} className="w-full max-w-[19rem]">
      <BikeOutline />
      <circle cx={x} cy={y} r={18} className="fill-jolt/60 stroke-ink" strokeWidth={2.5} />
      {push && (
        <path
          d={PUSHES[push]}
          transform={`translate(${x} ${y})`}
          fill="none"
          className="stroke-rust"
          strokeWidth={4}
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      )}
    </svg>
  )
}
