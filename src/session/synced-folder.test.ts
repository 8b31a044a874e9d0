import 'fake-indexeddb/auto'
import { afterEach, expect, test } from '@jest/globals'
import { demoWorld } from '../../demo/world.ts'
import { commuter, noon, ride } from '../../test/log.ts'
import { storedIn, until } from '../../test/ledger.ts'
import { conflictsIn } from '../core/log/conflicts.ts'
import type { EntryDraft } from '../core/log/entries.ts'
import { fittedChain } from '../core/log/garage.ts'
import { canonicalText } from '../core/log/canonical-text.ts'
import { replay } from '../core/log/replay.ts'
import { readBackup } from '../formats/read-backup.ts'
import { writeBackup } from '../formats/write-backup.ts'
import { keep, WHO_KEY } from '../store/kept.ts'
import { logDatabase } from '../store/database.ts'
import { openLedger, type Ledger } from '../store/ledger.ts'
import { recordIn, undoIn } from './steps.ts'
import { readOthers, writeOwn, type Folder, type ReadBackup, type SeenFiles } from './synced-folder.ts'

// There are no workers here: the reader itself.
const read: ReadBackup = async (file) => readBackup(await file.text())

/** A folder that devices share, in memory: what is written whole takes the place of what was there. */
function sharedFolder(): Folder {
  const files = new Map<string, { text: string; at: number }>()
  let clock = 0
  const handleOf = (name: string) => ({
    kind: 'file' as const,
    name,
    getFile: () => {
      const held = files.get(name)
      const blob = new Blob([held?.text ?? ''])
      return Promise.resolve(Object.assign(blob, { name, lastModified: held?.at ?? 0 }))
    },
    createWritable: () => {
      let text = ''
      return Promise.resolve({
        write: (more: string) => Promise.resolve(void (text += more)),
        close: () => Promise.resolve(void files.set(name, { text, at: ++clock })),
      })
    },
  })
  return {
    name: 'workshop',
    getFileHandle: (name: string) => Promise.resolve(handleOf(name)),
    values: async function* () {
      for (const name of files.keys()) yield await Promise.resolve(handleOf(name))
    },
  } as unknown as Folder
}

interface Device {
  readonly name: string
  readonly ledger: Ledger
  readonly seen: SeenFiles
}

const opened: Ledger[] = []
afterEach(() => {
  for (const ledger of opened.splice(0)) ledger.stop()
})
let devices = 0
/** A device of its own: another browser's storage, with a name. */
async function device(name: string): Promise<Device> {
  const ledger = openLedger(logDatabase(`log of ${name} ${++devices}`))
  opened.push(ledger)
  ledger.open()
  await until(ledger, ({ status }) => status === 'open')
  await keep(ledger.database, WHO_KEY, name)
  return { name, ledger, seen: new Map() }
}

/** One turn of a device at the folder, as the app takes it: out what is held, in what others wrote. */
async function turn(folder: Folder, { name, ledger, seen }: Device): Promise<number> {
  await writeOwn(folder, name.toLowerCase(), 'own', storedIn(ledger), [], [], noon(6, 1), read)
  const taking = { world: 'own', merge: ledger.merge, read } as const
  return (await readOthers(folder, name.toLowerCase(), seen, taking)).broughtIn
}

const swap = (part: string, at: string): EntryDraft[] => [
  { kind: 'remove', at, part: 'chain', to: 'retired' },
  {
    kind: 'part',
    at,
    part,
    name: `Chain ${part}`,
    spec: { type: 'chain', links: 114, speeds: 11, past: 'new' },
  },
  { kind: 'fit', at, part, bike: 'heron' },
]
const logOf = ({ ledger }: Device): string => storedIn(ledger).map(canonicalText).sort().join('\n')

