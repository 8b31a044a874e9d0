import { mkdtempSync, mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import type { FastifyInstance } from 'fastify'
import { buildServer } from './app.ts'

let app: FastifyInstance
let dist: string
beforeAll(async () => {
  dist = mkdtempSync(join(tmpdir(), 'jolt-mile-stand-ins-'))
  mkdirSync(join(dist, 'assets'))
  writeFileSync(join(dist, 'index.html'), '<title>Jolt Mile</title>')
  app = await buildServer(dist)
})
afterAll(async () => {
  await app.close()
  rmSync(dist, { recursive: true })
})

const post = (url: string, payload: object) => app.inject({ method: 'POST', url, payload })
const setFaults = (of: 'ride-exchange' | 'weather', switches: object) => post(`/api/${of}/faults`, switches)
beforeEach(async () => {
  await setFaults('ride-exchange', {})
  await setFaults('ride-exchange', { perSecond: 0 })
  await setFaults('weather', {})
  await setFaults('weather', { perSecond: 0 })
})

interface Change {
  readonly id: string
  readonly deleted: boolean
  readonly startedAt?: string
  readonly km?: number
}
interface Page {
  readonly changes: readonly Change[]
  readonly next: number
  readonly more: boolean
}

async function token(rider = 'heron'): Promise<string> {
  return (await post('/api/ride-exchange/sign-in', { rider, pin: '1807' })).json<{ token: string }>().token
}
const page = (held: string, after: number) =>
  app.inject({
    method: 'GET',
    url: `/api/ride-exchange/changes?after=${after}`,
    headers: { authorization: `Bearer ${held}` },
  })
async function everything(held: string): Promise<Change[]> {
  const all: Change[] = []
  for (let after = 0; ;) {
    const { changes, next, more } = (await page(held, after)).json<Page>()
    all.push(...changes)
    if (!more) return all
    after = next
  }
}

describe('the ride exchange', () => {
  test('knows its riders by their PIN, and nobody without a token', async () => {
    expect((await post('/api/ride-exchange/sign-in', { rider: 'heron', pin: '1' })).statusCode).toBe(401)
    expect((await post('/api/ride-exchange/sign-in', { rider: 'nobody', pin: '1807' })).statusCode).toBe(401)
    expect((await page('made-up', 0)).statusCode).toBe(401)
    expect((await page(await token(' Heron '), 0)).statusCode).toBe(200)
  })

  test('tells its rides in pages, the same each time, each rider’s own', async () => {
    const held = await token()
    const rides = await everything(held)
    expect(rides.length).toBeGreaterThan(12)
    expect(await everything(held)).toEqual(rides)
    expect(rides.every(({ km = 0 }) => km >= 8 && km <= 30)).toBe(true)
    expect(rides.map(({ startedAt = '' }) => startedAt)).toEqual(
      rides.map(({ startedAt = '' }) => startedAt).sort(),
    )
    expect(await everything(await token('quarry'))).not.toEqual(rides)
    expect((await page(held, rides.length)).json<Page>()).toEqual({
      changes: [],
      next: rides.length,
      more: false,
    })
  })

  test('tells twice, backwards, and deletes, as it is switched', async () => {
    const held = await token()
    const plain = await everything(held)
    await setFaults('ride-exchange', { duplicate: true })
    expect(await everything(held)).toHaveLength(2 * plain.length)
    await setFaults('ride-exchange', { duplicate: false, outOfOrder: true, deleteEvery: 5 })
    const backwards = await everything(held)
    const gone = backwards.filter(({ deleted }) => deleted)
    expect(gone).toHaveLength(Math.floor(plain.length / 5))
    expect(backwards.slice(0, gone.length)).toEqual(gone)
    expect(backwards.at(-1)?.id).toBe(plain[0]?.id)
  })

  test('fails every so often, and turns haste away with a word on how long to wait', async () => {
    const held = await token()
    await setFaults('ride-exchange', { failEvery: 2 })
    const statuses = [await page(held, 0), await page(held, 0), await page(held, 0)].map(
      ({ statusCode }) => statusCode,
    )
    expect(statuses).toEqual([200, 503, 200])
    await setFaults('ride-exchange', { failEvery: 0, perSecond: 1 })
    const hasty = await Promise.all([page(held, 0), page(held, 0), page(held, 0), page(held, 0)])
    const turned = hasty.filter(({ statusCode }) => statusCode === 429)
    expect(turned.length).toBeGreaterThan(0)
    expect(turned[0]?.headers['retry-after']).toBe('1')
  })

  test('keeps its switches within bounds', async () => {
    expect((await setFaults('ride-exchange', { slowMs: -1 })).statusCode).toBe(400)
    expect((await setFaults('ride-exchange', { failEvery: 1000 })).statusCode).toBe(400)
    const began = Date.now()
    await setFaults('ride-exchange', { slowMs: 120 })
    await page(await token(), 0)
    expect(Date.now() - began).toBeGreaterThanOrEqual(230)
  })
})

describe('the weather', () => {
  const ask = (query: string) => app.inject({ method: 'GET', url: `/api/weather?${query}` })
  const day = 'lat=44.05&lon=-29.4&from=2026-01-10T00:00:00Z&to=2026-01-10T23:00:00Z'
  interface Hours {
    readonly hours: readonly { at: string; rainMm: number; temperatureC: number }[]
  }

  test('is told by the hour, the same each time, colder in winter', async () => {
    const winter = (await ask(day)).json<Hours>().hours
    expect(winter).toHaveLength(24)
    expect((await ask(day)).json<Hours>().hours).toEqual(winter)
    expect(winter.every(({ rainMm }) => rainMm >= 0 && rainMm <= 2)).toBe(true)
    const mean = (hours: Hours['hours']) =>
      hours.reduce((sum, { temperatureC }) => sum + temperatureC, 0) / hours.length
    const summer = (await ask(day.replaceAll('2026-01-', '2026-07-'))).json<Hours>().hours
    expect(mean(summer)).toBeGreaterThan(mean(winter) + 10)
  })

  test('is refused for nowhere, for no time, and for too long', async () => {
    expect((await ask(day.replace('44.05', '144'))).statusCode).toBe(400)
    expect((await ask(day.replace('2026-01-10T23:00:00Z', 'later'))).statusCode).toBe(400)
    expect((await ask(day.replace('2026-01-10T23:00:00Z', '2026-03-10T23:00:00Z'))).statusCode).toBe(400)
  })

  test('has switches of its own', async () => {
    await setFaults('weather', { failEvery: 1 })
    expect((await ask(day)).statusCode).toBe(503)
    expect((await page(await token(), 0)).statusCode).toBe(200)
  })
})
