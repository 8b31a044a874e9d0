import { useRef } from 'react'
import { Link } from 'react-router'
import type { BikeId } from '../../core/log/entry.ts'
import type { Reminder } from '../../core/strategy/reminders.ts'
import { addDays } from '../../core/units/days.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { RoadTextures } from '../../ui/drawings/RoadTextures.tsx'
import { useWidth } from '../../ui/road/use-painting.ts'
import { DUE_MARKS } from '../../ui/road/marks.ts'
import { bikeChosen, useSend, useUnits } from '../../ui/screen-state.ts'
import { bikeOf, sayReminderDay, sayToDo, sayWhen } from '../../words/ahead.ts'
import { sayDay } from '../../words/numbers.ts'
import { reminderId } from './calendar-items.ts'
import { REMINDER_PLACES } from './reminder-places.ts'
import { layWeeks, type LaidReminder, type WeekLane } from './weeks.ts'
import { words } from '../../words/stations/today/weeks-ahead.ts'

const LANE_PX = 34
const TOP_PX = 30
const NARROW_PX = 560

const TONES: Readonly<Record<Reminder['kind'], string>> = {
  look: 'stroke-petrol fill-none',
  lube: 'fill-petrol stroke-paper',
  swap: 'fill-rust stroke-paper',
  event: 'stroke-petrol',
  advice: 'fill-none stroke-petrol',
  check: 'fill-none stroke-petrol',
  finding: 'fill-none stroke-rust',
  wearing: 'fill-none stroke-petrol',
}

/** One thing to do: its mark, its word where there is room, and the way there. */
function DueMark({
  laid: { reminder, x, to, word },
  y,
}: {
  readonly laid: LaidReminder
  readonly y: number
}) {
  const { garage, now } = useOpenLog()
  const units = useUnits()
  const send = useSend()
  const { kind } = reminder
  const sentence = `${sayReminderDay(reminder, now)}: ${bikeOf(garage, reminder)}, ${sayToDo(reminder)}, ${sayWhen(reminder, units, now)}`
  return (
    <Link
      to={REMINDER_PLACES[kind]}
      aria-label={sentence}
      onClick={() => send(bikeChosen(reminder.bike))}
      className="group outline-none"
    >
      <title>{sentence}</title>
      {to !== undefined && kind === 'swap' && (
        <path
          d={`M${x.toFixed(1)} ${y + 11}H${to.toFixed(1)}`}
          className="stroke-rust"
          strokeWidth={3}
          opacity={0.35}
        />
      )}
      {kind === 'event' ? (
        <rect
          x={x}
          y={y - 8}
          width={Math.max(8, (to ?? x) - x)}
          height={16}
          fill={`url(#weeks-${reminder.event.condition})`}
          className={TONES.event}
        />
      ) : (
        <path
          d={DUE_MARKS[kind]}
          transform={`translate(${x.toFixed(1)} ${y})`}
          strokeWidth={kind === 'look' || kind === 'check' || kind === 'finding' ? 1.8 : 1.2}
          className={TONES[kind]}
        />
      )}
      {word !== undefined && (
        <text
          x={(kind === 'event' ? Math.max(x + 8, to ?? x) : x + 8) + 4}
          y={y + 4}
          className="fill-ink text-[13px] group-hover:underline"
        >
          {word}
        </text>
      )}
      <rect
        x={x - 13}
        y={y - 15}
        width={Math.max(26, (to !== undefined && kind === 'event' ? to - x : 0) + 26)}
        height={30}
        rx={2}
        fill="transparent"
        className="group-focus-visible:stroke-ink group-focus-visible:[stroke-width:2]"
      />
    </Link>
  )
}

/** A day on the ruler, at the left of what it stands over. */
const Week = ({
  x,
  text,
  height,
}: {
  readonly x: number
  readonly text: string
  readonly height: number
}) => (
  <g>
    <path d={`M${x} ${TOP_PX - 6}V${height}`} className="stroke-hairline" strokeDasharray="1 4" />
    <path d={`M${x} ${TOP_PX - 6}v6`} className="stroke-steel" />
    <text x={x} y={TOP_PX - 11} textAnchor="middle" className="fill-steel text-[12px]">
      {text}
    </text>
  </g>
)

interface Props {
  readonly reminders: readonly Reminder[]
  /** In the order in which the bikes stand on the page. */
  readonly bikes: readonly BikeId[]
}

/** What comes up, along the next weeks, a lane a bike. */
export function WeeksAhead({ reminders, bikes }: Props) {
  const { garage, now } = useOpenLog()
  const box = useRef<HTMLDivElement>(null)
  const width = useWidth(box)
  const isNarrow = width < NARROW_PX
  const left = isNarrow ? 66 : 152
  const laid = layWeeks(reminders, bikes, now, { left, right: width - 8, isNarrow })
  const height = TOP_PX + laid.lanes.length * LANE_PX + 4
  return (
    <div ref={box} className="mt-2">
      {width > 0 && (
        <svg width={width} height={height} role="group" aria-label={words.whatComesUpByWeek}>
          <RoadTextures prefix="weeks" />
          {laid.weeks.map(({ days, x }) => (
            <Week key={days} x={x} height={height} text={sayDay(addDays(now, days), now)} />
          ))}
          <path d={`M${left} ${TOP_PX}H${width - 8}`} className="stroke-ink" strokeWidth={1.5} />
          <path d={`M${left} ${TOP_PX - 8}V${height}`} className="stroke-ink" strokeWidth={1.5} />
          <text x={left} y={TOP_PX - 11} textAnchor="middle" className="fill-ink text-[12px] font-semibold">
            {words.today}
          </text>
          {laid.lanes.map(({ bike, due }: WeekLane, i) => {
            const y = TOP_PX + i * LANE_PX + LANE_PX / 2 + 2
            return (
              <g key={bike}>
                <foreignObject x={0} y={y - 10} width={left - 10} height={22}>
                  <p className="truncate text-[14px] leading-[22px] font-medium">
                    {garage.bikes.get(bike)?.entry.name}
                  </p>
                </foreignObject>
                {i > 0 && (
                  <path
                    d={`M0 ${TOP_PX + i * LANE_PX + 2}H${width}`}
                    className="stroke-hairline"
                    strokeWidth={0.7}
                  />
                )}
                {due.map((one) => (
                  <DueMark key={reminderId(one.reminder)} laid={one} y={y} />
                ))}
              </g>
            )
          })}
        </svg>
      )}
      {laid.left > 0 && <p className="text-sm text-steel">{words.laterOrOnMore(laid.left)}</p>}
    </div>
  )
}
