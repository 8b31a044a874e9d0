import { useState } from 'react'
import { string } from 'yup'
import { BOUNDS } from '../../../core/log/bounds.ts'
import type { StockItem } from '../../../core/log/kinds/stock.ts'
import type { StockState } from '../../../core/strategy/shelf/stock-facts.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { neededText, numberField, shortText } from '../../../ui/form/fields.ts'
import { useCheckedForm } from '../../../ui/form/use-checked-form.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { SelectField, TextField } from '../../../ui/parts/fields.tsx'
import { minorPerMajor } from '../../../words/money.ts'
import { STOCK_NAMES } from '../../../words/stock-words.ts'
import { factsSchema, keptFacts, shownFacts } from './fact-fields.ts'
import { FactFields } from './FactFields.tsx'
import { words } from '../../../words/stations/shelf/stock/stock-form.ts'
import { newId } from '../../../session/new-id.ts'

const COUNT = { unit: '', ask: words.howManyAreThere, least: 0, most: 10_000, whole: true } as const

const schema = factsSchema.shape({
  name: neededText(words.giveItAName, BOUNDS.nameLetters),
  item: string<StockItem>().required(),
  place: shortText(BOUNDS.nameLetters),
  count: numberField(COUNT),
  minimum: numberField({ ...COUNT, ask: words.howFewIsToo }),
  price: numberField({ unit: '', ask: words.whatDidOneCost, least: 0, most: 1e6 }),
})

interface Props {
  /** Absent: something new. */
  readonly state?: StockState
  readonly currency: string
  readonly onDone: () => void
}

/** A thing on the shelf: what it is, how many, where, how few is too few, and what decides whether it fits. */
export function StockForm({ state, currency, onDone }: Props) {
  const { now, record } = useOpenLog()
  const entry = state?.entry
  const [id] = useState(() => entry?.stock ?? newId())
  const { form, submit, saving } = useCheckedForm(
    schema,
    {
      name: entry?.name ?? '',
      item: entry?.item ?? ('chain' as StockItem),
      place: entry?.place ?? '',
      count: state?.count ?? 1,
      minimum: entry?.minimum ?? '',
      price: '',
      ...shownFacts(entry?.facts),
    } as never,
    async (typed) => {
      const { name, item, place, count, minimum, price } = typed
      const facts = keptFacts(typed, item)
      const change = (count ?? 0) - (state?.count ?? 0)
      const drafts = [
        {
          kind: 'stock' as const,
          at: now,
          stock: id,
          name,
          item,
          ...(place !== '' && { place }),
          ...(minimum !== undefined && { minimum }),
          ...(facts && { facts }),
        },
        ...(change === 0
          ? []
          : [
              {
                kind: 'stock-move' as const,
                at: now,
                stock: id,
                count: change,
                why: state ? ('counted' as const) : ('bought' as const),
                ...(price !== undefined &&
                  change > 0 && { minor: Math.round(price * minorPerMajor(currency)) * change, currency }),
              },
            ]),
      ]
      if (await record(drafts, words.isOnTheShelf(name))) onDone()
    },
  )
  const { errors } = form.formState
  const item = form.watch('item') ?? 'chain'
  return (
    <form noValidate className="flex flex-col gap-4" onSubmit={submit}>
      <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
        <TextField label={words.name} fault={errors.name?.message} {...form.register('name')} />
        <SelectField<StockItem>
          label={words.whatItIs}
          options={STOCK_NAMES}
          value={item}
          onPick={(next) => form.setValue('item', next)}
        />
        <TextField
          label={words.howMany}
          inputMode="numeric"
          fault={errors.count?.message}
          {...form.register('count')}
        />
        <TextField
          label={words.keepAtLeast}
          inputMode="numeric"
          fault={errors.minimum?.message}
          {...form.register('minimum')}
        />
        <TextField label={words.whereItLies} fault={errors.place?.message} {...form.register('place')} />
        <TextField
          label={words.paidForOne(currency)}
          hint={words.ofThoseThatAre}
          inputMode="decimal"
          fault={errors.price?.message}
          {...form.register('price')}
        />
      </div>
      <FactFields item={item} register={form.register} errors={errors} />
      <Button look="firm" type="submit" className="self-start" disabled={saving}>
        {words.save}
      </Button>
    </form>
  )
}
