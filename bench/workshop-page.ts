import type { Browser, Page } from '@playwright/test'
import { writeBackup } from '../src/formats/write-backup.ts'
import type { PageFigure } from './page-figure.ts'
import { heaviestPageMb, pagesMb } from './pages-mb.ts'
import { readWorkshopLog } from './samples.ts'

/** So many entries of a long log are kept together. */
const PACK_ENTRIES = 5000
const seconds = (ms: number): string => `${(ms / 1000).toFixed(1)} s`

/** What a page notes of itself from its first moment. */
interface Noted {
  /** When it was held up for over 50 ms, and how long, ms. */
  held: (readonly [number, number])[]
  /** When its first words stood on the screen, ms since it was asked for. */
  firstWords?: number
}

/** Notes when the page is held up for over 50 ms, and when its first words are drawn: by itself, for to ask it holds it up. */
async function watch(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const held = window as unknown as Noted
    held.held = []
    const look = () =>
      requestAnimationFrame(() => {
        if (!document.querySelector('h1')) look()
        // Found before a frame is drawn: the frame after it is the first with the words on it.
        else requestAnimationFrame(() => (held.firstWords = performance.now()))
      })
    look()
    new PerformanceObserver((list) => {
      for (const { startTime, duration } of list.getEntries()) held.held.push([startTime, duration])
    }).observe({ type: 'longtask', buffered: true })
  })
}

/** Tasks over 50 ms that began later than so long after the page was asked for, ms each. */
const tasksAfter = (page: Page, ms: number): Promise<readonly number[]> =>
  page.evaluate(
    (from) => (window as unknown as Noted).held.flatMap(([start, took]) => (start >= from ? [took] : [])),
    ms,
  )

/** Until every bike in sight on Today has its verdict, ms since the page was asked for. */
const allInSight = (page: Page): Promise<number> =>
  page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const look = () => {
          const rows = [...document.querySelectorAll('section[aria-label], [role="region"] li')]
          const isThere = rows.length > 3 && !rows.some(({ textContent }) => textContent.includes('…'))
          if (isThere) resolve(performance.now())
          else setTimeout(look, 20)
        }
        look()
      }),
  )

const sayTasks = (tasks: readonly number[]): string =>
  tasks.length === 0 ? 'none' : `${tasks.length}, the longest ${Math.max(...tasks).toFixed(0)} ms`

/** Until what came in stands in the second copy and in packs too: a page opened in the midst of it is another figure. */
const settled = (page: Page, entries: number, packs: number): Promise<void> =>
  page.evaluate(
    async ([most, mostPacks]) => {
      const asked = <T>(request: IDBRequest<T>): Promise<T> =>
        new Promise((resolve, reject) => {
          request.onsuccess = () => resolve(request.result)
          request.onerror = () => reject(new Error('the database does not answer'))
        })
      const { storageBuckets } = navigator as unknown as {
        storageBuckets: { open: (name: string) => Promise<{ indexedDB: IDBFactory }> }
      }
      const { indexedDB: beside } = await storageBuckets.open('second-copy')
      const look = async <T>(
        factory: IDBFactory,
        name: string,
        store: string,
        ask: (of: IDBObjectStore) => IDBRequest<T>,
      ) => {
        const database = await asked(factory.open(name))
        const found = await asked(ask(database.transaction(store).objectStore(store)))
        database.close()
        return found
      }
      for (;;) {
        const mark = await look<{ count: number } | undefined>(
          beside,
          'jolt-mile second copy',
          'mark',
          (of) => of.get('of') as IDBRequest<{ count: number } | undefined>,
        )
        const packed = await look(indexedDB, 'jolt-mile', 'packs', (of) => of.count())
        if ((mark?.count ?? 0) >= most && packed >= mostPacks) return
        await new Promise((resolve) => setTimeout(resolve, 500))
      }
    },
    [entries, packs] as const,
  )

/** Forgets every answer that was kept. */
const forget = (page: Page): Promise<void> =>
  page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const opening = indexedDB.open('jolt-mile')
        opening.onsuccess = () => {
          const change = opening.result.transaction('answers', 'readwrite')
          change.objectStore('answers').clear()
          change.oncomplete = () => {
            opening.result.close()
            resolve()
          }
        }
      }),
  )

