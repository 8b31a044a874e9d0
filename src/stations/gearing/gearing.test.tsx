import { afterEach, describe, expect, test } from '@jest/globals'
import { cleanup, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { commuter, noon, ride } from '../../../test/log.ts'
import { openLog } from '../../../test/open-log.tsx'
import { shiftedUse } from '../../core/gearing/shifted-use.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import {
  sayDevelopment,
  sayFit,
  sayGearSetFault,
  sayHill,
  sayMass,
  saySet,
  sayShifted,
  saySpeed,
} from '../../words/gearing-words.ts'
import Gearing from './Gearing.tsx'

afterEach(() => {
  cleanup()
  localStorage.clear()
})
const plain = (text: string | null | undefined): string => (text ?? '').replaceAll('\u00a0', ' ')
const COGS = [11, 13, 15, 17, 19, 21, 24, 28, 32, 37, 42]
const LOG: readonly EntryDraft[] = [...commuter, ride(1, 2, 400)]
const withGears = (more: object): EntryDraft => ({
  kind: 'gearing',
  at: noon(3, 1),
  bike: 'heron',
  whatIfs: [],
  ...more,
})

describe('gears in words', () => {
  test('a set, a speed and a development, both ways', () => {
    expect(saySet({ rings: [34, 50], cogs: [11, 28] })).toBe('50/34 × 11–28')
    expect(saySet({ rings: [44], cogs: [18] })).toBe('44 × 18')
    expect(plain(saySpeed(32.19, 'metric'))).toBe('32.2 km/h')
    expect(plain(saySpeed(32.19, 'imperial'))).toBe('20.0 mph')
    expect(plain(sayMass(100, 'imperial'))).toBe('220 lb')
    expect(plain(sayDevelopment(2.05, 'metric'))).toBe('2.05 m')
    // 100 inches of wheel turn are pi x 2.54 m.
    expect(plain(sayDevelopment(Math.PI * 2.54, 'imperial'))).toBe('100 in')
  })

  test('what another set does, in a sentence', () => {
    const used = [
      { ring: 40, cog: 13, share: 0.5 },
      { ring: 40, cog: 15, share: 0.5 },
    ]
    const set = { rings: [46], cogs: COGS }
    const said = plain(sayShifted(set, shiftedUse(used, set, { rings: [40], cogs: COGS })))
    expect(said).toMatch(
      /^46 × 11–42 moves \S+ of your work to larger cogs, most from the 1[35] to the 1[57].*: the chain lasts about \d+ % longer/,
    )
    expect(
      plain(sayShifted({ rings: [40], cogs: COGS }, shiftedUse(used, { rings: [40], cogs: COGS }))),
    ).toMatch(/leaves your work on much the same cogs: the chain lasts about as long/)
  })

  test('a hill that is low enough, not low enough, and walked', () => {
    const hill = { speedKmh: 8, cadenceRpm: 70, neededRatio: 1, isWalking: false }
    expect(plain(sayHill('Heron', 8, hill, 60))).toBe(
      'On 8 % Heron climbs at 70 rpm in its easiest gear: low enough.',
    )
    expect(plain(sayHill('Heron', 9.5, { ...hill, cadenceRpm: 41 }, 60))).toMatch(/you want 60 at least/)
    expect(plain(sayHill('Heron', 20, { ...hill, isWalking: true }, 60))).toMatch(/walking pace/)
  })

  test('what fits, what does not, and what the maker must say', () => {
    expect(sayFit({ what: 'capacity', says: 'ask', needed: 31 })).toMatch(/ask the maker/)
    expect(sayFit({ what: 'capacity', says: 'does-not', needed: 41, has: 35 })).toMatch(
      /takes 35\. Does not fit/,
    )
    expect(sayFit({ what: 'common', says: 'does-not', needed: 60, has: 52 })).toMatch(
      /no derailleur in common use/,
    )
    expect(sayGearSetFault({ fault: 'teeth', teeth: 0 })).toMatch(/^0 teeth: no chain runs on that/)
  })
})

