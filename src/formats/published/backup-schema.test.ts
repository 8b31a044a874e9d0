import { describe, expect, test } from '@jest/globals'
import Ajv2020, { type ValidateFunction } from 'ajv/dist/2020.js'
import { readFileSync } from 'node:fs'
import { demoWorld } from '../../../demo/world.ts'
import { mutantBackups } from '../../../test/mutants.ts'
import { samples } from '../../../test/samples.ts'
import { SCHEMAS } from '../entries/index.ts'
import { checkEntry } from '../entry-schema.ts'
import { writeBackup } from '../write-backup.ts'
import { backupSchemas } from './backup-schema.ts'

const NOW = '2026-11-26T12:00:00.000Z'
const published = (version: number): unknown =>
  JSON.parse(readFileSync(`docs/schemas/backup-${version}.schema.json`, 'utf8'))
const validatorOf = (version: number): ValidateFunction =>
  new Ajv2020({ strict: false }).compile(published(version) as object)

const current = validatorOf(4)
const faultsOf = (validate: ValidateFunction, text: string): string | undefined =>
  validate(JSON.parse(text)) ? undefined : JSON.stringify(validate.errors?.slice(0, 3))

describe('the published schema of the backup', () => {
  test('is the one that today’s entries are checked by: run npm run schemas where this fails', () => {
    for (const [version, schema] of Object.entries(backupSchemas()))
      expect(published(Number(version))).toEqual(JSON.parse(JSON.stringify(schema)))
  })

  test('takes a real backup of each version', () => {
    expect(faultsOf(validatorOf(1), readFileSync('test/backups/format-1.json', 'utf8'))).toBeUndefined()
    expect(faultsOf(validatorOf(2), readFileSync('test/backups/version-2.json', 'utf8'))).toBeUndefined()
    expect(faultsOf(current, writeBackup(demoWorld('2026-11-26'), NOW))).toBeUndefined()
  })

  test('takes an entry of every kind, with pictures and what is kept aside', () => {
    expect(new Set(samples.map(({ kind }) => kind)).size).toBe(Object.keys(SCHEMAS).length)
    const text = writeBackup(
      samples,
      NOW,
      [{ text: '{"kind":"inspection"}', why: 'newer', said: 'an entry of the kind "inspection"' }],
      [{ id: 'one', jpeg: new Uint8Array([0xff, 0xd8]) }],
    )
    expect(faultsOf(current, text)).toBeUndefined()
  })

  test('refuses an entry without its day, of another kind, or with a field that there is not', () => {
    for (const entry of samples) {
      const { at: _at, ...undated } = entry
      for (const broken of [
        undated,
        { ...entry, kind: 'inspection' },
        { ...entry, surprise: 1 },
        { ...entry, at: 'soon' },
      ]) {
        const text = JSON.stringify({
          ...(JSON.parse(writeBackup([], NOW)) as object),
          entries: [broken],
        })
        expect([entry.kind, faultsOf(current, text) !== undefined]).toEqual([entry.kind, true])
      }
    }
  })

  test('is never stricter than the app: what the app takes out of spoilt backups, it takes too', () => {
    let taken = 0
    for (const { mutant } of mutantBackups(samples, 300, 7)) {
      const entries = entriesIn(mutant)
      for (const entry of entries) {
        if (checkEntry(entry).outcome !== 'sound' || (entry as { format?: unknown }).format !== 2) continue
        taken++
        const text = JSON.stringify({ ...(JSON.parse(writeBackup([], NOW)) as object), entries: [entry] })
        expect([entry, faultsOf(current, text)]).toEqual([entry, undefined])
      }
    }
    expect(taken).toBeGreaterThan(100)
  })
})

/** The entries of a text that may be no JSON any more. */
function entriesIn(text: string): readonly unknown[] {
  try {
    const { entries } = JSON.parse(text) as { entries?: unknown }
    return Array.isArray(entries) ? entries : []
  } catch {
    return []
  }
}
