import { spawn, spawnSync } from 'node:child_process'
import { existsSync, statSync } from 'node:fs'
import { createServer } from 'node:net'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** The root of the project. */
export const root = join(dirname(fileURLToPath(import.meta.url)), '..')

/** Runs a command with its output shown; ends this process where it fails. */
export function run(command, args, env = {}) {
  const began = Date.now()
  process.stdout.write(`\n> ${command} ${args.join(' ')}\n`)
  const { status, error } = spawnSync(command, args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, ...env },
    shell: process.platform === 'win32',
  })
  if (error) process.stderr.write(`${command} could not be started: ${error.message}\n`)
  if (status !== 0) process.exit(status ?? 1)
  process.stdout.write(`  (${((Date.now() - began) / 1000).toFixed(1)} s)\n`)
}

/** Runs a program of one of the project's own packages. */
export const runTool = (name, args = [], env = {}) => run(process.execPath, [toolPath(name), ...args], env)

/** Says at once that a port is taken, instead of after the build. */
export function ensureFreePort(host, port) {
  return new Promise((resolve) => {
    const probe = createServer()
    probe.once('error', (error) => {
      if (error.code !== 'EADDRINUSE') return resolve()
      process.stderr.write(`Port ${port} is taken. Choose another: PORT=4180 npm run demo\n`)
      return process.exit(1)
    })
    probe.listen({ host, port }, () => probe.close(resolve))
  })
}

const TOOLS = {
  tsc: 'typescript/bin/tsc',
  eslint: 'eslint/bin/eslint.js',
  depcruise: 'dependency-cruiser/bin/dependency-cruise.mjs',
  prettier: 'prettier/bin/prettier.cjs',
  knip: 'knip/bin/knip.js',
  jest: 'jest/bin/jest.js',
  playwright: '@playwright/test/cli.js',
  vite: 'vite/bin/vite.js',
}
const toolPath = (name) => join(root, 'node_modules', TOOLS[name])

function checkNode() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number)
  if (major > 20 || (major === 20 && minor >= 19)) return
  process.stderr.write(`Jolt Mile needs Node.js 20.19 or later; this is ${process.versions.node}.\n`)
  process.exit(1)
}

const beside = new Set()

/** Runs a tool beside others: what it says is shown when it is over, so that nobody's words are mixed. */
function runBeside(name, args) {
  const began = Date.now()
  return new Promise((resolve) => {
    const child = spawn(process.execPath, [toolPath(name), ...args], { cwd: root })
    beside.add(child)
    let said = ''
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (more) => (said += more))
    child.on('error', (error) => (said += `${error.message}\n`))
    child.on('close', (status) => {
      const took = ((Date.now() - began) / 1000).toFixed(1)
      process.stdout.write(`\n> ${name} ${args.join(' ')}\n${said}  (${took} s)\n`)
      beside.delete(child)
      if (status === 0) return resolve()
      for (const other of beside) other.kill()
      process.exit(status ?? 1)
    })
  })
}

/** Runs several lists of tools side by side, each list one after another; ends this process where one fails. */
export const runSideBySide = (...lists) =>
  Promise.all(
    lists.map(async (tools) => {
      for (const [name, ...args] of tools) await runBeside(name, args)
    }),
  )

/** Installs the packages where they are missing or older than the lock file. Downloads no browser. */
export function ensureInstalled() {
  checkNode()
  const done = join(root, 'node_modules', '.package-lock.json')
  const lock = join(root, 'package-lock.json')
  if (existsSync(done) && statSync(done).mtimeMs >= statSync(lock).mtimeMs) return
  run('npm', ['ci', '--no-audit', '--no-fund'], { PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1' })
}

const CHROMIUM_PLACES = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/snap/bin/chromium']
const findChromium = () =>
  [process.env.CHROMIUM, ...CHROMIUM_PLACES].find((path) => path !== undefined && existsSync(path))

const answers = (command, args) => spawnSync(command, args, { stdio: 'ignore' }).status === 0

/** The Chromium for the end-to-end tests: found, or installed from Debian's packages, or asked for. */
export function ensureChromium() {
  const found = findChromium()
  if (found) return found
  if (answers('apt-get', ['--version'])) {
    const sudo = process.getuid?.() === 0 ? [] : answers('sudo', ['-n', 'true']) ? ['sudo', '-n'] : undefined
    if (sudo) {
      const apt = (...args) => {
        const [command, ...rest] = [...sudo, 'apt-get', ...args]
        run(command, rest, { DEBIAN_FRONTEND: 'noninteractive' })
      }
      apt('update', '-qq')
      apt('install', '-y', '-qq', 'chromium')
      const installed = findChromium()
      if (installed) return installed
    }
  }
  process.stderr.write(
    'The end-to-end tests need Chromium, and it could not be installed from here.\n' +
      'Install it (on Debian: sudo apt-get install chromium), or name one: CHROMIUM=/path/to/chromium npm test\n',
  )
  return process.exit(1)
}
