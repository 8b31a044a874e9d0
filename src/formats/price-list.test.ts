import { describe, expect, test } from '@jest/globals'
import { priceOfText, readPriceList } from './price-list.ts'

describe('a price as people write it', () => {
  test.each([
    ['24.90', 24.9],
    ['24,90', 24.9],
    ['€ 30', 30],
    ['1,240.50', 1240.5],
    ['1.240,50', 1240.5],
    ['1,240', 1240],
    ['-5', -5],
  ])('%s', (text, price) => {
    expect(priceOfText(text)?.price).toBeCloseTo(price, 9)
  })

  test('a sign or three letters name the currency; words are no price', () => {
    expect(priceOfText('£12')).toEqual({ price: 12, currency: 'GBP' })
    expect(priceOfText('12 SEK')).toEqual({ price: 12, currency: 'SEK' })
    expect(priceOfText('ask')).toBeUndefined()
  })
})

describe('a list of prices', () => {
  test('is read with headings, semicolons, decimal commas and either name of a thing', () => {
    const { lines, faults } = readPriceList('\ufeffthing;price;currency\nChain;24,90;EUR\nSingle cog;8;EUR\n')
    expect(faults).toEqual([])
    expect(lines).toEqual([
      { priced: 'chain', price: 24.9, currency: 'EUR' },
      { priced: 'singleCog', price: 8, currency: 'EUR' },
    ])
    expect(readPriceList('chain,24,90,EUR').lines).toEqual([
      { priced: 'chain', price: 24.9, currency: 'EUR' },
    ])
    expect(readPriceList('a pair of pulleys\t19').lines).toEqual([{ priced: 'pulleys', price: 19 }])
  })

  test('tells every line that it does not understand, and why, and keeps the rest', () => {
    const { lines, faults } = readPriceList(
      'chain,20\nsaddle,40\nring,ask\ncassette,-3\nhour,999999999\nchain,22',
    )
    expect(lines).toEqual([{ priced: 'chain', price: 20 }])
    expect(faults.map(({ line, fault }) => [line, fault])).toEqual([
      [2, 'unknown-thing'],
      [3, 'no-price'],
      [4, 'negative'],
      [5, 'too-dear'],
      [6, 'twice'],
    ])
  })

  test('of nothing, or of noise, takes nothing and breaks nothing', () => {
    expect(readPriceList('')).toEqual({ lines: [], faults: [] })
    expect(readPriceList('"unclosed, 3\n,,,\n').lines).toEqual([])
  })
})
