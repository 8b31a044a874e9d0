import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { commuter, noon, ride, written } from '../../../test/log.ts'
import type { RideEntry } from '../log/kinds/ride.ts'
import { replay } from '../log/replay.ts'
import { admitRides, draftsOf, type RideDraft } from './admit-rides.ts'
import { quarterOf, usualAt } from './conditions.ts'
import { odometerSpans, unaccountedKm } from './odometer.ts'
import { isSameRide, richness } from './same-ride.ts'
import { conditionFromWeather, type WeatherHour } from './weather-guess.ts'

const draft = (at: string, km: number, more: Partial<RideDraft> = {}): RideDraft => ({
  kind: 'ride',
  at,
  bike: 'heron',
  km,
  ...more,
})
const recorded = (
  at: string,
  minutes: number,
  km: number,
  file: string,
  more: Partial<RideDraft> = {},
): RideDraft =>
  draft(at, km, { elapsedSeconds: 60 * minutes, trackKm: km, source: { file, fingerprint: file }, ...more })
const held = (...drafts: RideDraft[]): RideEntry[] =>
  written(drafts).filter((entry): entry is RideEntry => entry.kind === 'ride')

describe('one ride from two sources', () => {
  const morning = '2026-03-02T07:30:00.000Z'

  test('is known by the time that both share', () => {
    const watch = recorded(morning, 40, 12, 'watch')
    expect(isSameRide(watch, recorded('2026-03-02T07:32:00.000Z', 37, 11.8, 'bars'))).toBe('yes')
    expect(isSameRide(watch, recorded('2026-03-02T08:05:00.000Z', 40, 12, 'way back'))).toBe('no')
  })

  test('by hand is the recorded one of that day where the distances agree', () => {
    const byHand = draft(noon(3, 2), 12)
    expect(isSameRide(byHand, recorded(morning, 40, 12.4, 'bars'))).toBe('maybe')
    expect(isSameRide(byHand, recorded(morning, 40, 25, 'bars'))).toBe('no')
    expect(isSameRide(byHand, draft(noon(3, 2), 12))).toBe('no')
  })

  test('the richer recording wins, whichever comes first, and keeps what was said of the other', () => {
    const plain = recorded(morning, 40, 12, 'watch')
    const rich = recorded(morning, 40, 12.1, 'bars', { recorded: ['cadence', 'power'] })
    expect(richness(rich)).toBeGreaterThan(richness(plain))
    const [taken] = admitRides(held({ ...plain, condition: 'mud' }), [rich])
    expect(taken).toMatchObject({
      outcome: 'richer',
      of: 'watch',
      draft: { condition: 'mud', otherSources: [{ file: 'watch', fingerprint: 'watch' }] },
    })
    expect(admitRides(held(rich), [plain])[0]).toMatchObject({ outcome: 'poorer', of: 'bars' })
    for (const batch of [
      [plain, rich],
      [rich, plain],
    ])
      expect(draftsOf(admitRides([], batch)).map(({ source }) => source?.file)).toEqual(['bars'])
  })

  test('a recording that gave way is known when it is offered again', () => {
    const plain = recorded(morning, 40, 12, 'watch')
    const rich = recorded(morning, 40, 12.1, 'bars', { recorded: ['power'] })
    const [taken] = draftsOf(admitRides(held(plain), [rich]))
    expect(admitRides(held(taken ?? plain), [plain])[0]?.outcome).toBe('same')
  })

  test('two bikes out at the same time are two rides', () => {
    const other = recorded(morning, 40, 12, 'other', { bike: 'kite' })
    expect(admitRides(held(recorded(morning, 40, 12, 'watch')), [other])[0]?.outcome).toBe('new')
  })

  test('offered twice, in any order, nothing goes in twice', () => {
    const rides = fc
      .uniqueArray(fc.integer({ min: 0, max: 400 }), { maxLength: 25 })
      .map((hours) =>
        hours.map((hour) =>
          recorded(new Date(Date.UTC(2026, 0, 1, hour)).toISOString(), 45, 10 + hour / 10, `r${hour}`),
        ),
      )
    fc.assert(
      fc.property(rides, fc.infiniteStream(fc.nat(30)), (offered, stream) => {
        const shuffled = [...offered, ...offered].sort(() => (stream.next().value ?? 0) - 15)
        const first = draftsOf(admitRides([], shuffled))
        expect(first).toHaveLength(offered.length)
        expect(draftsOf(admitRides(held(...first), shuffled))).toEqual([])
      }),
    )
  })
})

