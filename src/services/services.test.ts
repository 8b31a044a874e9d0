import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { patientFetch, ServiceError, type Patience } from './patient-fetch.ts'
import { ridePages, settlePage, signIn, SYNC_START, type RideChange } from './ride-service.ts'
import { catalogue } from './parts-supplier.ts'
import { weatherAt } from './weather.ts'

/** A service that gives these answers in turn; a number is a status, an error a lost connection. */
function answering(answers: readonly (number | Error | object)[], headers: Record<string, string> = {}) {
  const asked: string[] = []
  const waits: [number, string][] = []
  const patience: Patience = {
    fetch: (url) => {
      asked.push(url as string)
      const answer = answers[asked.length - 1] ?? 500
      if (answer instanceof Error) return Promise.reject(answer)
      return Promise.resolve(
        typeof answer === 'number'
          ? new Response('{}', { status: answer, headers })
          : new Response(JSON.stringify(answer), { status: 200 }),
      )
    },
    sleep: () => Promise.resolve(),
    onWait: (ms, why) => waits.push([ms, why]),
  }
  return { asked, waits, patience }
}

describe('asking a service patiently', () => {
  test('faults and lost connections are tried again, each time after twice as long', async () => {
    const { asked, waits, patience } = answering([503, new TypeError('no network'), 500, { fine: true }])
    const answer = await patientFetch('/there', {}, patience)
    expect(await answer.json()).toEqual({ fine: true })
    expect(asked).toHaveLength(4)
    expect(waits).toEqual([
      [400, 'The service has a fault of its own.'],
      [800, 'The service could not be reached: it needs the Jolt Mile server, or the network.'],
      [1600, 'The service has a fault of its own.'],
    ])
  })

  test('a refusal for haste waits as long as it is asked to', async () => {
    const { waits, patience } = answering([429, { fine: true }], { 'retry-after': '7' })
    await patientFetch('/there', {}, patience)
    expect(waits).toEqual([[7000, 'The service asks for fewer questions at once.']])
  })

  test('an answer that will not change is not asked for again', async () => {
    const { asked, patience } = answering([404])
    await expect(patientFetch('/there', {}, patience)).rejects.toMatchObject({ status: 404 })
    expect(asked).toHaveLength(1)
  })

  test('it gives up in plain words, and stops at once when told to', async () => {
    const { asked, waits, patience } = answering([500, 500, 500, 500])
    await expect(patientFetch('/there', {}, { ...patience, attempts: 3 })).rejects.toThrow(ServiceError)
    expect(asked).toHaveLength(3)
    expect(waits).toHaveLength(2)
    const control = new AbortController()
    const stopping = answering([500, 500])
    await expect(
      patientFetch(
        '/there',
        {},
        {
          ...stopping.patience,
          signal: control.signal,
          sleep: () => {
            control.abort()
            return Promise.reject(new DOMException('Stopped.', 'AbortError'))
          },
        },
      ),
    ).rejects.toThrow('Stopped.')
    expect(stopping.asked).toHaveLength(1)
  })
})

const told = (id: string, version = 1, deleted = false): RideChange => ({ id, version, deleted })

