import { resolve } from 'node:path'
import { chromium } from 'playwright-core'
import { buildServer } from './server/app.ts'
const [, , out, path, bike = 'kite', theme = 'daylight', size = 'd', ...acts] = process.argv
const server = await buildServer(resolve('dist'))
const address = await server.listen({ port: 0, host: '127.0.0.1' })
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] })
const page = await browser.newPage({ viewport: size === 'd' ? { width: 1280, height: 800 } : { width: 390, height: 844 } })
await page.clock.setSystemTime('2026-11-26T12:00:00Z')
await page.addInitScript(({ bike, theme }) => localStorage.setItem('jolt-mile screen demo', JSON.stringify({ bike, theme, units: 'metric' })), { bike, theme })
page.on('pageerror', (e) => console.log('ERR', e.message))
await page.goto(`${address}/demo${path}`)
await page.waitForTimeout(2500)
for (const a of acts) {
  if (a.startsWith('key:')) await page.keyboard.press(a.slice(4))
  else if (a.startsWith('wait:')) await page.waitForTimeout(Number(a.slice(5)))
  else if (a.startsWith('radio:')) await page.getByRole('radio', { name: a.slice(6), exact: true }).check()
  else await page.getByRole('button', { name: a }).first().click()
  await page.waitForTimeout(500)
}
const full = size === 'd' || process.env['FULL']
await page.screenshot({ path: `/tmp/keep/${out}.png`, fullPage: !process.env['VIEW'] })
console.log(await page.evaluate(() => document.documentElement.scrollWidth + ' ' + innerWidth))
await browser.close()
await server.close()
