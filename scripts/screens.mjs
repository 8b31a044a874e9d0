import { spawn } from 'node:child_process'
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { ensureChromium, ensureInstalled, root, runTool } from './prepare.mjs'

// The day on which the pictures are taken, so that they change only when the app does.
const DAY = '2026-11-23T09:00:00Z'
const PORT = 4292
const WIDE = { width: 1280, height: 800 }
const PHONE = { width: 390, height: 844 }

const SHOTS = [
  { name: 'today', path: '/', size: WIDE, whole: true },
  { name: 'miles', path: '/miles', bike: 'heron', size: WIDE },
  { name: 'miles-late-shop', path: '/miles', bike: 'quarry', size: WIDE, theme: 'late-shop' },
  { name: 'log', path: '/log', bike: 'heron', size: WIDE },
  { name: 'gauge', path: '/gauge', bike: 'heron', size: WIDE },
  { name: 'teeth', path: '/teeth', bike: 'kite', size: WIDE, shows: 'With which chain?' },
  { name: 'wash', path: '/wash', bike: 'quarry', size: WIDE, whole: true, shows: 'The steps as a list' },
  {
    name: 'decide',
    path: '/decide',
    bike: 'heron',
    size: WIDE,
    whole: true,
    shows: /Nor would|Wear (over|under)/,
  },
  {
    name: 'job',
    path: '/decide?job',
    bike: 'kite',
    size: WIDE,
    whole: true,
    shows: 'In its place: new cassette',
  },
  {
    name: 'sheet',
    path: '/decide?sheet=kite-spring',
    bike: 'kite',
    size: WIDE,
    whole: true,
    shows: 'Take care',
  },
  {
    name: 'faults',
    path: '/faults',
    bike: 'plover',
    size: WIDE,
    whole: true,
    shows: 'How far has the chain lengthened?',
    kept: {
      'jolt-mile fault demo plover': JSON.stringify({
        about: 'shifting',
        complaints: ['slips'],
        cogs: [14, 15],
        answers: [
          { finding: 'load', said: ['hard-only'] },
          { finding: 'hooked-teeth', said: ['hooked'] },
        ],
        later: ['ring-lift'],
      }),
    },
  },
  {
    name: 'gearing',
    path: '/gearing',
    bike: 'quarry',
    size: WIDE,
    whole: true,
    shows: /Per 1000 km it costs|It costs about/,
  },
  { name: 'checks', path: '/checks', bike: 'kite', size: WIDE, whole: true },
  { name: 'school', path: '/school?lesson=gauge+rule', bike: 'kite', size: WIDE, whole: true },
  { name: 'shelf', path: '/shelf', bike: 'heron', size: WIDE, whole: true, shows: 'for Kite, due now' },
  { name: 'rates', path: '/rates', bike: 'heron', size: WIDE },
  { name: 'compare', path: '/compare', bike: 'heron', size: WIDE, whole: true, shows: 'wet lube' },
  { name: 'files', path: '/files', bike: 'heron', size: WIDE },
  { name: 'gauge-phone', path: '/gauge', bike: 'heron', size: PHONE },
]

async function ready(url) {
  for (let i = 0; i < 100; i++) {
    const answer = await fetch(url).catch(() => undefined)
    if (answer?.ok) return
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  throw new Error('the server did not start')
}

ensureInstalled()
const executablePath = ensureChromium()
runTool('vite', ['build', '--logLevel', 'warn'])
const folder = join(root, 'docs', 'screenshots')
mkdirSync(folder, { recursive: true })
const server = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
  cwd: root,
  env: { ...process.env, PORT: String(PORT), HOST: '127.0.0.1' },
})
const { chromium } = await import('@playwright/test')
const browser = await chromium.launch({ executablePath, args: ['--no-sandbox', '--disable-gpu'] })
try {
  await ready(`http://127.0.0.1:${PORT}/api/health`)
  for (const { name, path, bike, size, theme = 'daylight', whole = false, shows, kept = {} } of SHOTS) {
    const context = await browser.newContext({ viewport: size, reducedMotion: 'reduce', locale: 'en-IE' })
    const page = await context.newPage()
    await page.clock.setFixedTime(DAY)
    await page.addInitScript(
      ([state, kept]) => {
        localStorage.setItem('jolt-mile screen demo', JSON.stringify(state))
        for (const [key, text] of Object.entries(kept)) localStorage.setItem(key, text)
      },
      [{ bike, theme, units: 'metric' }, kept],
    )
    await page.goto(`http://127.0.0.1:${PORT}/demo${path}`)
    await page.getByRole('heading', { level: 1 }).filter({ hasNotText: 'Working' }).waitFor()
    await page.waitForFunction(() =>
      [...document.querySelectorAll('figure > [role=img]')].every((chart) => chart.dataset.drawn === 'true'),
    )
    await page.waitForFunction(
      () => !/Working it out|Working out the chains/.test(document.body.textContent ?? ''),
    )
    // What takes its time and does not say so.
    if (shows) await page.getByText(shows).first().waitFor()
    // Roads are drawn once they come into sight.
    await page.waitForFunction(() =>
      [...document.querySelectorAll('canvas[role=img], [data-drawn=false]')].every(
        (road) =>
          road.dataset.drawn === 'true' ||
          road.getBoundingClientRect().top > document.documentElement.clientHeight + 200,
      ),
    )
    await page.evaluate(() => document.fonts.ready)
    await page.screenshot({ path: join(folder, `${name}.png`), fullPage: whole })
    process.stdout.write(`${name}.png\n`)
    await context.close()
  }
} finally {
  await browser.close()
  server.kill()
}
