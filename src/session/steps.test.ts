import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { openedLedger, storedIn } from '../../test/ledger.ts'
import { commuter, kite, kiteChain, noon, ride, ruleReading, written } from '../../test/log.ts'
import { replay } from '../core/log/replay.ts'
import { liveEntries } from '../core/log/supersede.ts'
import { writtenAs } from '../core/log/written-as.ts'
import type { Ledger } from '../store/ledger.ts'
import { asOneStep, recordIn, redoIn, restoreIn, undoIn, withdrawIn } from './steps.ts'

let ledger: Ledger
beforeEach(async () => {
  ledger = await openedLedger()
  await recordIn(ledger, commuter)
})
afterEach(async () => {
  ledger.stop()
  await ledger.database.delete()
})

const km = (): number =>
  replay(storedIn(ledger))
    .bikes.get('heron')
    ?.rides.reduce((sum, one) => sum + one.km, 0) ?? NaN
const live = (): number => liveEntries(storedIn(ledger)).length
const ids = (entries: readonly { readonly id: string }[]): string[] => entries.map(({ id }) => id)

describe('a step', () => {
  test('that can happen only once is written once, though the button was pressed twice', async () => {
    expect(await recordIn(ledger, [kite, ...kiteChain])).toHaveLength(3)
    expect(await recordIn(ledger, [kite, ...kiteChain])).toHaveLength(0)
    expect(replay(storedIn(ledger)).bikes.size).toBe(2)
  })

  test('written together is undone together, and put back together', async () => {
    await recordIn(ledger, [ride(1, 5, 60), ride(1, 6, 40), ruleReading(1, 7, 305)])
    const undone = await undoIn(ledger)
    expect(undone.map(({ kind }) => kind)).toEqual(['ride', 'ride', 'reading'])
    expect(km()).toBe(0)
    const redone = await redoIn(ledger)
    expect(ids(redone)).toEqual(ids(undone))
    expect(km()).toBe(100)
  })

  test('after step is undone, the last first, down to an empty log and no further', async () => {
    await recordIn(ledger, [ride(1, 5, 60)])
    await recordIn(ledger, [ride(1, 6, 40)])
    expect((await undoIn(ledger))[0]).toMatchObject({ km: 40 })
    expect((await undoIn(ledger))[0]).toMatchObject({ km: 60 })
    expect(await undoIn(ledger)).toHaveLength(commuter.length)
    expect(await undoIn(ledger)).toEqual([])
    expect(live()).toBe(0)
    // And all the way up again.
    for (let i = 0; i < 3; i++) expect((await redoIn(ledger)).length).toBeGreaterThan(0)
    expect(await redoIn(ledger)).toEqual([])
    expect(km()).toBe(100)
  })

  test('done since leaves nothing to redo', async () => {
    await recordIn(ledger, [ride(1, 5, 60)])
    await undoIn(ledger)
    await recordIn(ledger, [ride(1, 9, 25)])
    expect(await redoIn(ledger)).toEqual([])
    expect(km()).toBe(25)
  })
})

describe('what is taken out', () => {
  test('is taken out once, and comes back where it is asked for', async () => {
    const [first, second] = await recordIn(ledger, [ride(1, 5, 60), ride(1, 6, 40)])
    if (!first || !second) throw new Error('nothing was written')
    expect(await withdrawIn(ledger, [first.id])).toHaveLength(1)
    expect(await withdrawIn(ledger, [first.id])).toHaveLength(0)
    expect(km()).toBe(40)
    expect(await restoreIn(ledger, [first.id])).toHaveLength(1)
    expect(km()).toBe(100)
    // What was never out is not put back.
    expect(await restoreIn(ledger, [second.id])).toHaveLength(0)
  })

  test('of nothing writes nothing', async () => {
    const before = storedIn(ledger).length
    expect(await withdrawIn(ledger, [])).toEqual([])
    expect(await recordIn(ledger, [])).toEqual([])
    expect(storedIn(ledger)).toHaveLength(before)
  })
})

describe('what came in from a file', () => {
  test('is one step: one undo takes all of it out, one redo puts it back, and the step before is next', async () => {
    await recordIn(ledger, [ride(1, 5, 60)])
    const own = new Set(ids(storedIn(ledger)))
    // Withdrawals and corrections of the file's own, and actions of its own, go and come with it.
    const first = written([kite, ...kiteChain, ride(1, 7, 500)])
    const gone = first.at(-1)?.id ?? ''
    const theirs = [
      ...first,
      ...writtenAs([{ kind: 'withdraw', at: noon(1, 9), targets: [gone] }], gone, Date.now()),
    ]
    await ledger.merge(theirs, [])
    await asOneStep(
      ledger,
      ids(storedIn(ledger)).filter((id) => !own.has(id)),
    )
    const all = live()
    expect(replay(storedIn(ledger)).bikes.size).toBe(2)
    expect(km()).toBe(60)
    await undoIn(ledger)
    expect(replay(storedIn(ledger)).bikes.size).toBe(1)
    expect(km()).toBe(60)
    await redoIn(ledger)
    expect(replay(storedIn(ledger)).bikes.size).toBe(2)
    expect(live()).toBe(all)
    expect(await redoIn(ledger)).toEqual([])
    await undoIn(ledger)
    expect((await undoIn(ledger))[0]).toMatchObject({ km: 60 })
    expect(km()).toBe(0)
    expect(replay(storedIn(ledger)).bikes.size).toBe(1)
  })
})
