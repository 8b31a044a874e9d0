import { useMemo } from 'react'
import { useWatch } from 'react-hook-form'
import { object, string } from 'yup'
import type { EntryDraft } from '../../core/log/entries.ts'
import type { IsoTime } from '../../core/log/entry.ts'
import { BOUNDS } from '../../core/log/bounds.ts'
import { openFitting, type PartState } from '../../core/log/garage.ts'
import { bikeReport } from '../../core/strategy/facts/bike-report.ts'
import { checksBeforeFitting } from '../../core/strategy/fitting-checks.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { pastDay, shortText } from '../../ui/form/fields.ts'
import { useCheckedForm } from '../../ui/form/use-checked-form.ts'
import { dayOf, momentOf } from '../../words/day.ts'
import { SelectField, TextField } from '../../ui/parts/fields.tsx'
import { sayDay } from '../../words/numbers.ts'
import { useTeeth } from '../../session/teeth-store.ts'
import { useForecast } from '../../session/use-forecasts.ts'
import { Checks } from './Checks.tsx'
import { words } from '../../words/stations/shelf/move-part.ts'

const PLACES = { shelf: words.onTheShelf, retired: words.retired, lent: words.toSomebodyOnLoan } as const
type Off = keyof typeof PLACES

/** Where a part goes, to whom, and when: not before it came to where it is. */
function moveSchema(part: PartState, now: IsoTime) {
  const on = openFitting(part)
  const since = on?.from ?? part.fittings.at(-1)?.to
  return object({
    to: string().required(),
    who: shortText(BOUNDS.nameLetters),
    day: pastDay(now).test('after', '', (day, context) =>
      since !== undefined && momentOf(day, now) <= since
        ? context.createError({
            message: words.itWasOnThatDay(on ? words.fitted : words.takenOff, sayDay(since, now)),
          })
        : true,
    ),
  })
}

/** Fits a part, moves it to another bike, hangs it up, lends it or retires it. */
export function MovePart({ part, onDone }: { readonly part: PartState; readonly onDone: () => void }) {
  const { record, garage, now } = useOpenLog()
  const { entry } = part
  const on = openFitting(part)
  const bikes = [...garage.bikes.values()].filter((bike) => bike.entry.bike !== on?.bike)
  const places: Readonly<Record<string, string>> = {
    ...(on || part.lentTo !== undefined || part.retired ? { shelf: PLACES.shelf } : {}),
    ...Object.fromEntries(bikes.map((bike) => [words.bike(bike.entry.bike), words.onto(bike.entry.name)])),
    lent: PLACES.lent,
    retired: PLACES.retired,
  }
  const bikeAt = (place: string) => (place.startsWith('bike ') ? garage.bikes.get(place.slice(5)) : undefined)
  const { form, submit, saving } = useCheckedForm(
    moveSchema(part, now),
    { to: Object.keys(places)[0] ?? 'shelf', who: '', day: dayOf(now) },
    async ({ to, who, day }) => {
      const at = momentOf(day, now)
      const bike = bikeAt(to)?.entry
      const draft: EntryDraft = bike
        ? { kind: 'fit', at, part: entry.part, bike: bike.bike }
        : {
            kind: 'remove',
            at,
            part: entry.part,
            to: to as Off,
            ...(to === 'lent' && who !== '' && { lentTo: who }),
          }
      const said = bike ? words.isOn(entry.name, bike.name) : words.went(entry.name, PLACES[to as Off])
      if (await record([draft], said)) onDone()
    },
  )
  const to = useWatch({ control: form.control, name: 'to' })
  const { errors } = form.formState
  const target = bikeAt(to)
  const report = useMemo(() => target && bikeReport(garage, target, now), [target, garage, now])
  const { answer } = useForecast(report?.chain?.part.entry.part)
  const { outlook: teeth } = useTeeth(target?.entry.bike)
  const checks = report ? checksBeforeFitting(garage, { report, answer, teeth }, entry.spec, part) : []
  return (
    <form onSubmit={submit} noValidate className="flex flex-col gap-4">
      <SelectField label={words.whereTo} options={places} {...form.register('to')} />
      {to === 'lent' && (
        <TextField label={words.toWhom} fault={errors.who?.message} {...form.register('who')} />
      )}
      <TextField
        label={words.day}
        type="date"
        max={dayOf(now)}
        fault={errors.day?.message}
        {...form.register('day')}
      />
      {target && on && <p className="text-sm text-steel">{words.fromThatDayIts(target.entry.name)}</p>}
      <Checks checks={checks} />
      <Button look="firm" type="submit" className="self-start" disabled={saving}>
        {words.logTheMove}
      </Button>
    </form>
  )
}
