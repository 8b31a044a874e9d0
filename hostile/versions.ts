import { appendFileSync, cpSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { buildServer } from '../server/app.ts'

/** A tab stays open while newer builds come, so many times; each is offered, and taken by one press. */
export async function versionFigures(times: number): Promise<string> {
  const folder = mkdtempSync(join(tmpdir(), 'jolt-mile-builds-'))
  cpSync('dist', folder, { recursive: true })
  const server = await buildServer(folder)
  const url = await server.listen({ host: '127.0.0.1', port: 0 })
  const browser = await chromium.launch({
    executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  })
  let [offered, taken] = [0, 0]
  try {
    const page = await browser.newPage()
    await page.goto(url)
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null)
    for (let n = 0; n < times; n++) {
      appendFileSync(join(folder, 'sw.js'), `\n// build ${n}`)
      await page.evaluate(async () => {
        await (await navigator.serviceWorker.getRegistration())?.update()
      })
      await page.getByText(/A new version of Jolt Mile is ready/).waitFor()
      offered++
      const reloaded = page.waitForEvent('load')
      await page.getByRole('button', { name: 'Use it now' }).click()
      await reloaded
      await page.locator('h1').waitFor()
      if ((await page.getByText(/A new version of Jolt Mile is ready/).count()) === 0) taken++
    }
  } finally {
    await browser.close()
    await server.close()
    rmSync(folder, { recursive: true, force: true })
  }
  return `| a newer build under an open tab, ${times} times | ${offered} times offered, ${taken} times taken with one press, the page there again | two builds of the service worker |`
}
