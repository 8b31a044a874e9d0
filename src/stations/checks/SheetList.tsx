import { useState } from 'react'
import type { ItemId } from '../../core/checks/items.ts'
import { pickWithin } from '../../core/checks/pick.ts'
import { isForBike, minutesOf, OCCASIONS, type Occasion } from '../../core/checks/sheets.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { Choice } from '../../ui/parts/fields.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { OCCASION_NAMES, sayDueWhy } from '../../words/checks/check-words.ts'
import { sayItem } from '../../words/checks/item-names.ts'
import { sayCount, sayDay, sayList } from '../../words/numbers.ts'
import { SheetOnPaper } from './SheetOnPaper.tsx'
import type { ChecksInHand } from './use-checks.ts'
import { words } from '../../words/stations/checks/sheet-list.ts'

/** Begins a round of a sheet; where one waits it is gone on with. */
export type StartRound = (occasion: Occasion, items: readonly ItemId[]) => void

interface Props {
  readonly hand: ChecksInHand
  readonly onStart: StartRound
}

const minutesSaid = (items: readonly ItemId[]): string => words.min(Math.max(1, Math.round(minutesOf(items))))

/** Every sheet: why it is due, how long it takes, and its start. */
export function SheetList({ hand, onStart }: Props) {
  const { now } = useOpenLog()
  const { report, itemsOf, rounds } = hand
  const { sheets, bike } = report
  const due = new Map(sheets.map((sheet) => [sheet.occasion, sheet]))
  const order = [
    ...sheets.filter(({ isDue }) => isDue).map(({ occasion }) => occasion),
    ...OCCASIONS.filter((one) => !due.get(one)?.isDue),
  ].filter((one) => one !== 'short' && isForBike(one, bike.entry))
  return (
    <Section title={words.sheets} note={words.inTheOrderOfTheRound}>
      <ul aria-label={words.sheets} className="border-b border-hairline">
        {order.map((occasion) => {
          const sheet = due.get(occasion)
          const items = itemsOf(occasion)
          const waits = rounds.find((one) => one.occasion === occasion)
          return (
            <li
              key={occasion}
              className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 gap-y-1 border-t border-hairline py-2"
            >
              <span>
                <strong className="font-semibold">{OCCASION_NAMES[occasion]}</strong>
                {sheet?.isDue && <span className="ml-2 font-semibold text-rust">{words.due}</span>}
                <span className="block text-sm text-steel">
                  {words.about(
                    waits
                      ? words.halfDoneToGo(sayCount(waits.left.length, 'thing'))
                      : sheet
                        ? `${sayDueWhy(sheet.why, now)}${sheet.isDue ? '' : words.next(sayDay(sheet.day, now))}`
                        : '',
                    sayCount(items.length, 'thing'),
                    minutesSaid(items),
                  )}
                </span>
              </span>
              <Button className="max-sm:px-3" onClick={() => onStart(occasion, items)}>
                {waits ? words.goOn : words.start}
                <span className="sr-only"> {OCCASION_NAMES[occasion]}</span>
              </Button>
            </li>
          )
        })}
      </ul>
      <SheetOnPaper hand={hand} occasions={order} />
    </Section>
  )
}

const TIMES = ['5', '10', '20', '30'] as const

/** "I have ten minutes": what is worth most in them, exactly. */
export function TimePick({ hand, minutes: asked, onStart }: Props & { readonly minutes?: number }) {
  const [minutes, setMinutes] = useState(asked ?? 10)
  const all = hand.itemsOf('short')
  const picked = pickWithin(all, minutes, (id) => hand.since.get(id) ?? {})
  return (
    <Section id="short" title={words.iHaveMinutes(minutes)} note={words.whatMattersMostComes}>
      <Choice
        legend={words.minutes}
        hideLegend
        value={String(minutes)}
        onPick={(value) => setMinutes(Number(value))}
        options={[...new Set([...TIMES, ...(asked ? [String(asked)] : [])])]
          .sort((a, b) => Number(a) - Number(b))
          .map((value) => ({ value, label: words.min2(value) }))}
      />
      {picked.length === 0 ? (
        <p className="mt-3 text-steel">{words.thatIsTooShort}</p>
      ) : (
        <>
          <p className="mt-3 text-[0.95rem] leading-snug">
            {sayCount(picked.length, 'thing')}: {sayList(picked.map(sayItem))}.
          </p>
          <Button className="mt-3" onClick={() => onStart('short', picked)}>
            {words.startThese}
          </Button>
        </>
      )}
    </Section>
  )
}
