import { useId, useState } from 'react'
import type { EventEntry } from '../../core/log/kinds/event.ts'
import { linesOf } from '../../core/log/supersede.ts'
import { eventsAhead } from '../../core/exposure/road-ahead.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { addDays } from '../../core/units/days.ts'
import { bandAt, daysAt, pastAt, type WearAnswer } from '../../core/wear/outlook.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { Sheet } from '../../ui/parts/Sheet.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { sayEvent, sayEventAdvice, sayEventDays } from '../../words/ahead.ts'
import { sayAboutKm, sayChance, sayDay, sayFigure, sayLimit, sayPercent } from '../../words/numbers.ts'
import { EventForm } from './EventForm.tsx'
import { PlanChoice } from './PlanChoice.tsx'
import { words } from '../../words/stations/decide/ahead.ts'

interface Props {
  readonly report: BikeReport
  readonly answer: WearAnswer
}

/** Any distance from now: how worn the chain will be, and the chance that it is past its limit. */
function ChanceAt({ report, answer }: Props) {
  const { now } = useOpenLog()
  const units = useUnits()
  const id = useId()
  const reach = answer.fan.at(-1)?.x ?? 300
  const step = Math.max(5, 10 ** Math.floor(Math.log10(reach / 40)))
  const most = Math.floor(reach / step) * step
  const [wanted, setWanted] = useState<number>()
  const km = Math.min(most, wanted ?? Math.round(answer.toLimitKm.p50 / step) * step)
  const { p10, p50, p90 } = bandAt(answer, km)
  const days = daysAt(answer, km)
  const day = days === undefined ? undefined : addDays(now, days)
  const limit = report.limit.percent
  return (
    <div>
      <label htmlFor={id} className="text-sm font-medium">
        {words.distanceFromNow}
      </label>
      <input
        id={id}
        type="range"
        min={0}
        max={most}
        step={step}
        value={km}
        onChange={(event) => setWanted(Number(event.target.value))}
        aria-valuetext={sayAboutKm(km, units)}
        className="mt-1 block h-8 w-full accent-petrol"
      />
      <p aria-live="polite" className="text-[1.05rem] leading-snug">
        {words.in(sayAboutKm(km, units))}
        {day !== undefined && km > 0 && words.about(sayDay(day, now))}
        {words.past(sayLimit(limit))}{' '}
        <strong className="font-semibold">{sayChance(pastAt(answer, km))}</strong>
        {words.theChainIsThen(sayPercent(p50), sayFigure(p10), sayFigure(p90))}
      </p>
    </div>
  )
}

function EventLine({ event, report, answer }: Props & { readonly event: EventEntry }) {
  const { entries, now, withdraw } = useOpenLog()
  const units = useUnits()
  const [open, setOpen] = useState(false)
  const outlook = answer.events.find((one) => one.event === event.event)
  return (
    <li className="border-t border-hairline py-3">
      <p className="flex flex-wrap items-baseline gap-x-3">
        <strong className="text-[1.05rem] font-semibold">{event.name}</strong>
        <span className="text-[0.95rem] text-steel">
          {sayEventDays(event, now)}, {sayEvent(event, units)}
        </span>
      </p>
      <p className="mt-1 leading-snug">
        {outlook ? sayEventAdvice(outlook, report.limit.percent) : words.workingOutWhetherTheChain}
      </p>
      <p className="no-print mt-1 flex gap-4 text-sm">
        <Button look="link" aria-label={words.change(event.name)} onClick={() => setOpen(true)}>
          {words.changeIt}
        </Button>
        <Button
          look="link"
          aria-label={words.cancel(event.name)}
          onClick={() => void withdraw(linesOf(entries, [event.id]))}
        >
          {words.cancelIt}
        </Button>
      </p>
      <Sheet open={open} onClose={() => setOpen(false)} title={event.name}>
        <EventForm report={report} event={event} onDone={() => setOpen(false)} />
      </Sheet>
    </li>
  )
}

/** What lies ahead of the chain: any distance, what is planned, and how far the bike goes in a week. */
export function Ahead({ report, answer }: Props) {
  const { now } = useOpenLog()
  const units = useUnits()
  const [adding, setAdding] = useState(false)
  const events = eventsAhead(report.bike.events, now)
  const { p10, p50, p90 } = answer.toLimitKm
  return (
    <div
      id="ahead"
      tabIndex={-1}
      className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.25fr)] gap-x-14 gap-y-8 border-t border-hairline pt-6 outline-none max-lg:grid-cols-1"
    >
      <Section
        title={words.atAnyDistance}
        note={
          p90 > 0
            ? words.toTheLimitAbout(
                sayAboutKm(p50, units),
                p10 <= 0 ? words.now : sayAboutKm(p10, units),
                sayAboutKm(p90, units),
              )
            : words.theChainIsAtIts
        }
      >
        <ChanceAt key={report.bike.entry.bike} report={report} answer={answer} />
        <PlanChoice key={`plan ${report.bike.entry.bike}`} report={report} />
      </Section>
      <Section title={words.events} note={words.aTourARace}>
        {events.length > 0 && (
          <ul className="border-b border-hairline">
            {events.map(({ event }) => (
              <EventLine key={event.event} event={event} report={report} answer={answer} />
            ))}
          </ul>
        )}
        <Button className="no-print mt-3" onClick={() => setAdding(true)}>
          {words.addAnEvent}
        </Button>
        <Sheet
          open={adding}
          onClose={() => setAdding(false)}
          title={words.eventsWith(report.bike.entry.name)}
        >
          <EventForm report={report} onDone={() => setAdding(false)} />
        </Sheet>
      </Section>
    </div>
  )
}
