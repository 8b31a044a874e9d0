import { describe, expect, test } from '@jest/globals'
import { commuter, noon, written } from '../../../test/log.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import { replay } from '../../core/log/replay.ts'
import { ridesMeant, settingConditions, ridesNotSet } from './not-set.ts'
import { suggestFromWeather } from './weather-suggestions.ts'

const silent = (month: number, day: number, more: Partial<EntryDraft> = {}): EntryDraft =>
  ({ kind: 'ride', at: noon(month, day), bike: 'heron', km: 20, ...more }) as EntryDraft
const quay = { place: { lat: 44.05, lon: -29.4 }, route: 'quay' }
const entries = written([
  ...commuter,
  silent(1, 5, quay),
  silent(1, 20),
  silent(2, 3, quay),
  silent(2, 4, { condition: 'mud' } as never),
])
const bike = replay(entries).bikes.get('heron')
const notSet = ridesNotSet(bike?.rides ?? [])
const dates = (rides: readonly { at: string }[]) => rides.map(({ at }) => at.slice(5, 10))

describe('rides without a condition', () => {
  test('are those nobody spoke of; distance by the bike’s computer is no ride to ask about', () => {
    expect(dates(notSet)).toEqual(['01-05', '01-20', '02-03'])
    const counted = written([
      ...commuter,
      silent(1, 5),
      { kind: 'odometer', at: noon(1, 1), bike: 'heron', km: 0 },
      { kind: 'odometer', at: noon(1, 10), bike: 'heron', km: 100 },
    ])
    const rides = replay(counted).bikes.get('heron')?.rides ?? []
    expect(rides.length).toBeGreaterThan(1)
    expect(ridesNotSet(rides)).toHaveLength(1)
  })

  test('are meant one by one, by month, by way, by dates or all', () => {
    const [first, second] = notSet
    const range = { from: '2026-01-10', to: '2026-02-03' }
    const meant = (which: Parameters<typeof ridesMeant>[2], current = first) =>
      dates(ridesMeant(notSet, current, which, range))
    expect(meant('one')).toEqual(['01-05'])
    expect(meant('month')).toEqual(['01-05', '01-20'])
    expect(meant('route')).toEqual(['01-05', '02-03'])
    expect(meant('route', second)).toEqual(['01-20'])
    expect(meant('between')).toEqual(['01-20', '02-03'])
    expect(meant('all')).toHaveLength(3)
    expect(ridesMeant([], undefined, 'month', range)).toEqual([])
  })

  test('are said by one entry a condition', () => {
    const said = new Map([
      ['a', 'mud'],
      ['b', 'dry-road'],
      ['c', 'mud'],
    ] as const)
    expect(settingConditions(said, 'weather', noon(3, 1))).toEqual([
      { kind: 'condition', at: noon(3, 1), targets: ['a', 'c'], condition: 'mud', from: 'weather' },
      { kind: 'condition', at: noon(3, 1), targets: ['b'], condition: 'dry-road', from: 'weather' },
    ])
  })
})

describe('what the weather suggests', () => {
  const asked: URL[] = []
  const wetOn = (day: string) => (url: RequestInfo | URL) => {
    const where = new URL(url as string, 'http://here')
    asked.push(where)
    const from = Date.parse(where.searchParams.get('from') ?? '')
    const hours = Array.from({ length: 79 }, (_, i) => {
      const at = new Date(from + i * 3_600_000).toISOString()
      return { at, rainMm: at.startsWith(day) ? 1 : 0, temperatureC: 8 }
    })
    return Promise.resolve(new Response(JSON.stringify({ hours })))
  }

  test('is told by place and day; a ride without a place is left to be sorted by hand', async () => {
    const progress: number[] = []
    const found = await suggestFromWeather(notSet, bike?.entry ?? ({} as never), {
      fetch: wetOn('2026-02-03'),
      onProgress: (done) => progress.push(done),
    })
    expect(notSet.map(({ id }) => found.get(id))).toEqual(['dry-road', undefined, 'wet-road'])
    expect(progress).toEqual([1, 2])
    expect(asked.map(({ searchParams }) => searchParams.get('lat'))).toEqual(['44.05', '44.05'])
  })
})
