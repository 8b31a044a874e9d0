import { afterEach, describe, expect, test } from '@jest/globals'
import { cleanup, fireEvent, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { commuter, joiningLink, kite, kiteChain, noon, ride } from '../../../test/log.ts'
import { openLog } from '../../../test/open-log.tsx'
import type { EntryDraft } from '../../core/log/entries.ts'
import { FitChain } from './FitChain.tsx'
import { MovePart } from './MovePart.tsx'
import { NewPart } from './NewPart.tsx'
import Shelf from './Shelf.tsx'

afterEach(() => {
  cleanup()
  localStorage.clear()
})
const plain = (text: string | null): string => (text ?? '').replaceAll('\u00a0', ' ')
const drafts: readonly EntryDraft[] = [
  ...commuter,
  joiningLink,
  { kind: 'fit', at: noon(1, 1), part: 'link', bike: 'heron' },
  kite,
  ...kiteChain,
  ride(1, 5, 100),
]
const on = (day: string) => fireEvent.change(screen.getByLabelText('Day'), { target: { value: day } })

describe('the guided swap', () => {
  const opened = () => {
    const log = openLog(drafts)
    log.show(<FitChain report={log.report} />)
    return log
  }
  const save = () => userEvent.click(screen.getByRole('button', { name: 'Log the chain' }))

  test('goes through chain, old chain, routing and first look, and writes it in one go', async () => {
    const { recorded } = opened()
    expect(screen.getAllByRole('heading', { level: 3 }).map(({ textContent }) => textContent)).toEqual([
      'Which chain goes on',
      'The old one comes off',
      'Route it and join it',
      'First look',
    ])
    on('2026-03-10')
    const links = screen.getByLabelText('Links')
    await userEvent.clear(links)
    await userEvent.type(links, '114')
    expect(screen.getByText(/114 links; the chain on it has 116/)).toBeTruthy()
    await userEvent.selectOptions(screen.getByLabelText('It runs'), 'one way round only')
    expect(screen.getByText(/the arrow the way it runs/)).toBeTruthy()
    await userEvent.click(screen.getByRole('checkbox', { name: /Past the cage’s tab/ }))
    await userEvent.type(screen.getByLabelText('24 pitches with a rule, mm'), '304,8')
    await userEvent.selectOptions(screen.getByLabelText('Lube on it'), 'wet lube')
    await save()
    expect(recorded.map(({ kind }) => kind)).toEqual(['remove', 'part', 'fit', 'fit', 'wash', 'reading'])
    expect(recorded.every(({ at }) => at.startsWith('2026-03-10'))).toBe(true)
  })

  test('offers the chain of another bike, and says what that leaves', async () => {
    const { recorded } = opened()
    await userEvent.selectOptions(screen.getByLabelText('Chain'), 'Chain 1 of Kite, off Kite')
    expect(screen.getByText(/Kite is then without a chain in the log/)).toBeTruthy()
    on('2026-03-10')
    await save()
    expect(recorded.find(({ kind }) => kind === 'fit')).toMatchObject({ part: 'kite-chain', bike: 'heron' })
    expect(recorded.some(({ kind }) => kind === 'part')).toBe(false)
  })

  test('counts the link’s closings, and says when a new one is due', async () => {
    const closed = openLog([
      ...drafts,
      { kind: 'remove', at: noon(2, 1), part: 'link', to: 'shelf' },
      { kind: 'fit', at: noon(2, 1), part: 'link', bike: 'heron' },
    ])
    closed.show(<FitChain report={closed.report} />)
    expect(screen.getByRole('option', { name: 'Joining link 1 again: closing 3' })).toBeTruthy()
    expect(screen.getByText(/was closed 2 times; its maker allows 2\. Take a new one\./)).toBeTruthy()
    await userEvent.selectOptions(screen.getByLabelText('Joined by'), 'a new joining link')
    expect(screen.queryByText(/Take a new one/)).toBeNull()
  })

  test.each([
    ['Links', '12', /Count the links\. At least 40/],
    ['24 pitches with a rule, mm', '350', /Over 24 pitches that would be 14\.83/],
    ['24 pitches with a rule, mm', 'long', /“long” is not a number/],
  ])('asks about %s at %p and writes nothing', async (label, value, said) => {
    const { recorded } = opened()
    on('2026-03-10')
    const field = screen.getByLabelText(label)
    await userEvent.clear(field)
    await userEvent.type(field, value)
    await save()
    expect((await screen.findByRole('alert')).textContent).toMatch(said)
    expect(screen.queryByText(/NaN/)).toBeNull()
    expect(recorded).toEqual([])
  })

  test('a day before the old chain went on is asked about', async () => {
    const { recorded } = opened()
    on('2025-12-31')
    await save()
    expect((await screen.findByRole('alert')).textContent).toMatch(/that day is before it/)
    expect(recorded).toEqual([])
  })
})

describe('a new part', () => {
  test('is asked what its kind needs, warned before it goes on, and fitted in one go', async () => {
    const { show, report, recorded } = openLog(drafts)
    show(<NewPart report={report} onDone={() => undefined} />)
    await userEvent.type(screen.getByLabelText('Teeth on the cogs'), '11-28')
    await userEvent.click(screen.getByRole('button', { name: /^8 cogs/ }))
    expect(screen.getByLabelText('Teeth on the cogs')).toHaveProperty('value', '11 13 15 17 19 21 24 28')
    await userEvent.clear(screen.getByLabelText('Teeth on the cogs'))
    await userEvent.type(screen.getByLabelText('Teeth on the cogs'), '11 13 15')
    await userEvent.click(screen.getByRole('checkbox', { name: 'It really has 3 cogs' }))
    expect(screen.queryByText(/Nobody has measured/)).toBeNull()
    await userEvent.click(screen.getByRole('radio', { name: 'on Heron' }))
    const before = screen.getByRole('list', { name: 'Before it goes on' })
    expect(before.textContent).toMatch(
      /made for 3 speeds; this bike has 11.*The chain on it has not been measured/,
    )
    await userEvent.click(screen.getByRole('button', { name: 'Log the part' }))
    expect(recorded.map(({ kind }) => kind)).toEqual(['part', 'fit'])
    expect(recorded[0]).toMatchObject({ name: 'Cassette 11 to 15', spec: { teeth: [11, 13, 15] } })
  })

  test('bought used keeps what is known of its past', async () => {
    const { show, report, recorded } = openLog(drafts)
    show(<NewPart report={report} onDone={() => undefined} />)
    await userEvent.selectOptions(screen.getByLabelText('It is a'), 'chain')
    await userEvent.selectOptions(screen.getByLabelText('New or used'), 'used, of unknown past')
    await userEvent.type(screen.getByLabelText('Distance before, km'), '900')
    await userEvent.click(screen.getByRole('button', { name: 'Log the part' }))
    expect(recorded).toMatchObject([{ kind: 'part', used: { km: 900 }, spec: { past: 'unknown' } }])
  })

  test('with something missing says what, and stays', async () => {
    const { show, report, recorded } = openLog(drafts)
    show(<NewPart report={report} onDone={() => undefined} />)
    await userEvent.selectOptions(screen.getByLabelText('It is a'), 'ring')
    await userEvent.click(screen.getByRole('button', { name: 'Log the part' }))
    expect(screen.getByText(/one figure from 9 to 60/)).toBeTruthy()
    expect(recorded).toEqual([])
  })
})

describe('moving a part', () => {
  const moving = (part: string, more: readonly EntryDraft[] = []) => {
    const log = openLog([...drafts, ...more])
    const state = log.garage.parts.get(part)
    if (!state) throw new Error('no such part')
    let done = 0
    log.show(<MovePart part={state} onDone={() => done++} />)
    return { ...log, done: () => done }
  }
  const save = () => userEvent.click(screen.getByRole('button', { name: 'Log the move' }))

  test('to another bike, to somebody on loan, or away', async () => {
    const { recorded, done } = moving('cassette')
    on('2026-03-10')
    await userEvent.selectOptions(screen.getByLabelText('Where to'), 'onto Kite')
    expect(screen.getByText(/its distance is counted on Kite/)).toBeTruthy()
    await save()
    await userEvent.selectOptions(screen.getByLabelText('Where to'), 'to somebody, on loan')
    await userEvent.type(screen.getByLabelText('To whom'), 'Ada')
    await save()
    await userEvent.selectOptions(screen.getByLabelText('Where to'), 'retired')
    await save()
    expect(recorded).toMatchObject([
      { kind: 'fit', part: 'cassette', bike: 'kite' },
      { kind: 'remove', to: 'lent', lentTo: 'Ada' },
      { kind: 'remove', to: 'retired' },
    ])
    expect(done()).toBe(3)
  })

  test('not on a day before it was fitted', async () => {
    const { recorded } = moving('cassette')
    on('2025-12-31')
    await save()
    expect(screen.getByText(/It was fitted on 2026-01-01|that day is before it/)).toBeTruthy()
    expect(recorded).toEqual([])
  })
})

describe('the shelf', () => {
  test('lists what is on the bike and what is off it, with distances and closings', () => {
    openLog([
      ...drafts,
      { kind: 'remove', at: noon(2, 1), part: 'ring', to: 'lent', lentTo: 'Ada' },
      ride(2, 5, 50),
    ]).show(<Shelf />)
    const line = (region: string, name: string) =>
      plain(
        within(screen.getByRole('region', { name: region }))
          .getAllByRole('listitem')
          .find(({ textContent }) => textContent?.startsWith(name))?.textContent ?? '',
      )
    expect(line('On Heron', 'Chain 1')).toContain('150 km')
    expect(line('On Heron', 'Joining link 1')).toContain('Closed 1 of 2 times.')
    expect(line('Not on it', 'Ring 40')).toMatch(/100 km.*lent to Ada/)
    expect(screen.getByRole('button', { name: 'Move Chain 1' })).toBeTruthy()
  })
})