test('three devices in one folder end with one log, know who did what, and all ask the same question', async () => {
  const folder = sharedFolder()
  const [ada, bo, cy] = await Promise.all([device('Ada'), device('Bo'), device('Cy')])
  await recordIn(ada.ledger, commuter)
  for (const one of [ada, bo, cy]) await turn(folder, one)
  expect(logOf(bo)).toBe(logOf(ada))

  // A day apart from each other: a ride here, a swap there, the same swap elsewhere, and something undone.
  await recordIn(cy.ledger, [ride(3, 1, 40)])
  await recordIn(ada.ledger, swap('b', noon(3, 10)))
  await recordIn(bo.ledger, swap('c', '2026-03-10T15:00:00.000Z'))
  await recordIn(cy.ledger, [{ kind: 'note', at: noon(3, 9), about: 'heron', text: 'wrong bike' }])
  await undoIn(cy.ledger)
  for (let round = 0; round < 2; round++) for (const one of [ada, bo, cy]) await turn(folder, one)
  expect(logOf(bo)).toBe(logOf(ada))
  expect(logOf(cy)).toBe(logOf(ada))
  // Nothing more to bring in: the folder is at rest.
  for (const one of [ada, bo, cy]) expect(await turn(folder, one)).toBe(0)

  for (const { ledger } of [ada, bo, cy]) {
    const stored = storedIn(ledger)
    const [conflict, ...more] = conflictsIn(stored)
    expect(more).toEqual([])
    expect(conflict?.sides.map(({ writtenBy }) => writtenBy)).toEqual(['Ada', 'Bo'])
    expect(stored.find(({ kind }) => kind === 'ride')?.writtenBy).toBe('Cy')
    expect(replay(stored).listed.note.size).toBe(0)
    expect(fittedChain(replay(stored), 'heron')?.entry.part).toBe('c')
  }

  // One of them answers; the others need not.
  const answered = conflictsIn(storedIn(bo.ledger))[0]?.sides.map(({ id }) => id) ?? []
  await recordIn(bo.ledger, [{ kind: 'settled', at: noon(3, 11), targets: answered }])
  for (const one of [bo, ada, cy]) await turn(folder, one)
  for (const { ledger } of [ada, bo, cy]) expect(conflictsIn(storedIn(ledger))).toEqual([])
})

test('a correction carries the name of who corrected, not of who wrote first', async () => {
  const [ada, bo] = [await device('Ada'), await device('Bo')]
  const [first] = await recordIn(ada.ledger, [...commuter, ride(3, 1, 40)].slice(-1))
  if (first?.kind !== 'ride') throw new Error('no ride')
  expect(first.writtenBy).toBe('Ada')
  await bo.ledger.merge(storedIn(ada.ledger), [])
  const { id, format: _format, action: _action, ...held } = first
  const [second] = await recordIn(bo.ledger, [{ ...held, km: 44, supersedes: id }])
  expect(second?.writtenBy).toBe('Bo')
  await keep(bo.ledger.database, WHO_KEY, undefined)
  const [third] = await recordIn(bo.ledger, [{ ...held, km: 45, supersedes: second?.id ?? '' }])
  expect(third).not.toHaveProperty('writtenBy')
})

/** Puts a text into the folder, as another device or program would. */
async function put(folder: Folder, name: string, text: string): Promise<void> {
  const stream = await (await folder.getFileHandle(name, { create: true })).createWritable()
  await stream.write(text)
  await stream.close()
}

test('bad files of others stop nothing: each is told of by its name, and tried again once it has changed', async () => {
  const folder = sharedFolder()
  const [ada, bo] = [await device('Ada'), await device('Bo')]
  await recordIn(bo.ledger, [...commuter, ride(3, 1, 40)])
  const whole = writeBackup(storedIn(bo.ledger), noon(6, 1))
  await put(folder, 'jolt-mile-aaa.json', '')
  await put(folder, 'jolt-mile-bbb.json', 'a list of things to buy')
  await put(folder, 'jolt-mile-ccc.json', whole.slice(0, 60))
  await turn(folder, bo)
  await recordIn(ada.ledger, [ride(3, 2, 7)])
  const taking = { world: 'own', merge: ada.ledger.merge, read } as const
  const look = await readOthers(folder, 'ada', ada.seen, taking)
  expect(look.broughtIn).toBe(storedIn(bo.ledger).length)
  expect(look.passed.map(({ name, why }) => [name, why])).toEqual([
    ['jolt-mile-aaa.json', 'unreadable'],
    ['jolt-mile-bbb.json', 'unreadable'],
    ['jolt-mile-ccc.json', 'unreadable'],
  ])
  expect(look.passed.every(({ said }) => said.length > 10)).toBe(true)
  await put(folder, 'jolt-mile-ccc.json', whole)
  const again = await readOthers(folder, 'ada', ada.seen, taking)
  expect(again.passed.map(({ name }) => name)).toEqual(['jolt-mile-aaa.json', 'jolt-mile-bbb.json'])
})

test('what the demo saved stays out of one’s own log, whether the file says so or is of an earlier version', async () => {
  const folder = sharedFolder()
  const ada = await device('Ada')
  const text = writeBackup(demoWorld('2026-11-26'), noon(6, 1), [], [], 'demo')
  await put(folder, 'jolt-mile-new.json', text)
  await put(folder, 'jolt-mile-old.json', text.replace('"version":4,"world":"demo"', '"version":3'))
  const taking = { world: 'own', merge: ada.ledger.merge, read } as const
  const look = await readOthers(folder, 'ada', ada.seen, taking)
  expect(look.broughtIn).toBe(0)
  expect(look.passed.map(({ why }) => why)).toEqual(['demo', 'demo'])
  expect(storedIn(ada.ledger)).toEqual([])
})
