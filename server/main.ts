import { fileURLToPath } from 'node:url'
import { buildServer } from './app.ts'

const host = process.env['HOST'] ?? '127.0.0.1'
const port = Number(process.env['PORT'] ?? 4173)
if (!Number.isInteger(port) || port < 0 || port > 65_535) {
  process.stderr.write(`PORT must be a whole number from 0 to 65535, not "${process.env['PORT'] ?? ''}".\n`)
  process.exit(2)
}

const app = await buildServer(fileURLToPath(new URL('../dist', import.meta.url)))
try {
  const address = await app.listen({ host, port })
  process.stdout.write(`Jolt Mile is at ${address}\nThe demo garage is at ${address}/demo/\n`)
} catch (error) {
  const busy = (error as NodeJS.ErrnoException).code === 'EADDRINUSE'
  process.stderr.write(
    busy
      ? `Port ${port} is taken. Choose another: PORT=4180 npm run demo\n`
      : `The server could not start: ${(error as Error).message}\n`,
  )
  process.exit(1)
}
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => void app.close().then(() => process.exit(0)))
