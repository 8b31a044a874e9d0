import { object, string } from 'yup'
import { CONDITIONS } from '../../core/exposure/conditions.ts'
import type { IsoTime } from '../../core/log/entry.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { milesToKm } from '../../core/units/convert.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { neededNumber, pastDay } from '../../ui/form/fields.ts'
import { useCheckedForm } from '../../ui/form/use-checked-form.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { dayOf, momentOf } from '../../words/day.ts'
import { SelectField, TextField } from '../../ui/parts/fields.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import type { Units } from '../../core/units/units.ts'
import { CONDITION_NAMES } from '../../words/names.ts'
import { sayKm } from '../../words/numbers.ts'
import { words } from '../../words/stations/miles/ride-by-hand.ts'

const schemaFor = (now: IsoTime, units: Units) =>
  object({
    day: pastDay(now),
    distance: neededNumber({
      unit: units === 'metric' ? 'km' : 'mi',
      ask: words.giveTheDistance,
      least: 0,
      most: 2000,
    }).positive(words.aRideIsLonger),
    condition: string()
      .oneOf([...CONDITIONS])
      .required(),
  })

/** One ride without a file: day, distance, what it was ridden in. */
export function RideByHand({ report }: { readonly report: BikeReport }) {
  const { record, now } = useOpenLog()
  const units = useUnits()
  const { entry } = report.bike
  const { form, submit, saving } = useCheckedForm(
    schemaFor(now, units),
    { day: dayOf(now), condition: entry.usualCondition },
    async ({ day, distance, condition }, { resetField }) => {
      const km = units === 'metric' ? distance : milesToKm(distance)
      const saved = await record(
        [{ kind: 'ride', at: momentOf(day, now), bike: entry.bike, km, condition }],
        words.addedTo(sayKm(km, units), entry.name),
      )
      if (saved) resetField('distance')
    },
  )
  const { errors } = form.formState
  return (
    <form
      onSubmit={submit}
      noValidate
      aria-labelledby="by-hand"
      className="flex flex-col gap-3 border-t border-hairline pt-4"
    >
      <h3 id="by-hand" className="text-[0.95rem] font-semibold">
        {words.oneByHand}
      </h3>
      <div className="grid grid-cols-[1fr_7rem_1.2fr] gap-3 max-sm:grid-cols-2">
        <TextField
          label={words.day}
          type="date"
          max={dayOf(now)}
          fault={errors.day?.message}
          {...form.register('day')}
        />
        <TextField
          label={units === 'metric' ? words.distanceKm : words.distanceMiles}
          inputMode="decimal"
          fault={errors.distance?.message}
          {...form.register('distance')}
        />
        <SelectField
          label={words.conditions}
          options={CONDITION_NAMES}
          {...form.register('condition')}
          className="max-sm:col-span-2"
        />
      </div>
      <Button type="submit" disabled={saving} className="self-start">
        {words.addTheRide}
      </Button>
    </form>
  )
}
