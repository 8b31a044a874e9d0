import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { fileName } from './file-name.ts'

test.each([
  [['Heron', 'road'], 'heron-road'],
  [['Kite', '2026-11-26'], 'kite-2026-11-26'],
  [['Ånnas  Rad!', 'record'], 'ånnas-rad-record'],
  [['../etc/passwd'], 'etc-passwd'],
  [['Цапля', 'sheet'], 'цапля-sheet'],
  [['???'], ''],
])('%j is %s', (parts, name) => {
  expect(fileName(...parts)).toBe(name)
})

test('law: no name has a mark that a disk refuses, or is too long for one', () => {
  fc.assert(
    fc.property(fc.array(fc.string({ unit: 'binary' }), { maxLength: 4 }), (parts) => {
      const name = fileName(...parts)
      expect(name).toMatch(/^[\p{L}\p{N}-]*$/u)
      expect(name.length).toBeLessThanOrEqual(80)
      expect(name.startsWith('-')).toBe(false)
    }),
  )
})
