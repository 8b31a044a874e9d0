import { afterEach, describe, expect, test } from '@jest/globals'
import { act, cleanup, configure, renderHook, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { giveHeights } from '../../../test/heights.ts'
import { caliperReadings, commuter, hundreds, kite, noon } from '../../../test/log.ts'
import { openLog, TODAY } from '../../../test/open-log.tsx'
import { outlookOf } from '../../../test/outlook.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import { Notices } from '../../ui/parts/notices.tsx'
import { bikeReport } from '../../core/strategy/facts/bike-report.ts'
import { verdictOf, type Verdict } from '../../core/strategy/verdict.ts'
import type { WearAnswer } from '../../core/wear/outlook.ts'
import type { JudgedBike } from '../../session/verdicts.ts'
import { useDayList } from './day/use-day-list.ts'
import Today from './Today.tsx'

// The list is a file of its own, which a busy machine takes its time to read.
configure({ asyncUtilTimeout: 30_000 })

giveHeights()
afterEach(() => {
  cleanup()
  localStorage.clear()
})

const OWNERS = ['Ada', 'Bo', 'Cy']
/** Thirteen more bikes, each somebody's and on a rack, none with a chain in the log. */
const racks = Array.from({ length: 13 }, (_, i): EntryDraft => ({
  ...(kite as Extract<EntryDraft, { kind: 'bike' }>),
  bike: `kite-${i}`,
  name: `Kite ${i}`,
  owner: OWNERS[i % 3] ?? '',
  rack: `R${Math.floor(i / 5)}`,
}))
const worn: readonly EntryDraft[] = [
  ...commuter,
  ...hundreds,
  { kind: 'wash', at: noon(3, 31), chain: 'chain', method: 'off-bike', lube: 'immersion-wax' },
  ...caliperReadings(3, 25, 0.72),
]
const opened = () => {
  const log = openLog([...worn, ...racks], (garage) => outlookOf(garage, TODAY))
  log.show(
    <Notices>
      <Today />
    </Notices>,
  )
  return log
}
const listed = (): string[] =>
  within(screen.getByRole('region', { name: 'Bikes' }))
    .getAllByRole('checkbox')
    .map((box) => box.getAttribute('aria-label') ?? '')
const headings = (): string[] =>
  within(screen.getByRole('region', { name: 'Bikes' }))
    .getAllByRole('heading', { level: 2 })
    .map(({ textContent }) => textContent ?? '')

describe('Today with more bikes than fit on a page', () => {
  test('says at once that it looks at them, and then which is first', async () => {
    opened()
    const first = await screen.findByRole('heading', { level: 1, name: /^Start with Heron\./ })
    expect(first).toBeTruthy()
    expect(await screen.findByRole('region', { name: 'Bikes' })).toBeTruthy()
    expect(listed()).toHaveLength(14)
    expect(listed()[0]).toBe('Choose Heron')
  })

  test('finds a bike by its owner, and says so where there is none', async () => {
    opened()
    await screen.findByRole('region', { name: 'Bikes' })
    const find = screen.getByRole('searchbox', { name: 'Find a bike, owner or rack' })
    await userEvent.type(find, 'Ada')
    await waitFor(() => expect(listed()).toHaveLength(5))
    await userEvent.clear(find)
    await userEvent.type(find, 'nobody at all')
    expect(await screen.findByText(/No bike is like that/)).toBeTruthy()
    expect(screen.getByRole('button', { name: 'The list on paper (PDF)' })).toHaveProperty('disabled', true)
  })

  test('groups them by owner and by rack, those without one by themselves', async () => {
    opened()
    await screen.findByRole('region', { name: 'Bikes' })
    await userEvent.selectOptions(screen.getByLabelText('Grouped by'), 'owner')
    await waitFor(() => expect(headings().sort()).toEqual(['Ada 5', 'Bo 4', 'Cy 4', 'No owner entered 1']))
    await userEvent.selectOptions(screen.getByLabelText('Grouped by'), 'rack')
    await waitFor(() => expect(headings().sort()).toEqual(['No rack entered 1', 'R0 5', 'R1 5', 'R2 3']))
  })

  test('chooses a whole group with one press, and offers what can be done to all of it', async () => {
    opened()
    await screen.findByRole('region', { name: 'Bikes' })
    await userEvent.selectOptions(screen.getByLabelText('Grouped by'), 'owner')
    const [all] = await screen.findAllByRole('button', { name: 'Choose all of these' })
    if (!all) throw new Error('no group')
    await userEvent.click(all)
    const chosen = screen.getAllByRole('checkbox').filter((box) => (box as HTMLInputElement).checked)
    expect(headings()[0]).toMatch(new RegExp(` ${chosen.length}$`))
    expect(chosen.length).toBeGreaterThan(1)
    expect(screen.getByLabelText('What to do')).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Choose none of these' }))
    expect(screen.queryByLabelText('What to do')).toBeNull()
  })

  test('shows those alone that need the same, and all again', async () => {
    opened()
    await screen.findByRole('region', { name: 'Bikes' })
    await userEvent.selectOptions(screen.getByLabelText('Show'), 'Swap the chain')
    await waitFor(() => expect(listed()).toEqual(['Choose Heron']))
    expect(headings()).toEqual(['Swap the chain 1'])
    await userEvent.selectOptions(screen.getByLabelText('Show'), 'all bikes')
    await waitFor(() => expect(listed()).toHaveLength(14))
  })

  test('is sorted by name where that is asked for', async () => {
    opened()
    await screen.findByRole('region', { name: 'Bikes' })
    await userEvent.selectOptions(screen.getByLabelText('Grouped by'), 'nothing')
    await userEvent.selectOptions(screen.getByLabelText('In order of'), 'name')
    await waitFor(() => expect(headings()).toEqual(['All bikes 14']))
    const names = listed().map((label) => label.replace('Choose ', ''))
    const collator = new Intl.Collator('en', { numeric: true })
    expect(names).toEqual([...names].sort(collator.compare))
  })
})

describe('while bikes are being chosen', () => {
  test('the rows stay where they are, whatever is known of them meanwhile, and move again afterwards', () => {
    const { garage } = openLog([...worn, ...racks])
    const bike = (name: string, verdict?: Verdict): JudgedBike => {
      const state = [...garage.bikes.values()].find(({ entry }) => entry.name === name)
      if (!state) throw new Error('no such bike')
      return {
        report: bikeReport(garage, state, TODAY),
        answer: undefined,
        fresh: false,
        fault: undefined,
        teeth: undefined,
        verdict,
      }
    }
    const sound = verdictOf(bikeReport(garage, bike('Kite 1').report.bike, TODAY), undefined)
    const before = [bike('Heron'), bike('Kite 1', sound)]
    const { result, rerender } = renderHook(({ lines }) => useDayList(lines), {
      initialProps: { lines: before },
    })
    const order = () => result.current.shown.map(({ entry }) => entry.name)
    expect(order()).toEqual(['Kite 1', 'Heron'])
    act(() => result.current.choose(['heron'], true))
    // Now Heron's answer is there, and it calls louder.
    const answer = outlookOf(garage, TODAY).chains['chain'] as WearAnswer
    const worse = verdictOf(bikeReport(garage, bike('Heron').report.bike, TODAY), answer)
    rerender({ lines: [bike('Heron', worse), bike('Kite 1', sound)] })
    expect(order()).toEqual(['Kite 1', 'Heron'])
    expect(result.current.shown[1]?.verdict).toBe(worse)
    expect([...result.current.chosen]).toEqual(['heron'])
    act(() => result.current.choose(['heron'], false))
    expect(order()).toEqual(['Heron', 'Kite 1'])
  })
})