/** Two hundred bikes, 100,000 rides and 10,000 readings: opened, listed, worked out. */
async function workshopOpened(browser: Browser, baseURL: string): Promise<PageFigure[]> {
  const context = await browser.newContext({
    baseURL,
    viewport: { width: 1280, height: 800 },
    locale: 'en-IE',
  })
  await context.addInitScript('globalThis.__name = (held) => held')
  const log = readWorkshopLog()
  const into = await context.newPage()
  await into.goto('/files')
  await into.getByLabel('Backup file').setInputFiles({
    name: 'log.json',
    mimeType: 'application/json',
    buffer: Buffer.from(writeBackup(log, '2026-11-26T12:00:00.000Z')),
  })
  await into.getByText(/came in new from log\.json/).waitFor({ timeout: 240_000 })
  await settled(into, log.length, Math.floor(log.length / PACK_ENTRIES))
  // A page without the app in it: nothing is worked out any longer while the answers are cleared away.
  await into.goto('/icon.svg')
  await forget(into)
  await into.close()

  const opened = async (): Promise<{ page: Page; first: number; inSight: number }> => {
    const page = await context.newPage()
    await watch(page)
    await page.goto('/', { waitUntil: 'commit' })
    const inSight = await allInSight(page)
    const first = await page.evaluate(() => (window as unknown as Noted).firstWords ?? NaN)
    return { page, first, inSight }
  }
  const anew = await opened()
  await anew.page.getByText('Working out the chains…').waitFor({ state: 'detached', timeout: 300_000 })
  const workedOut = await anew.page.evaluate(() => performance.now())
  const anewTasks = await tasksAfter(anew.page, 1000)
  const memory = { page: heaviestPageMb(), all: pagesMb() }
  await anew.page.close()

  const kept = await opened()
  const keptTasks = await tasksAfter(kept.page, 1000)
  await kept.page.close()
  await context.close()
  return [
    {
      what: '200 bikes, 100,000 rides, 10,000 readings: opened cold, to the first words',
      median: seconds(kept.first),
      worst: `nothing kept: ${seconds(anew.first)}`,
      goal: 'under 3 s',
    },
    {
      what: 'the same: every bike in sight with its verdict, from kept answers',
      median: seconds(kept.inSight),
      worst: `nothing kept, what is in sight first: ${seconds(anew.inSight)}`,
      goal: 'at once',
    },
    {
      what: 'the same: all of them worked out, nothing kept',
      median: seconds(workedOut),
      worst: '',
      goal: 'under 20 s',
    },
    {
      what: 'the same: tasks of the page over 50 ms after its first second',
      median: `from kept answers: ${sayTasks(keptTasks)}`,
      worst: `while all is worked out: ${sayTasks(anewTasks)}`,
      goal: 'none',
    },
    {
      what: 'the same: memory of the page and its workers, all worked out',
      median: `${memory.page.toFixed(0)} MB`,
      worst: `with the pages the browser keeps ready: ${memory.all.toFixed(0)} MB`,
      goal: 'under 500 MB',
    },
  ]
}

const ROWS = 5000
/** A diary of years: a day, a count, both sides of a gauge. */
const diary = (): string =>
  [
    'date,km,0.5,0.75',
    ...Array.from({ length: ROWS }, (_, i) => {
      const day = new Date(Date.UTC(2010, 0, 1) + i * 86_400_000).toISOString().slice(0, 10)
      return `${day},${1000 + i * 9},${i % 300 > 200 ? 'yes' : 'no'},no`
    }),
  ].join('\n')

async function notesRead(browser: Browser, baseURL: string): Promise<PageFigure> {
  const context = await browser.newContext({
    baseURL,
    viewport: { width: 1280, height: 800 },
    locale: 'en-IE',
  })
  const page = await context.newPage()
  await page.goto('/files?notes')
  const input = page.getByLabel('Spreadsheet file')
  await input.waitFor({ state: 'attached' })
  const began = performance.now()
  await input.setInputFiles({ name: 'diary.csv', mimeType: 'text/csv', buffer: Buffer.from(diary()) })
  await page.getByRole('heading', { name: 'What the columns hold' }).waitFor({ timeout: 60_000 })
  const read = performance.now() - began
  await page.getByLabel('The gauge has').selectOption({ index: 1 })
  await page.getByLabel('The notes are about', { exact: true }).selectOption('a new bike: 11 or more cogs')
  const answered = performance.now()
  await page.getByLabel('Its name').fill('Tern')
  await page.getByRole('heading', { name: /^5.000 rows/ }).waitFor({ timeout: 60_000 })
  const took = read + performance.now() - answered
  await context.close()
  return {
    what: `a table of notes with ${ROWS} rows, from choosing the file, the time for answers left out, to what each row becomes`,
    median: seconds(took),
    worst: '',
    goal: 'under 3 s',
  }
}

async function packageMade(browser: Browser, baseURL: string): Promise<PageFigure> {
  const context = await browser.newContext({
    baseURL,
    viewport: { width: 1280, height: 800 },
    acceptDownloads: true,
    locale: 'en-IE',
  })
  const page = await context.newPage()
  await page.goto('/demo/')
  await page.getByText('Working out the chains…').waitFor({ state: 'detached', timeout: 120_000 })
  await page.locator('h1').waitFor()
  await page.goto('/demo/files')
  const button = page.getByRole('button', { name: 'Save the data package' })
  await button.waitFor()
  const began = performance.now()
  await Promise.all([page.waitForEvent('download'), button.click()])
  const took = performance.now() - began
  await context.close()
  return {
    what: 'the data package of the demo: two years of five bikes, forecasts kept',
    median: seconds(took),
    worst: '',
    goal: 'under 2 s',
  }
}

/** A workshop's worth of bikes, years of notes in, everything out, in the real page. */
export const workshopFigures = async (browser: Browser, baseURL: string): Promise<PageFigure[]> => [
  ...(await workshopOpened(browser, baseURL)),
  await notesRead(browser, baseURL),
  await packageMade(browser, baseURL),
]
