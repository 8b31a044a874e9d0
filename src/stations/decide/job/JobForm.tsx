import { useState } from 'react'
import { object } from 'yup'
import { BOUNDS } from '../../../core/log/bounds.ts'
import { VISIT_BOUNDS, type VisitJob } from '../../../core/log/kinds/visit.ts'
import { neededNumber, neededText, shortText } from '../../../ui/form/fields.ts'
import { useCheckedForm } from '../../../ui/form/use-checked-form.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { Choice, TextField } from '../../../ui/parts/fields.tsx'
import { words } from '../../../words/stations/decide/job/job-form.ts'

interface Props {
  readonly one: VisitJob
  readonly others: readonly VisitJob[]
  readonly unit: number
  readonly currency: string
  readonly onSave: (job: VisitJob) => void
}

/** A million of any money is a slip of the finger. */
const MOST_PRICE = 1e6

const schema = object({
  name: neededText(words.nameTheJob, BOUNDS.nameLetters),
  found: shortText(BOUNDS.noteLetters),
  price: neededNumber({
    unit: '',
    ask: words.giveThePriceOfTheParts,
    least: 0,
    most: MOST_PRICE,
  }),
  minutes: neededNumber({
    unit: words.min,
    ask: words.howManyMinutesDoes,
    least: 0,
    most: VISIT_BOUNDS.minutes,
  }),
  worth: neededNumber({
    unit: '',
    ask: words.howMuchIsItWorth,
    least: 0,
    most: VISIT_BOUNDS.worth,
  }),
})

/** A job's name, price, minutes, worth, and what it needs or takes the place of. */
export function JobForm({ one, others, unit, currency, onSave }: Props) {
  const { isOut: wasOut, ...rest } = one
  const [isSafety, setSafety] = useState(one.isSafety)
  const [isOut, setOut] = useState(wasOut === true)
  const [needs, setNeeds] = useState(one.needs ?? [])
  const [excludes, setExcludes] = useState(one.excludes ?? [])
  const { form, submit } = useCheckedForm(
    schema,
    {
      name: one.name,
      found: one.found ?? '',
      price: one.price / unit,
      minutes: one.minutes,
      worth: one.worth,
    },
    ({ name, found, price, minutes, worth }) =>
      onSave({
        ...rest,
        ...(isOut && { isOut }),
        name,
        price: Math.round(price * unit),
        minutes,
        worth,
        isSafety,
        needs,
        excludes,
        ...(found !== '' && { found }),
      }),
  )
  const { errors } = form.formState
  const ticks = (legend: string, list: readonly string[], set: (next: readonly string[]) => void) => (
    <fieldset>
      <legend className="mb-1 text-sm font-medium">{legend}</legend>
      {others.map(({ id, name }) => (
        <label key={id} className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-petrol"
            checked={list.includes(id)}
            onChange={({ target }) =>
              set(target.checked ? [...list, id] : list.filter((other) => other !== id))
            }
          />
          {name}
        </label>
      ))}
    </fieldset>
  )
  return (
    <form noValidate className="flex flex-col gap-4" onSubmit={submit}>
      <TextField label={words.job} fault={errors.name?.message} {...form.register('name')} />
      <TextField label={words.whatWasFound} fault={errors.found?.message} {...form.register('found')} />
      <div className="grid grid-cols-3 gap-3 max-sm:grid-cols-1">
        <TextField
          label={words.parts(currency)}
          inputMode="decimal"
          fault={errors.price?.message}
          {...form.register('price')}
        />
        <TextField
          label={words.minutes}
          inputMode="decimal"
          fault={errors.minutes?.message}
          {...form.register('minutes')}
        />
        <TextField
          label={words.worth0To100}
          inputMode="decimal"
          hint={words.aNewChainIs20}
          fault={errors.worth?.message}
          {...form.register('worth')}
        />
      </div>
      <Choice<'no' | 'yes'>
        legend={words.aMatterOfSafety}
        value={isSafety ? 'yes' : 'no'}
        options={[
          { value: 'no', label: 'no' },
          { value: 'yes', label: words.yesBrakesSteeringAChain },
        ]}
        onPick={(value) => setSafety(value === 'yes')}
      />
      <Choice<'no' | 'yes'>
        legend={words.canItsPartBe}
        value={isOut ? 'no' : 'yes'}
        options={[
          { value: 'yes', label: words.yes },
          { value: 'no', label: 'no' },
        ]}
        onPick={(value) => setOut(value === 'no')}
      />
      {others.length > 0 && (
        <details>
          <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">
            {words.whatItNeedsAndWhat}
          </summary>
          <div className="grid grid-cols-2 gap-4 max-sm:grid-cols-1">
            {ticks(words.needs, needs, setNeeds)}
            {ticks(words.takesThePlaceOf, excludes, setExcludes)}
          </div>
        </details>
      )}
      <Button look="firm" type="submit" className="self-start">
        {words.saveJob}
      </Button>
    </form>
  )
}
