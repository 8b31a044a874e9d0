import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { chromium, type BrowserContext, type Page } from '@playwright/test'
import { seededRandom } from '../src/core/stats/random.ts'
import { writeBackup } from '../src/formats/write-backup.ts'
import { buildServer } from '../server/app.ts'
import { commuter, written } from '../test/log.ts'
import { pullThePlug } from '../test/pull-the-plug.ts'

const RIDES = 400

/** So many batches lie on the same days, each at an hour of its own. */
const A_DAY = 20
/** A batch of rides as a table file, different each time; a hundred of them end before the year 2006. */
const table = (n: number): string =>
  [
    'date,distance km,duration',
    ...Array.from({ length: RIDES }, (_, i) => {
      const day = new Date(Date.UTC(2000, 0, 1) + (Math.floor(n / A_DAY) * RIDES + i) * 86_400_000)
      return `${day.toISOString().slice(0, 10)} ${String(n % A_DAY).padStart(2, '0')}:05,${10 + (i % 10)},0:40:00`
    }),
  ].join('\n')

const log = () => writeBackup(written(commuter), new Date().toISOString())
const start = (folder: string): Promise<BrowserContext> =>
  chromium.launchPersistentContext(folder, {
    executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
    serviceWorkers: 'block',
  })

async function bringIn(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/files`)
  await page
    .getByLabel('Backup file')
    .setInputFiles({ name: 'log.json', mimeType: 'application/json', buffer: Buffer.from(log()) })
  await page.getByText(/came in new from log/).waitFor()
}

/** Goes as far as the button that adds a batch. */
async function review(page: Page, url: string, n: number): Promise<void> {
  await page.goto(`${url}/miles`)
  const input = page.getByLabel('Ride files')
  const found = await input.waitFor({ state: 'attached', timeout: 20_000 }).then(
    () => true,
    () => false,
  )
  if (!found)
    throw new Error(`no way to add rides: ${(await page.locator('body').innerText()).slice(0, 400)}`)
  await input.setInputFiles({ name: `table-${n}.csv`, mimeType: 'text/csv', buffer: Buffer.from(table(n)) })
  const columns = page.getByRole('button', { name: /Read the rides|Use these columns|Read/ }).first()
  const add = page.getByRole('button', { name: /^Add \d/ })
  await columns.or(add).first().waitFor()
  if (!(await add.isVisible())) await columns.click()
  await add.waitFor()
  // Killed again and again right after it opens, the app would rightly go to its safe page.
  await page.evaluate(() => localStorage.removeItem('jolt-mile openings own'))
}

/** What a table of the database holds, looked at past the app. */
const heldIn = (page: Page, table: 'entries' | 'packs'): Promise<readonly { readonly kind?: string }[]> =>
  page.evaluate(
    (name) =>
      new Promise((resolve, reject) => {
        const open = indexedDB.open('jolt-mile')
        open.onerror = () => reject(new Error('closed'))
        open.onsuccess = () => {
          const all = open.result.transaction(name).objectStore(name).getAll()
          all.onsuccess = () => {
            open.result.close()
            resolve(
              (all.result as { kind?: string }[]).map(({ kind }) => ({
                ...(kind !== undefined && { kind }),
              })),
            )
          }
        }
      }),
    table,
  )

const ridesIn = async (page: Page): Promise<number> =>
  (await heldIn(page, 'entries')).filter(({ kind }) => kind === 'ride').length

/** So often are the files of the log overwritten. */
const DAMAGES = 5

/** Overwrites the browser's files of the log's own database, as a failing disk does; those of the copy stay. */
function damage(folder: string): void {
  const place = join(folder, 'Default', 'IndexedDB')
  for (const database of readdirSync(place).filter((name) => name.endsWith('.leveldb')))
    for (const name of readdirSync(join(place, database)))
      if (/^(CURRENT|MANIFEST|\d+\.(log|ldb))/.test(name))
        writeFileSync(join(place, database, name), Buffer.alloc(4096, 'rubbish'))
}

/** What came of pulling the plug, or of two tabs. */
export interface BrowserFigures {
  readonly kills: number
  /** The rides were all there, or none of them. */
  readonly wholeOrNothing: number
  readonly came: number
  readonly reopened: number
  /** The browser had begun the damaged database anew, and the second copy put the log back. */
  readonly cameBack: number
  /** After this many of the kills the log held packs of entries. */
  readonly packed: number
  readonly damages: number
  /** The log was whole after its database's files had been overwritten. */
  readonly healed: number
  readonly tabs: number
  readonly once: number
}

/** Ends the browser in the middle of a write, `kills` times, and has two tabs add one file, `tabs` times. */
export async function browserFigures(kills: number, tabs: number, seed: number): Promise<BrowserFigures> {
  const random = seededRandom(seed)
  const server = await buildServer(resolve('dist'))
  const url = await server.listen({ host: '127.0.0.1', port: 0 })
  const folder = mkdtempSync(join(tmpdir(), 'jolt-mile-hostile-'))
  let [wholeOrNothing, came, reopened, cameBack, once_, packed, healed] = [0, 0, 0, 0, 0, 0, 0]
  try {
    let context = await start(folder)
    let page = context.pages()[0] ?? (await context.newPage())
    await bringIn(page, url)
    let before = 0
    for (let n = 0; n < kills; n++) {
      await review(page, url, n)
      await page.getByRole('button', { name: /^Add \d/ }).dispatchEvent('click')
      await new Promise((resolve) => setTimeout(resolve, random.between(0, 160)))
      await pullThePlug(folder)
      await context.close().catch(() => undefined)
      context = await start(folder)
      page = context.pages()[0] ?? (await context.newPage())
      await page.goto(`${url}/miles`)
      await page.locator('h1').waitFor()
      if (/Heron/.test((await page.locator('h1').textContent()) ?? '')) reopened++
      if (await page.getByText('The browser had lost your log.').isVisible()) cameBack++
      const now = await ridesIn(page)
      if (now === before || now === before + RIDES) wholeOrNothing++
      if (now > before) came++
      before = now
      if ((await heldIn(page, 'packs')).length > 0) packed++
      process.stdout.write('.')
    }
    for (let n = 0; n < DAMAGES; n++) {
      // The copy follows a moment after the log.
      await page.waitForTimeout(2000)
      await context.close()
      damage(folder)
      context = await start(folder)
      page = context.pages()[0] ?? (await context.newPage())
      await page.goto(`${url}/miles`)
      await page.getByText('The browser had lost your log.').waitFor({ timeout: 30_000 })
      if ((await ridesIn(page)) === before) healed++
      process.stdout.write('!')
    }
    for (let n = 0; n < tabs; n++) {
      const other = await context.newPage()
      await Promise.all([review(page, url, kills + n), review(other, url, kills + n)])
      const add = (one: Page) => one.getByRole('button', { name: /^Add \d/ }).dispatchEvent('click')
      await Promise.all([add(page), add(other)])
      await Promise.all(
        [page, other].map((one) =>
          one
            .getByText(/added\.$|in the log already\.$/)
            .first()
            .waitFor(),
        ),
      )
      const now = await ridesIn(page)
      if (now === before + RIDES) once_++
      before = now
      process.stdout.write(':')
      await other.close()
    }
    await context.close()
  } finally {
    await server.close()
    rmSync(folder, { recursive: true, force: true, maxRetries: 10, retryDelay: 300 })
  }
  return {
    kills,
    wholeOrNothing,
    came,
    reopened,
    cameBack,
    packed,
    damages: DAMAGES,
    healed,
    tabs,
    once: once_,
  }
}
