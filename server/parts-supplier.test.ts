import { mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import type { FastifyInstance } from 'fastify'
import { buildServer } from './app.ts'

let app: FastifyInstance
let dist: string
beforeAll(async () => {
  dist = mkdtempSync(join(tmpdir(), 'jolt-mile-supplier-'))
  mkdirSync(join(dist, 'assets'))
  app = await buildServer(dist)
})
afterAll(async () => {
  await app.close()
  rmSync(dist, { recursive: true })
})
const setFaults = (switches: object) =>
  app.inject({ method: 'POST', url: '/api/parts-supplier/faults', payload: switches })
beforeEach(async () => {
  await setFaults({})
  await setFaults({ perSecond: 0 })
})

interface Page {
  readonly offers: readonly { readonly sku: string; readonly minor: number; readonly inStock: number }[]
  readonly next: number
  readonly more: boolean
}
const page = (after: number | string) => app.inject({ url: `/api/parts-supplier/catalogue?after=${after}` })

describe('the made-up supplier of parts', () => {
  test('tells its catalogue page by page, each thing once, at a price and with what there is', async () => {
    const skus: string[] = []
    for (let after = 0; ;) {
      const { offers, next, more } = (await page(after)).json<Page>()
      for (const { sku, minor, inStock } of offers) {
        skus.push(sku)
        expect(minor).toBeGreaterThan(0)
        expect(inStock).toBeGreaterThanOrEqual(0)
      }
      if (!more) break
      after = next
    }
    expect(skus.length).toBeGreaterThan(20)
    expect(new Set(skus).size).toBe(skus.length)
    // Pulleys are never to be had; a whole derailleur stands in for them.
    expect(skus).toEqual(expect.arrayContaining(['pu-11', 'de-9']))
  })

  test('says the same twice, backwards, too slowly, seldom or not at all, as its switches say', async () => {
    await setFaults({ duplicate: true, outOfOrder: true })
    const { offers } = (await page(0)).json<Page>()
    expect(offers[0]?.sku).toBe(offers[1]?.sku)
    expect(offers[0]?.sku).toBe('ca-1')
    await setFaults({ failEvery: 1 })
    expect((await page(0)).statusCode).toBe(503)
    await setFaults({ failEvery: 0, perSecond: 1 })
    const codes = [await page(0), await page(0), await page(0)].map(({ statusCode }) => statusCode)
    expect(codes).toContain(429)
    await setFaults({ perSecond: 0, deleteEvery: 1, duplicate: false })
    expect((await page(0)).json<Page>().offers.every(({ inStock }) => inStock === 0)).toBe(true)
  })

  test('a question that makes no sense is refused', async () => {
    expect((await page('nonsense')).statusCode).toBe(400)
    expect((await page(-1)).statusCode).toBe(400)
  })
})
