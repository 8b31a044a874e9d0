import { boolean, object } from 'yup'
import { odometerSpans, unaccountedKm } from '../../core/exposure/odometer.ts'
import type { IsoTime } from '../../core/log/entry.ts'
import { MOST_ODOMETER_KM, type OdometerEntry } from '../../core/log/kinds/odometer.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { kmToMiles, milesToKm } from '../../core/units/convert.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { neededNumber, pastDay } from '../../ui/form/fields.ts'
import { useCheckedForm } from '../../ui/form/use-checked-form.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { dayOf, momentOf } from '../../words/day.ts'
import { TextField } from '../../ui/parts/fields.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import type { Units } from '../../core/units/units.ts'
import { sayDay, sayKm } from '../../words/numbers.ts'
import { words } from '../../words/stations/miles/odometer.ts'

/** What is asked of the figure: one that counts on from those before it, unless it started over. */
const schemaFor = (odometer: readonly OdometerEntry[], now: IsoTime, units: Units) =>
  object({
    shown: neededNumber({
      unit: units === 'metric' ? 'km' : 'mi',
      ask: words.giveTheFigureItShows,
      least: 0,
      most: units === 'metric' ? MOST_ODOMETER_KM : kmToMiles(MOST_ODOMETER_KM),
    }),
    day: pastDay(now),
    restarted: boolean().default(false),
  }).test(words.countsOn, '', ({ shown, day, restarted }, context) => {
    const at = momentOf(day, now)
    const before = odometer.findLast((reading) => reading.at <= at)
    const km = units === 'metric' ? shown : milesToKm(shown)
    return (
      restarted ||
      before === undefined ||
      !(km < before.km) ||
      context.createError({
        path: 'shown',
        message: words.itShowedOnMore(sayKm(before.km, units), sayDay(before.at, now)),
      })
    )
  })

/** What the bike's computer shows: distance by difference, so that what was not recorded counts too. */
export function Odometer({ report }: { readonly report: BikeReport }) {
  const { record, now } = useOpenLog()
  const units = useUnits()
  const { entry, odometer, rides } = report.bike
  const last = odometer.at(-1)
  const told = rides.filter((ride) => !ride.spread)
  const span = odometerSpans(told, odometer).at(-1)

  const { form, submit, saving } = useCheckedForm(
    schemaFor(odometer, now, units),
    { shown: '', day: dayOf(now), restarted: false },
    async ({ shown, day, restarted }, { resetField }) => {
      const km = units === 'metric' ? shown : milesToKm(shown)
      const saved = await record(
        [
          {
            kind: 'odometer',
            at: momentOf(day, now),
            bike: entry.bike,
            km,
            ...(restarted && { restarted }),
          },
        ],
        words.sComputer(entry.name, sayKm(km, units)),
      )
      if (!saved) return
      resetField('shown')
      resetField('restarted')
    },
  )
  const { errors } = form.formState
  return (
    <form
      noValidate
      onSubmit={submit}
      aria-labelledby="odometer"
      className="flex flex-col gap-3 border-t border-hairline pt-4"
    >
      <h3 id="odometer" className="text-[0.95rem] font-semibold">
        {words.bikeComputer}
      </h3>
      <p className="text-sm text-steel">
        {last ? words.lastOn(sayKm(last.km, units), sayDay(last.at, now)) : words.theFirstFigureIsTheStart}
        {span &&
          words.sinceItCountedRides(
            sayDay(span.from.at, now),
            sayKm(span.km, units),
            sayKm(span.riddenKm, units),
            unaccountedKm(span) > 0 ? words.andTheOtherAre(sayKm(unaccountedKm(span), units)) : '.',
          )}
      </p>
      <div className="grid grid-cols-[1fr_1fr_auto] items-start gap-3 max-sm:grid-cols-2">
        <TextField
          label={units === 'metric' ? words.itShowsKm : words.itShowsMiles}
          inputMode="decimal"
          placeholder={last ? String(Math.round(units === 'metric' ? last.km : kmToMiles(last.km))) : ''}
          fault={errors.shown?.message}
          {...form.register('shown')}
        />
        <TextField
          label={words.on}
          type="date"
          max={dayOf(now)}
          fault={errors.day?.message}
          {...form.register('day')}
        />
        <label className="flex min-h-11 items-center gap-2 self-end text-[0.95rem]">
          <input type="checkbox" className="size-5 accent-petrol" {...form.register('restarted')} />
          {words.countRestarted}
        </label>
      </div>
      <Button className="self-start" type="submit" disabled={saving}>
        {words.saveTheFigure}
      </Button>
    </form>
  )
}
