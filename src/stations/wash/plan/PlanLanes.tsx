import type { SessionPlan } from '../../../core/session/plan.ts'
import type { WashStep } from '../../../core/session/wash-steps.ts'
import { STEP_WORDS } from '../../../words/step-words.ts'
import { useNarrow } from '../../../ui/use-narrow.ts'
import { bikeSpans, freeSpans, lanesOf, type HandsSpan, type WaitSpan } from './lanes.ts'
import type { StepTag } from './step-tag.ts'
import { words } from '../../../words/stations/wash/plan/plan-lanes.ts'

const [WIDE, WIDE_NARROW] = [1000, 380]
const LEFT = 84
const HANDS_Y = 26
const HANDS_HIGH = 46
const LANE = 30
/** Room for the names of the bikes under the hands. */
const BIKES_HIGH = 24

interface Props {
  readonly steps: readonly WashStep[]
  readonly plan: SessionPlan
  readonly tagOf: StepTag
  /** Time of day at the end: "16:54". */
  readonly done: string
}

/** Room that a word takes at the drawing's letter size. */
const roomFor = (text: string): number => 6.3 * text.length + 8

/** A wait: ticks for every minute of it, its name before them where there is room. */
function Wait({
  span,
  x,
  y,
}: {
  readonly span: WaitSpan
  readonly x: (min: number) => number
  readonly y: number
}) {
  const [from, to] = [x(span.fromMin), x(span.toMin)]
  const isNamed = to - from > roomFor(span.name)
  return (
    <g>
      <title>{words.min(span.name, span.toMin - span.fromMin)}</title>
      <line
        x1={from}
        x2={to}
        y1={y}
        y2={y}
        className="stroke-petrol"
        strokeWidth={10}
        strokeDasharray="2.4 3"
      />
      {isNamed && (
        <>
          <rect x={from + 2} y={y - 8} width={roomFor(span.name)} height={16} className="fill-paper" />
          <text x={from + 6} y={y + 4} className="fill-petrol text-[11px] font-semibold">
            {span.name}
          </text>
        </>
      )}
    </g>
  )
}

/** The lane of hands: its steps, its free minutes, and below it which bike hands are at. */
function Hands({
  hands,
  minutes,
  x,
  tagOf,
}: {
  readonly hands: readonly HandsSpan[]
  readonly minutes: number
  readonly x: (min: number) => number
  readonly tagOf: StepTag
}) {
  const scale = x(1) - x(0)
  return (
    <>
      {hands.map(({ step, name, fromMin, toMin }) => {
        const width = Math.max(1.5, (toMin - fromMin) * scale - 1.5)
        const { short } = STEP_WORDS[step.kind]
        const label = [short + name, short].find((text) => width > roomFor(text))
        return (
          <g key={step.id}>
            <title>{words.min2(STEP_WORDS[step.kind].name, name, step.handsMin)}</title>
            <rect
              x={x(fromMin)}
              y={HANDS_Y}
              width={width}
              height={HANDS_HIGH}
              className={step.worth === undefined ? 'fill-ink' : 'fill-steel'}
            />
            {label !== undefined && (
              <text
                x={x(fromMin) + width / 2}
                y={HANDS_Y + HANDS_HIGH / 2 + 4}
                textAnchor="middle"
                className="fill-paper text-[11px] font-semibold"
              >
                {label}
              </text>
            )}
          </g>
        )
      })}
      {freeSpans(hands, minutes).map(({ fromMin, toMin }) => {
        const text = [words.freeMin(toMin - fromMin), words.free].find(
          (one) => (toMin - fromMin) * scale > roomFor(one),
        )
        return (
          text !== undefined && (
            <text
              key={fromMin}
              x={(x(fromMin) + x(toMin)) / 2}
              y={HANDS_Y + HANDS_HIGH / 2 + 4}
              textAnchor="middle"
              className="fill-steel text-[11px]"
            >
              {text}
            </text>
          )
        )
      })}
      {bikeSpans(hands).map(({ bike, fromMin, toMin }) => {
        const y = HANDS_Y + HANDS_HIGH + 6
        const name = tagOf({ bike })
        return (
          <g key={fromMin}>
            <title>{name}</title>
            <path
              d={`M${x(fromMin) + 0.5} ${y}v5H${x(toMin) - 2}v-5`}
              className="fill-none stroke-steel"
              strokeWidth={1.2}
            />
            {(toMin - fromMin) * scale > roomFor(name) - 8 && (
              <text
                x={(x(fromMin) + x(toMin)) / 2}
                y={y + 17}
                textAnchor="middle"
                className="fill-ink text-[11px]"
              >
                {name}
              </text>
            )}
          </g>
        )
      })}
    </>
  )
}

/** The wash as lanes: hands on top, and below them everything that goes on by itself; the list beside it says the same. */
export function PlanLanes({ steps, plan, tagOf, done }: Props) {
  const isNarrow = useNarrow()
  const wide = isNarrow ? WIDE_NARROW : WIDE
  const { hands, waits } = lanesOf(steps, plan, tagOf)
  const bikesHigh = bikeSpans(hands).length > 0 ? BIKES_HIGH : 0
  const high = HANDS_Y + HANDS_HIGH + bikesHigh + 22 + LANE * waits.length + 30
  const scale = (wide - LEFT - 16) / Math.max(1, plan.minutes)
  const x = (min: number): number => LEFT + min * scale
  const every = plan.minutes > 60 ? (isNarrow ? 30 : 10) : isNarrow ? 10 : 5
  const marks = Array.from({ length: Math.floor(plan.minutes / every) + 1 }, (_, i) => i * every)
  const bottom = high - 22
  return (
    <svg
      viewBox={`0 0 ${wide} ${high}`}
      role="img"
      aria-label={words.minutesALaneOfHands(plan.minutes)}
      className="w-full"
    >
      {marks.map((min) => (
        <g key={min}>
          <line
            x1={x(min)}
            x2={x(min)}
            y1={18}
            y2={bottom}
            className="stroke-hairline"
            strokeDasharray="1 4"
          />
          <text x={x(min)} y={11} textAnchor="middle" className="fill-steel font-mono text-[11px]">
            {min}
          </text>
        </g>
      ))}
      <text x={0} y={HANDS_Y + HANDS_HIGH / 2 + 4} className="fill-ink text-[12px] font-semibold">
        {words.hands}
      </text>
      <Hands hands={hands} minutes={plan.minutes} x={x} tagOf={tagOf} />
      {waits.map(({ lane, spans }, i) => {
        const y = HANDS_Y + HANDS_HIGH + bikesHigh + 26 + LANE * i
        return (
          <g key={`${lane} ${i}`}>
            {(i === 0 || waits[i - 1]?.lane !== lane) && (
              <text x={0} y={y + 4} className="fill-steel text-[12px]">
                {lane}
              </text>
            )}
            {spans.map((span) => (
              <Wait key={span.step.id} span={span} x={x} y={y} />
            ))}
          </g>
        )
      })}
      <line
        x1={x(plan.minutes)}
        x2={x(plan.minutes)}
        y1={18}
        y2={bottom}
        className="stroke-ink"
        strokeWidth={2}
      />
      <text x={x(plan.minutes)} y={high - 6} textAnchor="end" className="fill-ink text-[12px] font-semibold">
        {done}
      </text>
    </svg>
  )
}
