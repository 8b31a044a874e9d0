import { Minus, Plus } from 'lucide-react'
import { Field } from './fields.tsx'
import { words } from '../../words/ui/parts/stepper.ts'

interface Props {
  readonly label: string
  readonly hint?: string
  readonly fault?: string | undefined
  readonly value: number
  readonly step: number
  readonly min: number
  readonly max: number
  /** Decimals shown. */
  readonly digits: number
  readonly onStep: (value: number) => void
}

const SIDE = 'grid size-12 shrink-0 place-items-center border border-steel bg-raised bench:size-16'

/** A figure changed by two large buttons, or typed: for hands that would rather not type. */
export function Stepper({ label, hint, fault, value, step, min, max, digits, onStep }: Props) {
  const to = (next: number) => onStep(Number(Math.min(max, Math.max(min, next)).toFixed(digits)))
  const shown = Number.isFinite(value) ? value : min
  return (
    <Field label={label} hint={hint} fault={fault}>
      {(ids) => (
        <div className="flex">
          <button
            type="button"
            className={`${SIDE} rounded-l-[3px]`}
            aria-label={words.less(label)}
            onClick={() => to(shown - step)}
          >
            <Minus aria-hidden="true" />
          </button>
          <input
            {...ids}
            type="number"
            inputMode="decimal"
            step={step}
            min={min}
            max={max}
            value={Number.isFinite(value) ? value : ''}
            onChange={(event) => onStep(event.target.value === '' ? NaN : Number(event.target.value))}
            className="min-h-12 w-full min-w-0 border-y border-steel bg-raised text-center font-mono text-lg text-ink [appearance:textfield] aria-invalid:border-rust bench:min-h-16 bench:text-2xl"
          />
          <button
            type="button"
            className={`${SIDE} rounded-r-[3px]`}
            aria-label={words.more(label)}
            onClick={() => to(shown + step)}
          >
            <Plus aria-hidden="true" />
          </button>
        </div>
      )}
    </Field>
  )
}
