import { afterEach, describe, expect, test } from '@jest/globals'
import { cleanup, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { liveLog } from '../../../test/live-log.tsx'
import { commuter, noon } from '../../../test/log.ts'
import { conflictsIn } from '../../core/log/conflicts.ts'
import { fittedChain } from '../../core/log/garage.ts'
import { replay } from '../../core/log/replay.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import { Notices } from '../../ui/parts/notices.tsx'
import { Contradictions } from './Contradictions.tsx'

afterEach(cleanup)

/** A swap of the chain, written in one go by somebody. */
const swapBy = (writtenBy: string, part: string, at: string): EntryDraft[] =>
  (
    [
      { kind: 'remove', at, part: 'chain', to: 'retired' },
      {
        kind: 'part',
        at,
        part,
        name: `Chain ${part}`,
        spec: { type: 'chain', links: 114, speeds: 11, past: 'new' },
      },
      { kind: 'fit', at, part, bike: 'heron' },
    ] as const
  ).map((draft) => ({ ...draft, writtenBy, action: `swap by ${writtenBy}` }))

const twice = [
  ...commuter,
  ...swapBy('Ada', 'b', noon(3, 10)),
  ...swapBy('Bo', 'c', '2026-03-10T15:00:00.000Z'),
]
const shown = (drafts: readonly EntryDraft[]) =>
  liveLog(drafts, {
    screen: (
      <Notices>
        <Contradictions />
      </Notices>
    ),
    now: noon(3, 11),
    at: '/',
  })

describe('two swaps of one chain on a day', () => {
  test('are asked about, each side with who wrote it and when', async () => {
    shown(twice)
    const asked = await screen.findByRole('region', { name: 'Entries that contradict' })
    expect(asked.textContent).toMatch(/Chain 1 was swapped twice on 10 March\. Which swap is right\?/)
    expect(within(asked).getByText(/^Ada, 10 March, \d\d:00: Chain b/)).not.toBeNull()
    expect(within(asked).getByText(/^Bo, 10 March, \d\d:00: Chain c/)).not.toBeNull()
  })

  test('the one that is right stays, all of the other goes, and the question with it', async () => {
    const { entries } = shown(twice)
    await userEvent.click(await screen.findByRole('button', { name: /^This one is right: Bo/ }))
    await waitFor(() => expect(screen.queryByRole('region')).toBeNull())
    const garage = replay(entries())
    expect(fittedChain(garage, 'heron')?.entry.part).toBe('c')
    expect(garage.parts.has('b')).toBe(false)
    expect(conflictsIn(entries())).toEqual([])
  })

  test('where both happened, nothing is taken out and it is not asked again', async () => {
    const { entries } = shown(twice)
    await userEvent.click(await screen.findByRole('button', { name: 'All of it happened, in this order' }))
    await waitFor(() => expect(screen.queryByRole('region')).toBeNull())
    expect(entries().at(-1)).toMatchObject({ kind: 'settled' })
    expect(replay(entries()).parts.has('b')).toBe(true)
  })
})

test('a log without contradictions asks nothing', () => {
  shown(commuter)
  expect(screen.queryByRole('region')).toBeNull()
})
