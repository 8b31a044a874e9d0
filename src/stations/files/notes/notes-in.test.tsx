import { afterEach, describe, expect, test } from '@jest/globals'
import { cleanup, configure, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { giveHeights } from '../../../../test/heights.ts'
import { commuter, ride } from '../../../../test/log.ts'
import { openLog } from '../../../../test/open-log.tsx'
import { Notices } from '../../../ui/parts/notices.tsx'
import NotesIn from './NotesIn.tsx'

configure({ asyncUtilTimeout: 30_000 })
giveHeights()
afterEach(() => {
  cleanup()
  localStorage.clear()
})

const plain = (text: string | null): string => (text ?? '').replaceAll('\u00a0', ' ')
const answer = (): string => plain(screen.getByRole('heading', { level: 1 }).textContent)
const rows = () => within(screen.getByRole('region', { name: 'Rows' }))

/** The screen over a log with one bike, with cells pasted and read. */
async function pasted(cells: string) {
  const log = openLog([...commuter, ride(1, 5, 100)])
  log.show(
    <Notices>
      <NotesIn />
    </Notices>,
  )
  await userEvent.click(screen.getByLabelText('Cells of the spreadsheet'))
  await userEvent.paste(cells)
  await userEvent.click(screen.getByRole('button', { name: 'Read it' }))
  return log
}

const twoContacts = () =>
  userEvent.selectOptions(
    screen.getByLabelText('The gauge has'),
    'two contacts: it spreads two rollers apart',
  )

describe('notes from a spreadsheet', () => {
  test('an elongation with a day becomes a reading of the gauge it was read from', async () => {
    const { recorded } = await pasted('date,elongation %\n2026-02-03,0.21\n2026-03-04,0.28\n')
    await waitFor(() => expect(answer()).toBe('Choose the kind of gauge.'))
    await twoContacts()
    await waitFor(() => expect(answer()).toBe('2 rows: 2 readings.'))
    await userEvent.click(screen.getByRole('button', { name: 'Add them to the log' }))
    await waitFor(() => expect(recorded).toHaveLength(2))
    expect(recorded.map(({ kind, at }) => [kind, at.slice(0, 10)])).toEqual([
      ['reading', '2026-02-03'],
      ['reading', '2026-03-04'],
    ])
    expect(answer()).toBe('2 readings came in.')
  })

  test('sides of a gauge become limit readings once its kind is said, and not before', async () => {
    const { recorded } = await pasted('date,0.5,0.75\n2026-02-03,no,no\n2026-03-20,yes,no\n')
    expect(await screen.findByText('Choose the kind of gauge.', { selector: 'h1' })).toBeTruthy()
    const add = screen.getByRole('button', { name: 'Add them to the log' })
    expect(add).toHaveProperty('disabled', true)
    await twoContacts()
    await waitFor(() => expect(answer()).toBe('2 rows: 4 readings.'))
    await userEvent.click(add)
    await waitFor(() => expect(recorded).toHaveLength(4))
    expect(recorded.map((draft) => (draft.kind === 'reading' ? draft.reading : undefined))).toEqual([
      { instrument: 'two-contact-limit', limit: 0.5, result: 'not-in' },
      { instrument: 'two-contact-limit', limit: 0.75, result: 'not-in' },
      { instrument: 'two-contact-limit', limit: 0.5, result: 'drops' },
      { instrument: 'two-contact-limit', limit: 0.75, result: 'not-in' },
    ])
  })

  test('a row that cannot be read says why, and costs the others nothing', async () => {
    const { recorded } = await pasted(
      'date,elongation %\n2026-02-03,0.21\n2026-02-31,0.24\n2026-03-04,a lot\n2026-03-05,21\n',
    )
    await waitFor(() => expect(answer()).toBe('Choose the kind of gauge.'))
    await twoContacts()
    await waitFor(() => expect(answer()).toBe('4 rows: 1 reading.'))
    expect(rows().getByText('“2026-02-31” is no day that can be read.')).toBeTruthy()
    expect(rows().getByText('“a lot” is no number.')).toBeTruthy()
    expect(rows().getByText('“21” is more or less than a chain can stretch. Is it in %?')).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Add them to the log' }))
    await waitFor(() => expect(recorded).toHaveLength(1))
  })

  test('what the log has already is said to be there, and not added a second time', async () => {
    const { recorded } = await pasted('date,ride km\n2026-01-05,100\n2026-01-06,35\n')
    await waitFor(() => expect(answer()).toBe('2 rows: 1 distance.'))
    await userEvent.click(screen.getByRole('button', { name: 'Add them to the log' }))
    await waitFor(() => expect(recorded).toHaveLength(1))
    expect(recorded[0]).toMatchObject({ kind: 'ride', km: 35 })
  })

  test('a table can be left, and nothing was changed', async () => {
    const { recorded } = await pasted('date,elongation %\n2026-02-03,0.21\n')
    await userEvent.click(await screen.findByRole('button', { name: 'Leave this table' }))
    expect(answer()).toBe('Bring in notes from a spreadsheet.')
    expect(recorded).toEqual([])
  })

  test('what is no table is said to be none, in words that say what to do', async () => {
    const { recorded } = await pasted('lorem ipsum')
    expect(plain((await screen.findByRole('alert')).textContent)).toMatch(/Nothing was changed\.$/)
    expect(screen.getByLabelText('Cells of the spreadsheet')).toBeTruthy()
    expect(recorded).toEqual([])
  })
})
