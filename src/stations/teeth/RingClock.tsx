import { useId } from 'react'
import { sayFromCrank } from '../../words/crank.ts'
import { words } from '../../words/stations/teeth/ring-clock.ts'

const BOX = 224
const MIDDLE = BOX / 2
/** Where the hours stand, where the ring ends, and how long the crank arm is. */
const [HOURS_AT, RING, ARM] = [94, 70, 62]

const placeOf = (deg: number, radius: number): { readonly x: number; readonly y: number } => ({
  x: MIDDLE + radius * Math.sin((deg * Math.PI) / 180),
  y: MIDDLE - radius * Math.cos((deg * Math.PI) / 180),
})

/** The ring as it is seen from the drive side, its crank arm up, and what is worn most drawn in. */
function RingDrawing({ deg }: { readonly deg: number | undefined }) {
  const [from, to] = [placeOf((deg ?? 0) - 22, RING), placeOf((deg ?? 0) + 22, RING)]
  const pedal = placeOf(0, ARM)
  return (
    <svg viewBox={`0 0 ${BOX} ${BOX}`} aria-hidden="true" className="absolute inset-0">
      <circle
        cx={MIDDLE}
        cy={MIDDLE}
        r={RING}
        fill="none"
        className="stroke-petrol"
        strokeWidth={9}
        strokeDasharray="7 3.5"
      />
      <circle cx={MIDDLE} cy={MIDDLE} r={RING - 7} fill="none" className="stroke-petrol" strokeWidth={4} />
      {deg !== undefined && (
        <path
          d={`M${from.x} ${from.y}A${RING} ${RING} 0 0 1 ${to.x} ${to.y}`}
          fill="none"
          className="stroke-rust"
          strokeWidth={13}
        />
      )}
      <line
        x1={MIDDLE}
        y1={MIDDLE}
        x2={pedal.x}
        y2={pedal.y}
        className="stroke-ink"
        strokeWidth={9}
        strokeLinecap="round"
      />
      <circle cx={MIDDLE} cy={MIDDLE} r={11} className="fill-ink" />
    </svg>
  )
}

interface Props {
  /** Degrees clockwise from the drive-side crank arm; undefined where it is alike all round. */
  readonly deg: number | undefined
  readonly onPick: (deg: number | undefined) => void
}

/** Where on the ring it is worn most, by the clock: tapped on the ring itself. */
export function RingClock({ deg, onPick }: Props) {
  const name = useId()
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-medium">{words.whereIsItWorn}</legend>
      <p className="text-sm text-steel">{words.fromTheDriveSide}</p>
      <div className="relative mx-auto mt-2 size-56">
        <RingDrawing deg={deg} />
        {Array.from({ length: 12 }, (_, hour) => 30 * hour).map((at) => {
          const { x, y } = placeOf(at, HOURS_AT)
          return (
            <label
              key={at}
              style={{ left: x - 17, top: y - 17 }}
              className="absolute grid size-[34px] place-items-center rounded-full text-sm text-steel hover:bg-petrol/10 has-checked:bg-rust has-checked:font-semibold has-checked:text-paper has-focus-visible:outline-3 has-focus-visible:outline-petrol"
            >
              <input
                type="radio"
                name={name}
                checked={deg === at}
                onChange={() => onPick(at)}
                aria-label={sayFromCrank(at)}
                className="absolute inset-0 m-0 size-full cursor-pointer appearance-none rounded-full opacity-0"
              />
              {at === 0 ? 12 : at / 30}
            </label>
          )
        })}
      </div>
      <label className="mt-2 flex min-h-11 items-center justify-center gap-2 text-[0.95rem]">
        <input
          type="radio"
          name={name}
          checked={deg === undefined}
          onChange={() => onPick(undefined)}
          className="size-5 accent-petrol"
        />
        {words.alikeAllRound}
      </label>
    </fieldset>
  )
}
