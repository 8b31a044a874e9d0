import clsx from 'clsx'
import { useId, type ComponentProps, type ReactNode } from 'react'

const BOX =
  'min-h-11 w-full rounded-[3px] border border-steel bg-raised px-3 text-base text-ink aria-invalid:border-rust aria-invalid:border-2'

interface Labelled {
  readonly label: string
  readonly hint?: ReactNode
  readonly fault?: string | undefined
  readonly className?: string
}

interface FieldProps extends Labelled {
  readonly children: (ids: { id: string; 'aria-describedby'?: string; 'aria-invalid'?: true }) => ReactNode
}

/** A control with its label, a hint, and what is wrong with it right beside it. */
export function Field({ label, hint, fault, className, children }: FieldProps) {
  const id = useId()
  const told = [hint ? `${id}-hint` : '', fault ? `${id}-fault` : ''].filter(Boolean).join(' ')
  return (
    <div className={clsx('min-w-0', className)}>
      <label htmlFor={id} className="mb-1 block text-sm font-medium">
        {label}
      </label>
      {children({ id, ...(told && { 'aria-describedby': told }), ...(fault && { 'aria-invalid': true }) })}
      {hint && (
        <p id={`${id}-hint`} className="mt-1 text-sm text-steel">
          {hint}
        </p>
      )}
      {fault && (
        <p id={`${id}-fault`} role="alert" className="mt-1 text-sm font-medium text-rust">
          {fault}
        </p>
      )}
    </div>
  )
}

/** A line of text or a figure. */
export function TextField({ label, hint, fault, className, ...rest }: Labelled & ComponentProps<'input'>) {
  return (
    <Field label={label} hint={hint} fault={fault} {...(className !== undefined && { className })}>
      {(ids) => <input className={BOX} autoComplete="off" {...rest} {...ids} />}
    </Field>
  )
}

interface SelectProps<T extends string>
  extends Labelled, Omit<ComponentProps<'select'>, 'onChange' | 'value' | 'className'> {
  readonly options: Readonly<Record<T, string>>
  readonly value?: T
  readonly onPick?: (value: T) => void
}

/** One of several. The platform's own control: it works with one thumb and with every screen reader. */
export function SelectField<T extends string>({
  label,
  hint,
  fault,
  className,
  options,
  onPick,
  ...rest
}: SelectProps<T>) {
  return (
    <Field label={label} hint={hint} fault={fault} {...(className !== undefined && { className })}>
      {(ids) => (
        <select
          className={BOX}
          {...rest}
          {...(onPick && { onChange: (event) => onPick(event.target.value as T) })}
          {...ids}
        >
          {Object.entries<string>(options).map(([value, name]) => (
            <option key={value} value={value}>
              {name}
            </option>
          ))}
        </select>
      )}
    </Field>
  )
}

interface ChoiceProps<T extends string> {
  readonly legend: string
  readonly options: readonly { readonly value: T; readonly label: ReactNode }[]
  readonly value: T | undefined
  readonly onPick: (value: T) => void
  readonly fault?: string | undefined
  readonly hideLegend?: boolean
  /** Closer together, for a row that must hold five. */
  readonly dense?: boolean
  readonly className?: string
}

/** A few things side by side to tap, made of radio buttons so that arrows work too. */
export function Choice<T extends string>({
  legend,
  options,
  value,
  onPick,
  fault,
  hideLegend,
  dense,
  className,
}: ChoiceProps<T>) {
  const name = useId()
  return (
    <fieldset className={clsx('min-w-0', className)} {...(fault && { 'aria-describedby': `${name}-fault` })}>
      <legend className={hideLegend ? 'sr-only' : 'mb-1 text-sm font-medium'}>{legend}</legend>
      <div className={clsx('flex flex-wrap', dense ? 'gap-1 max-sm:grid max-sm:grid-cols-5' : 'gap-1.5')}>
        {options.map((option) => (
          <label
            key={option.value}
            className={clsx(
              dense ? 'justify-center px-1.5 max-sm:py-1.5' : 'px-3',
              'relative inline-flex min-h-11 items-center gap-2 rounded-[3px] border border-hairline text-[0.95rem] hover:border-steel has-checked:border-petrol has-checked:bg-petrol/10 has-checked:font-semibold has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-petrol',
            )}
          >
            <input
              type="radio"
              name={name}
              value={option.value}
              checked={value === option.value}
              onChange={() => onPick(option.value)}
              className="absolute inset-0 m-0 size-full cursor-pointer appearance-none rounded-[3px] opacity-0"
            />
            {option.label}
          </label>
        ))}
      </div>
      {fault && (
        <p id={`${name}-fault`} role="alert" className="mt-1 text-sm font-medium text-rust">
          {fault}
        </p>
      )}
    </fieldset>
  )
}
