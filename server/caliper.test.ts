import { request, type IncomingMessage } from 'node:http'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, expect, test } from '@jest/globals'
import type { FastifyInstance } from 'fastify'
import { buildServer } from './app.ts'

let app: FastifyInstance
let folder: string
let port: number

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'jolt-mile-caliper-'))
  app = await buildServer(folder)
  const address = new URL(await app.listen({ host: '127.0.0.1', port: 0 }))
  port = Number(address.port)
})
afterEach(async () => {
  await app.close()
  rmSync(folder, { recursive: true })
})

interface Listening {
  readonly heard: string[]
  readonly ended: Promise<void>
  readonly until: (count: number) => Promise<void>
}

/** Listens to the caliper as a page would. */
function listen(): Promise<Listening> {
  return new Promise((resolve, reject) => {
    const heard: string[] = []
    const asked = request({ port, path: '/api/caliper/stream' }, (stream: IncomingMessage) => {
      const ended = new Promise<void>((done) => stream.on('close', done))
      stream.setEncoding('utf8').on('data', (text: string) => heard.push(...(text.match(/data: .*/g) ?? [])))
      const until = async (count: number) => {
        while (heard.length < count) await new Promise((next) => setTimeout(next, 5))
      }
      resolve({ heard, ended, until })
    })
    asked.on('error', reject).end()
  })
}

const settle = (payload: object) => app.inject({ method: 'POST', url: '/api/caliper/settings', payload })
const press = () => app.inject({ method: 'POST', url: '/api/caliper/press' })

test('each press sends a length, inside and outside in turn, of the chain in its jaws', async () => {
  await settle({ elongation: 0.6, playMm: 0.25, noiseMm: 0, pitches: 8 })
  const page = await listen()
  await press()
  await press()
  await page.until(2)
  const [inside, outside] = page.heard.map((line) => (JSON.parse(line.slice(6)) as { mm: number }).mm)
  expect(inside).toBeCloseTo(8 * 12.7 * 1.006 - 7.5, 2)
  expect(outside).toBeCloseTo(8 * 12.7 * 1.006 + 7.5, 2)
})

test('drops out after as many readings as it is told, and can be heard again', async () => {
  await settle({ dropAfter: 1 })
  const first = await listen()
  await press()
  await first.ended
  expect(first.heard).toHaveLength(1)
  const second = await listen()
  await press()
  await second.until(1)
})

test('tells of a low battery', async () => {
  await settle({ batteryLow: true })
  expect((await press()).json()).toMatchObject({ battery: 'low', heard: 0 })
})

test.each([{ noiseMm: -1 }, { elongation: 'much' }, { pitches: 0 }])(
  'refuses the setting %p',
  async (setting) => {
    expect((await settle(setting)).statusCode).toBe(400)
  },
)

test('admits only so many listeners', async () => {
  for (let i = 0; i < 16; i++) await listen()
  expect((await app.inject('/api/caliper/stream')).statusCode).toBe(503)
})
