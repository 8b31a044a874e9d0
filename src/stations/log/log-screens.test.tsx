import { afterEach, describe, expect, test } from '@jest/globals'
import { cleanup, fireEvent, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { commuter, noon, ride, ruleReading } from '../../../test/log.ts'
import { openLog } from '../../../test/open-log.tsx'
import type { EntryDraft } from '../../core/log/entries.ts'
import { EditEntry } from './EditEntry.tsx'
import Log from './Log.tsx'

afterEach(() => {
  cleanup()
  localStorage.clear()
})
const plain = (text: string | null): string => (text ?? '').replaceAll('\u00a0', ' ')
const drafts: readonly EntryDraft[] = [
  ...commuter,
  ride(1, 5, 60),
  ride(2, 5, 40),
  { kind: 'remove', at: noon(2, 1), part: 'chain', to: 'shelf' },
  {
    kind: 'part',
    at: noon(2, 1),
    part: 'spare',
    name: 'Spare',
    spec: { type: 'chain', links: 116, speeds: 11, past: 'new' },
  },
  { kind: 'fit', at: noon(2, 1), part: 'spare', bike: 'heron' },
  ruleReading(1, 6, 305),
]

function editing(which: (draft: EntryDraft) => boolean) {
  const log = openLog(drafts)
  const entry = log.entries.find(which)
  if (!entry) throw new Error('no such entry')
  let done = 0
  log.show(<EditEntry entry={entry} newer={undefined} onOpen={() => undefined} onDone={() => done++} />)
  return { ...log, entry, done: () => done }
}
const changes = () => screen.getByRole('region', { name: 'What this changes' })

describe('an entry put right', () => {
  test('shows what its new day moves, with the taking off of the same job, before it is saved', async () => {
    const { recorded, entry, done } = editing((one) => one.kind === 'fit' && one.part === 'spare')
    const save = screen.getByRole('button', { name: 'Save correction' })
    expect(save).toHaveProperty('disabled', true)
    expect(changes().textContent).toContain('Nothing is changed yet.')
    fireEvent.change(screen.getByLabelText('When'), { target: { value: '2026-01-03T12:00' } })
    expect(await screen.findByText(/moves/)).toBeTruthy()
    expect(plain(changes().textContent)).toContain('This moves 60 km from Chain 1 to Spare.')
    const together = screen.getByRole('checkbox', { name: 'and 2 entries of the same job with it' })
    await userEvent.click(together)
    expect(plain(changes().textContent)).not.toContain('Nothing is changed')
    await userEvent.click(together)
    await userEvent.click(save)
    expect(recorded.map(({ kind, at }) => [kind, at.slice(0, 10)])).toEqual([
      ['fit', '2026-01-03'],
      ['remove', '2026-01-03'],
      ['part', '2026-01-03'],
    ])
    expect(recorded[0]).toMatchObject({ supersedes: entry.id })
    expect(done()).toBe(1)
  })

  test('is not saved while something in it cannot be', async () => {
    const { recorded } = editing((one) => one.kind === 'ride')
    fireEvent.change(screen.getByLabelText('Distance, km'), { target: { value: '0' } })
    expect(await screen.findByText(/At least 0\.01.km\.$/)).toBeTruthy()
    expect(changes().textContent).toContain('Shown once every field is right.')
    expect(screen.getByRole('button', { name: 'Save correction' })).toHaveProperty('disabled', true)
    expect(recorded).toEqual([])
  })

  test('taken out is withdrawn with all it was corrected from', async () => {
    const { withdrawn, entry } = editing((one) => one.kind === 'reading')
    await userEvent.click(screen.getByRole('button', { name: 'Remove it' }))
    expect(withdrawn).toEqual([entry.id])
  })

  test('a removal asks to whom only where it was lent', async () => {
    editing((one) => one.kind === 'remove')
    expect(screen.queryByLabelText('Lent to')).toBeNull()
    await userEvent.selectOptions(screen.getByLabelText('Now it is'), 'lent')
    expect(screen.getByLabelText('Lent to')).toBeTruthy()
  })
})

describe('the log', () => {
  test('counts its entries and finds by word and kind; nothing found says what to do', async () => {
    openLog(drafts).show(<Log />)
    expect(plain(screen.getByRole('heading', { level: 1 }).textContent)).toBe(`${drafts.length} entries.`)
    await userEvent.selectOptions(screen.getByLabelText('Kind'), 'ride')
    expect(await screen.findByRole('heading', { name: '2 entries found' })).toBeTruthy()
    await userEvent.type(screen.getByLabelText('Find'), 'unicorn')
    expect(await screen.findByText(/Nothing like that is in the log/)).toBeTruthy()
  })
})

describe('a note', () => {
  test('is written about a bike or a part on a day, and asks for its words', async () => {
    const log = openLog(drafts)
    log.show(<Log />, '/log?new=note&about=chain')
    await userEvent.click(screen.getByRole('button', { name: 'Save note' }))
    expect(screen.getByText('Write something first.')).toBeTruthy()
    expect(log.recorded).toEqual([])
    await userEvent.type(screen.getByLabelText('Note'), 'one stiff link')
    fireEvent.change(screen.getByLabelText('Day'), { target: { value: '2026-02-03' } })
    await userEvent.click(screen.getByRole('button', { name: 'Save note' }))
    expect(log.recorded).toMatchObject([{ kind: 'note', about: 'chain', text: 'one stiff link' }])
    expect(log.recorded[0]?.at).toBe(new Date('2026-02-03T12:00:00').toISOString())
  })

  test('a kind that needs more than a plain form is not written here', () => {
    openLog(drafts).show(<Log />, '/log?new=ride')
    expect(screen.queryByRole('dialog')).toBeNull()
  })
})
