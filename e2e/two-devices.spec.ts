import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, expect, test, type BrowserContext, type Page } from '@playwright/test'
import { pullThePlug } from '../test/pull-the-plug.ts'
import {
  addBike,
  answerOf,
  asBackup,
  asFile,
  cutShort,
  daysAgo,
  goTo,
  goToFiles,
  readWithRule,
  rideFile,
  saveBackup,
} from './bench-hand.ts'

test.setTimeout(240_000)

interface Entry {
  readonly id: string
  readonly kind: string
  readonly [field: string]: unknown
}
const entriesOf = (backup: string): readonly Entry[] =>
  (JSON.parse(backup) as { entries: readonly Entry[] }).entries
const byId = (backup: string): Map<string, string> =>
  new Map(entriesOf(backup).map((entry) => [entry.id, JSON.stringify(Object.entries(entry).sort())]))
const counted = (backup: string): Record<string, number> => {
  const counts: Record<string, number> = {}
  for (const { kind } of entriesOf(backup)) counts[kind] = (counts[kind] ?? 0) + 1
  return counts
}

async function bringIn(page: Page, name: string, text: string): Promise<void> {
  await goToFiles(page)
  await page.getByLabel('Backup file').setInputFiles(asBackup(name, text))
  await expect(page.getByText(new RegExp(`came in new from ${name}`))).toBeVisible()
}

