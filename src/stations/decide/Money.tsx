import { useState } from 'react'
import { object, string } from 'yup'
import { BOUNDS } from '../../core/log/bounds.ts'
import { spendings, spentOn, TELLING_KM } from '../../core/strategy/shelf/spent.ts'
import { useOpenLog } from '../../session/log-context.ts'
import type { JudgedBike } from '../../session/verdicts.ts'
import { neededNumber, neededText, pastDay } from '../../ui/form/fields.ts'
import { useCheckedForm } from '../../ui/form/use-checked-form.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { dayOf, momentOf } from '../../words/day.ts'
import { SelectField, TextField } from '../../ui/parts/fields.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { Sheet } from '../../ui/parts/Sheet.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { CURRENCIES, minorPerMajor, sayExactMoney, sayMoney } from '../../words/money.ts'
import { sayDay, sayFullDay, sayKm } from '../../words/numbers.ts'
import { perDistance } from '../../words/plan-words.ts'
import type { Plans } from './plans/use-plans.ts'
import { words } from '../../words/stations/decide/money.ts'

const schema = (now: string) =>
  object({
    what: neededText(words.forWhat, BOUNDS.nameLetters),
    amount: neededNumber({ unit: '', ask: words.howMuchWasIt, least: 0, most: 1e6 }),
    currency: string().required(),
    day: pastDay(now),
  })

function SpendForm({
  judged,
  currency: usual,
  onDone,
}: {
  readonly judged: JudgedBike
  readonly currency: string
  readonly onDone: () => void
}) {
  const { now, record } = useOpenLog()
  const { bike } = judged.report.bike.entry
  const { form, submit, saving } = useCheckedForm(
    schema(now),
    { what: '', amount: '', currency: usual, day: dayOf(now) },
    async ({ what, amount, currency, day }) => {
      const minor = Math.round(amount * minorPerMajor(currency))
      const draft = { kind: 'paid', at: momentOf(day, now), bike, what, minor, currency } as const
      if (await record([draft], `${what}: ${sayExactMoney(minor, currency)}.`)) onDone()
    },
  )
  const { errors } = form.formState
  return (
    <form noValidate className="flex flex-col gap-4" onSubmit={submit}>
      <TextField label={words.forWhat2} fault={errors.what?.message} {...form.register('what')} />
      <div className="grid grid-cols-3 gap-3 max-sm:grid-cols-1">
        <TextField
          label={words.howMuch}
          inputMode="decimal"
          fault={errors.amount?.message}
          {...form.register('amount')}
        />
        <SelectField
          label={words.currency}
          options={Object.fromEntries([...new Set([usual, ...CURRENCIES])].map((code) => [code, code]))}
          {...form.register('currency')}
        />
        <TextField
          label={words.day}
          type="date"
          max={dayOf(now)}
          fault={errors.day?.message}
          {...form.register('day')}
        />
      </div>
      <Button look="firm" type="submit" className="self-start" disabled={saving}>
        {words.save}
      </Button>
    </form>
  )
}

/** What the bike has really cost, beside what the lives of its plan say. */
export function Money({ judged, plans }: { readonly judged: JudgedBike; readonly plans: Plans }) {
  const { garage, now } = useOpenLog()
  const units = useUnits()
  const [open, setOpen] = useState(false)
  const { bike } = judged.report
  const spent = spentOn(garage, bike)
  const list = spendings(garage, bike.entry.bike)
  const { said: distance, times } = perDistance(units)
  const forecast = plans.said?.now
  const compare = ({ per1000, currency }: (typeof spent)[number]): string => {
    if (per1000 === undefined || !forecast || currency !== plans.currency) return ''
    const { chains, cogs, rings, pulleys, lube } = forecast.parts
    // What an hour or a skip is worth to its rider is nobody's bill.
    if (plans.prices.hour > 0 || plans.prices.skip > 0)
      return words.partsAndLubeOfYour(sayMoney((chains + cogs + rings + pulleys + lube) * times, currency))
    const { p10, p90 } = forecast.cost
    const range = words.to(sayMoney(p10 * times, currency), sayMoney(p90 * times, currency))
    if (per1000 > p90) return words.moreThanTheThat8(range)
    if (per1000 < p10) return words.lessThanTheThat8(range)
    return words.asForecast8In10(range)
  }
  return (
    <Section
      title={words.whatItHasReally}
      note={spent.length === 0 ? words.nothingIsEnteredYet : undefined}
      className="border-t border-hairline pt-6"
    >
      {spent.map((one) => (
        <p key={one.currency} className="leading-snug">
          <strong className="font-semibold">{sayExactMoney(one.minor, one.currency)}</strong>{' '}
          {words.sinceOver(
            sayFullDay(one.since),
            sayKm(one.km, units),
            one.per1000 === undefined
              ? words.tooShortAWay(distance, sayKm(TELLING_KM, units))
              : words.per(sayMoney(one.per1000 * times, one.currency), distance),
            compare(one),
          )}
        </p>
      ))}
      {list.length > 0 && (
        <details className="mt-2 text-[0.95rem]">
          <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">
            {words.eachOfThem}
          </summary>
          <ul className="divide-y divide-hairline border-y border-hairline">
            {list.map((one, i) => (
              <li key={i} className="grid grid-cols-[9rem_minmax(0,1fr)_6rem] gap-x-3 py-1.5">
                <span className="text-steel">{sayDay(one.at, now)}</span>
                <span>{one.what}</span>
                <span className="text-right font-mono">{sayExactMoney(one.minor, one.currency)}</span>
              </li>
            ))}
          </ul>
        </details>
      )}
      <Button className="no-print mt-3" onClick={() => setOpen(true)}>
        {words.addACost}
      </Button>
      <Sheet open={open} onClose={() => setOpen(false)} title={words.aCostOf(bike.entry.name)}>
        {open && <SpendForm judged={judged} currency={plans.currency} onDone={() => setOpen(false)} />}
      </Sheet>
    </Section>
  )
}
