import { describe, expect, test } from '@jest/globals'
import { NOUNS, type Noun } from './nouns.ts'
import { sayCount } from './numbers.ts'

const names = Object.keys(NOUNS) as Noun[]

describe('what is counted', () => {
  test('one is not said like two, for any of them', () => {
    for (const name of names) expect(NOUNS[name].one).not.toBe(NOUNS[name].other)
  })

  test.each<readonly [number, Noun, string]>([
    [0, 'ride', '0 rides'],
    [1, 'ride', '1 ride'],
    [2, 'entry', '2 entries'],
    [1, 'tooth', '1 tooth'],
    [30, 'tooth', '30 teeth'],
    [1234, 'reading', '1\u00a0234 readings'],
  ])('%d %s', (count, noun, said) => {
    expect(sayCount(count, noun)).toBe(said)
  })

  test('none is written twice under two names', () => {
    const pairs = names.map((name) => `${NOUNS[name].one} ${NOUNS[name].other}`)
    expect(new Set(pairs).size).toBe(pairs.length)
  })
})