describe('pages of rides', () => {
  test('a ride told twice is one; the newest version counts; what was deleted is not told', () => {
    const page = settlePage([told('a'), told('b'), told('a', 3), told('b', 2, true)], SYNC_START, 4)
    expect(page.rides).toEqual([told('a', 3)])
    expect(page.deleted).toEqual(['b'])
    expect(page.place).toEqual({ cursor: 4, deleted: ['b'] })
  })

  test('a ride deleted before it is told, on a later page, stays out', () => {
    const first = settlePage([told('b', 2, true)], SYNC_START, 1)
    expect(settlePage([told('b')], first.place, 2).rides).toEqual([])
  })

  test('in whatever order changes come within a page, it comes to the same', () => {
    const change = fc.record({
      id: fc.constantFrom('a', 'b', 'c', 'd'),
      version: fc.integer({ min: 1, max: 3 }),
    })
    fc.assert(
      fc.property(
        fc
          .uniqueArray(change, { selector: ({ id, version }) => `${id}${version}`, maxLength: 12 })
          .map((changes) => changes.map(({ id, version }) => told(id, version, version === 3)))
          .chain((changes) =>
            fc.tuple(
              fc.constant(changes),
              fc.shuffledSubarray(changes, { minLength: changes.length, maxLength: changes.length }),
            ),
          ),
        ([changes, shuffled]) => {
          const settled = (of: readonly RideChange[]) => {
            const { rides, deleted } = settlePage(of, SYNC_START, 1)
            return [rides.map(({ id }) => id).sort(), [...deleted].sort()]
          }
          expect(settled(shuffled)).toEqual(settled(changes))
        },
      ),
    )
  })

  test('are asked for one after another from where the last sync stood', async () => {
    const { asked, patience } = answering([
      { changes: [told('a')], next: 13, more: true },
      503,
      { changes: [told('b')], next: 14, more: false },
    ])
    const places: number[] = []
    for await (const { place } of ridePages('token', { cursor: 12, deleted: [] }, patience))
      places.push(place.cursor)
    expect(places).toEqual([13, 14])
    expect(asked.map((url) => /after=(\d+)/.exec(url)?.[1])).toEqual(['12', '13', '13'])
  })

  test('that make no sense are refused whole', async () => {
    const { patience } = answering([{ changes: [{ id: 'a', version: 'new' }], next: 1, more: false }])
    await expect(ridePages('token', SYNC_START, patience).next()).rejects.toThrow('makes no sense')
  })
})

describe('signing in', () => {
  test('gives a token, or says that rider and PIN are not known', async () => {
    expect(await signIn('heron', '1807', answering([{ token: 'abc' }]).patience)).toBe('abc')
    await expect(signIn('heron', '1', answering([401]).patience)).rejects.toThrow('Check both.')
    await expect(signIn('heron', '1', answering([{ tokens: 1 }]).patience)).rejects.toThrow('makes no sense')
  })
})

describe('the weather', () => {
  test('is asked for by place and time, and what makes no sense is refused', async () => {
    const hour = { at: '2026-11-01T07:00:00Z', rainMm: 0.4, temperatureC: 6 }
    const { asked, patience } = answering([{ hours: [hour] }, { hours: [{ ...hour, rainMm: 'much' }] }])
    expect(await weatherAt({ lat: 44.05, lon: -29.4 }, 'a', 'b', patience)).toEqual([hour])
    expect(asked[0]).toBe('/api/weather?lat=44.05&lon=-29.4&from=a&to=b')
    await expect(weatherAt({ lat: 44.05, lon: -29.4 }, 'a', 'b', patience)).rejects.toThrow('makes no sense')
  })
})

describe('the supplier of parts', () => {
  const offer = (sku: string, more: object = {}) => ({
    sku,
    item: 'chain',
    name: `Chain ${sku}`,
    minor: 2000,
    currency: 'EUR',
    inStock: 3,
    leadDays: 2,
    facts: { speeds: 11 },
    ...more,
  })

  test('its pages are put together, each thing once, whatever comes twice', async () => {
    const { asked, patience } = answering([
      { offers: [offer('a'), offer('a')], next: 2, more: true },
      503,
      { offers: [offer('b')], next: 3, more: false },
    ])
    const told = await catalogue(patience)
    expect(told.map(({ sku }) => sku)).toEqual(['a', 'b'])
    expect(asked.map((url) => url.split('=')[1])).toEqual(['0', '2', '2'])
  })

  test.each([
    ['a price under nothing', offer('a', { minor: -1 })],
    ['a thing that there is not', offer('a', { item: 'saddlebag' })],
    ['money that has no name', offer('a', { currency: 'euros' })],
    ['teeth that cannot be', offer('a', { facts: { teeth: [900] } })],
  ])('%s is refused, and nothing taken', async (_, bad) => {
    const { patience } = answering([{ offers: [bad], next: 1, more: false }])
    await expect(catalogue(patience)).rejects.toThrow('makes no sense')
  })

  test('a catalogue that goes in circles ends', async () => {
    const { asked, patience } = answering([{ offers: [offer('a')], next: 0, more: true }])
    expect(await catalogue(patience)).toHaveLength(1)
    expect(asked).toHaveLength(1)
  })
})
