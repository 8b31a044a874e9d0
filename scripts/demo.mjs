import { spawn } from 'node:child_process'
import { ensureFreePort, ensureInstalled, root, runTool } from './prepare.mjs'

await ensureFreePort(process.env.HOST ?? '127.0.0.1', Number(process.env.PORT ?? 4173))
ensureInstalled()
runTool('vite', ['build', '--logLevel', 'warn'])
const server = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], { cwd: root, stdio: 'inherit' })
server.on('exit', (code) => process.exit(code ?? 0))
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