test('a week on a bench and a phone: nothing is lost, doubled or different', async ({ baseURL }) => {
  const address = baseURL ?? ''
  const folder = mkdtempSync(join(tmpdir(), 'jolt-mile-bench-'))
  const openBench = (): Promise<BrowserContext> =>
    chromium.launchPersistentContext(folder, {
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu'],
      baseURL: address,
      serviceWorkers: 'block',
      acceptDownloads: true,
    })
  let context = await openBench()
  let bench = context.pages()[0] ?? (await context.newPage())
  const phoneBrowser = await chromium.launch({
    executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  })
  const phoneContext = await phoneBrowser.newContext({
    baseURL: address,
    serviceWorkers: 'block',
    viewport: { width: 390, height: 844 },
  })
  const phone = await phoneContext.newPage()

  try {
    await test.step('Monday: the bench takes over an old log, and a bike of today', async () => {
      await bench.goto('/files')
      await bench
        .getByLabel('Backup file')
        .setInputFiles(asBackup('old.json', readFileSync('test/backups/format-1.json', 'utf8')))
      await expect(
        bench.getByText('48 entries came in new from old.json; 0 were here already.'),
      ).toBeVisible()
      await addBike(bench, daysAgo(60))
    })

    await test.step('Tuesday: rides from files, a broken one named; a wash; three readings', async () => {
      await goTo(bench, 'Miles')
      await bench
        .getByLabel('Ride files')
        .setInputFiles([
          asFile('one.gpx', rideFile(daysAgo(20), 1800)),
          cutShort(),
          asFile('two.gpx', rideFile(daysAgo(19), 1800)),
        ])
      await expect(bench.getByText('Could not be read')).toBeVisible()
      await bench.getByRole('button', { name: /^Add 2 rides/ }).click()
      await expect(bench.getByText('2 rides added.', { exact: true })).toBeVisible()
      await goTo(bench, 'Wash')
      await bench.getByRole('group', { name: 'Put on' }).getByRole('radio', { name: 'wet lube' }).check()
      await bench.getByRole('button', { name: 'Log it' }).click()
      await expect(answerOf(bench)).toContainText('wet lube')
      await goTo(bench, 'Gauge')
      for (const length of ['305.5', '306.0', '305.5']) await readWithRule(bench, length)
      await expect(bench.getByRole('checkbox')).toHaveCount(3)
    })

    const monday = await test.step('Wednesday: the log goes to the phone', async () => {
      await goToFiles(bench)
      const saved = await saveBackup(bench)
      await phone.goto('/files')
      await phone.getByLabel('Backup file').setInputFiles(asBackup('bench.json', saved))
      await expect(phone.getByText(/came in new from bench\.json; 0 were here already/)).toBeVisible()
      return saved
    })

    await test.step('Thursday: a ride on the phone; on the bench a second tab swaps the chain', async () => {
      await phone.goto('/miles')
      await phone.getByLabel('Distance, km').fill('61')
      await phone.getByRole('button', { name: 'Add the ride' }).click()
      await expect(phone.getByText(/^61.km added/).first()).toBeVisible()
      const second = await context.newPage()
      await second.goto('/shelf#chain')
      await second.getByRole('button', { name: 'Log the chain' }).click()
      await expect(second.getByText(/has another chain/).first()).toBeVisible()
      await second.close()
      await goTo(bench, 'Miles')
      await expect(bench.getByRole('button', { name: 'Add the ride' })).toBeVisible()
    })

    await test.step('Friday: the bench’s browser is killed in the middle of an import', async () => {
      const many = Array.from({ length: 12 }, (_, i) =>
        asFile(`late-${i}.gpx`, rideFile(daysAgo(40 - i), 600)),
      )
      await bench.getByLabel('Ride files').setInputFiles(many)
      const add = bench.getByRole('button', { name: /^Add 12 rides/ })
      await expect(add).toBeVisible()
      await add.dispatchEvent('click')
      await pullThePlug(folder)
      await context.close().catch(() => undefined)
      context = await openBench()
      bench = context.pages()[0] ?? (await context.newPage())
      await bench.goto('/files')
      const rides = (counted(await saveBackup(bench))['ride'] ?? 0) - (counted(monday)['ride'] ?? 0)
      expect([0, 12]).toContain(rides)
    })

    await test.step('Saturday: a correction on the phone, an undo and a redo on the bench', async () => {
      await phone.goto('/log')
      await phone.getByRole('button', { name: /^Open: .*61/ }).click()
      await phone.getByRole('dialog').getByLabel('Distance, km').fill('16')
      await phone.getByRole('dialog').getByRole('button', { name: 'Save correction' }).click()
      await expect(phone.getByRole('button', { name: /^Open: .*16/ })).toBeVisible()
      await goTo(bench, 'Miles')
      await bench.getByLabel('Distance, km').fill('7')
      await bench.getByRole('button', { name: 'Add the ride' }).click()
      await expect(bench.getByText(/^7.km added/).first()).toBeVisible()
      await bench.getByRole('heading', { level: 1 }).click()
      await bench.keyboard.press('u')
      await expect(bench.getByText('Undone: 1 ride.', { exact: true })).toBeVisible()
      await bench.keyboard.press('Shift+U')
      await expect(bench.getByText('Redone: 1 ride.', { exact: true })).toBeVisible()
    })

    await test.step('Sunday: each takes in the other’s log, and both are the same, entry for entry', async () => {
      await goToFiles(bench)
      const fromBench = await saveBackup(bench)
      await goToFiles(phone)
      const fromPhone = await saveBackup(phone)
      await bringIn(bench, 'phone.json', fromPhone)
      await bringIn(phone, 'bench.json', fromBench)
      const [here, there] = [await saveBackup(bench), await saveBackup(phone)]
      const [onBench, onPhone] = [byId(here), byId(there)]
      expect(onBench).toEqual(onPhone)
      for (const [id, text] of [...byId(monday), ...byId(fromBench), ...byId(fromPhone)])
        expect(onBench.get(id)).toBe(text)
      expect(onBench.size).toBe(new Set([...byId(fromBench).keys(), ...byId(fromPhone).keys()]).size)
      expect(counted(here)).toMatchObject({
        wash: counted(monday)['wash'],
        reading: counted(monday)['reading'],
      })
      const kilometres = entriesOf(here).flatMap(({ kind, km }) => (kind === 'ride' ? [km] : []))
      expect(kilometres.filter((km) => km === 61 || km === 16 || km === 7)).toHaveLength(3)
    })

    await test.step('and the garage says the same on both', async () => {
      // Which bike was looked at last is the browser's own memory, and may be lost where the browser was killed.
      for (const page of [bench, phone]) {
        await page.goto('/miles')
        await page.getByRole('button', { name: /: switch bike$/ }).click()
        await page.getByRole('menuitem', { name: 'Tern' }).click()
        await expect(answerOf(page)).toContainText('Tern has')
      }
      const said = (await answerOf(bench).textContent()) ?? ''
      await expect(answerOf(phone)).toHaveText(said)
    })
  } finally {
    await context.close()
    await phoneBrowser.close()
    rmSync(folder, { recursive: true, force: true })
  }
})
