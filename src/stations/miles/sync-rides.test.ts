import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { commuter } from '../../../test/log.ts'
import { replay } from '../../core/log/replay.ts'
import type { RideChange } from '../../services/ride-service.ts'
import { keep, readKept } from '../../store/kept.ts'
import type { Ledger } from '../../store/ledger.ts'
import { append, openedLedger, storedIn } from '../../../test/ledger.ts'
import { syncRides, type SyncSum } from './sync-rides.ts'

const PAGE = 3
const PLACE = 'place'
let ledger: Ledger
beforeEach(async () => {
  ledger = await openedLedger()
  await append(ledger, commuter)
})
afterEach(async () => {
  ledger.stop()
  await ledger.database.delete()
})

const told = (day: number, more: Partial<RideChange> = {}): RideChange => ({
  id: `r${day}`,
  version: 1,
  deleted: false,
  startedAt: `2026-03-${String(day).padStart(2, '0')}T08:00:00Z`,
  elapsedSeconds: 3000,
  movingSeconds: 2800,
  km: 15,
  lat: 44.0512,
  lon: -29.4,
  ...more,
})

/** A service with these changes; `fails` says which questions, counted from 1, it does not answer. */
function serviceOf(changes: readonly RideChange[], fails: (asked: number) => boolean = () => false) {
  let asked = 0
  const fetch = (url: RequestInfo | URL): Promise<Response> => {
    asked++
    if (fails(asked)) return Promise.resolve(new Response('', { status: 503 }))
    const after = Number(/after=(\d+)/.exec(url as string)?.[1])
    const page = changes.slice(after, after + PAGE)
    return Promise.resolve(
      new Response(
        JSON.stringify({ changes: page, next: after + page.length, more: after + PAGE < changes.length }),
      ),
    )
  }
  return fetch
}

const sync = (fetch: typeof globalThis.fetch, attempts = 3): Promise<SyncSum> =>
  syncRides({
    token: 'token',
    bike: 'heron',
    ledger,
    kept: {
      read: (key) => readKept(ledger.database, key),
      keep: (key, value) => keep(ledger.database, key, value),
    },
    record: (drafts) => append(ledger, drafts),
    placeKey: PLACE,
    onProgress: () => undefined,
    fetch,
    attempts,
    sleep: () => Promise.resolve(),
  })
const ridden = () => Promise.resolve(replay(storedIn(ledger)).bikes.get('heron')?.rides ?? [])
const days = async () => (await ridden()).map(({ at }) => Number(at.slice(8, 10)))

describe('syncing rides', () => {
  const ten = Array.from({ length: 10 }, (_, i) => told(1 + i))

  test('brings every ride once, with its place rounded and its source named', async () => {
    expect(await sync(serviceOf(ten))).toEqual({
      added: 10,
      addedKm: 150,
      known: 0,
      removed: 0,
      refused: 0,
      pages: 4,
    })
    const [first] = await ridden()
    expect(first).toMatchObject({
      km: 15,
      unsure: true,
      place: { lat: 44.05, lon: -29.4 },
      source: { file: 'Ostermere ride exchange', fingerprint: 'exchange r1' },
    })
    expect(await sync(serviceOf(ten))).toMatchObject({ added: 0, pages: 1 })
    expect(await days()).toHaveLength(10)
  })

  test('broken off, it keeps what it has and goes on from there', async () => {
    await expect(sync(serviceOf(ten, (asked) => asked > 2))).rejects.toThrow('a fault of its own')
    expect(await days()).toHaveLength(6)
    expect(await readKept(ledger.database, PLACE)).toEqual({ cursor: 6, deleted: [] })
    expect(await sync(serviceOf(ten))).toMatchObject({ added: 4, pages: 2 })
    expect(await days()).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10])
  })

  test('a page that was written though its place was not kept adds nothing twice', async () => {
    await sync(serviceOf(ten))
    await ledger.database.kept.delete(PLACE)
    expect(await sync(serviceOf(ten))).toMatchObject({ added: 0, known: 10 })
    expect(await days()).toHaveLength(10)
  })

  test('told twice, backwards and deleted, it comes to the same', async () => {
    const gone: RideChange = { id: 'r4', version: 2, deleted: true }
    const muddled = [gone, ...[...ten].reverse().flatMap((ride) => [ride, ride])]
    await sync(serviceOf(muddled, (asked) => asked % 2 === 0))
    expect(await days()).toEqual([1, 2, 3, 5, 6, 7, 8, 9, 10])
  })

  test('a ride deleted there later is taken out, even where it was put right here', async () => {
    await sync(serviceOf(ten))
    const entry = storedIn(ledger).find(
      (one) => one.kind === 'ride' && one.source?.fingerprint === 'exchange r4',
    )
    if (!entry) throw new Error('the ride was not written')
    const { id, action: _action, format: _format, ...rest } = entry
    await append(ledger, [{ ...rest, at: '2026-03-04T09:00:00.000Z', supersedes: id }])
    expect(await sync(serviceOf([...ten, { id: 'r4', version: 2, deleted: true }]))).toMatchObject({
      removed: 1,
    })
    expect(await days()).not.toContain(4)
  })

  test('a ride without a start or a distance is passed over', async () => {
    const { startedAt: _startedAt, ...timeless } = told(1)
    expect(await sync(serviceOf([timeless, told(2, { km: 0 }), told(3)]))).toMatchObject({ added: 1 })
  })

  test('what the browser refuses to write is asked for again', async () => {
    const refusing = syncRides({
      token: 'token',
      bike: 'heron',
      ledger,
      kept: { read: () => Promise.resolve(undefined), keep: () => Promise.resolve() },
      record: () => Promise.resolve(undefined),
      placeKey: PLACE,
      onProgress: () => undefined,
      fetch: serviceOf(ten),
    })
    await expect(refusing).rejects.toThrow('could not be saved')
    expect(await readKept(ledger.database, PLACE)).toBeUndefined()
  })
})
