import { expect, test } from '@jest/globals'
import { doneIn, isOnlyDone } from './done-words.ts'

const did = (text: string): string =>
  doneIn(text)
    .done.map((one) =>
      one.did === 'new-part' ? `new ${one.type}` : `${one.method} ${one.lube ?? 'no lube'}`,
    )
    .join(', ')

test('a part that is new is found, in English and German', () => {
  expect(did('New chain')).toBe('new chain')
  expect(did('chain replaced')).toBe('new chain')
  expect(did('neue Kette')).toBe('new chain')
  expect(did('Kette gewechselt')).toBe('new chain')
  expect(did('fitted a new chain and cassette')).toBe('new chain, new cassette')
  expect(did('new chainring')).toBe('new ring')
  expect(did('replaced chain ring')).toBe('new ring')
})

test('a part that is still to come is not fitted', () => {
  for (const text of [
    'needs a new chain soon',
    'ordered new chain',
    'new chain?',
    'chain not replaced',
    'buy new cassette',
  ])
    expect([text, did(text), doneIn(text).isMeant]).toEqual([text, '', true])
  expect(doneIn('oiled before the tour')).toMatchObject({ isMeant: false, done: [{ lube: 'wet-lube' }] })
})

test('washes and lubes are found by the trade’s words', () => {
  expect(did('cleaned and oiled')).toBe('on-bike wet-lube')
  expect(did('hot wax')).toBe('off-bike immersion-wax')
  expect(did('drip wax')).toBe('wipe drip-wax')
  expect(did('dry lube')).toBe('none dry-lube')
  expect(did('wiped, wet lube')).toBe('wipe wet-lube')
  expect(did('degreased')).toBe('on-bike no lube')
  expect(did('new bar tape')).toBe('')
})

test('words that say no more than what was done need no note', () => {
  expect(isOnlyDone('new chain')).toBe(true)
  expect(isOnlyDone('Cleaned and oiled.')).toBe(true)
  expect(isOnlyDone('new chain, creaks less')).toBe(false)
})
