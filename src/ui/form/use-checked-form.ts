import { yupResolver } from '@hookform/resolvers/yup'
import type { SyntheticEvent } from 'react'
import {
  useForm,
  type DefaultValues,
  type FieldValues,
  type Resolver,
  type UseFormReturn,
} from 'react-hook-form'
import type { ObjectSchema } from 'yup'
import { useOnce } from '../use-once.ts'

/** What a form holds at first: numbers as they are typed, or nothing yet. */
export type Shown<T> = { readonly [K in keyof T]?: T[K] extends number | undefined ? number | string : T[K] }

interface CheckedForm<T extends FieldValues> {
  readonly form: UseFormReturn<T>
  readonly saving: boolean
  /** For the form's `onSubmit`, or a button's `onClick`. */
  readonly submit: (event?: SyntheticEvent) => void
}

/**
 * A form that is checked when it is saved, each fault told at its field. Pressed twice it saves once.
 * @param check its schema; or, where each kind of entry checks what it writes, that
 * @param shown what it holds at first
 * @param onValid saves what passed; faults of its own it sets with `form.setError`
 */
export function useCheckedForm<T extends FieldValues>(
  check: ObjectSchema<T> | Resolver<T>,
  shown: Shown<T>,
  onValid: (values: T, form: UseFormReturn<T>) => unknown,
): CheckedForm<T> {
  const form = useForm<T>({
    resolver: typeof check === 'function' ? check : (yupResolver(check) as unknown as Resolver<T>),
    defaultValues: shown as DefaultValues<T>,
  })
  const [save, saving] = useOnce(form.handleSubmit(async (values) => void (await onValid(values, form))))
  return {
    form,
    saving,
    submit: (event) => {
      event?.preventDefault()
      save(event)
    },
  }
}
