import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { cogLooked, JUDGED_AT, LUBED, measuredAt, reportOn } from '../../../../test/judged.ts'
import { commuter, hundreds, noon, ride, written } from '../../../../test/log.ts'
import { answerOf } from '../../../../test/outlook.ts'
import type { EntryDraft } from '../../log/entries.ts'
import { replay } from '../../log/replay.ts'
import { verdictOf } from '../verdict.ts'
import { fitOf, type TakingBike } from './fit.ts'
import { shoppingList } from './shopping.ts'
import { spendings, spentOn } from './spent.ts'
import { stockFit, stockOf } from './stock-facts.ts'

const BIKE: TakingBike = {
  speeds: 11,
  facts: { freehub: 'splined, 9 ribs', capacityTeeth: 35, largestCog: 42, boltCircleMm: 104, bolts: 4 },
  cogs: [11, 13, 15, 17, 19, 21, 24, 28, 32, 37, 42],
  rings: [40],
  pulleys: [11],
}

describe('whether a part fits', () => {
  test.each([
    ['a chain of as many speeds', 'chain', { speeds: 11 }, 'fits'],
    ['a chain of another number', 'chain', { speeds: 10 }, 'does-not'],
    ['a chain of which nobody knows', 'chain', {}, 'ask'],
    ['a chain of another pitch', 'chain', { speeds: 11, pitchMm: 10 }, 'does-not'],
    [
      'a cassette on the same body, within the cage',
      'cassette',
      { speeds: 11, freehub: 'Splined 9 ribs', teeth: [11, 42] },
      'fits',
    ],
    [
      'a cassette too large for the derailleur',
      'cassette',
      { speeds: 11, freehub: 'splined, 9 ribs', teeth: [11, 46] },
      'does-not',
    ],
    [
      'a cassette that spans more than the cage takes up',
      'cassette',
      { speeds: 11, freehub: 'splined, 9 ribs', teeth: [5, 42] },
      'does-not',
    ],
    [
      'a cassette for another body',
      'cassette',
      { speeds: 11, freehub: 'short splines', teeth: [11, 42] },
      'does-not',
    ],
    // Equal figures do not prove a fit (job.md).
    ['a ring with the same bolts', 'ring', { boltCircleMm: 104, bolts: 4 }, 'ask'],
    ['a ring with other bolts', 'ring', { boltCircleMm: 110, bolts: 5 }, 'does-not'],
    ['a single cog of a size that is there', 'single-cog', { teeth: [15] }, 'ask'],
    ['a single cog of a size that is not', 'single-cog', { teeth: [16] }, 'does-not'],
    ['pulleys of another tooth count', 'pulleys', { teeth: [12] }, 'does-not'],
    [
      'a derailleur with a longer cage',
      'derailleur',
      { speeds: 11, capacityTeeth: 39, largestCog: 46 },
      'fits',
    ],
    [
      'a derailleur with too short a cage',
      'derailleur',
      { speeds: 11, capacityTeeth: 28, largestCog: 46 },
      'does-not',
    ],
    ['degreaser', 'degreaser', {}, 'fits'],
    ['brake pads, of which nothing is known', 'brake-pads', {}, 'ask'],
  ] as const)('%s', (_, item, facts, says) => {
    expect(fitOf(item, facts, BIKE, false).says).toBe(says)
  })

  test('one that was on the bike before needs no asking; but what differs is not talked away', () => {
    expect(fitOf('ring', { boltCircleMm: 104, bolts: 4 }, BIKE, true).says).toBe('fits')
    expect(fitOf('ring', { boltCircleMm: 110 }, BIKE, true).says).toBe('does-not')
  })
})

const chainStock: EntryDraft = {
  kind: 'stock',
  at: noon(1, 1),
  stock: 'plain',
  name: 'Plain chain',
  item: 'chain',
  minimum: 2,
  facts: { speeds: 11 },
}
const move = (
  day: number,
  count: number,
  more: Partial<Extract<EntryDraft, { kind: 'stock-move' }>> = {},
): EntryDraft => ({
  kind: 'stock-move',
  at: noon(3, day),
  stock: 'plain',
  count,
  why: 'bought',
  ...more,
})

describe('the shelf by count', () => {
  test('two devices’ moves add up, whatever their order', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.integer({ min: -5, max: 9 }).filter((n) => n !== 0),
          { maxLength: 12 },
        ),
        (counts) => {
          const moves = counts.map((count, i) => move(1 + i, count))
          const [there] = stockOf(replay(written([chainStock, ...[...moves].reverse()])))
          const sum = counts.reduce((a, b) => a + b, 0)
          expect(there?.count).toBe(sum)
          expect(there?.isShort).toBe(sum < 2)
        },
      ),
      { numRuns: 40 },
    )
  })

  test('what one piece cost last, and what is dropped is there no more', () => {
    const garage = replay(written([chainStock, move(1, 2, { minor: 6000, currency: 'EUR' }), move(2, 1)]))
    expect(stockOf(garage)[0]?.lastPaid).toEqual({ minor: 3000, currency: 'EUR' })
    const dropped = replay(written([chainStock, { ...chainStock, at: noon(3, 1), isDropped: true }]))
    expect(stockOf(dropped)).toEqual([])
  })
})

