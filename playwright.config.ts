import { defineConfig } from '@playwright/test'

const port = Number(process.env['E2E_PORT'] ?? 4291)

export default defineConfig({
  testDir: 'e2e',
  workers: 1,
  // Ends a walk that hangs; the longest takes a minute where both cores are busy with something else.
  timeout: 180_000,
  expect: { timeout: 15_000 },
  reporter: [['list']],
  forbidOnly: Boolean(process.env['CI']),
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    // Numbers with a point, the day before its month, km and A4: what the walks read. Another locale has a walk of its own.
    locale: 'en-IE',
    viewport: { width: 1280, height: 800 },
    // Each test is a new browser: none but those of the offline walk fetches the whole app beside its own work.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
    trace: 'retain-on-failure',
  },
  webServer: {
    command: 'node --import tsx server/main.ts',
    url: `http://127.0.0.1:${port}/api/health`,
    env: { PORT: String(port), HOST: '127.0.0.1' },
    reuseExistingServer: false,
  },
})
