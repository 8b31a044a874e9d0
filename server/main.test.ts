import { spawn, type ChildProcess } from 'node:child_process'
import { createServer, connect, type Socket } from 'node:net'
import { once } from 'node:events'
import { afterEach, expect, test } from '@jest/globals'

let server: ChildProcess | undefined
afterEach(() => {
  server?.kill('SIGKILL')
})

/** Starts the server as `npm run demo` does, and waits for what it says. */
async function start(env: Readonly<Record<string, string>>, saying: RegExp): Promise<string> {
  server = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], { env: { ...process.env, ...env } })
  let said = ''
  for await (const piece of (server.stdout ?? []) as AsyncIterable<Buffer>) {
    said += String(piece)
    if (saying.test(said)) break
  }
  return said
}

/** A plain connection to the server that said where it is. */
async function connected(said: string): Promise<Socket> {
  const socket = connect(Number(/127\.0\.0\.1:(\d+)/.exec(said)?.[1]), '127.0.0.1')
  socket.on('error', () => undefined)
  await once(socket, 'connect')
  return socket
}

test('a question that was half asked does not keep the server from stopping', async () => {
  const said = await start({ PORT: '0', HOST: '127.0.0.1' }, /demo/)
  const socket = await connected(said)
  socket.write('POST /api/caliper/press HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Length: 100\r\n\r\n{"half"')
  const began = Date.now()
  server?.kill('SIGTERM')
  if (server?.exitCode === null) await once(server, 'exit')
  expect(Date.now() - began).toBeLessThan(10_000)
  socket.destroy()
}, 30_000)

test('open to the network it says so, with its true addresses', async () => {
  const said = await start({ PORT: '0', HOST: '0.0.0.0' }, /localhost on this machine/)
  expect(said).toMatch(/Others on your network can open it/)
  expect(said).toMatch(/nothing is kept offline/)
  expect(said).toMatch(/at http:\/\/127\.0\.0\.1:\d+/)
}, 30_000)

test('a port that is taken is said to be', async () => {
  const taken = createServer().listen(0, '127.0.0.1')
  await once(taken, 'listening')
  const address = taken.address()
  const port = typeof address === 'object' && address ? address.port : 0
  server = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
    env: { ...process.env, PORT: String(port), HOST: '127.0.0.1' },
  })
  let said = ''
  for await (const piece of (server.stderr ?? []) as AsyncIterable<Buffer>) said += String(piece)
  expect(said).toContain(`Port ${port} is taken.`)
  taken.close()
}, 30_000)

test('a sender that drips is cut off after the ten seconds that the server allows, not half a minute later', async () => {
  const said = await start({ PORT: '0', HOST: '127.0.0.1' }, /demo/)
  const socket = await connected(said)
  socket.resume()
  const began = Date.now()
  socket.write('GET /api/health HTTP/1.1\r\nHost: 127.0.0.1\r\n')
  const drip = setInterval(() => socket.write('X-More: a\r\n'), 500)
  await once(socket, 'close')
  clearInterval(drip)
  // Ten seconds, the look a second later, and a busy machine; with the usual looks it would be thirty.
  expect(Date.now() - began).toBeLessThan(25_000)
}, 90_000)
