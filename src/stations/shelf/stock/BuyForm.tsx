import { object, string } from 'yup'
import type { StockState } from '../../../core/strategy/shelf/stock-facts.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { neededNumber, numberField } from '../../../ui/form/fields.ts'
import { StepperField } from '../../../ui/form/StepperField.tsx'
import { useCheckedForm } from '../../../ui/form/use-checked-form.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { SelectField, TextField } from '../../../ui/parts/fields.tsx'
import { CURRENCIES, minorPerMajor } from '../../../words/money.ts'
import { words } from '../../../words/stations/shelf/stock/buy-form.ts'

const schema = object({
  count: neededNumber({ unit: '', ask: words.howMany, least: 1, most: 1000, whole: true }),
  price: numberField({ unit: '', ask: words.whatDidAllOfThem, least: 0, most: 1e6 }),
  currency: string().required(),
})

interface Props {
  readonly state: StockState
  readonly currency: string
  readonly onDone: () => void
}

/** More of a thing on the shelf, and what was paid. */
export function BuyForm({ state, currency: usual, onDone }: Props) {
  const { now, record } = useOpenLog()
  const { stock, name } = state.entry
  const { form, submit, saving } = useCheckedForm(
    schema,
    { count: 1, price: '', currency: usual },
    async ({ count, price, currency }) => {
      const paid = price === undefined ? {} : { minor: Math.round(price * minorPerMajor(currency)), currency }
      const written = await record(
        [{ kind: 'stock-move', at: now, stock, count, why: 'bought', ...paid }],
        words.more(name, count),
      )
      if (written) onDone()
    },
  )
  return (
    <form noValidate className="flex flex-col gap-4" onSubmit={submit}>
      <StepperField
        control={form.control}
        name="count"
        label={words.howMany2}
        step={1}
        min={1}
        max={1000}
        digits={0}
      />
      <div className="grid grid-cols-[minmax(0,1fr)_8rem] gap-3">
        <TextField
          label={words.paidForAllOfThem}
          inputMode="decimal"
          fault={form.formState.errors.price?.message}
          {...form.register('price')}
        />
        <SelectField
          label={words.currency}
          options={Object.fromEntries([...new Set([usual, ...CURRENCIES])].map((code) => [code, code]))}
          {...form.register('currency')}
        />
      </div>
      <Button look="firm" type="submit" className="self-start" disabled={saving}>
        {words.save}
      </Button>
    </form>
  )
}
