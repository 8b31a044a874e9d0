import { useMemo } from 'react'
import type { ChainNow } from '../../core/wear/outlook.ts'
import type { ReadingState } from '../../core/log/garage.ts'
import type { ChainReport } from '../../core/strategy/facts/bike-report.ts'
import { placedReading } from '../../core/strategy/facts/chain-evidence.ts'
import { likelySlips } from '../../core/strategy/facts/likely-slips.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { dayOf } from '../../words/day.ts'
import { Section } from '../../ui/parts/Section.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { SHORT_INSTRUMENT } from '../../words/names.ts'
import { sayDay, sayKm } from '../../words/numbers.ts'
import { sayAsRead, sayMeaning } from '../../words/reading.ts'
import { SlipRemark } from '../../ui/parts/SlipRemark.tsx'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { words } from '../../words/stations/gauge/reading-list.ts'

interface RowProps {
  readonly state: ReadingState
  readonly chain: ChainReport
  /** The chance that it was a slip, 0 to 1, where that is worth saying. */
  readonly slip: number | undefined
}

function Row({ state, chain, slip }: RowProps) {
  const { record, now, garage } = useOpenLog()
  const units = useUnits()
  const { entry, used } = state
  const meaning = sayMeaning(placedReading(state, chain.biases))
  const own = entry.tool === undefined ? undefined : garage.tools.get(entry.tool)
  const name = own?.entry.name ?? SHORT_INSTRUMENT[entry.reading.instrument]
  const read = sayAsRead(entry.reading, units)
  const toggle = useInTurn(() =>
    record(
      [{ kind: 'reading-use', at: now, target: entry.id, counts: !used }],
      used ? words.readingLeftOut : words.readingCountedAgain,
    ),
  )
  return (
    <li className={used ? '' : 'text-steel'}>
      <label className="grid min-h-11 grid-cols-[1.5rem_9.5rem_minmax(0,1fr)_3.6rem_6.4rem] items-center gap-x-2 py-1 text-[0.95rem] max-sm:grid-cols-[1.5rem_minmax(0,1fr)_auto]">
        <input
          type="checkbox"
          checked={used}
          onChange={toggle}
          className="size-5 accent-petrol"
          aria-label={words.counts(name, read)}
        />
        <span className={used ? 'font-semibold' : 'line-through'}>{name}</span>
        <span className="max-sm:order-last max-sm:col-span-2 max-sm:col-start-2 max-sm:text-sm">
          {read}
          {entry.reading.slack ? words.slack : ''}
          <SlipRemark chance={slip} />
        </span>
        <span className="text-sm text-steel max-sm:hidden">
          {entry.linksFromJoint === undefined ? '' : words.link(entry.linksFromJoint)}
        </span>
        <span className="text-right whitespace-nowrap">
          {used ? meaning.value : words.leftOut}{' '}
          <span className="block text-sm whitespace-normal text-steel">{used ? meaning.spread : ''}</span>
        </span>
      </label>
    </li>
  )
}

/** Every reading of the chain, newest first, by day. Each can be left out and put back. */
export function ReadingList({ chain, answer }: { readonly chain: ChainReport; readonly answer?: ChainNow }) {
  const { now } = useOpenLog()
  const units = useUnits()
  const slips = useMemo(() => likelySlips(chain.readings, answer), [chain.readings, answer])
  const days = useMemo(() => {
    const byDay = new Map<string, ReadingState[]>()
    for (const state of [...chain.readings].reverse()) {
      const day = dayOf(state.entry.at)
      byDay.set(day, [...(byDay.get(day) ?? []), state])
    }
    return [...byDay]
  }, [chain.readings])
  return (
    <Section title={words.readings} {...(days.length > 0 && { note: words.tickTheReadingsToCount })}>
      {days.length === 0 && <p className="text-steel">{words.noneYet}</p>}
      {days.map(([day, states]) => {
        const first = states[0]
        if (!first) return null
        return (
          <div key={day} className="mb-4">
            <h3 className="flex justify-between border-b border-hairline pb-1 text-sm font-medium">
              <span>{sayDay(first.entry.at, now)}</span>
              <span className="font-mono text-xs font-normal text-steel">
                {words.at(sayKm(chain.story.at(first.entry.at).km, units))}
              </span>
            </h3>
            <ul className="divide-y divide-hairline/70">
              {states.map((state) => (
                <Row key={state.entry.id} state={state} chain={chain} slip={slips.get(state.entry.id)} />
              ))}
            </ul>
          </div>
        )
      })}
    </Section>
  )
}
