import { ensureChromium, ensureInstalled, runSideBySide, runTool } from './prepare.mjs'

ensureInstalled()
const chromium = ensureChromium()
const sources = ['src', 'server', 'demo', 'cases', 'bench', 'study', 'hostile']
// Each of these keeps one core busy; the tests after them, all there are.
await runSideBySide(
  [['eslint', '.', '--max-warnings', '0']],
  [
    ['tsc', '--noEmit'],
    ['depcruise', '--config', '.dependency-cruiser.cjs', ...sources],
    ['prettier', '--check', '--log-level', 'warn', '.'],
    ['knip'],
    ['vite', 'build', '--logLevel', 'warn'],
  ],
)
runTool('jest', ['--silent'])
runTool('playwright', ['test'], { CHROMIUM: chromium })
process.stdout.write('\nEverything passed.\n')
