import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals'
import { cleanup, render, screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { liveLog } from '../../../test/live-log.tsx'
import { commuter, noon, ride } from '../../../test/log.ts'
import { bikeHas } from '../../core/checks/bike-has.ts'
import { ITEM_IDS, itemOf } from '../../core/checks/items.ts'
import { USUAL_FASTENERS } from '../../core/checks/torque.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import { ITEM_NAMES, sayItem } from '../../words/checks/item-names.ts'
import { howOn } from '../../words/checks/item-talk.ts'
import { ITEM_WORDS } from '../../words/checks/item-words.ts'
import { FASTENER_NAMES, sayTorque } from '../../words/checks/torque-words.ts'
import { CheckDrawing } from './CheckDrawing.tsx'
import Checks from './Checks.tsx'
import { checkMade, roundEnded } from './round-writing.ts'

// Only the clock is set: checks are written at the moment itself.
beforeEach(() => {
  jest.useFakeTimers({
    doNotFake: [
      'setTimeout',
      'setInterval',
      'setImmediate',
      'clearTimeout',
      'clearInterval',
      'clearImmediate',
      'nextTick',
      'queueMicrotask',
      'performance',
      'requestAnimationFrame',
      'cancelAnimationFrame',
      'hrtime',
      'requestIdleCallback',
      'cancelIdleCallback',
    ],
  })
})
afterEach(() => {
  jest.useRealTimers()
  cleanup()
  localStorage.clear()
})
const BIKE = commuter.map((draft) =>
  draft.kind === 'bike'
    ? {
        ...draft,
        brakes: 'rim' as const,
        build: {
          suspension: false,
          tyres: 'tubes' as const,
          carbon: false,
          axles: 'quick-release' as const,
          brakeLine: 'cable' as const,
        },
      }
    : draft,
)
const LOG: readonly EntryDraft[] = [...BIKE, ride(1, 2, 400)]
const open = (log: readonly EntryDraft[] = LOG, now = noon(1, 20), at = '/checks') => {
  jest.setSystemTime(new Date(now))
  return liveLog(log, { now, at, screen: <Checks /> })
}

describe('the words of the checks', () => {
  test('every item says how it is looked at, what passes and what to do if not', () => {
    for (const item of ITEM_IDS) {
      const { how, passes, fails } = ITEM_WORDS[item]
      expect([item, how.length > 0, passes.length > 5, fails.length > 5]).toEqual([item, true, true, true])
      expect(ITEM_NAMES[item]).toBeTruthy()
    }
    expect(sayItem('pads-front')).toBe('front disc pads')
    expect(sayItem('frame')).toBe('frame')
  })

  test('lines for what a bike has not are left out, those that nobody entered are not', () => {
    const [bike] = BIKE
    const [bare] = commuter
    if (bike?.kind !== 'bike' || bare?.kind !== 'bike') throw new Error('no bike')
    const lines = (entry: Extract<EntryDraft, { kind: 'bike' }>) =>
      howOn(ITEM_WORDS['axle-rear'].how, bikeHas({ ...entry, id: 'x', format: 2 })).map((line) =>
        line.slice(0, 4),
      )
    expect(lines(bike)).toEqual(['Quic'])
    expect(lines(bare)).toEqual(['Thro', 'Quic', 'Nuts'])
  })

  test('what stops a bike says so; pads and rotors have their caution', () => {
    for (const item of ITEM_IDS.filter((one) => itemOf(one).act === 'stop'))
      expect([item, ITEM_WORDS[item].fails]).toEqual([
        item,
        expect.stringMatching(/stop riding|do not ride/i),
      ])
    for (const item of ['pads-rear', 'rotor-front'] as const)
      expect(ITEM_WORDS[item].care).toMatch(/alcohol only/)
    expect(ITEM_WORDS.motor.care).toMatch(/battery out/)
  })

  test('every drawing has words for those who do not see it, and every usual bolt a name', () => {
    for (const item of ITEM_IDS) {
      const { drawing } = ITEM_WORDS[item]
      if (!drawing) continue
      render(<CheckDrawing drawing={drawing} />)
      expect([item, screen.getByRole('img').getAttribute('aria-label')?.length ?? 0]).not.toEqual([item, 0])
      cleanup()
    }
    for (const { id } of USUAL_FASTENERS) expect([id, FASTENER_NAMES[id]]).toEqual([id, expect.any(String)])
    expect(sayTorque(4.5, 'N m')).toBe('4.5\u00a0N\u00a0m')
    expect(sayTorque(5, 'in lbf')).toBe('44\u00a0in\u00a0lbf')
  })
})

describe('what is written', () => {
  test('an act belongs to a failure alone', () => {
    expect(checkMade('heron', 'frame', 'watch', noon(1, 1), { act: 'stop', note: '' })).toEqual({
      kind: 'check',
      at: noon(1, 1),
      bike: 'heron',
      item: 'frame',
      result: 'watch',
    })
  })

  test('a round is ended on every device that began it', () => {
    const entry = (round: string) =>
      ({
        kind: 'round',
        id: round,
        format: 2,
        at: noon(1, 1),
        round,
        bike: 'heron',
        occasion: 'monthly',
        began: noon(1, 1),
        items: ['frame'],
      }) as const
    const drafts = roundEnded(
      {
        occasion: 'monthly',
        bike: 'heron',
        began: noon(1, 1),
        items: ['frame'],
        done: new Map(),
        left: ['frame'],
        rounds: [entry('a'), entry('b')],
        isOver: false,
      },
      noon(1, 2),
    )
    expect(drafts).toMatchObject([
      { round: 'a', isEnded: true, began: noon(1, 1), at: noon(1, 2) },
      { round: 'b', isEnded: true },
    ])
    expect(drafts[0]).not.toHaveProperty('id')
  })
})

describe('the station', () => {
  test('says what is due, and offers every sheet that makes sense', () => {
    open(LOG, noon(2, 20))
    expect(screen.getByRole('heading', { level: 1 }).textContent).toMatch(/is due/)
    const sheets = within(screen.getByRole('list', { name: 'Sheets' }))
    expect(sheets.getAllByRole('listitem')).toHaveLength(10)
    expect(sheets.queryByText('Electric bike')).toBeNull()
  })

  test('a round goes item by item; pass writes at once, fail asks what to do', async () => {
    const log = open()
    await userEvent.click(screen.getByRole('button', { name: 'Start Before every ride' }))
    expect(await screen.findByRole('heading', { level: 1, name: 'Axle, rear' })).not.toBeNull()
    await userEvent.keyboard('1')
    expect(await screen.findByRole('heading', { level: 1, name: 'Tyre pressure' })).not.toBeNull()
    await userEvent.click(screen.getByRole('button', { name: /Fail/ }))
    await userEvent.click(screen.getByRole('radio', { name: 'soon' }))
    await userEvent.type(screen.getByLabelText('A word about it'), 'slow leak')
    await userEvent.click(screen.getByRole('button', { name: 'Save the finding' }))
    expect(await screen.findByRole('heading', { level: 1, name: 'Brake, rear' })).not.toBeNull()
    expect(
      log
        .entries()
        .flatMap((entry) =>
          entry.kind === 'check' ? [[entry.item, entry.result, entry.act, entry.byKm, entry.note]] : [],
        ),
    ).toEqual([
      ['axle-rear', 'pass', undefined, undefined, undefined],
      ['pressure', 'fail', 'soon', 300, 'slow leak'],
    ])
    await userEvent.click(screen.getByRole('button', { name: 'Leave it half done: it waits' }))
    expect(await screen.findByText(/half done/)).not.toBeNull()
    expect(within(screen.getByRole('list', { name: 'Findings' })).getByText(/slow leak/)).not.toBeNull()
  })

  test('a finding that is seen to goes; a distance that cannot be is refused and keeps what was typed', async () => {
    const log = open()
    await userEvent.click(screen.getByRole('button', { name: 'Start Before every ride' }))
    await screen.findByRole('heading', { level: 1, name: 'Axle, rear' })
    await userEvent.keyboard('2')
    const km = await screen.findByLabelText('Look again within, km')
    await userEvent.clear(km)
    await userEvent.type(km, '-5')
    await userEvent.click(screen.getByRole('button', { name: 'Save and watch it' }))
    expect(await screen.findByRole('alert')).not.toBeNull()
    expect(log.entries().some(({ kind }) => kind === 'check')).toBe(false)
    await userEvent.clear(km)
    await userEvent.type(km, '150')
    await userEvent.click(screen.getByRole('button', { name: 'Save and watch it' }))
    await screen.findByRole('heading', { level: 1, name: 'Tyre pressure' })
    await userEvent.click(screen.getByRole('button', { name: 'End the round here' }))
    await userEvent.click(await screen.findByRole('button', { name: 'It is seen to Axle, rear' }))
    await waitFor(() => expect(screen.queryByRole('list', { name: 'Findings' })).toBeNull())
    expect(log.entries().filter(({ kind }) => kind === 'round')).toHaveLength(2)
  })

  test('ten minutes are filled with what is worth most; too few with nothing', async () => {
    open(LOG, noon(1, 20), '/checks?minutes=4')
    expect(screen.getByRole('heading', { name: 'I have 4 minutes' })).not.toBeNull()
    expect(screen.getByRole('button', { name: 'Start these' })).not.toBeNull()
    await userEvent.click(screen.getByRole('radio', { name: '30 min' }))
    expect(screen.getByRole('heading', { name: 'I have 30 minutes' })).not.toBeNull()
  })

  test('what is not on the bike is answered so, left out, and can be put back', async () => {
    open([...LOG, { kind: 'check', at: noon(1, 10), bike: 'heron', item: 'mudguards', result: 'not-here' }])
    await userEvent.click(screen.getByRole('button', { name: 'Mudguards and racks: put it back' }))
    await waitFor(() =>
      expect(screen.queryByRole('button', { name: 'Mudguards and racks: put it back' })).toBeNull(),
    )
  })

  test('a check that is dated in the future is asked about', () => {
    open([...LOG, { kind: 'check', at: noon(9, 1), bike: 'heron', item: 'frame', result: 'pass' }])
    expect(screen.getByText(/Dated in the future/).textContent).toMatch(/Frame, 1 September/)
  })

  test('what is measured of a brake that the bike does not have is asked about', () => {
    open([
      ...LOG,
      { kind: 'thickness', at: noon(1, 10), bike: 'heron', part: 'pads-rear', mm: 3.4, by: 'caliper' },
    ])
    expect(screen.getByText(/not on this bike by its description/).textContent).toMatch(/Disc pads, rear/)
  })

  test('a thickness that grew is asked about before it is written', async () => {
    const log = open([
      ...LOG,
      { kind: 'thickness', at: noon(1, 5), bike: 'heron', part: 'rim-pads-rear', mm: 1.6, by: 'caliper' },
    ])
    await userEvent.click(screen.getByRole('button', { name: 'Measure Rim brake pads, rear' }))
    await userEvent.type(await screen.findByLabelText('Measured, mm'), '5')
    await userEvent.click(screen.getByRole('button', { name: 'Save' }))
    expect((await screen.findByRole('alert')).textContent).toMatch(/do not grow back/)
    await userEvent.click(screen.getByRole('button', { name: 'It is new' }))
    expect(log.entries().findLast(({ kind }) => kind === 'thickness')).toMatchObject({ mm: 5, isNew: true })
  })

  test('the maker’s limit is taken in place of the usual one; one that cannot be is refused', async () => {
    const log = open()
    await userEvent.click(screen.getByRole('button', { name: 'Rim wall, rear' }))
    await userEvent.click(await screen.findByText('Its maker says another limit'))
    const limit = screen.getByLabelText('Limit, mm')
    await userEvent.clear(limit)
    await userEvent.type(limit, '40')
    await userEvent.click(screen.getByRole('button', { name: 'Save the limit' }))
    expect((await screen.findByRole('alert')).textContent).toMatch(/At most 5/)
    await userEvent.clear(limit)
    await userEvent.type(limit, '0.8')
    await userEvent.click(screen.getByRole('button', { name: 'Save the limit' }))
    expect(log.entries().at(-1)).toMatchObject({ kind: 'thickness', part: 'rim-rear', limitMm: 0.8 })
  })

  test('what a bike has is tapped, and decides which checks there are', async () => {
    const log = open([...commuter, ride(1, 2, 400)])
    expect(screen.getByText(/Not all of it is entered/)).not.toBeNull()
    await userEvent.click(screen.getByRole('radio', { name: 'the rim' }))
    const bikes = log.entries().filter(({ kind }) => kind === 'bike')
    expect(bikes.at(-1)).toMatchObject({ brakes: 'rim', supersedes: bikes[0]?.id })
  })

  test('the torque book takes the lower value, refuses what no bolt takes, and notes what was loose', async () => {
    const log = open()
    await userEvent.click(screen.getByRole('button', { name: 'Start with the usual bolts' }))
    expect(await screen.findByRole('list', { name: 'Torque book' })).not.toBeNull()
    await userEvent.click(screen.getByRole('button', { name: 'Add a bolt' }))
    await userEvent.type(screen.getByLabelText('Bolt'), 'Rack')
    await userEvent.type(screen.getByLabelText(/One part says/), '900')
    await userEvent.click(screen.getByRole('button', { name: 'Save the bolt' }))
    expect((await screen.findByRole('alert')).textContent).toMatch(/At most 80/)
    await userEvent.clear(screen.getByLabelText(/One part says/))
    await userEvent.type(screen.getByLabelText(/One part says/), '8')
    await userEvent.type(screen.getByLabelText(/The other says/), '6')
    await userEvent.click(screen.getByRole('button', { name: 'Save the bolt' }))
    await userEvent.click(await screen.findByRole('button', { name: 'It was loose Rack' }))
    expect(log.entries().at(-1)).toMatchObject({ kind: 'tightened', nm: 6, wasLoose: true })
  })
})
