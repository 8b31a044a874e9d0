import { describe, expect, test } from '@jest/globals'
import { object, type ValidationError } from 'yup'
import { neededNumber, neededText, numberField, pastDay } from './fields.ts'

const NOW = '2026-04-01T12:00:00.000Z'
const schema = object({
  links: neededNumber({ unit: '', ask: 'Count the links.', least: 40, most: 300, whole: true }),
  km: numberField({ unit: 'km', ask: 'Give the distance.', least: 0, most: 5000 }),
  day: pastDay(NOW),
  name: neededText('Give it a name.', 10),
})
const GOOD = { links: '114', km: '', day: '2026-03-31', name: ' Heron ' }
function faultOf(change: Readonly<Record<string, unknown>>): string | undefined {
  try {
    schema.validateSync({ ...GOOD, ...change })
    return undefined
  } catch (error) {
    return (error as ValidationError).message
  }
}

describe('a field for a number', () => {
  test('takes it as it is typed, with comma, groups and unit; left empty it is missing', () => {
    expect(schema.validateSync({ ...GOOD, km: '1 204,5 km' })).toMatchObject({ links: 114, km: 1204.5 })
    expect(schema.validateSync(GOOD).km).toBeUndefined()
  })

  test('takes what a stepper sets; nothing where it was emptied', () => {
    expect(schema.validateSync({ ...GOOD, links: 116 }).links).toBe(116)
    expect(faultOf({ links: NaN })).toBe('Count the links.')
  })

  test.each([
    ['', 'Count the links.'],
    ['many', '“many” is not a number. Type it in figures, like 12.'],
    ['114.5', 'Only a whole number fits here.'],
    ['12', 'Count the links. At least 40.'],
    ['1200', 'Count the links. At most 300: check the figure.'],
  ])('says of %p what is wrong with it', (links, fault) => {
    expect(faultOf({ links })).toBe(fault)
  })

  test('does not guess where it can be read in two ways', () => {
    expect(faultOf({ km: '1,204' })).toBe('1,204 can be read in two ways: type 1204 or 1.204.')
  })
})

test('a day must have come, and be one', () => {
  expect(faultOf({ day: '2026-04-02' })).toBe('That day is still to come.')
  expect(faultOf({ day: '31.3.26' })).toBe('Give a day, with a year of four figures.')
  expect(faultOf({ day: '' })).toBe('Give a day.')
})

test('a few words must be there, and not too many', () => {
  expect(schema.validateSync(GOOD).name).toBe('Heron')
  expect(faultOf({ name: '  ' })).toBe('Give it a name.')
  expect(faultOf({ name: 'x'.repeat(11) })).toBe('At most 10 letters: this has 11.')
})
