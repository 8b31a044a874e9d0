import { readFileSync } from 'node:fs'
import { dirname, resolve } from 'node:path'
import { runCase } from './kinds.ts'

// Reads a file of cases and prints their outputs, and nothing else, on standard output.
const [file] = process.argv.slice(2)
let cases: unknown
try {
  if (file === undefined) throw new Error('name a file of cases: npm run cases -- FILE')
  cases = JSON.parse(readFileSync(file, 'utf8'))
  if (!Array.isArray(cases)) throw new Error('the file holds no array of cases')
} catch (error) {
  process.stderr.write(`The cases cannot be read: ${(error as Error).message}\n`)
  process.exit(2)
}
const folder = dirname(resolve(file ?? '.'))
const results = await Promise.all((cases as unknown[]).map((one) => runCase(one, folder)))
process.stdout.write(JSON.stringify(results) + '\n')
