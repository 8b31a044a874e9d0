import type { FieldErrors, UseFormRegister } from 'react-hook-form'
import type { StockItem } from '../../../core/log/kinds/stock.ts'
import { TextField } from '../../../ui/parts/fields.tsx'
import { FACT_LABELS, FACTS_OF, type TypedFacts } from './fact-fields.ts'
import { words } from '../../../words/stations/shelf/stock/fact-fields.ts'

interface Props {
  readonly item: StockItem | 'bike'
  readonly register: UseFormRegister<TypedFacts>
  readonly errors: FieldErrors<TypedFacts>
}

/** The facts that decide whether it fits, as far as anybody knows them. */
export function FactFields({ item, register, errors }: Props) {
  return (
    <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
      {FACTS_OF[item].map((name) => (
        <TextField
          key={name}
          label={FACT_LABELS[name]}
          {...(name === 'freehub' && { hint: words.asItsMakerCalls })}
          fault={errors[name]?.message}
          {...register(name)}
        />
      ))}
    </div>
  )
}
