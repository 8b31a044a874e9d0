import { readFileSync } from 'node:fs'
import { expect, test } from '@jest/globals'
import { edgesOf } from '../../test/edges.ts'
import { readBackup } from './read-backup.ts'

test('an odd value in any field is refused, or harmless', () => {
  const { entries } = readBackup(readFileSync('test/backups/format-1.json', 'utf8'))
  const edges = [...edgesOf(entries, '2026-12-01T12:00:00.000Z', 23)]
  expect(edges.filter(({ outcome }) => outcome === 'broke')).toEqual([])
  expect(edges.filter(({ outcome }) => outcome === 'refused').length).toBeGreaterThan(200)
  expect(edges.filter(({ outcome }) => outcome === 'let in').length).toBeGreaterThan(50)
})
