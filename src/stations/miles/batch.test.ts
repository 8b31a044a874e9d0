import { describe, expect, test } from '@jest/globals'
import { commuter, noon, ride, written } from '../../../test/log.ts'
import type { Entry } from '../../core/log/entries.ts'
import { makeEntryId } from '../../core/log/entry-id.ts'
import type { RideFile } from '../../workers/read-rides.ts'
import { knownPrints, sortBatch } from './batch.ts'

const file = (name: string, print: string): RideFile => ({
  file: name,
  ok: true,
  print,
  ride: {
    km: 12,
    movingSeconds: 2400,
    points: 2400,
    dropped: 0,
    startedAt: noon(3, 1),
    endedAt: noon(3, 2),
    hasCadence: false,
    hasPower: false,
  },
})
const log = written([
  ...commuter,
  ride(1, 2, 12, { source: { file: 'first.gpx', print: 'A' } }),
  ride(1, 3, 5),
])

describe('a batch of ride files', () => {
  test('is sorted into new, known and broken; the good ones go in', () => {
    const broken: RideFile = { file: 'bad.gpx', ok: false, fault: 'The file is cut short.' }
    const sorted = sortBatch([file('again.gpx', 'A'), broken, file('new.gpx', 'B')], knownPrints(log))
    expect(sorted.fresh.map((one) => one.file)).toEqual(['new.gpx'])
    expect(sorted.known).toEqual([{ file: 'again.gpx', fault: 'The same ride as first.gpx.' }])
    expect(sorted.broken).toEqual([{ file: 'bad.gpx', fault: 'The file is cut short.' }])
  })

  test('holding the same ride twice takes it once', () => {
    const sorted = sortBatch([file('one.gpx', 'B'), file('copy.gpx', 'B')], knownPrints(log))
    expect(sorted.fresh).toHaveLength(1)
    expect(sorted.known[0]?.fault).toBe('The same ride as one.gpx.')
  })

  test('may bring back a ride that was taken out', () => {
    const held = log.find((entry) => entry.kind === 'ride')
    const out: Entry = {
      kind: 'withdraw',
      id: makeEntryId(Date.UTC(2027, 0, 1), 0, new Uint8Array(16)),
      at: noon(4, 1),
      targets: [held?.id ?? ''],
    }
    expect(knownPrints(log).size).toBe(1)
    expect(knownPrints([...log, out]).size).toBe(0)
  })
})
