import { spawn } from 'node:child_process'
import { existsSync, mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Page } from '@playwright/test'
import { writeBackup } from '../src/formats/write-backup.ts'
import { logFigures } from './log-page.ts'
import { pagesMb } from './pages-mb.ts'
import { workshopFigures } from './workshop-page.ts'
import type { PageFigure } from './page-figure.ts'
import { recordedHour, tenYearsOfOneBike } from './samples.ts'

const PORT = 4293
const FILES = 1000

async function ready(url: string): Promise<void> {
  for (let i = 0; i < 100; i++) {
    const answer = await fetch(url).catch(() => undefined)
    if (answer?.ok) return
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  throw new Error('the server did not start')
}

/** Reads the files in two workers and merely counts their tags, s: what nothing that reads them can be faster than. */
async function scanSeconds(page: Page, paths: readonly string[]): Promise<number> {
  await page.evaluate(() => {
    const input = document.createElement('input')
    input.type = 'file'
    input.multiple = true
    input.id = 'scan'
    document.body.append(input)
  })
  await page.locator('#scan').setInputFiles([...paths])
  return page.evaluate(async () => {
    const files = [...(document.querySelector<HTMLInputElement>('#scan')?.files ?? [])]
    const source = `onmessage = async ({ data }) => {
      const text = new TextDecoder().decode(await new Blob(data).arrayBuffer())
      let tags = 0
      for (let i = text.indexOf('<'); i >= 0; i = text.indexOf('<', i + 1)) tags++
      postMessage(tags)
    }`
    const url = URL.createObjectURL(new Blob([source], { type: 'text/javascript' }))
    const began = performance.now()
    let next = 0
    await Promise.all(
      [0, 1].map(
        () =>
          new Promise<void>((resolve) => {
            const worker = new Worker(url)
            const go = () => {
              const part = files.slice(next, (next += 25))
              if (part.length > 0) worker.postMessage(part)
              else {
                worker.terminate()
                resolve()
              }
            }
            worker.onmessage = go
            go()
          }),
      ),
    )
    document.querySelector('#scan')?.remove()
    return (performance.now() - began) / 1000
  })
}

/** Notes tasks that hold the page up for over 50 ms, with their beginning and end. */
async function watchLongTasks(page: Page): Promise<void> {
  await page.evaluate(() => {
    const held = window as unknown as { longTasks: [number, number][] }
    held.longTasks = []
    new PerformanceObserver((list) => {
      for (const { startTime, duration } of list.getEntries())
        held.longTasks.push([startTime, startTime + duration])
    }).observe({ type: 'longtask' })
  })
}

/** Of each such task the part after the files were chosen, ms: before, the driver of this script hands them over. */
const longTasksSinceChosen = (page: Page): Promise<readonly number[]> =>
  page.evaluate(() => {
    const chosen = performance.getEntriesByName('chosen')[0]?.startTime ?? 0
    return (window as unknown as { longTasks: [number, number][] }).longTasks
      .map(([from, to]) => to - Math.max(from, chosen))
      .filter((ms) => ms > 50)
  })

async function bringIn(page: Page, text: string): Promise<void> {
  await page.goto('/files')
  await page
    .getByLabel('Backup file')
    .setInputFiles({ name: 'log.json', mimeType: 'application/json', buffer: Buffer.from(text) })
  await page.getByText(/came in new from log\.json/).waitFor({ timeout: 120_000 })
}

async function thousandRides(page: Page, folder: string): Promise<PageFigure[]> {
  const paths = Array.from({ length: FILES }, (_, n) => {
    const path = join(folder, `${n}.gpx`)
    writeFileSync(path, recordedHour(n))
    return path
  })
  const megabytes = paths.reduce((sum, path) => sum + statSync(path).size, 0) / 1e6
  const input = page.getByLabel('Ride files')
  const scanned = await scanSeconds(page, paths)
  await page.evaluate(() => new Promise((resolve) => setTimeout(resolve, 500)))
  const before = pagesMb()
  let most = before
  // No oftener: to be counted holds the pages up.
  const watcher = setInterval(() => (most = Math.max(most, pagesMb())), 400)
  await watchLongTasks(page)
  await page.evaluate(() => {
    document
      .querySelector('[aria-label="Ride files"]')
      ?.addEventListener('change', () => performance.mark('chosen'))
    const seen = new MutationObserver(() => {
      if (![...document.querySelectorAll('button')].some(({ textContent }) => /^Add \d/.test(textContent)))
        return
      performance.mark('review')
      seen.disconnect()
    })
    seen.observe(document.body, { childList: true, subtree: true })
  })
  await input.setInputFiles(paths)
  await page.getByRole('button', { name: /^Add 1/ }).waitFor({ timeout: 120_000 })
  const took = await page.evaluate(() => performance.measure('rides', 'chosen', 'review').duration / 1000)
  clearInterval(watcher)
  const long = await longTasksSinceChosen(page)
  const rate = (seconds: number) => `${(megabytes / seconds).toFixed(0)} MB/s`
  await page.getByRole('button', { name: 'Leave them' }).click()

  await input.setInputFiles(paths)
  await page.getByRole('progressbar').waitFor()
  const began = performance.now()
  await page.getByRole('button', { name: 'Cancel' }).click()
  await page.getByText('Cancelled. Nothing was added.').waitFor()
  const cancelled = performance.now() - began
  return [
    {
      what: `${FILES} recorded hours, ${megabytes.toFixed(0)} MB of GPX, from choosing them to the list of what was found`,
      median: `${took.toFixed(1)} s, ${rate(took)}`,
      worst: `merely counting their tags in two workers: ${scanned.toFixed(1)} s, ${rate(scanned)}`,
      goal: 'over 60 MB/s',
    },
    {
      what: 'while they were read: tasks of the page over 50 ms',
      median: String(long.length),
      worst: long.length > 0 ? `${Math.max(...long).toFixed(0)} ms` : 'none',
      goal: 'none',
    },
    {
      what: 'while they were read: memory of the page and its workers',
      median: `${most.toFixed(0)} MB at most`,
      worst: `${before.toFixed(0)} MB before`,
      goal: 'under 500 MB',
    },
    { what: 'a cancel takes hold', median: `${cancelled.toFixed(0)} ms`, worst: '', goal: 'none set' },
  ]
}

/** Drags and zooms the road for some seconds and times each picture. */
async function roadFrames(page: Page): Promise<PageFigure> {
  await page.goto('/miles')
  const road = page.getByRole('slider', { name: 'Place on the road' })
  await road.waitFor({ timeout: 60_000 })
  await page.getByText('Working out the chains…').waitFor({ state: 'detached', timeout: 300_000 })
  await road.focus()
  for (let i = 0; i < 6; i++) await page.keyboard.press('+')
  await road.scrollIntoViewIfNeeded()
  const frames = await page.evaluate(async () => {
    const road = document.querySelector('[aria-label="Place on the road"]')
    if (!road) throw new Error('no road')
    const box = road.getBoundingClientRect()
    road.setPointerCapture = () => undefined
    const point = (type: string, x: number) =>
      road.dispatchEvent(
        new PointerEvent(type, {
          bubbles: true,
          pointerId: 7,
          pointerType: 'mouse',
          clientX: box.left + x,
          clientY: box.top + 100,
        }),
      )
    const next = () => new Promise<number>((resolve) => requestAnimationFrame(resolve))
    const gaps: number[] = []
    const shown = () =>
      document.querySelector<HTMLCanvasElement>('[aria-label="Place on the road"]')?.toDataURL()
    const before = shown()
    point('pointerdown', 600)
    let last = await next()
    for (let i = 0; i < 300; i++) {
      point('pointermove', 600 + 500 * Math.sin(i / 20))
      const now = await next()
      gaps.push(now - last)
      last = now
    }
    point('pointerup', 600)
    const sorted = (of: number[]) => [...of].sort((a, b) => a - b)
    const at = (of: number[], share: number) => sorted(of)[Math.floor(share * (of.length - 1))] ?? 0
    if (shown() === before) throw new Error('the road did not move')
    return { gap: at(gaps, 0.5), gap95: at(gaps, 0.95), worst: at(gaps, 1) }
  })
  return {
    what: 'the mile strip with ten years on it, dragged: from one picture to the next',
    median: `${frames.gap.toFixed(1)} ms`,
    worst: `19 of 20 within ${frames.gap95.toFixed(1)} ms; the slowest ${frames.worst.toFixed(1)} ms`,
    goal: '16.7 ms (60 a second)',
  }
}

/** What the real page does, in headless Chromium without a graphics card. */
export async function pageFigures(): Promise<PageFigure[]> {
  const executablePath = process.env['CHROMIUM'] ?? '/usr/bin/chromium'
  if (!existsSync(executablePath)) throw new Error('Chromium is needed: run npm test once, or set CHROMIUM.')
  const folder = mkdtempSync(join(tmpdir(), 'jolt-mile-bench-'))
  const baseURL = `http://127.0.0.1:${PORT}`
  const server = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
    env: { ...process.env, PORT: String(PORT), HOST: '127.0.0.1' },
  })
  const browser = await chromium.launch({ executablePath, args: ['--no-sandbox', '--disable-gpu'] })
  try {
    await ready(`${baseURL}/api/health`)
    // Past its page policy for one thing: the worker that only counts tags, which is not the app's.
    const context = await browser.newContext({
      baseURL,
      bypassCSP: true,
      viewport: { width: 1280, height: 800 },
      locale: 'en-IE',
    })
    // The runner of this script names its functions by a helper that the page does not have.
    await context.addInitScript('globalThis.__name = (held) => held')
    const page = await context.newPage()
    const entries = tenYearsOfOneBike()
    await bringIn(page, writeBackup(entries, new Date().toISOString()))
    const frames = await roadFrames(page)
    const log = await logFigures(browser, baseURL)
    await page.goto('/files')
    const second = await browser.newContext({ baseURL, bypassCSP: true, locale: 'en-IE' })
    await second.addInitScript('globalThis.__name = (held) => held')
    const fresh = await second.newPage()
    await bringIn(
      fresh,
      writeBackup(entries.filter(({ kind }) => kind !== 'ride').slice(0, 3), new Date().toISOString()),
    )
    await context.close()
    await fresh.goto('/miles')
    const rides = await thousandRides(fresh, folder)
    await second.close()
    return [...rides, frames, ...log, ...(await workshopFigures(browser, baseURL))]
  } finally {
    await browser.close()
    server.kill()
    rmSync(folder, { recursive: true })
  }
}
