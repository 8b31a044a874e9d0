import { describe, expect, test } from '@jest/globals'
import { commuter, ride, ruleReading, written } from '../../../test/log.ts'
import type { Entry } from '../../core/log/entries.ts'
import { replay } from '../../core/log/replay.ts'
import { entryTexts, finder, newestFirst, searchable } from './search.ts'

const log = written([...commuter, ride(1, 5, 60), ruleReading(2, 14, 305.5)])
const garage = replay(log)
const textOf = entryTexts(garage, 'metric')
const found = (typed: string): readonly string[] => {
  const isMeant = finder(typed)
  return log.filter((entry) => isMeant(textOf(entry))).map(({ kind }) => kind)
}

describe('what was typed', () => {
  test('finds an entry by its words, its bike, its kind and its day, in any order', () => {
    expect(found('rule heron')).toEqual(['reading'])
    expect(found('heron reading')).toEqual(['reading'])
    expect(found('14 february')).toEqual(['reading'])
    expect(found('feb 14')).toEqual(['reading'])
    expect(found('2026-02-14')).toEqual(['reading'])
    expect(found('60 km')).toEqual(['ride'])
    expect(found('zebra')).toEqual([])
  })

  test('must begin a word, whatever its letters', () => {
    expect(found('eron')).toEqual([])
    expect(finder('cafe')(searchable('Café ride'))).toBe('together')
    expect(finder('')(searchable('anything'))).toBe('together')
  })

  test('means what stands together more than what stands apart', () => {
    const isMeant = finder('14 november')
    expect(isMeant(searchable('reading 14 November 2026'))).toBe('together')
    expect(isMeant(searchable('14 km on Heron 25 November 2026'))).toBe('apart')
    expect(isMeant(searchable('14 km on Heron 25 March 2026'))).toBeUndefined()
  })

  test('is listed newest first, and of one moment the last written first', () => {
    const [a, b] = written([ride(1, 5, 1), ride(1, 5, 2)])
    expect([a as Entry, b as Entry].sort(newestFirst)[0]).toBe(b)
  })
})
