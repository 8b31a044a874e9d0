import type { Entry } from '../../core/log/entries.ts'
import { BOUNDS } from '../../core/log/bounds.ts'
import { kmToMiles, milesToKm } from '../../core/units/convert.ts'
import { faultOfText } from '../text-fault.ts'
import { CONDITION_NAMES } from '../names.ts'
import { numberTyped } from '../typed.ts'
import type { Draft, Field } from './kind-words.ts'

/** The entry with some of its fields changed. The cast is for the compiler alone: spreading keeps every other field. */
const put = <E extends Entry>(draft: Draft<E>, change: Partial<Draft<E>>): Draft<E> => ({
  ...draft,
  ...change,
})

/** Without a field. */
export function without<E extends Entry>(draft: Draft<E>, name: keyof Draft<E>): Draft<E> {
  const { [name]: _gone, ...rest } = draft
  return rest as unknown as Draft<E>
}

/** Which bike an entry is about. */
export const bikeField = <E extends Entry & { readonly bike: string }>(): Field<E> => ({
  name: 'bike',
  label: () => 'Bike',
  input: { type: 'bike' },
  read: ({ bike }) => bike,
  write: (draft, bike) => ({ draft: put(draft, { bike } as Partial<Draft<E>>) }),
})

/** Which part an entry is about. */
export const partField = <E extends Entry & { readonly part: string }>(): Field<E> => ({
  name: 'part',
  label: () => 'Part',
  input: { type: 'part' },
  read: ({ part }) => part,
  write: (draft, part) => ({ draft: put(draft, { part } as Partial<Draft<E>>) }),
})

/** Which chain an entry is about. */
export const chainField = <E extends Entry & { readonly chain: string }>(): Field<E> => ({
  name: 'chain',
  label: () => 'Chain',
  input: { type: 'chain' },
  read: ({ chain }) => chain,
  write: (draft, chain) => ({ draft: put(draft, { chain } as Partial<Draft<E>>) }),
})

/**
 * A distance.
 * @param leastKm the least that makes sense; 0 only where nothing is a figure, as on a new computer
 */
export const distanceField = <E extends Entry & { readonly km: number }>(
  leastKm: number,
  mostKm: number,
): Field<E> => ({
  name: 'distance',
  label: (units) => (units === 'metric' ? 'Distance, km' : 'Distance, miles'),
  input: { type: 'number' },
  read: ({ km }, { units }) => String(Math.round(100 * (units === 'metric' ? km : kmToMiles(km))) / 100),
  write: (draft, text, { units }) => {
    const [least, most] =
      units === 'metric' ? [leastKm, mostKm] : [kmToMiles(leastKm), Math.floor(kmToMiles(mostKm))]
    const typed = numberTyped(text, {
      least,
      most,
      unit: units === 'metric' ? 'km' : 'miles',
      ask: 'Give the distance.',
    })
    if ('fault' in typed) return typed
    const km = units === 'metric' ? typed.value : milesToKm(typed.value)
    return { draft: put(draft, { km } as Partial<Draft<E>>) }
  },
})

/** What the field for conditions holds where they are not set. */
export const NOT_SET = 'not-set'

/** One of a few words. */
export const choiceField = <E extends Entry>(
  name: keyof E & string,
  label: string,
  options: Readonly<Record<string, string>>,
): Field<E> => ({
  name,
  label: () => label,
  input: { type: 'choice', options },
  read: (entry) => String(entry[name]),
  write: (draft, text) => ({
    draft: Object.hasOwn(options, text)
      ? put(draft, { [name]: text } as unknown as Partial<Draft<E>>)
      : draft,
  }),
})

/** The conditions that are always set. */
export const conditionField = <E extends Entry & { readonly kind: 'condition' | 'event' }>(): Field<E> =>
  choiceField<E>('condition', 'Conditions', CONDITION_NAMES)

/** A name of one line, which may not be empty. */
export const nameField = <E extends Entry & { readonly name: string }>(): Field<E> => ({
  name: 'name',
  label: () => 'Name',
  input: { type: 'text' },
  read: ({ name }) => name,
  write: (draft, text) => {
    const name = text.trim()
    const fault = name === '' ? 'Give it a name.' : faultOfText(name, BOUNDS.nameLetters)
    return fault ? { fault } : { draft: put(draft, { name } as Partial<Draft<E>>) }
  },
})

/** Words of the owner's; `required` where the entry is nothing without them. */
export const wordsField = <E extends Entry>(
  name: keyof E & string,
  label: string,
  { required = false, keepEmpty = false } = {},
): Field<E> => ({
  name,
  label: () => label,
  input: { type: 'text' },
  read: (entry) => String(entry[name] ?? ''),
  write: (draft, typed) => {
    const text = typed.trim()
    if (required && text === '') return { fault: 'Write something first.' }
    const fault = faultOfText(text, BOUNDS.noteLetters)
    if (fault) return { fault }
    return {
      draft:
        text === '' && !keepEmpty
          ? without(draft, name as unknown as keyof Draft<E>)
          : put(draft, { [name]: text } as unknown as Partial<Draft<E>>),
    }
  },
})
