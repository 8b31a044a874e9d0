import type { ComponentProps } from 'react'
import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form'
import { Stepper } from '../parts/Stepper.tsx'

interface Props<T extends FieldValues> extends Omit<
  ComponentProps<typeof Stepper>,
  'value' | 'onStep' | 'fault'
> {
  readonly control: Control<T>
  readonly name: FieldPath<T>
}

/** A stepper that holds a field of a form. */
export function StepperField<T extends FieldValues>({ control, name, ...stepper }: Props<T>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <Stepper {...stepper} value={field.value} fault={fieldState.error?.message} onStep={field.onChange} />
      )}
    />
  )
}
