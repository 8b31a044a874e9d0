import { fileURLToPath } from 'node:url'
import { buildServer } from './app.ts'
import { isEverywhere, ownAddresses } from './callers.ts'

const host = process.env['HOST'] ?? '127.0.0.1'
const port = Number(process.env['PORT'] ?? 4173)
if (!Number.isInteger(port) || port < 0 || port > 65_535) {
  process.stderr.write(`PORT must be a whole number from 0 to 65535, not "${process.env['PORT'] ?? ''}".\n`)
  process.exit(2)
}

const bracketed = (address: string): string => (address.includes(':') ? `[${address}]` : address)
/** Where the app can be opened: each address, with its port. */
function addressesOf(chosen: number): readonly string[] {
  const hosts = isEverywhere(host) ? ['127.0.0.1', ...ownAddresses()] : [host]
  return hosts.map((one) => `http://${bracketed(one)}:${chosen}`)
}

/** After being asked to stop, the server stops within this, ms, whoever still holds on to it. */
const LAST_MS = 3000

const app = await buildServer(fileURLToPath(new URL('../dist', import.meta.url)), host)
try {
  await app.listen({ host, port })
  const address = app.server.address()
  const addresses = addressesOf(typeof address === 'object' && address ? address.port : port)
  process.stdout.write(
    `Jolt Mile is at ${addresses.join(' and ')}\nThe demo garage is at ${addresses[0]}/demo/\n`,
  )
  if (!['127.0.0.1', 'localhost', '::1'].includes(host))
    process.stdout.write(
      'Others on your network can open it there too. Their records stay in their browsers, yours in yours.\n' +
        'By plain http nothing is kept offline, and browsers hold back what keeps a log safe: use https, or localhost on this machine.\n',
    )
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
  process.on(signal, () => {
    setTimeout(() => process.exit(0), LAST_MS).unref()
    void app.close().then(() => process.exit(0))
  })
