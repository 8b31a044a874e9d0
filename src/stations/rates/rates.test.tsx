import { afterEach, describe, expect, test } from '@jest/globals'
import { cleanup, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { commuter, kite, kiteChain, noon, ride, written } from '../../../test/log.ts'
import { openLog, TODAY } from '../../../test/open-log.tsx'
import { outlookOf } from '../../../test/outlook.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import { replay } from '../../core/log/replay.ts'
import { lengthAtElongation } from '../../core/measure/elongation.ts'
import type { FactorRate } from '../../core/wear/rates.ts'
import Rates from './Rates.tsx'
import { rateIn, sayContrast, sayFactor, sayLesson, sayTwo } from './say-rates.ts'

afterEach(() => {
  cleanup()
  localStorage.clear()
})
const plain = (text: string | null | undefined): string => (text ?? '').replaceAll('\u00a0', ' ')
const readAt = (month: number, day: number, percent: number): EntryDraft[] =>
  [20, 60].map((place) => {
    const length = lengthAtElongation(8, percent)
    return {
      kind: 'reading',
      at: noon(month, day),
      chain: 'chain',
      place,
      reading: { instrument: 'caliper-pair', pitches: 8, insideMm: length - 7.5, outsideMm: length + 7.5 },
    }
  })
const rides: readonly EntryDraft[] = Array.from({ length: 12 }, (_, i) => ({
  ...ride(1 + Math.floor(i / 4), 5 + 5 * (i % 4), 100),
  condition: i % 3 === 0 ? ('winter-salt' as const) : ('dry-road' as const),
}))
const waxed: EntryDraft = {
  kind: 'wash',
  at: noon(2, 2),
  chain: 'chain',
  method: 'off-bike',
  lube: 'drip-wax',
}
const show = (drafts: readonly EntryDraft[], worked = true) =>
  openLog(drafts, worked ? (garage) => outlookOf(garage, TODAY) : undefined).show(<Rates />)

describe('the rates', () => {
  test('open with the rider’s own rate and what wears most, then each chain, road, lubricant and season', () => {
    show([...commuter, ...rides, waxed, ...readAt(2, 1, 0.1), ...readAt(3, 25, 0.3)])
    const heading = plain(screen.getByRole('heading', { level: 1 }).textContent)
    expect(heading).toMatch(
      /^A chain of yours lengthens by 0\.\d\d % in 1000 km of dry road, probably 0\.\d\d to 0\.\d\d\.$/,
    )
    expect(plain(document.body.textContent)).toMatch(/Winter salt wears your chains most: \d/)
    const row = (table: string | RegExp, name: RegExp) =>
      plain(within(screen.getByRole('table', { name: table })).getByRole('row', { name }).textContent)
    expect(row(/Wear rate of each chain/, /Chain 1/)).toMatch(/4 readings, on now/)
    expect(row(/each kind of road/, /Winter salt/)).toMatch(/× \d\.\d, \d\.\d to \d\.\d/)
    expect(row(/each lube/, /Drip wax/)).toMatch(/×/)
    expect(row(/part of the year/, /March to May/)).toMatch(/as you ride then/)
    expect(screen.getByText(/^Drip wax against drip lube: 0\.\d\d times the wear, probably/)).toBeTruthy()
  })

  test('without a reading all of it is a guess, and says so', () => {
    show([...commuter, ...rides])
    expect(screen.getByText(/all of this is a guess from bikes in general/)).toBeTruthy()
    expect(screen.getByRole('heading', { level: 1 }).textContent).toMatch(/probably lengthens/)
  })

  test('chains of several bikes are told apart', () => {
    show([
      ...commuter,
      kite,
      ...kiteChain,
      ...rides,
      ...readAt(3, 25, 0.3),
      ...readAt(3, 25, 0.2).map((one) => ({ ...one, chain: 'kite-chain' }) as EntryDraft),
    ])
    const chains = screen.getByRole('table', { name: /Wear rate of each chain/ })
    expect(within(chains).getByRole('rowheader', { name: /of Heron/ })).toBeTruthy()
  })

  test('says that it is being worked out, and how it was when it is', async () => {
    show([...commuter, ...rides], false)
    expect(screen.getByText(/Working out what wears your chains/)).toBeTruthy()
    cleanup()
    show([...commuter, ...rides, ...readAt(3, 25, 0.3)])
    await userEvent.click(screen.getByText('How was this worked out?'))
    expect(screen.getByRole('row', { name: /R-hat/ }).textContent).toMatch(/1\.0\d\d.*the samplers agree/)
  })
})

describe('words for rates', () => {
  const factor: FactorRate = {
    of: 'drip-wax',
    before: { p10: 0.5, p50: 0.7, p90: 0.9 },
    after: { p10: 0.5, p50: 0.7, p90: 0.95 },
    learned: 0.2,
    wearKm: 500,
    less: 0.93,
  }

  test('wax against drip, as one would say it', () => {
    expect(sayContrast(factor)).toMatch(
      /^Drip wax against drip lube: 0\.70 times the wear, probably 0\.50 to 0\.95;/,
    )
    expect(sayContrast({ ...factor, learned: 0 })).toMatch(/That is still a guess\.$/)
    expect(sayContrast({ ...factor, of: 'wet-lube' })).toMatch(/in dust/)
  })

  test('figures have two places that matter', () => {
    expect([0.154, 0.9, 1.04, 3.66, 12.4].map(sayTwo)).toEqual(['0.15', '0.90', '1.0', '3.7', '12'])
  })

  test('a rate a mile is a rate a kilometre times 1.609344', () => {
    expect(rateIn('imperial', 0.2)).toBeCloseTo(0.3218688, 9)
    expect(rateIn('metric', 0.2)).toBe(0.2)
  })

  test('what would teach: a look, saying what was ridden in, a road, a tool', () => {
    const garage = replay(written(commuter))
    expect(sayLesson({ kind: 'look', chain: 'chain', share: 0.2 }, garage)).toMatch(/Heron’s chain/)
    expect(sayLesson({ kind: 'factor', of: 'not-set', share: 0.2 }, garage)).toMatch(
      /^Setting the conditions/,
    )
    expect(sayLesson({ kind: 'factor', of: 'mud', share: 0.2 }, garage)).toMatch(/mud/)
    expect(sayLesson({ kind: 'tool', tool: 'rule', share: 0.2 }, garage)).toMatch(/^Zeroing/)
    expect(sayFactor('none')).toBe('a bare chain')
  })
})
