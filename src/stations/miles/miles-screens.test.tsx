import { afterEach, describe, expect, test } from '@jest/globals'
import { cleanup, fireEvent, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { commuter, noon, ride } from '../../../test/log.ts'
import { openLog } from '../../../test/open-log.tsx'
import type { EntryDraft } from '../../core/log/entries.ts'
import { readTable } from '../../formats/rides/ride-table.ts'
import type { ReadTable, TableMapping } from '../../formats/rides/table-rides.ts'
import { ConditionSorter } from './ConditionSorter.tsx'
import { DropPlace } from '../../ui/parts/DropPlace.tsx'
import { GearsRidden } from './GearsRidden.tsx'
import { Odometer } from './Odometer.tsx'
import { RideList } from './RideList.tsx'
import { TableColumns } from './TableColumns.tsx'

afterEach(() => {
  cleanup()
  localStorage.clear()
})
const plain = (text: string | null): string => (text ?? '').replaceAll('\u00a0', ' ')
const silent = (month: number, day: number, km: number): EntryDraft => {
  const { condition: _said, ...rest } = ride(month, day, km) as Extract<EntryDraft, { kind: 'ride' }>
  return rest
}

describe('the sorter of conditions', () => {
  const drafts = [...commuter, silent(2, 1, 10), silent(2, 9, 20), silent(3, 5, 40), ride(3, 6, 5)]
  const opened = () => {
    const log = openLog(drafts)
    log.show(<ConditionSorter report={log.report} />)
    return { ...log, sorter: screen.getByRole('region', { name: /3 rides need conditions/ }) }
  }
  const rideOf = (recorded: readonly EntryDraft[]) =>
    recorded.map((draft) => draft.kind === 'condition' && [draft.condition, draft.from, draft.targets.length])

  test('is worked by keys: a digit says, an arrow passes on, Enter agrees', async () => {
    const { recorded, sorter } = opened()
    sorter.focus()
    await userEvent.keyboard('6')
    expect(rideOf(recorded)).toEqual([['mud', 'rider', 1]])
    await userEvent.keyboard('{ArrowDown}')
    expect(plain(sorter.textContent)).toContain('9 February')
    await userEvent.keyboard('{Enter}')
    expect(rideOf(recorded)[1]).toEqual(['dry-road', 'rider', 1])
    await userEvent.keyboard('{ArrowUp}{ArrowUp}')
    expect(plain(sorter.textContent)).toContain('1 February')
  })

  test('says it of a whole month, of days between, of all', async () => {
    const { recorded } = opened()
    const which = screen.getByLabelText('Set it for')
    await userEvent.selectOptions(which, 'all of its month')
    expect(screen.getByText(/^2 rides, 30/)).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: /wet road|rain/ }))
    await userEvent.selectOptions(which, 'all between two days')
    fireEvent.change(screen.getByLabelText('From'), { target: { value: '2026-02-05' } })
    fireEvent.change(screen.getByLabelText('To'), { target: { value: '2026-03-31' } })
    await userEvent.click(screen.getByRole('button', { name: /mud/ }))
    await userEvent.click(screen.getByRole('button', { name: 'The usual for all 3' }))
    expect(rideOf(recorded)).toEqual([
      ['wet-road', 'rider', 2],
      ['mud', 'rider', 2],
      ['dry-road', 'usual', 3],
    ])
  })

  test('a digit typed into a field says nothing', async () => {
    const { recorded } = opened()
    screen.getByLabelText('Set it for').focus()
    await userEvent.keyboard('6')
    expect(recorded).toEqual([])
  })

  test('is not there when nothing wants a surface', () => {
    const log = openLog([...commuter, ride(3, 6, 5)])
    log.show(<ConditionSorter report={log.report} />)
    expect(screen.queryByRole('region')).toBeNull()
  })
})

describe('the bike’s computer', () => {
  const figure = (km: number, day: number): EntryDraft => ({
    kind: 'odometer',
    at: noon(3, day),
    bike: 'heron',
    km,
  })
  const note = async (text: string) => {
    await userEvent.type(screen.getByLabelText('It shows, km'), text)
    await userEvent.click(screen.getByRole('button', { name: 'Save the figure' }))
  }

  test('says what it counted beside what rides account for', () => {
    const { show, report } = openLog([...commuter, figure(500, 1), ride(3, 5, 30), figure(590, 20)])
    show(<Odometer report={report} />)
    expect(plain(screen.getByText(/^Last/).textContent)).toBe(
      'Last 590 km on 20 March. Since 1 March it counted 90 km; rides account for 30 km, and the other 60 km are spread over those days.',
    )
  })

  test('asks about a figure below the last one, and takes it where the count began anew', async () => {
    const { show, report, recorded } = openLog([...commuter, figure(500, 1)])
    show(<Odometer report={report} />)
    await note('12,5')
    expect(screen.getByText(/more than that\. Check the figure/)).toBeTruthy()
    expect(recorded).toEqual([])
    fireEvent.change(screen.getByLabelText('On'), { target: { value: '2026-03-20' } })
    await userEvent.click(screen.getByRole('checkbox', { name: 'count restarted' }))
    await userEvent.click(screen.getByRole('button', { name: 'Save the figure' }))
    expect(recorded).toMatchObject([{ kind: 'odometer', bike: 'heron', km: 12.5, restarted: true }])
    expect(recorded[0]?.at).toMatch(/^2026-03-20/)
  })

  test.each([
    ['', /^Give the figure it shows\.$/],
    ['many', /“many” is not a number/],
    ['-5', /^Give the figure it shows\. It cannot be below 0\.$/],
  ])('asks for a figure instead of %p', async (text, asked) => {
    const { show, report, recorded } = openLog(commuter)
    show(<Odometer report={report} />)
    if (text !== '') await userEvent.type(screen.getByLabelText('It shows, km'), text)
    await userEvent.click(screen.getByRole('button', { name: 'Save the figure' }))
    expect(await screen.findByText(asked)).toBeTruthy()
    expect(recorded).toEqual([])
  })
})

