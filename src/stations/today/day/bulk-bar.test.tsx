import { afterEach, describe, expect, test } from '@jest/globals'
import { cleanup, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { liveLog } from '../../../../test/live-log.tsx'
import { commuter, kite, kiteChain, noon, ride } from '../../../../test/log.ts'
import { fittedChain } from '../../../core/log/garage.ts'
import { replay } from '../../../core/log/replay.ts'
import type { EntryDraft } from '../../../core/log/entries.ts'
import { Notices } from '../../../ui/parts/notices.tsx'
import { BulkBar } from './BulkBar.tsx'

afterEach(cleanup)

const both: readonly EntryDraft[] = [...commuter, ride(1, 5, 60), kite, ...kiteChain]
/** The bar over two chosen bikes; what it writes is read from the log. */
function shown(drafts: readonly EntryDraft[]) {
  let isDone = false
  const { entries } = liveLog(drafts, {
    screen: (
      <Notices>
        <BulkBar bikes={['heron', 'kite']} onDone={() => (isDone = true)} />
      </Notices>
    ),
    now: noon(4, 1),
    at: '/',
  })
  return {
    fresh: () => entries().slice(drafts.length),
    garage: () => replay(entries()),
    isDone: () => isDone,
  }
}
const choose = async (act: string): Promise<void> => {
  await userEvent.selectOptions(screen.getByLabelText('What to do'), act)
}
const log = (): Promise<void> => userEvent.click(screen.getByRole('button', { name: /^Log it for/ }))

describe('several bikes seen to in one go', () => {
  test('new chains go onto all of them, the old ones to the bin, each as long as the one before', async () => {
    const { garage, isDone } = shown(both)
    await choose('fit new chains')
    await log()
    await waitFor(() => expect(isDone()).toBe(true))
    const after = garage()
    for (const bike of ['heron', 'kite']) {
      const chain = fittedChain(after, bike)
      expect(chain?.fittings.at(-1)?.from).toBe(noon(4, 1))
      expect(chain?.entry.name).toBe('Chain 2')
    }
    expect(after.parts.get('chain')?.retired).toBe(true)
    expect(fittedChain(after, 'heron')?.entry.spec).toMatchObject({ links: 116, speeds: 11, past: 'new' })
  })

  test('old chains may go onto the shelf instead', async () => {
    const { garage, isDone } = shown(both)
    await choose('fit new chains')
    await userEvent.selectOptions(screen.getByLabelText('The old chains go'), 'onto the shelf')
    await log()
    await waitFor(() => expect(isDone()).toBe(true))
    expect(garage().parts.get('chain')?.retired).toBe(false)
  })

  test('a check of all of them is one entry for each', async () => {
    const { fresh, isDone } = shown(both)
    await choose('record a check')
    await log()
    await waitFor(() => expect(isDone()).toBe(true))
    expect(fresh()).toMatchObject([
      { kind: 'check', bike: 'heron', item: 'pressure', result: 'pass' },
      { kind: 'check', bike: 'kite', item: 'pressure', result: 'pass' },
    ])
  })

  test('an owner is given to all, and taken from all by an empty field', async () => {
    const { garage, isDone } = shown(both)
    await choose('set the owner')
    await userEvent.type(screen.getByLabelText(/^Owner/), '  Bakery ')
    await log()
    await waitFor(() => expect(isDone()).toBe(true))
    expect([...garage().bikes.values()].map(({ entry }) => entry.owner)).toEqual(['Bakery', 'Bakery'])
    cleanup()
    const owned = both.map((draft) => (draft.kind === 'bike' ? { ...draft, owner: 'Bakery' } : draft))
    const second = shown(owned)
    await choose('set the owner')
    await log()
    await waitFor(() => expect(second.isDone()).toBe(true))
    expect([...second.garage().bikes.values()].map(({ entry }) => entry.owner)).toEqual([
      undefined,
      undefined,
    ])
  })

  test('a bike without a chain is named, and the others are washed', async () => {
    const { fresh } = shown([...commuter, kite])
    await log()
    expect(await screen.findByText('Without a chain in the log, left out: Kite.')).not.toBeNull()
    await waitFor(() => expect(fresh()).toMatchObject([{ kind: 'wash', chain: 'chain', method: 'wipe' }]))
  })

  test('two or more can be planned as one wash', () => {
    shown(both)
    expect(screen.getByRole('button', { name: 'Plan one wash for all' })).not.toBeNull()
  })
})
