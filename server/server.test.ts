import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import type { FastifyInstance } from 'fastify'
import { buildServer } from './app.ts'

let app: FastifyInstance
let dist: string

beforeAll(async () => {
  dist = mkdtempSync(join(tmpdir(), 'jolt-mile-dist-'))
  mkdirSync(join(dist, 'assets'))
  mkdirSync(join(dist, '.vite'))
  writeFileSync(join(dist, 'index.html'), '<meta name="style-nonce" content="" /><title>Jolt Mile</title>')
  writeFileSync(join(dist, 'assets', 'app-1.js'), 'export {}')
  writeFileSync(join(dist, 'sw.js'), '')
  writeFileSync(join(dist, '.vite', 'manifest.json'), '{}')
  writeFileSync(join(dist, '..', 'jolt-mile-secret.txt'), 'secret')
  app = await buildServer(dist)
})
afterAll(async () => {
  await app.close()
  rmSync(dist, { recursive: true })
  rmSync(join(dist, '..', 'jolt-mile-secret.txt'))
})

const get = (url: string) => app.inject({ method: 'GET', url })

describe('the page', () => {
  test.each(['/', '/gauge', '/demo/', '/demo/gauge?new=bike'])('is served at %p', async (url) => {
    const answer = await get(url)
    expect(answer.statusCode).toBe(200)
    expect(answer.body).toContain('<title>Jolt Mile</title>')
  })

  test('carries a strict policy: no inline script, no other host, one marked style', async () => {
    const answer = await get('/')
    const policy = String(answer.headers['content-security-policy'])
    expect(policy).toContain("default-src 'none'")
    expect(policy).toContain("script-src 'self';")
    expect(policy).not.toContain('unsafe')
    expect(policy).not.toContain('http')
    const nonce = /name="style-nonce" content="([^"]+)"/.exec(answer.body)?.[1]
    expect(nonce).toBeDefined()
    expect(policy).toContain(`'nonce-${nonce}'`)
  })

  test('has another mark each time and is not kept', async () => {
    const [one, other] = [await get('/'), await get('/')]
    expect(one.body).not.toBe(other.body)
    expect(one.headers['cache-control']).toBe('no-store')
  })

  test('has sane headers', async () => {
    const { headers } = await get('/')
    expect(headers['x-content-type-options']).toBe('nosniff')
    expect(headers['referrer-policy']).toBe('no-referrer')
    expect(headers['x-frame-options']).toBe('SAMEORIGIN')
    expect(headers['strict-transport-security']).toBeUndefined()
  })
})

describe('who may ask', () => {
  test.each([
    ['127.0.0.1:4173', 200],
    ['localhost', 200],
    ['[::1]:4173', 200],
    ['evil.example', 421],
    ['127.0.0.1.evil.example', 421],
    ['127.0.0.1:4173@evil.example', 421],
    ['/', 421],
  ])('a request for %p is answered with %p', async (host, status) => {
    expect((await app.inject({ url: '/api/health', headers: { host } })).statusCode).toBe(status)
  })

  test.each([
    [{}, 200],
    [{ 'sec-fetch-site': 'same-origin' }, 200],
    [{ 'sec-fetch-site': 'cross-site' }, 403],
    [{ 'sec-fetch-site': 'same-site' }, 403],
    [{ origin: 'http://localhost:80', host: 'localhost:80' }, 200],
    [{ origin: 'http://evil.example', host: 'localhost:80' }, 403],
    [{ origin: 'null', host: 'localhost:80' }, 403],
  ])('the caliper’s button pressed by a page with %j: %p', async (headers, status) => {
    const answer = await app.inject({ method: 'POST', url: '/api/caliper/press', headers })
    expect(answer.statusCode).toBe(status)
  })

  test('the page itself may be linked to from anywhere', async () => {
    const answer = await app.inject({ url: '/gauge', headers: { 'sec-fetch-site': 'cross-site' } })
    expect(answer.statusCode).toBe(200)
  })
})

test('the page is there by its own name for the service worker, which is asked for anew each time', async () => {
  expect((await get('/index.html')).body).toContain('<title>Jolt Mile</title>')
  expect((await get('/sw.js')).headers['cache-control']).toBe('no-cache')
})

test('the head of the caliper’s stream is answered at once', async () => {
  const answer = await app.inject({ method: 'HEAD', url: '/api/caliper/stream' })
  expect(answer.statusCode).toBe(404)
})

test('health says ready', async () => {
  expect((await get('/api/health')).json()).toEqual({ status: 'ready' })
})

test('assets are kept for a year: their names change with their contents', async () => {
  const answer = await get('/assets/app-1.js')
  expect(answer.statusCode).toBe(200)
  expect(answer.headers['cache-control']).toContain('immutable')
})

test.each(['/assets/gone.js', '/favicon.ico', '/api/nothing'])(
  '%p is not there, and says so',
  async (url) => {
    const answer = await get(url)
    expect(answer.statusCode).toBe(404)
    expect(answer.body).not.toContain('<title>')
  },
)

test.each([
  '/../jolt-mile-secret.txt',
  '/%2e%2e/jolt-mile-secret.txt',
  '/assets/..%2f..%2fjolt-mile-secret.txt',
  '/%252e%252e/jolt-mile-secret.txt',
  '/assets\\..\\..\\jolt-mile-secret.txt',
  '/.vite/manifest.json',
  '//jolt-mile-secret.txt',
  '/%00',
  '/%zz',
])('the trick %p is refused', async (url) => {
  const answer = await get(url)
  expect(answer.statusCode).toBeGreaterThanOrEqual(400)
  expect(answer.statusCode).toBeLessThan(500)
  expect(answer.body).not.toContain('secret')
})

test('nothing can be written to it', async () => {
  for (const method of ['POST', 'PUT', 'DELETE'] as const)
    expect((await app.inject({ method, url: '/gauge' })).statusCode).toBe(404)
})

test('says so where the app is not built', async () => {
  const empty = mkdtempSync(join(tmpdir(), 'jolt-mile-empty-'))
  const bare = await buildServer(empty)
  expect((await bare.inject('/')).statusCode).toBe(503)
  expect((await bare.inject('/api/health')).json()).toEqual({ status: 'not built' })
  await bare.close()
  rmSync(empty, { recursive: true })
})