describe('the columns of a table', () => {
  const show = (text: string, remembered?: TableMapping) => {
    const read: [TableMapping, ReadTable][] = []
    let left = 0
    openLog(commuter).show(
      <TableColumns
        file="a.csv"
        table={readTable(text)}
        remembered={remembered}
        onRead={(mapping, table) => read.push([mapping, table])}
        onLeave={() => left++}
      />,
    )
    return { read, left: () => left }
  }
  const go = () => screen.getByRole('button', { name: /^Read/ })

  test('are told from their heads, the marks from the figures, and shown before they are taken', async () => {
    const { read } = show('Date;Distance (km)\n3.2.2026;12,5\n14.2.2026;8\nsoon;3')
    expect(screen.getByLabelText<HTMLSelectElement>('Decimals after').value).toBe('comma')
    expect(screen.getByText(/1 row cannot be read, the first on line 4/)).toBeTruthy()
    await userEvent.click(go())
    expect(read[0]?.[1].rides.map(({ km }) => km)).toEqual([12.5, 8])
    expect(read[0]?.[0]).toMatchObject({ dates: 'day-first', unit: 'km', decimals: 'comma' })
  })

  test('that cannot be told wait for an answer', async () => {
    const { read, left } = show('when,how far\n3/4/26,12\n5/6/26,9')
    expect(go()).toHaveProperty('disabled', true)
    await userEvent.selectOptions(screen.getByLabelText('Day in'), 'when')
    await userEvent.selectOptions(screen.getByLabelText('Distance in'), 'how far')
    await userEvent.selectOptions(screen.getByLabelText('Written as'), 'month, day, year')
    await userEvent.selectOptions(screen.getByLabelText('Its unit'), 'miles')
    await userEvent.click(go())
    expect(read[0]?.[1].rides[0]?.km).toBeCloseTo(12 * 1.609344, 6)
    await userEvent.click(screen.getByRole('button', { name: 'Leave this table' }))
    expect(left()).toBe(1)
  })

  test('are taken as they were the last time', () => {
    show('when,how far\n3/2/26,12', {
      date: 0,
      distance: 1,
      dates: 'day-first',
      unit: 'miles',
      decimals: 'point',
    })
    expect(screen.getByLabelText<HTMLSelectElement>('Its unit').value).toBe('miles')
    expect(go()).toHaveProperty('disabled', false)
  })
})

describe('what the gears did', () => {
  test('is told from cadence where rides have it: the two cogs that do the work, over any stretch', async () => {
    const gears = { '40x15': 60, '40x17': 30, '40x42': 5, '40x11': 5 }
    const { show, report } = openLog([
      ...commuter,
      ride(3, 5, 30, { gears, energyKjPerKm: 100 / 30 }),
      ride(3, 9, 10, { gears: { '40x11': 50 }, energyKjPerKm: 5 }),
    ])
    show(<GearsRidden report={report} />)
    await userEvent.click(screen.getByRole('radio', { name: 'between two days' }))
    fireEvent.change(screen.getByLabelText('Last day'), { target: { value: '2026-03-08' } })
    const bars = screen.getByRole('table', { name: /cog/i })
    const share = (teeth: string) =>
      plain(within(bars).getByRole('row', { name: new RegExp(`^${teeth}\\b`) }).textContent)
    expect(share('15')).toContain('60 %')
    expect(share('17')).toContain('30 %')
    expect(plain(document.body.textContent)).toMatch(/The 15 and the 17 do 90 % of the work/)
    await userEvent.click(screen.getByRole('radio', { name: 'all its rides' }))
    expect(share('11')).toContain('37 %')
  })

  test('without cadence it is the bike’s usual mix, said to be a guess', () => {
    const { show, report } = openLog([...commuter, ride(3, 5, 30)])
    show(<GearsRidden report={report} />)
    expect(
      screen.getByText(/No ride here shows its gears\. This is the bike’s usual mix: a guess/),
    ).toBeTruthy()
  })
})

test('files are dropped or chosen, and nothing else is', () => {
  const dropped: string[][] = []
  openLog(commuter).show(
    <DropPlace
      note=""
      accept=".gpx"
      label="Ride files"
      button="Choose files"
      onFiles={(files) => dropped.push(files.map(({ name }) => name))}
    >
      Drop ride files here, several at once.
    </DropPlace>,
  )
  const file = new File(['x'], 'monday.gpx')
  const place = screen.getByText('Drop ride files here, several at once.')
  fireEvent.dragOver(place)
  fireEvent.drop(place, { dataTransfer: { files: [file] } })
  fireEvent.change(screen.getByLabelText('Ride files'), { target: { files: [file] } })
  expect(dropped).toEqual([['monday.gpx'], ['monday.gpx']])
})

test('a ride without an end to it says it has none yet', () => {
  const { show } = openLog(commuter)
  show(<RideList rides={[]} />)
  expect(screen.getByText(/None yet\. Drop recorded rides in/)).toBeTruthy()
})
