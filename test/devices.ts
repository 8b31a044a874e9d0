import { seededRandom, type Random } from '../src/core/stats/random.ts'
import type { Entry, EntryDraft } from '../src/core/log/entries.ts'
import { writtenAs } from '../src/core/log/written-as.ts'
import { canonicalText } from '../src/core/log/canonical-text.ts'
import { logAfter, mergeLogs } from '../src/core/log/merge.ts'
import { withOneStamp } from '../src/core/log/one-stamp.ts'
import { replay } from '../src/core/log/replay.ts'
import { restoreDrafts, stepToRedo, stepToUndo } from '../src/core/log/steps.ts'
import { liveEntries } from '../src/core/log/supersede.ts'
import { BackupFileError } from '../src/formats/backup-contents.ts'
import { readBackup } from '../src/formats/read-backup.ts'
import { writeBackup } from '../src/formats/write-backup.ts'
import { firstText } from '../src/core/log/first-writing.ts'
import { lieAbout, LIES } from './liar.ts'
import { commuter, noon, ride, ruleReading } from './log.ts'

/** A device with a log of its own and a clock that may be off. */
interface Device {
  log: readonly Entry[]
  readonly clock: number
  readonly name: string
}

const NOW = Date.UTC(2027, 0, 1)

function write(device: Device, drafts: readonly EntryDraft[], n: number): void {
  if (drafts.length === 0) return
  const newest = device.log.reduce((most, { id }) => (id > most ? id : most), '')
  const ms = NOW + device.clock + n * 1000
  device.log = [...device.log, ...writtenAs(drafts, newest === '' ? undefined : newest, ms, device.name)]
}

const merged = (to: Device, from: Device): void => {
  to.log = logAfter(to.log, mergeLogs(to.log, from.log, NOW + 30 * 86_400_000))
}

/** What was read last of each file: one that has not changed is not read again. */
type Folder = Map<string, string>

/** A device writes its own file into a folder that all share, and takes in the others. */
function takeTurn(device: Device, folder: Folder): void {
  folder.set(device.name, writeBackup(device.log, noon(6, 1)))
  for (const [name, text] of folder) {
    if (name === device.name) continue
    try {
      const { entries } = readBackup(text)
      device.log = logAfter(device.log, mergeLogs(device.log, entries, NOW + 30 * 86_400_000))
    } catch (error) {
      // A file that is none of a log's is passed over.
      if (!(error instanceof BackupFileError)) throw error
    }
  }
}

/** Something that somebody does at a device, or that the device takes in from another. */
function act(
  devices: readonly Device[],
  random: Random,
  n: number,
  meet: (device: Device, other: Device) => void = merged,
): void {
  const at = (of: number) => Math.floor(random.between(0, of))
  const device = devices[at(devices.length)]
  const other = devices[at(devices.length)]
  if (!device || !other) return
  const view = withOneStamp(device.log)
  const live = liveEntries(view)
  const hit = live[at(live.length)]
  const day = 1 + at(27)
  const taking = (entries: readonly Entry[], reason?: 'undo' | 'redo'): EntryDraft[] =>
    entries.length === 0
      ? []
      : [
          {
            kind: 'withdraw',
            at: noon(6, day),
            targets: entries.map(({ id }) => id),
            ...(reason && { reason }),
          },
        ]
  switch (at(8)) {
    case 0:
    case 1:
      return write(device, [ride(1 + at(5), day, 1 + at(80))], n)
    case 2:
      return write(device, [ruleReading(1 + at(5), day, 304.8 + random.between(0, 2))], n)
    case 3:
      return hit?.kind === 'ride'
        ? write(device, [{ ...ride(1, 1, 1 + at(99)), at: hit.at, supersedes: hit.id }], n)
        : undefined
    case 4:
      return write(device, taking(stepToUndo(view), 'undo'), n)
    case 5:
      return write(device, taking(stepToRedo(view), 'redo'), n)
    case 6: {
      const alive = new Set(live.map(({ id }) => id))
      const gone = view.filter(({ id, kind }) => kind !== 'withdraw' && !alive.has(id))
      return write(
        device,
        restoreDrafts(
          view,
          gone.slice(0, 2).map(({ id }) => id),
          noon(6, day),
        ),
        n,
      )
    }
    default:
      return meet(device, other)
  }
}

