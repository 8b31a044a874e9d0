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

const PLACES = { shelf: 'on the shelf', retired: 'retired', lent: 'to somebody, on loan' } as const
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
            message: `It was ${on ? 'fitted' : 'taken off'} on ${sayDay(since, now)}: that day is before it.`,
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
    ...Object.fromEntries(bikes.map((bike) => [`bike ${bike.entry.bike}`, `onto ${bike.entry.name}`])),
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
      const said = bike ? `${entry.name} is on ${bike.name}.` : `${entry.name} went ${PLACES[to as Off]}.`
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
      <SelectField label="Where to" options={places} {...form.register('to')} />
      {to === 'lent' && <TextField label="To whom" fault={errors.who?.message} {...form.register('who')} />}
      <TextField
        label="Day"
        type="date"
        max={dayOf(now)}
        fault={errors.day?.message}
        {...form.register('day')}
      />
      {target && on && (
        <p className="text-sm text-steel">
          From that day its distance is counted on {target.entry.name}; what is there now of its kind comes
          off.
        </p>
      )}
      <Checks checks={checks} />
      <Button look="firm" type="submit" className="self-start" disabled={saving}>
        Log the move
      </Button>
    </form>
  )
}