describe('money kept', () => {
  const used = move(5, -1, { why: 'used', bike: 'heron' })
  const log: readonly EntryDraft[] = [
    ...commuter,
    chainStock,
    move(1, 2, { minor: 5000, currency: 'EUR' }),
    move(2, 2, { minor: 7000, currency: 'EUR' }),
    used,
    { kind: 'paid', at: noon(3, 6), bike: 'heron', what: 'Cable', minor: 800, currency: 'EUR' },
    { kind: 'paid', at: noon(3, 7), bike: 'heron', what: 'Tape', minor: 1200, currency: 'GBP' },
    ...[8, 9, 10, 11].map((day) => ride(3, day, 100)),
  ]
  const garage = replay(written(log))
  const bike = garage.bikes.get('heron')

  test('what comes off the shelf costs what was paid for such pieces, on average', () => {
    // Four for 120.00: 30.00 each.
    expect(spendings(garage, 'heron').map(({ what, minor }) => [what, minor])).toEqual([
      ['Plain chain', 3000],
      ['Cable', 800],
      ['Tape', 1200],
    ])
  })

  test('per 1000 km since the first of it; two currencies are never added up', () => {
    if (!bike) throw new Error('no bike')
    const [euros, pounds] = spentOn(garage, bike)
    expect(euros).toMatchObject({ currency: 'EUR', minor: 3800, km: 400 })
    expect(euros?.per1000).toBeCloseTo(9500, 6)
    expect(pounds).toMatchObject({ currency: 'GBP', minor: 1200 })
    // Too short a way says nothing.
    const short = replay(written(log.slice(0, -2)))
    const same = short.bikes.get('heron')
    expect(same && spentOn(short, same)[0]?.per1000).toBeUndefined()
  })
})

describe('what to buy for the next 1000 km', () => {
  function listOn(drafts: readonly EntryDraft[]) {
    const log = [...commuter, ...hundreds, ...drafts]
    const garage = replay(written(log))
    const report = reportOn(log)
    const answer = answerOf(garage, JUDGED_AT, 'chain')
    const known = { report, answer, teeth: undefined, verdict: verdictOf(report, answer) }
    return shoppingList(garage, [known], () => 4)
  }

  test('a chain past its limit is bought now, with the cassette where the cogs are worn; a sound one is not', () => {
    const worn = listOn([LUBED, ...measuredAt(0.95), cogLooked('spent')])
    expect(worn.map(({ item, why }) => [item, why])).toEqual([
      ['chain', 'due'],
      ['cassette', 'with-chain'],
      ['drip-lube', 'lube'],
    ])
    expect(worn[0]?.by).toBe(JUDGED_AT)
    expect(worn[2]?.times).toBe(4)
    expect(listOn([LUBED, ...measuredAt(0.05)]).map(({ item }) => item)).toEqual(['drip-lube'])
  })

  test('a chain that nears its limit has a day, before the limit is likely reached', () => {
    const [chain] = listOn([LUBED, ...measuredAt(0.42)])
    expect(chain).toMatchObject({ item: 'chain', why: 'forecast' })
    expect(chain?.by && chain.by > JUDGED_AT).toBe(true)
  })

  test('what is on the shelf and fits is told; what is fewer than is kept is bought', () => {
    const list = listOn([LUBED, ...measuredAt(0.95), cogLooked('spent'), chainStock, move(1, 1)])
    expect(list.find(({ item, bike }) => item === 'chain' && bike)?.onShelf).toEqual({
      stock: 'plain',
      name: 'Plain chain',
      count: 1,
    })
    expect(list.find(({ why }) => why === 'minimum')?.stock).toBe('plain')
    const tenSpeed = { ...chainStock, facts: { speeds: 10 } } as EntryDraft
    expect(
      listOn([LUBED, ...measuredAt(0.95), tenSpeed, move(1, 1)]).find(
        ({ item, bike }) => item === 'chain' && bike,
      )?.onShelf,
    ).toBeUndefined()
  })

  test('a chain that lies there new in the log is not bought again', () => {
    const spare: EntryDraft = {
      kind: 'part',
      at: noon(2, 1),
      part: 'spare',
      name: 'Chain 2',
      spec: { type: 'chain', links: 116, speeds: 11, past: 'new' },
    }
    expect(listOn([LUBED, ...measuredAt(0.6), spare]).map(({ item }) => item)).not.toContain('chain')
  })

  test('fits are by the bike’s own facts', () => {
    const garage = replay(
      written([...commuter, chainStock, { ...chainStock, stock: 'ten', facts: { speeds: 10 } }]),
    )
    const bike = garage.bikes.get('heron')
    if (!bike) throw new Error('no bike')
    expect(stockOf(garage).map((one) => stockFit(garage, one, bike).says)).toEqual(['fits', 'does-not'])
  })
})
