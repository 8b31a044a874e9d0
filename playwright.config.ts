import { defineConfig } from '@playwright/test'

const WORKERS = 2
const firstPort = Number(process.env['E2E_PORT'] ?? 4291)
const ports = Array.from({ length: WORKERS }, (_, i) => firstPort + i)
// Each worker has a server of its own: walks set the switches of the stand-ins' faults.
const port = ports[Number(process.env['TEST_PARALLEL_INDEX'] ?? 0)] ?? firstPort

export default defineConfig({
  testDir: 'e2e',
  workers: WORKERS,
  // Ends a walk that hangs; the longest takes a minute where both cores are busy with something else.
  timeout: 360_000,
  // How long an answer may take where other work starves both cores (15 seconds were not enough once): no measure of speed.
  expect: { timeout: 60_000 },
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
  webServer: ports.map((one) => ({
    command: 'node --import tsx server/main.ts',
    url: `http://127.0.0.1:${one}/api/health`,
    env: { PORT: String(one), HOST: '127.0.0.1' },
    reuseExistingServer: false,
  })),
})