const ORDERS: readonly (readonly [number, number])[][] = [
  [
    [0, 1],
    [1, 2],
    [2, 0],
    [0, 1],
    [1, 2],
    [2, 0],
  ],
  [
    [2, 1],
    [1, 0],
    [0, 2],
    [2, 1],
    [1, 0],
    [0, 2],
  ],
  [
    [1, 0],
    [2, 0],
    [0, 1],
    [0, 2],
    [1, 2],
    [2, 1],
  ],
]

/** Three devices with clocks of their own, of which the first holds the commuter's bike. */
function threeBegun(): readonly [Device, Device, Device] {
  const device = (clock: number, i: number): Device => ({ log: [], clock, name: `device ${i}` })
  const first = device(0, 0)
  write(first, commuter, 0)
  return [first, device(40 * 60_000, 1), device(-3 * 3_600_000, 2)]
}

/**
 * A random history on three devices, merged in several orders at the end.
 * @returns what went wrong, in a few words; undefined where every device ends with the same log and garage
 */
export function threeDevices(seed: number, steps = 40): string | undefined {
  const random = seededRandom(seed)
  const devices = threeBegun()
  const [first] = devices
  for (const device of devices) merged(device, first)
  for (let n = 1; n <= steps; n++) act(devices, random, n)
  const written = new Set(devices.flatMap(({ log }) => log.map(({ id }) => id)))
  const endings = ORDERS.map((order) => {
    const copies = devices.map((device): Device => ({ ...device }))
    for (const [to, from] of order) {
      const [a, b] = [copies[to], copies[from]]
      if (a && b) merged(a, b)
    }
    return copies
  })
  const texts = endings.flatMap((copies) =>
    copies.map(({ log }) => canonicalText([...log].sort((a, b) => (a.id < b.id ? -1 : 1)))),
  )
  if (new Set(texts).size !== 1) return 'the devices end with different logs'
  const ended = endings[0]?.[0]?.log ?? []
  if (ended.length !== written.size) return `${written.size - ended.length} entries were lost`
  const garages = endings.flatMap((copies) => copies.map(({ log }) => garageText(log)))
  return new Set(garages).size === 1 ? undefined : 'the devices end with different garages'
}

/**
 * Three devices with one folder between them, over many operations; with a liar, whose files lie there too and change,
 * and other files that are none.
 * @returns what went wrong, in a few words; undefined where all end with the same log, or, with a liar, each with every
 * entry that was ever written honestly
 */
export function inOneFolder(seed: number, isWithLiar: boolean, steps = 300): string | undefined {
  const random = seededRandom(seed)
  const folder: Folder = new Map()
  const devices = threeBegun()
  const [first] = devices
  for (const device of devices) takeTurn(device, folder)
  const honest = new Map(first.log.map((entry) => [entry.id, entry]))
  for (let n = 1; n <= steps; n++) {
    const before = devices.map(({ log }) => log.length)
    let isWriting = true
    act(devices, random, n, (device) => {
      isWriting = false
      takeTurn(device, folder)
    })
    if (isWriting)
      devices.forEach(({ log }, i) => log.slice(before[i]).forEach((entry) => honest.set(entry.id, entry)))
    if (!isWithLiar || n % 5 > 0) continue
    const known = [...honest.values()]
    const about = known[Math.floor(random.between(0, known.length))]
    const lie = LIES[Math.floor(random.between(0, LIES.length))]
    if (about && lie) folder.set('liar', writeBackup([lieAbout(about, lie, random)], noon(6, 1)))
    folder.set('other', ['', 'milk, chain oil', writeBackup(known, noon(6, 1)).slice(0, 900)][n % 3] ?? '')
  }
  for (let round = 0; round < 3; round++) for (const device of devices) takeTurn(device, folder)
  for (const { log, name } of devices) {
    const texts = new Set(log.map(firstText))
    const lost = [...honest.values()].find((entry) => !texts.has(firstText(entry)))
    if (lost) return `${name} lost a ${lost.kind}`
  }
  if (isWithLiar) return undefined
  const logs = new Set(
    devices.map(({ log }) => canonicalText([...log].sort((a, b) => (a.id < b.id ? -1 : 1)))),
  )
  return logs.size === 1 ? undefined : 'the devices end with different logs'
}

const garageText = (log: readonly Entry[]): string => {
  const { bikes, readings } = replay(withOneStamp(log))
  return canonicalText([...bikes.values()].concat([...readings.values()].flat() as never))
}
