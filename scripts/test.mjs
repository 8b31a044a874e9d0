import { ensureChromium, ensureInstalled, runTool } from './prepare.mjs'

ensureInstalled()
const chromium = ensureChromium()
runTool('tsc', ['--noEmit'])
runTool('eslint', ['.', '--max-warnings', '0'])
runTool('depcruise', [
  '--config',
  '.dependency-cruiser.cjs',
  'src',
  'server',
  'demo',
  'cases',
  'bench',
  'study',
  'hostile',
])
runTool('prettier', ['--check', '--log-level', 'warn', '.'])
runTool('knip')
runTool('jest', ['--silent'])
runTool('vite', ['build', '--logLevel', 'warn'])
runTool('playwright', ['test'], { CHROMIUM: chromium })
process.stdout.write('\nEverything passed.\n')
