import { appendFileSync, cpSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from '@playwright/test'
import {
  addBike,
  answerOf,
  asFile,
  daysAgo,
  goTo,
  goToFiles,
  readWithRule,
  rideFile,
  saveBackup,
} from './bench-hand.ts'
import { startServer, type OwnServer } from './own-server.ts'

test.use({ serviceWorkers: 'allow' })

let server: OwnServer
let folder: string
test.beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'jolt-mile-offline-'))
  cpSync('dist', folder, { recursive: true })
  server = await startServer(folder)
})
test.afterEach(async () => {
  await server.stop()
  rmSync(folder, { recursive: true })
})

test('with the server gone the app opens, and a whole visit goes on as before', async ({ browser }) => {
  const context = await browser.newContext({ baseURL: server.url, serviceWorkers: 'allow' })
  const page = await context.newPage()
  await addBike(page)
  await test.step('the whole app is kept in the browser while one works', async () => {
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null)
  })
  await server.stop()

  await test.step('a deep link opens, and every station, though none was visited', async () => {
    await page.goto('/teeth')
    await expect(answerOf(page)).toContainText('A fresh chain will run on all cogs')
    for (const station of ['Today', 'Miles', 'Gauge', 'Wash', 'Decide']) await goTo(page, station)
    for (const station of ['Shelf', 'Rates', 'Log', 'Files']) {
      await page.getByRole('button', { name: 'More', exact: true }).click()
      await page.getByRole('menuitem', { name: new RegExp(station) }).click()
      await expect(page).toHaveTitle(new RegExp(station))
      await expect(answerOf(page)).toBeVisible()
    }
  })

  await test.step('a ride comes in from a file, a reading is taken, a chart is drawn', async () => {
    await goTo(page, 'Miles')
    await page.getByLabel('Ride files').setInputFiles([asFile('monday.gpx', rideFile(daysAgo(20), 3600))])
    await page.getByRole('button', { name: /^Add 1 ride/ }).click()
    await expect(answerOf(page)).toContainText(/18\u00a0km/)
    await goTo(page, 'Gauge')
    await readWithRule(page, '305.5')
    await expect(page.getByRole('checkbox')).toHaveCount(1)
  })

  await test.step('what stands for the outside says that it needs the server', async () => {
    await page.getByRole('button', { name: 'Connect' }).click()
    await expect(page.getByText(/cannot be reached: it needs the Jolt Mile server/)).toBeVisible()
    await page.getByRole('button', { name: 'Disconnect' }).click()
  })

  await test.step('a backup is saved, and read again before that is said', async () => {
    await goToFiles(page)
    expect(JSON.parse(await saveBackup(page))).toMatchObject({
      format: 'jolt-mile-log',
      version: 4,
      world: 'own',
    })
  })

  await test.step('the demo opens too, and a reload changes nothing', async () => {
    await page.reload()
    await expect(answerOf(page)).toContainText('Your log:')
    await page.goto('/demo/gauge')
    await expect(answerOf(page)).toContainText('Heron', { timeout: 30_000 })
  })
  await context.close()
})

test('a newer version waits until it is asked for', async ({ browser }) => {
  const context = await browser.newContext({ baseURL: server.url, serviceWorkers: 'allow' })
  const page = await context.newPage()
  await page.goto('/')
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null)
  // A build of later: the same files, and a service worker that differs by a line.
  appendFileSync(join(folder, 'sw.js'), '\n// newer')
  await page.evaluate(async () => {
    await (await navigator.serviceWorker.getRegistration())?.update()
  })
  await expect(page.getByText(/A new version of Jolt Mile is ready/)).toBeVisible()
  await expect(answerOf(page)).toBeVisible()
  const reloaded = page.waitForEvent('load')
  await page.getByRole('button', { name: 'Use it now' }).click()
  await reloaded
  await expect(page.getByText(/A new version of Jolt Mile is ready/)).toHaveCount(0)
  await context.close()
})

test('a piece of the app that cannot be loaded says so, and offers a reload', async ({ browser }) => {
  const context = await browser.newContext({ baseURL: server.url, serviceWorkers: 'block' })
  const page = await context.newPage()
  await page.goto('/')
  await expect(answerOf(page)).toBeVisible()
  await page.route('**/assets/Wash-*.js', (route) => route.abort())
  await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Wash' }).click()
  await expect(answerOf(page)).toHaveText('This part of the app could not be loaded.')
  await expect(page.getByRole('button', { name: 'Reload' }).first()).toBeVisible()
  await context.close()
})
