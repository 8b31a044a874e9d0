import { resolve } from 'node:path'
import { expect, test, type Page } from '@playwright/test'
import { build } from 'vite'
import { demoWorld } from '../demo/world.ts'
import { pseudoWords } from '../test/pseudo-words.ts'
import { startServer, type OwnServer } from './own-server.ts'

/** Where the app in another language is built, of this run alone. */
const FOLDER = resolve('test-results/other-language')
const DAY = '2026-11-26T12:00:00Z'

const PLACES = [
  '/',
  '/miles',
  '/gauge',
  '/teeth',
  '/wash',
  '/decide',
  '/faults',
  '/gearing',
  '/checks',
  '/school',
  '/shelf',
  '/rates',
  '/compare',
  '/log',
  '/files',
  '/files?notes',
] as const

/** What somebody typed in is in whatever language it was typed in: names, notes, places. */
const TYPED = /^(name|note|place|linkKind|what|found|why|expect|cautions)$/
function typedIn(value: unknown, field = ''): string[] {
  if (typeof value === 'string') return TYPED.test(field) ? (value.match(/[A-Za-z]{3,}/g) ?? []) : []
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([key, inner]) => typedIn(inner, Array.isArray(value) ? field : key))
}
const MONTHS = Array.from({ length: 12 }, (_, i) =>
  new Intl.DateTimeFormat('en-GB', { month: 'long' }).format(new Date(2026, i, 15)),
)
const KNOWN = new Set([
  ...demoWorld(DAY).flatMap((entry) => typedIn(entry)),
  ...MONTHS,
  // The parts of names that the app makes up from figures, names of services that ship with it, and a currency.
  ...['Ostermere', 'parts', 'supplier', 'ride', 'exchange', 'EUR', 'csv', 'Jolt', 'Mile'],
])

let server: OwnServer
test.beforeAll(async () => {
  test.setTimeout(240_000)
  await build({
    logLevel: 'error',
    plugins: [pseudoWords()],
    worker: { format: 'es', plugins: () => [pseudoWords()] },
    build: { outDir: FOLDER, emptyOutDir: true },
  })
  server = await startServer(FOLDER)
})
test.afterAll(() => server.stop())

/** All that is said on the page, to the eye and to a screen reader. */
const saidOn = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT, (node) =>
      /^(SCRIPT|STYLE|NOSCRIPT)$/.test(node.parentElement?.tagName ?? '')
        ? NodeFilter.FILTER_REJECT
        : NodeFilter.FILTER_ACCEPT,
    )
    const said: string[] = []
    while (texts.nextNode()) said.push(texts.currentNode.textContent ?? '')
    for (const name of ['aria-label', 'title', 'placeholder', 'alt', 'aria-valuetext'])
      for (const element of document.querySelectorAll(`[${name}]`))
        said.push(element.getAttribute(name) ?? '')
    return said
  })

/** What has not come from the words' room. */
const plainWords = (said: readonly string[]): string[] => [
  ...new Set(
    said
      .filter((text) => (text.match(/[A-Za-z]{3,}/g) ?? []).some((word) => !KNOWN.has(word)))
      .map((text) => text.trim()),
  ),
]

/** What does not fit: wider than the page, or cut off where nothing says that there is more. */
const cutOff = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const width = document.documentElement.clientWidth
    const found: string[] = []
    if (document.documentElement.scrollWidth > width + 1)
      found.push(`the page is ${document.documentElement.scrollWidth} wide`)
    for (const element of document.querySelectorAll(
      'h1, h2, h3, p, button, a, label, li, td, th, dt, dd, legend, summary, option',
    )) {
      if (!(element instanceof HTMLElement) || element.offsetParent === null) continue
      const style = getComputedStyle(element)
      const isScrolled =
        element.closest('[class*="overflow-x-auto"], [class*="overflow-auto"], [class*="sr-only"]') !== null
      const box = element.getBoundingClientRect()
      if (box.width === 0 || isScrolled || style.position === 'absolute') continue
      const isCut =
        element.scrollWidth > element.clientWidth + 2 &&
        style.overflowX === 'hidden' &&
        style.textOverflow !== 'ellipsis'
      if (isCut || box.right > width + 2)
        found.push(`${element.tagName} ${(element.textContent ?? '').slice(0, 60)}`)
    }
    return found
  })

const SIZES = [
  { width: 1280, height: 800 },
  { width: 390, height: 844 },
] as const

test('in another language, 40 % longer, every screen is all in it, and fits a bench and a phone', async ({
  page,
}) => {
  await page.clock.setSystemTime(DAY)
  await page.goto(`${server.url}/demo/`)
  // The verdict: "Start with" in the other language.
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Šţàŕţ')
  for (const place of PLACES)
    await test.step(place, async () => {
      await page.goto(`${server.url}/demo${place}`)
      await expect(page.getByRole('heading', { level: 1 })).toHaveText(/\p{Ll}/u)
      await expect(page.getByText(/Ŵöŕķïñĝ öûţ/)).toHaveCount(0)
      for (const size of SIZES) {
        await page.setViewportSize(size)
        expect.soft(plainWords(await saidOn(page)), `${place} at ${size.width}`).toEqual([])
        expect.soft(await cutOff(page), `${place} at ${size.width}`).toEqual([])
      }
      await page.setViewportSize(SIZES[0])
    })
})
