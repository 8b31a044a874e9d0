import { describe, expect, test } from '@jest/globals'
import { samples } from '../../../test/samples.ts'
import { checkEntry } from '../../formats/entry-schema.ts'
import { kindName } from '../../words/kind-names.ts'
import type { Entry, EntryKind } from './entries.ts'
import { kindOf } from './kind-of.ts'
import type { HoldsOf } from './kinds/fields.ts'
import { KINDS } from './kinds/index.ts'
import { plainNames, withoutPeople } from './left-out.ts'
import { recordOf } from './one-bike.ts'
import { replay } from './replay.ts'

const TYPED = 'Zed Quill, 7 Mill Lane'

type Path = readonly (string | number)[]

/** Every place in a value at which text stands. */
function textsIn(value: unknown, path: Path = []): readonly Path[] {
  if (typeof value === 'string') return [path]
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([key, held]) => textsIn(held, [...path, key]))
}

function withText(value: unknown, [step, ...rest]: Path, text: string): unknown {
  if (step === undefined) return text
  if (Array.isArray(value))
    return value.map((held: unknown, i) => (String(i) === step ? withText(held, rest, text) : held))
  const held = value as Readonly<Record<string, unknown>>
  return { ...held, [step]: withText(held[step], rest, text) }
}

/** Samples in which somebody typed something, at each place where the schema takes any text. */
const typedIn = samples.flatMap((entry) =>
  textsIn(entry).flatMap((path) => {
    const typed = withText({ writtenBy: 'Bo', ...entry }, path, TYPED)
    const checked = checkEntry(typed)
    return checked.outcome === 'sound'
      ? [{ where: `${entry.kind}.${path.join('.')}`, entry: checked.entry }]
      : []
  }),
)

describe('without people', () => {
  test('there is text to type in a good many places of the samples', () => {
    const kinds = new Set(typedIn.map(({ entry }) => entry.kind))
    for (const kind of [
      'bike',
      'part',
      'ride',
      'limit',
      'fastener',
      'gearing',
      'paid',
      'check',
      'stock',
    ] as const)
      expect([...kinds]).toContain(kind)
    expect(typedIn.length).toBeGreaterThanOrEqual(30)
  })

  test('nothing that a person typed is left, wherever the schema takes text, and what is left is an entry still', () => {
    for (const { where, entry } of typedIn) {
      const left = withoutPeople(entry, plainNames(kindName))
      expect([where, JSON.stringify(left ?? null).includes('Zed')]).toEqual([where, false])
      if (!left) continue
      expect(left.abridged).toBe(true)
      expect([where, checkEntry(left).outcome]).toEqual([where, 'sound'])
    }
  })

  test('nor in the record of a bike in which all of it was typed', () => {
    const log = typedIn.map(({ entry }) => entry)
    const all = recordOf(log, replay(log), { bike: 'heron' }, { people: false, money: false }, kindName)
    expect(JSON.stringify(all).match(/Zed/g)?.length).toBeGreaterThan(15)
    const record = recordOf(log, replay(log), { bike: 'heron' }, { people: true, money: false }, kindName)
    expect(JSON.stringify(record)).not.toMatch(/Zed|"Bo"/)
  })

  test('what was measured stays as it is', () => {
    const reading = samples.find(({ kind }) => kind === 'reading') as Entry
    expect(withoutPeople(reading, kindName)).toBe(reading)
  })

  test('things of one sort are told apart by a number, the same thing always by the same', () => {
    const name = plainNames(kindName)
    const bolt = samples.find(({ kind }) => kind === 'fastener') as Extract<Entry, { kind: 'fastener' }>
    expect(name(bolt)).toBe('Bolt')
    expect(name({ ...bolt, fastener: 'another' })).toBe('Bolt 2')
    expect(name(bolt)).toBe('Bolt')
  })
})

test('a kind whose money is always there is left out as a whole where money is', () => {
  for (const kind of Object.keys(KINDS) as EntryKind[]) {
    const sample = samples.find((entry) => entry.kind === kind)
    if (!sample) continue
    const { fields, ofMoney } = kindOf(sample)
    const paid = Object.entries(fields).flatMap(([field, holds]) => (holds === 'money' ? [field] : []))
    const isBare = (field: string): boolean =>
      checkEntry({ ...sample, [field]: undefined }).outcome === 'unsound'
    if (paid.some(isBare)) expect([kind, ofMoney]).toEqual([kind, true])
  }
})

test('words cannot be declared as a measure: the compiler refuses it', () => {
  type IsRefused<Declared, V> = Declared extends HoldsOf<V> ? false : true
  const refused: [
    IsRefused<'measure', string>,
    IsRefused<'measure', { a: string }>,
    IsRefused<'measure', number>,
  ] = [true, true, false]
  expect(refused).toEqual([true, true, false])
})
