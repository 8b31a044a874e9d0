import { afterEach, describe, expect, test } from '@jest/globals'
import { cleanup, fireEvent, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { caliperReadings, commuter, hundreds, noon, springTour } from '../../../test/log.ts'
import { openLog, TODAY } from '../../../test/open-log.tsx'
import { outlookOf } from '../../../test/outlook.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import { addDays } from '../../core/units/days.ts'
import type { WearAnswer } from '../../core/wear/outlook.ts'
import { Ahead } from './Ahead.tsx'

afterEach(() => {
  cleanup()
  localStorage.clear()
})
const plain = (text: string | null | undefined): string => (text ?? '').replaceAll('\u00a0', ' ')
const drafts: readonly EntryDraft[] = [...commuter, ...hundreds, ...caliperReadings(3, 25, 0.3)]
const tour: EntryDraft = { ...springTour, starts: addDays(TODAY, 20), km: 3000, condition: 'dry-road' }

function opened(...more: readonly EntryDraft[]) {
  const log = openLog([...drafts, ...more])
  const answer = outlookOf(log.garage, TODAY).chains['chain'] as WearAnswer
  log.show(<Ahead report={log.report} answer={answer} />)
  return { ...log, answer }
}

describe('what lies ahead of a chain', () => {
  test('any distance has its chance and its day', () => {
    opened()
    const slider = screen.getByRole('slider', { name: 'Distance from now' })
    const said = () => plain(screen.getByText(/The chain is then/).textContent)
    expect(said()).toMatch(/past 0\.5 %: about 1 in 2/)
    fireEvent.change(slider, { target: { value: '0' } })
    expect(said()).toMatch(/In 0 km, past 0\.5 %: (less than 1 in|almost)/)
    fireEvent.change(slider, { target: { value: String((slider as HTMLInputElement).max) } })
    expect(said()).toMatch(/, about \d+ \w+/)
    expect(said()).toMatch(/past 0\.5 %: (about (9 in 10|4 in 5)|19 in 20|almost certainly|9 in 10)/)
  })

  test('something is planned, and written down', async () => {
    const { recorded } = opened()
    await userEvent.click(screen.getByRole('button', { name: 'Add an event' }))
    const sheet = within(screen.getByRole('dialog', { name: 'Events with Heron' }))
    await userEvent.click(sheet.getByRole('button', { name: 'Save event' }))
    expect(sheet.getByText('Give it a name: “spring tour”.')).toBeTruthy()
    expect(recorded).toEqual([])
    await userEvent.type(sheet.getByLabelText('What'), 'Spring tour')
    fireEvent.change(sheet.getByLabelText('Begins'), { target: { value: '2026-05-06' } })
    await userEvent.type(sheet.getByLabelText('Distance, km'), '900')
    await userEvent.selectOptions(sheet.getByLabelText('Conditions'), 'rain')
    await userEvent.click(sheet.getByRole('button', { name: 'Save event' }))
    expect(recorded).toMatchObject([
      { kind: 'event', bike: 'heron', name: 'Spring tour', days: 7, km: 900, condition: 'wet-road' },
    ])
    expect(screen.queryByRole('dialog')).toBeNull()
  })

  test('says whether the chain lasts through it, changes it and takes it back', async () => {
    const { recorded, withdrawn, entries } = opened(tour)
    expect(screen.getByText(/It will not last: swap it before/)).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Change Spring tour' }))
    const sheet = within(screen.getByRole('dialog', { name: 'Spring tour' }))
    const distance = sheet.getByLabelText('Distance, km')
    await userEvent.clear(distance)
    await userEvent.type(distance, '400')
    await userEvent.click(sheet.getByRole('button', { name: 'Save event' }))
    const planned = entries.find(({ kind }) => kind === 'event')
    expect(recorded).toMatchObject([{ kind: 'event', event: 'tour', km: 400, supersedes: planned?.id }])
    await userEvent.click(screen.getByRole('button', { name: 'Cancel Spring tour' }))
    expect(withdrawn).toEqual([planned?.id])
  })

  test('another pace is said, and taken back', async () => {
    const { recorded } = opened()
    expect(screen.getByText(/your average of the last twelve weeks/)).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Change' }))
    const week = screen.getByLabelText('A week, km')
    await userEvent.clear(week)
    await userEvent.type(week, '150')
    await userEvent.click(screen.getByRole('button', { name: 'Save plan' }))
    expect(recorded).toMatchObject([{ kind: 'plan', bike: 'heron', weeklyKm: 150 }])
    cleanup()
    const stated = opened({ kind: 'plan', at: noon(3, 30), bike: 'heron', weeklyKm: 150 })
    expect(screen.getByText(/Based on 150 km a week, as you set/)).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Use the recent average' }))
    expect(stated.recorded).toEqual([{ kind: 'plan', at: TODAY, bike: 'heron' }])
  })

  test('a bike that stands still has distances and no days', () => {
    opened({ kind: 'plan', at: noon(3, 30), bike: 'heron', weeklyKm: 0 })
    const said = plain(screen.getByText(/The chain is then/).textContent)
    expect(said).toMatch(/^In [\d\s]+ km, past/)
  })
})
