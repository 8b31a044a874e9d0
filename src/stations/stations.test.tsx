import { afterEach, describe, expect, test } from '@jest/globals'
import { cleanup, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { commuter, noon, ride, ruleReading } from '../../test/log.ts'
import type { EntryDraft } from '../core/log/entries.ts'
import { openLog, TODAY } from '../../test/open-log.tsx'
import { toEnd } from '../core/job.ts'
import { ownLives } from '../core/lube/learn.ts'
import { nextLookSteps } from '../core/wear/next-look-value.ts'
import { SHORT_INSTRUMENT } from '../words/names.ts'
import { Guide } from './gauge/Guide.tsx'
import { LimitChoice } from './gauge/LimitChoice.tsx'
import { NextWorth } from './gauge/NextWorth.tsx'
import { ReadingList } from './gauge/ReadingList.tsx'
import { TakeReading } from './gauge/TakeReading.tsx'
import { Tools } from './gauge/Tools.tsx'
import { RideByHand } from './miles/RideByHand.tsx'
import { RoadStrip } from './miles/RoadStrip.tsx'
import { LifeStrip } from './wash/LifeStrip.tsx'
import { LogWash } from './wash/LogWash.tsx'

afterEach(() => {
  cleanup()
  localStorage.clear()
})
const plain = (text: string | null): string => (text ?? '').replaceAll('\u00a0', ' ')

describe('Gauge', () => {
  test('lists readings by day, newest first, as read and as meant', () => {
    const { show, chain } = openLog([
      ...commuter,
      ride(1, 2, 400),
      ruleReading(1, 10, 305.5),
      ruleReading(3, 1, 306.324),
    ])
    show(<ReadingList chain={chain} />)
    expect(screen.getAllByRole('heading', { level: 3 }).map((heading) => plain(heading.textContent))).toEqual(
      ['1 Marchat 400 km', '10 Januaryat 400 km'],
    )
    expect(plain(screen.getAllByRole('listitem')[0]?.textContent ?? '')).toMatch(
      /rule24 pitches, 306\.32 mm.*0\.50 ±0\.23/,
    )
  })

  test('a reading unticked is left out by an entry of its own', async () => {
    const { show, chain, recorded } = openLog([...commuter, ruleReading(3, 1, 306)])
    show(<ReadingList chain={chain} />)
    await userEvent.click(screen.getByRole('checkbox'))
    expect(recorded).toEqual([
      { kind: 'reading-use', at: TODAY, target: chain.readings[0]?.entry.id, counts: false },
    ])
  })

  test('takes both sides of a gauge in one go, at the place and tension told', async () => {
    const { show, chain, report, recorded } = openLog(commuter)
    show(<TakeReading report={report} chain={chain} />)
    await userEvent.click(screen.getByRole('radio', { name: 'three-contact drop-in' }))
    await userEvent.click(
      within(screen.getByRole('group', { name: 'The 0.5 side' })).getByRole('radio', { name: 'drops in' }),
    )
    await userEvent.click(
      within(screen.getByRole('group', { name: 'The 0.75 side' })).getByRole('radio', {
        name: 'does not enter',
      }),
    )
    await userEvent.click(screen.getByRole('radio', { name: 'slack' }))
    await userEvent.click(screen.getByRole('button', { name: 'Save the reading' }))
    expect(
      recorded.map((draft) => draft.kind === 'reading' && [draft.linksFromJoint, draft.reading]),
    ).toEqual([
      [10, { instrument: 'three-contact-limit', limit: 0.5, result: 'drops', slack: true }],
      [10, { instrument: 'three-contact-limit', limit: 0.75, result: 'clear', slack: true }],
    ])
  })

  test('refuses a day before the chain was fitted and keeps what was typed', async () => {
    const { show, chain, report, recorded } = openLog(commuter)
    show(<TakeReading report={report} chain={chain} />)
    await userEvent.type(screen.getByLabelText('Length, mm'), '306')
    const day = screen.getByLabelText('Day')
    await userEvent.clear(day)
    await userEvent.type(day, '2025-12-01')
    await userEvent.click(screen.getByRole('button', { name: 'Save the reading' }))
    expect((await screen.findByRole('alert')).textContent).toMatch(
      /fitted on 2026-01-01: that day is before it/,
    )
    expect(screen.getByLabelText<HTMLInputElement>('Length, mm').value).toBe('306')
    expect(recorded).toEqual([])
  })

  test('asks before the same reading is saved twice, and takes a yes', async () => {
    const length = 306.1
    const taken: EntryDraft = {
      kind: 'reading',
      at: TODAY,
      chain: 'chain',
      linksFromJoint: 10,
      reading: { instrument: 'rule', pitches: 24, lengthMm: length },
    }
    const { show, chain, report, recorded } = openLog([...commuter, taken])
    show(<TakeReading report={report} chain={chain} />)
    await userEvent.type(screen.getByLabelText('Length, mm'), String(length))
    const place = screen.getByLabelText('Links from the joining link')
    await userEvent.clear(place)
    await userEvent.type(place, '10')
    await userEvent.click(screen.getByRole('button', { name: 'Save the reading' }))
    expect((await screen.findByRole('alert')).textContent).toMatch(/This very reading is in the log already/)
    expect(recorded).toEqual([])
    await userEvent.click(screen.getByRole('button', { name: 'Save the reading' }))
    expect(recorded).toHaveLength(1)
  })

  test('a reading of an earlier day is held against that day, and a chain back in rotation takes its old ones', async () => {
    const rotated: EntryDraft[] = [
      { kind: 'remove', at: noon(1, 20), part: 'chain', to: 'shelf' },
      { kind: 'fit', at: noon(3, 20), part: 'chain', bike: 'heron' },
    ]
    const old: EntryDraft = {
      kind: 'reading',
      at: noon(1, 10),
      chain: 'chain',
      linksFromJoint: 10,
      reading: { instrument: 'rule', pitches: 24, lengthMm: 305.5 },
    }
    const { show, chain, report, recorded } = openLog([...commuter, ...rotated, old])
    show(<TakeReading report={report} chain={chain} />)
    await userEvent.type(screen.getByLabelText('Length, mm'), '305.5')
    const day = screen.getByLabelText('Day')
    await userEvent.clear(day)
    await userEvent.type(day, '2026-01-10')
    await userEvent.click(screen.getByRole('button', { name: 'Save the reading' }))
    expect((await screen.findByRole('alert')).textContent).toMatch(/This very reading is in the log already/)
    await userEvent.clear(day)
    await userEvent.type(day, '2026-01-11')
    await userEvent.click(screen.getByRole('button', { name: 'Save the reading' }))
    expect(recorded).toHaveLength(1)
  })

  test('refuses a length below nothing', async () => {
    const { show, chain, report, recorded } = openLog(commuter)
    show(<TakeReading report={report} chain={chain} />)
    await userEvent.type(screen.getByLabelText('Length, mm'), '-306')
    await userEvent.click(screen.getByRole('button', { name: 'Save the reading' }))
    expect((await screen.findByRole('alert')).textContent).toMatch(/more than nothing/)
    expect(recorded).toEqual([])
  })

  test('lets the owner choose a school, and says why the limit is what it is', async () => {
    const { show, report, recorded } = openLog(commuter)
    show(<LimitChoice report={report} />)
    expect(screen.getByText(/narrow 11-speed chains/)).not.toBeNull()
    await userEvent.click(screen.getByRole('radio', { name: /late 1\.0 %/ }))
    expect(recorded).toEqual([{ kind: 'limit', at: TODAY, bike: 'heron', school: 'late' }])
  })
})

describe('Gauge, with tools of one’s own', () => {
  const gauge: EntryDraft = {
    kind: 'tool',
    at: noon(1, 2),
    tool: 'mine',
    instrument: 'two-contact-scale',
    name: 'Bench gauge',
    retired: false,
  }

  test('a tool is named, and a printed strip with what its check bar measures', async () => {
    const { show, recorded } = openLog(commuter)
    show(<Tools />)
    await userEvent.click(screen.getByRole('button', { name: 'Name a tool' }))
    await userEvent.click(screen.getByRole('button', { name: 'Add the tool' }))
    expect(screen.getByRole('alert').textContent).toMatch(/Give it a name/)
    await userEvent.type(screen.getByLabelText('Name'), 'Paper strip')
    await userEvent.selectOptions(screen.getByLabelText('What it is'), 'strip')
    await userEvent.clear(screen.getByLabelText('Its check bar measures, mm'))
    await userEvent.type(screen.getByLabelText('Its check bar measures, mm'), '190')
    await userEvent.click(screen.getByRole('button', { name: 'Add the tool' }))
    expect(screen.getByRole('alert').textContent).toMatch(/more than 2 % off/)
    await userEvent.clear(screen.getByLabelText('Its check bar measures, mm'))
    await userEvent.type(screen.getByLabelText('Its check bar measures, mm'), '201.5')
    await userEvent.click(screen.getByRole('button', { name: 'Add the tool' }))
    expect(recorded).toMatchObject([
      { kind: 'tool', instrument: 'strip', name: 'Paper strip', checkBarMm: 201.5, retired: false },
    ])
  })

  test('zeroed on a new chain, it says what it learned and from what', async () => {
    const zeroing = {
      kind: 'zeroing',
      at: noon(1, 3),
      tool: 'mine',
      reading: { instrument: 'two-contact-scale', percent: 0.2 },
    } as const
    const { show, recorded } = openLog([...commuter, gauge, zeroing, zeroing])
    show(<Tools />)
    expect(plain(screen.getByRole('listitem').textContent)).toMatch(
      /reads 0\.1\d high ±0\.0\d, learned from 2 zeroings/,
    )
    await userEvent.click(screen.getByRole('button', { name: 'Zero Bench gauge' }))
    await userEvent.click(screen.getByRole('button', { name: 'It showed, %: more' }))
    await userEvent.click(screen.getByRole('button', { name: 'Save the zeroing' }))
    expect(recorded).toMatchObject([
      { kind: 'zeroing', tool: 'mine', reading: { instrument: 'two-contact-scale', percent: 0.01 } },
    ])
  })

  test('is offered first, and its readings remember it', async () => {
    const { show, chain, report, recorded } = openLog([...commuter, gauge])
    show(<TakeReading report={report} chain={chain} />)
    await userEvent.click(screen.getByRole('radio', { name: 'Bench gauge' }))
    await userEvent.type(screen.getByLabelText('On the scale, %'), '0.7')
    await userEvent.click(screen.getByRole('button', { name: 'Save the reading' }))
    expect(recorded).toMatchObject([
      { kind: 'reading', tool: 'mine', reading: { instrument: 'two-contact-scale', percent: 0.7 } },
    ])
  })

  test('retired, it is offered no more', () => {
    const { show, chain, report } = openLog([...commuter, { ...gauge, retired: true }])
    show(<TakeReading report={report} chain={chain} />)
    expect(screen.queryByRole('radio', { name: 'Bench gauge' })).toBeNull()
  })

  test('a draft is kept through a reload', async () => {
    const first = openLog(commuter)
    const { unmount } = first.show(<TakeReading report={first.report} chain={first.chain} />)
    await userEvent.type(screen.getByLabelText('Length, mm'), '306.2')
    unmount()
    const second = openLog(commuter)
    second.show(<TakeReading report={second.report} chain={second.chain} />)
    expect(screen.getByLabelText<HTMLInputElement>('Length, mm').value).toBe('306.2')
  })

  test('a length typed by a caliper from anywhere goes in, the inside first', async () => {
    const { show, chain, report } = openLog(commuter)
    show(<TakeReading report={report} chain={chain} />)
    await userEvent.keyboard('94.41{Enter}109.49{Enter}')
    expect(screen.getByLabelText<HTMLInputElement>('Inside, mm').value).toBe('94.41')
    expect(screen.getByLabelText<HTMLInputElement>('Outside, mm').value).toBe('109.49')
  })

  test('a limit of one’s own wants a reason', async () => {
    const { show, report, recorded } = openLog(commuter)
    show(<LimitChoice report={report} />)
    await userEvent.click(screen.getByRole('radio', { name: 'my own' }))
    await userEvent.click(screen.getByRole('button', { name: 'Set it' }))
    expect(screen.getByRole('alert').textContent).toMatch(/Give a reason/)
    await userEvent.type(screen.getByLabelText('Because'), 'dear cogs')
    await userEvent.click(screen.getByRole('button', { name: 'Limit, %: less' }))
    await userEvent.click(screen.getByRole('button', { name: 'Set it' }))
    expect(recorded).toMatchObject([{ kind: 'limit', bike: 'heron', percent: 0.45, reason: 'dear cogs' }])
  })
})

describe('Gauge, guiding the hand', () => {
  test('says which gear, how far to turn, and how many places are still to read', () => {
    const { show, report } = openLog(commuter)
    const { rerender } = show(<Guide report={report} links={116} read={[]} place={10} />)
    expect(plain(document.body.textContent)).toMatch(
      /Place 1 of 3.*40 and 42.*turn the cranks 0\.3 turns: link 10/,
    )
    rerender(<Guide report={report} links={116} read={[10]} place={48} />)
    expect(plain(document.body.textContent)).toMatch(
      /Place 2 of 3.*From link 10, turn the cranks 0\.9 turns on: link 48/,
    )
    rerender(<Guide report={report} links={116} read={[10, 48, 87]} place={10} />)
    expect(plain(document.body.textContent)).toMatch(/3 places read: that is enough/)
  })

  test('tells what each next reading would be worth, and hands it over on a tap', async () => {
    const { show, chain } = openLog([
      ...commuter,
      ride(1, 2, 1500),
      ruleReading(3, 1, 306.2),
      ruleReading(3, 1, 306.4),
    ])
    const picked: string[] = []
    show(<NextWorth answer={toEnd(nextLookSteps(chain.nextLook))} onPick={({ tool }) => picked.push(tool)} />)
    expect(screen.getByText(/The chance that the verdict is wrong is 1 in/)).not.toBeNull()
    const rows = screen.getAllByRole('button')
    expect(rows).toHaveLength(7)
    if (rows[0]) await userEvent.click(rows[0])
    expect(picked).toEqual([
      chain.nextLook.candidates.find(({ tool }) =>
        plain(rows[0]?.textContent ?? '').startsWith(SHORT_INSTRUMENT[tool as 'rule']),
      )?.tool,
    ])
  })
})

describe('Miles', () => {
  test('takes a ride by hand and asks again for one that is none', async () => {
    const { show, report, recorded } = openLog(commuter)
    show(<RideByHand report={report} />)
    await userEvent.click(screen.getByRole('button', { name: 'Add the ride' }))
    expect((await screen.findByRole('alert')).textContent).toBe('Give the distance.')
    await userEvent.type(screen.getByLabelText('Distance, km'), '42.5')
    await userEvent.selectOptions(screen.getByLabelText('Conditions'), 'winter-salt')
    await userEvent.click(screen.getByRole('button', { name: 'Add the ride' }))
    expect(recorded).toMatchObject([{ kind: 'ride', bike: 'heron', km: 42.5, condition: 'winter-salt' }])
  })

  test('shows the road under the chain, the most ridden first', () => {
    const { show, chain } = openLog([...commuter, ride(1, 2, 30, { condition: 'mud' }), ride(1, 3, 90)])
    show(<RoadStrip rides={chain.story.rides.map((one) => one.ride)} />)
    expect(plain(screen.getByRole('img').getAttribute('aria-label'))).toBe('dry road 90 km, mud 30 km')
  })
})

describe('Wash', () => {
  test('logs what was cleaned how and what was put on', async () => {
    const { show, chain, report, recorded } = openLog(commuter)
    show(<LogWash report={report} chain={chain} />)
    await userEvent.click(screen.getByRole('radio', { name: 'cleaned off the bike' }))
    await userEvent.click(screen.getByRole('radio', { name: 'drip wax' }))
    await userEvent.click(screen.getByRole('button', { name: 'Log it' }))
    expect(recorded).toMatchObject([{ kind: 'wash', chain: 'chain', method: 'off-bike', lube: 'drip-wax' }])
  })

  test('has nothing to log where nothing was done', async () => {
    const { show, chain, report, recorded } = openLog(commuter)
    show(<LogWash report={report} chain={chain} />)
    await userEvent.click(screen.getByRole('radio', { name: 'not cleaned' }))
    await userEvent.click(screen.getByRole('radio', { name: 'not lubed' }))
    await userEvent.click(screen.getByRole('button', { name: 'Log it' }))
    expect(screen.getByRole('alert').textContent).toMatch(/nothing to log/)
    expect(recorded).toEqual([])
  })

  test('warns of hot wax, of solvents, and of oil on the brake, where they are used', async () => {
    const { show, chain, report } = openLog(commuter)
    show(<LogWash report={report} chain={chain} />)
    expect(screen.getByText(/ruins the brake/)).not.toBeNull()
    expect(screen.queryByText(/Hot wax burns/)).toBeNull()
    await userEvent.click(screen.getByRole('radio', { name: 'immersion wax' }))
    expect(screen.getByText(/Hot wax burns and can catch fire/)).not.toBeNull()
    await userEvent.click(screen.getByRole('radio', { name: 'degreased on the bike' }))
    expect(screen.getByText(/Air the room, wear gloves, no flame/)).not.toBeNull()
  })

  test('draws the lubricant’s life ride by ride', () => {
    const lubed = { kind: 'wash', at: noon(1, 1), chain: 'chain', method: 'none', lube: 'wet-lube' } as const
    const { show, chain } = openLog([
      ...commuter,
      lubed,
      ride(1, 2, 50),
      ride(1, 3, 25, { condition: 'wet-road' }),
    ])
    show(<LifeStrip chain={chain} own={ownLives([])} />)
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe(
      '40 % of the lube’s life is used, over 2 rides.',
    )
  })
})
