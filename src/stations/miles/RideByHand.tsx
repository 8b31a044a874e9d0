import { yupResolver } from '@hookform/resolvers/yup'
import { useForm } from 'react-hook-form'
import { number, object, string, type InferType } from 'yup'
import { CONDITIONS } from '../../core/exposure/conditions.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { milesToKm } from '../../core/units/convert.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { dayOf, faultOfDay, momentOf } from '../../ui/parts/day.ts'
import { SelectField, TextField } from '../../ui/parts/fields.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { CONDITION_NAMES } from '../../ui/words/names.ts'
import { sayKm } from '../../ui/words/numbers.ts'
import { useOnce } from '../../ui/use-once.ts'

const schema = object({
  day: string().required('Give a day.'),
  distance: number()
    .transform((value: number, original: unknown) => (original === '' ? undefined : value))
    .typeError('Give the distance as a number.')
    .positive('A ride is longer than nothing.')
    .max(2000, 'That is more than anyone rides in a day: check the figure.')
    .required('Give the distance.'),
  condition: string()
    .oneOf([...CONDITIONS])
    .required(),
})

/** One ride without a file: day, distance, what it was ridden in. */
export function RideByHand({ report }: { readonly report: BikeReport }) {
  const { record, now } = useOpenLog()
  const units = useUnits()
  const { entry } = report.bike
  const form = useForm<InferType<typeof schema>>({
    resolver: yupResolver(schema),
    defaultValues: { day: dayOf(now), condition: entry.usualCondition },
  })
  const { errors } = form.formState
  const save = async ({ day, distance, condition }: InferType<typeof schema>) => {
    const fault = faultOfDay(day, now)
    if (fault) return form.setError('day', { message: fault })
    const km = units === 'metric' ? distance : milesToKm(distance)
    const saved = await record(
      [{ kind: 'ride', at: momentOf(day, now), bike: entry.bike, km, condition }],
      `${sayKm(km, units)} added to ${entry.name}.`,
    )
    if (saved) form.resetField('distance')
  }
  const [submit, saving] = useOnce(form.handleSubmit(save))
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        submit(event)
      }}
      noValidate
      aria-labelledby="by-hand"
      className="flex flex-col gap-3 border-t border-hairline pt-4"
    >
      <h3 id="by-hand" className="text-[0.95rem] font-semibold">
        One by hand
      </h3>
      <div className="grid grid-cols-[1fr_7rem_1.2fr] gap-3 max-sm:grid-cols-2">
        <TextField
          label="Day"
          type="date"
          max={dayOf(now)}
          fault={errors.day?.message}
          {...form.register('day')}
        />
        <TextField
          label={units === 'metric' ? 'Distance, km' : 'Distance, miles'}
          inputMode="decimal"
          fault={errors.distance?.message}
          {...form.register('distance')}
        />
        <SelectField
          label="Conditions"
          options={CONDITION_NAMES}
          {...form.register('condition')}
          className="max-sm:col-span-2"
        />
      </div>
      <Button type="submit" disabled={saving} className="self-start">
        Add the ride
      </Button>
    </form>
  )
}