describe('Gearing', () => {
  test('opens with the hill, and says what it goes by', () => {
    const { show } = openLog(LOG)
    show(<Gearing />)
    expect(plain(screen.getByRole('heading', { level: 1 }).textContent)).toMatch(
      /^On 8 % Heron climbs at \d+ rpm/,
    )
    expect(screen.getByText('a guess: none of your rides tells heights')).toBeTruthy()
  })

  test('the steepest hill comes from the rider’s own rides', () => {
    const { show } = openLog([...commuter, ride(1, 2, 40, { steep: { m50: 14, m200: 11, m1000: 6 } })])
    show(<Gearing />)
    expect(plain(screen.getByRole('heading', { level: 1 }).textContent)).toMatch(/^On 11 %/)
  })

  test('figures are moved on the page, and written once they are kept, each where it belongs', async () => {
    const { show, recorded } = openLog(LOG)
    show(<Gearing />)
    await userEvent.click(screen.getByRole('button', { name: 'Steepest hill, %: more' }))
    await userEvent.click(screen.getByRole('button', { name: 'Steepest hill, %: more' }))
    await userEvent.click(screen.getByRole('button', { name: 'Rider, bike and load, kg: more' }))
    expect(plain(screen.getByRole('heading', { level: 1 }).textContent)).toMatch(/^On 9 %/)
    expect(recorded).toEqual([])
    await userEvent.click(screen.getByRole('button', { name: 'Keep these figures' }))
    expect(recorded).toMatchObject([
      { kind: 'gearing', hillPercent: 9 },
      { kind: 'bike', bike: 'heron', massKg: 85 },
    ])
    expect(recorded[0]).not.toHaveProperty('massKg')
  })

  test('a what-if is laid on the bench, beside the gears as they are', async () => {
    const { show, recorded } = openLog(LOG)
    show(<Gearing />)
    await userEvent.click(screen.getByRole('button', { name: 'Ring 42' }))
    expect(recorded).toMatchObject([
      { kind: 'gearing', bike: 'heron', whatIfs: [{ name: '42 × 11–42', rings: [42] }] },
    ])
  })

  test('0 teeth, a range without a cassette, and a bench that is full are said, and what was typed stays', async () => {
    const { show, recorded } = openLog(LOG)
    show(<Gearing />)
    const cogs = screen.getByLabelText('Cogs')
    await userEvent.clear(cogs)
    await userEvent.type(cogs, '0 11 13')
    await userEvent.click(screen.getByRole('button', { name: 'Compare' }))
    expect(screen.getByRole('alert').textContent).toMatch(/^0 teeth/)
    await userEvent.clear(cogs)
    await userEvent.type(cogs, '11-34')
    await userEvent.click(screen.getByRole('button', { name: 'Compare' }))
    expect(screen.getByRole('alert').textContent).toMatch(/Pick one of the cassettes/)
    expect((cogs as HTMLInputElement).value).toBe('11-34')
    await userEvent.click(screen.getByRole('button', { name: /^11 cogs:/ }))
    expect((cogs as HTMLInputElement).value.split(' ')).toHaveLength(11)
    expect(recorded).toEqual([])
  })

  test('links by the formula and by laying it round, with what to count', () => {
    const { show } = openLog([...LOG, withGears({ chainstayMm: 440 })])
    show(<Gearing />)
    const fit = screen.getByRole('region', { name: /^Chain and fit/ })
    // 2 x 440 / 12.7 + 41 + a little, and 2: 112.3, so 114.
    expect(plain(fit.textContent)).toMatch(
      /114 links by the formula: 110\.3 go round ring 40 and cog 42, 2 more/,
    )
    expect(plain(fit.textContent)).toMatch(
      /past the derailleur\. The ends meet at 112; add one pair of links/,
    )
    expect(plain(fit.textContent)).toMatch(/Slack the rear cage must take up: 31\. Not entered/)
  })

  test('a what-if that goes on is written as one step, with what to know before', async () => {
    const { show, recorded } = openLog([
      ...LOG,
      withGears({ whatIfs: [{ name: 'smaller', rings: [36], cogs: COGS }] }),
    ])
    show(<Gearing />)
    await userEvent.click(screen.getByRole('button', { name: 'Fit smaller' }))
    const form = screen.getByRole('region', { name: 'Fit smaller' })
    expect(plain(form.textContent)).toMatch(/On: Ring 36\. Off, to the shelf: Ring 40/)
    expect(plain(form.textContent)).toMatch(/Measure it first/)
    await userEvent.click(within(form).getByRole('button', { name: 'Write it: it is on Heron' }))
    expect(recorded.map(({ kind }) => kind)).toEqual(['remove', 'part', 'fit', 'gearing'])
    expect(recorded.at(-1)).toMatchObject({ whatIfs: [] })
  })

  test('one ring in place of two: what is lost, and the order of the work', () => {
    const two: readonly EntryDraft[] = [
      {
        kind: 'part',
        at: noon(1, 1),
        part: 'r2',
        name: 'Ring 28',
        spec: { type: 'ring', teeth: 28, material: 'steel' },
      },
      { kind: 'fit', at: noon(1, 1), part: 'r2', bike: 'heron' },
    ]
    const { show } = openLog([
      ...LOG,
      ...two,
      withGears({ whatIfs: [{ name: 'one', rings: [34], cogs: COGS }] }),
    ])
    show(<Gearing />)
    const work = screen.getByRole('region', { name: 'One ring in place of two' })
    // 28 x 42 is 18 % lower than 34 x 42; 34 x 11 is 15 % below 40 x 11.
    expect(plain(work.textContent)).toMatch(/Lost at the easy end: 18 %; at the hard end: 15 %/)
    expect(plain(work.textContent)).toMatch(/Measure the chain first/)
  })

  test('a bike without a chain or gears is told what to do, and nothing breaks', () => {
    const bare = commuter.filter((draft) => !('part' in draft && draft.part === 'ring'))
    const { show } = openLog(bare)
    show(<Gearing />)
    expect(screen.getByRole('heading', { level: 1 }).textContent).toMatch(
      /no ring or no cogs on the shelf yet/,
    )
  })
})
