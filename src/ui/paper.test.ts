import { expect, test } from '@jest/globals'
import { paperOf } from './paper.ts'

test('paper goes by the country of the language: Letter in North America, A4 elsewhere', () => {
  expect(paperOf('en-US')).toBe('letter')
  expect(paperOf('fr-CA')).toBe('letter')
  expect(paperOf('en-GB')).toBe('a4')
  expect(paperOf('de')).toBe('a4')
  expect(paperOf('no language')).toBe('a4')
})