describe('the bike’s computer', () => {
  const shows = (month: number, day: number, km: number, anew = false) =>
    ({ kind: 'odometer', at: noon(month, day), bike: 'heron', km, ...(anew && { restarted: true }) }) as const
  const heron = (...drafts: Parameters<typeof written>[0]) => {
    const bike = replay(written([...commuter, ...drafts])).bikes.get('heron')
    if (!bike) throw new Error('no bike')
    return bike
  }
  const total = (bike: ReturnType<typeof heron>) => bike.rides.reduce((sum, { km }) => sum + km, 0)

  test('adds what no ride accounts for, spread over the days between', () => {
    const bike = heron(shows(1, 1, 500), ride(1, 5, 30), shows(1, 11, 600))
    expect(total(bike)).toBeCloseTo(100, 9)
    const spread = bike.rides.filter((one) => one.spread)
    expect(spread).toHaveLength(10)
    expect(spread.every((one) => one.unsure && one.km > 6.99 && one.km < 7.01)).toBe(true)
    expect([...bike.rides].sort((a, b) => (a.at < b.at ? -1 : 1))).toEqual(bike.rides)
  })

  test('gives each chain what fell while it was on', () => {
    const garage = replay(
      written([
        ...commuter,
        shows(1, 1, 0),
        {
          kind: 'part',
          at: noon(1, 6),
          part: 'two',
          name: 'Chain 2',
          spec: { type: 'chain', links: 116, speeds: 11, past: 'new' },
        },
        { kind: 'fit', at: noon(1, 6), part: 'two', bike: 'heron' },
        shows(1, 11, 100),
      ]),
    )
    const rides = garage.bikes.get('heron')?.rides ?? []
    expect(rides.filter(({ at }) => at < noon(1, 6)).reduce((sum, { km }) => sum + km, 0)).toBeCloseTo(50, 9)
  })

  test('that began anew, or says no more than the rides, adds nothing', () => {
    expect(total(heron(shows(1, 1, 500), ride(1, 5, 30), shows(1, 11, 3, true), shows(1, 20, 3)))).toBe(30)
    expect(total(heron(shows(1, 1, 500), ride(1, 5, 30), shows(1, 11, 520)))).toBe(30)
    expect(total(heron(shows(1, 1, 500), ride(1, 5, 30), shows(1, 11, 530.2)))).toBe(30)
  })

  test('is corrected like anything else', () => {
    const log = written([...commuter, shows(1, 1, 500), shows(1, 11, 6000)])
    const slip = log.at(-1)
    const mended = written(
      [{ ...shows(1, 11, 600), ...(slip && { supersedes: slip.id }) }],
      Date.UTC(2027, 0, 1),
    )
    const bike = replay([...log, ...mended]).bikes.get('heron')
    expect(bike && total(bike)).toBeCloseTo(100, 9)
    expect(odometerSpans([], bike?.odometer ?? []).map(unaccountedKm)).toEqual([100])
  })
})

describe('what a ride was probably ridden in', () => {
  const at = '2026-01-20T10:00:00.000Z'
  const hours = (
    rain: (hoursBefore: number) => number,
    temperature: (hoursBefore: number) => number,
  ): WeatherHour[] =>
    Array.from({ length: 60 }, (_, i) => ({
      at: new Date(Date.parse(at) - (i - 2) * 3_600_000).toISOString(),
      rainMm: rain(i - 2),
      temperatureC: temperature(i - 2),
    }))
  const mild = () => 9

  test('is wet after rain within four hours, dry after rain the day before', () => {
    expect(
      conditionFromWeather(
        hours((h) => (h === 3 ? 2 : 0), mild),
        { at },
        'dry-road',
      ),
    ).toBe('wet-road')
    expect(
      conditionFromWeather(
        hours((h) => (h === 20 ? 5 : 0), mild),
        { at },
        'dry-road',
      ),
    ).toBe('dry-road')
    expect(
      conditionFromWeather(
        hours((h) => (h === 1 ? 2 : 0), mild),
        { at },
        'dry-gravel',
      ),
    ).toBe('wet-gravel')
  })

  test('is salted after frost and anything falling in two days', () => {
    const frost = (h: number) => (h > 20 && h < 30 ? -3 : 4)
    expect(
      conditionFromWeather(
        hours((h) => (h === 40 ? 3 : 0), frost),
        { at },
        'dry-road',
      ),
    ).toBe('winter-salt')
    expect(
      conditionFromWeather(
        hours(() => 0, frost),
        { at },
        'dry-road',
      ),
    ).toBe('dry-road')
  })

  test('is not told where no hour is known, or indoors', () => {
    expect(conditionFromWeather([], { at }, 'dry-road')).toBeUndefined()
    expect(
      conditionFromWeather(
        hours(() => 1, mild),
        { at },
        'indoor',
      ),
    ).toBeUndefined()
  })

  test('and the usual goes by the part of the year', () => {
    expect(['2026-12-31', '2026-02-28', '2026-03-01', '2026-08-31', '2026-11-30'].map(quarterOf)).toEqual([
      'dec-feb',
      'dec-feb',
      'mar-may',
      'jun-aug',
      'sep-nov',
    ])
    const bike = { usualCondition: 'dry-road', usualByQuarter: { 'dec-feb': 'winter-salt' } } as const
    expect([usualAt(bike, '2026-01-05'), usualAt(bike, '2026-06-05')]).toEqual(['winter-salt', 'dry-road'])
  })
})
