import { resolve } from 'node:path'
import { expect, test } from '@playwright/test'
import { addBike, goTo, goToFiles, readWithRule, saveBackup } from './bench-hand.ts'
import { startServer } from './own-server.ts'

test('over plain http, away from localhost: all is written as ever, and Files says what that address cannot do', async ({
  playwright,
  launchOptions,
}) => {
  const server = await startServer(resolve('dist'), 'workshop.test')
  const browser = await playwright.chromium.launch({
    ...launchOptions,
    args: [...(launchOptions.args ?? []), '--host-resolver-rules=MAP workshop.test 127.0.0.1'],
  })
  const page = await browser.newPage({ baseURL: server.url, locale: 'en-IE' })
  await test.step('a bike and a reading', async () => {
    await addBike(page)
    expect(await page.evaluate(() => isSecureContext)).toBe(false)
    await goTo(page, 'Gauge')
    await readWithRule(page, '305.7')
  })
  await test.step('Files says what is missing, and what to do', async () => {
    await goToFiles(page)
    const kept = page.getByRole('region', { name: 'Kept safe' })
    await expect(kept).toContainText('neither https nor localhost')
    await expect(kept).toContainText('Nothing is kept offline')
    await expect(kept).toContainText('writes into no folder')
    await expect(kept).toContainText('Open the app by https')
    const saved = await saveBackup(page)
    expect(saved).toContain('"reading"')
  })
  await test.step('all of it is there after a reload', async () => {
    await page.goto('/log')
    await expect(page.getByText(/305\.7/)).toBeVisible()
  })
  await browser.close()
  await server.stop()
})
