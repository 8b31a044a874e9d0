import { describe, expect, test } from '@jest/globals'
import {
  caliperReadings,
  commuter,
  hundreds,
  kite,
  noon,
  ride,
  springTour,
  written,
} from '../../../test/log.ts'
import { answerOf, outlookOf } from '../../../test/outlook.ts'
import type { EntryDraft } from '../log/entries.ts'
import { replay } from '../log/replay.ts'
import { addDays, daysBetween } from '../units/days.ts'
import { bikeReport } from './facts/bike-report.ts'
import { remindersOf, type Reminder } from './reminders.ts'
import { askedAt, riderGroups } from './rider-ask.ts'
import { verdictOf } from './verdict.ts'

const NOW = noon(4, 1)
const wiped: EntryDraft = { kind: 'wash', at: noon(3, 31), chain: 'chain', method: 'wipe', lube: 'wet-lube' }
const measured = (percent: number) => caliperReadings(3, 21, percent, 4)
const tour = (inDays: number, km: number): EntryDraft => ({
  ...springTour,
  starts: addDays(NOW, inDays),
  km,
  condition: 'dry-road',
})

function reminders(...drafts: readonly EntryDraft[]): Reminder[] {
  const garage = replay(written([...commuter, ...drafts]))
  const bike = garage.bikes.get('heron')
  if (!bike) throw new Error('no bike')
  const report = bikeReport(garage, bike, NOW)
  return remindersOf([{ report, verdict: verdictOf(report, answerOf(garage, NOW, 'chain')) }])
}
const find = <K extends Reminder['kind']>(of: readonly Reminder[], kind: K) =>
  of.find((one): one is Extract<Reminder, { kind: K }> => one.kind === kind)
const daysTo = (one: Reminder | undefined): number => daysBetween(NOW, one?.day ?? '')

describe('reminders', () => {
  test('a look, a lubrication and a swap, in the order in which they come', () => {
    const all = reminders(...hundreds, wiped, ...measured(0.3))
    expect(all.map(({ kind }) => kind).sort()).toEqual(['look', 'lube', 'swap'])
    const days = all.map(({ day }) => day ?? '')
    expect([...days].sort()).toEqual(days)
    const [look, swap] = [find(all, 'look')?.look, find(all, 'swap')?.swap]
    expect(look?.inKm).toBeLessThan(swap?.inKm.p50 ?? 0)
    expect(
      swap?.from !== undefined && swap.from < (swap.day ?? '') && (swap.day ?? '') < (swap.to ?? ''),
    ).toBe(true)
  })

  test('days follow the pace: 100 km a week make 7 days of every 100 km', () => {
    const lube = find(reminders(...hundreds, wiped, ...measured(0.3)), 'lube')
    // 250 km of wet lube, none of them ridden; the plan is 1200 km in 12 weeks.
    expect(lube?.lube.inKm).toBeCloseTo(250, 0)
    expect(Math.abs(daysTo(lube) - 17.5)).toBeLessThan(2.5)
  })

  test('a chain nobody has read is looked at first when the forecast calls for it', () => {
    const few = hundreds.slice(0, 6)
    const look = find(reminders(...few, wiped), 'look')
    expect(look?.look.isFirst).toBe(true)
    expect(look?.look.inKm).toBeGreaterThan(25)
    expect(look?.day && look.day > NOW).toBe(true)
    expect(find(reminders(...hundreds, wiped), 'swap')).toBeUndefined()
    const again = hundreds.map((draft) => ({ ...draft, at: draft.at.replace('T12', 'T13') }))
    expect(find(reminders(...hundreds, ...again, wiped), 'look')).toMatchObject({
      look: { isFirst: true, inKm: 0 },
      day: NOW,
    })
  })

  test('a chain past its limit is swapped today, and not looked at', () => {
    const all = reminders(...hundreds, wiped, ...measured(0.7))
    expect(find(all, 'swap')).toEqual({ kind: 'swap', bike: 'heron', day: NOW })
    expect(find(all, 'look')).toBeUndefined()
    expect(find(all, 'swap')?.cogsToo).toBeUndefined()
    expect(find(reminders(...hundreds, wiped, ...measured(1.1)), 'swap')?.cogsToo).toBe(true)
  })

  test('a bare chain is to be lubricated today', () => {
    const bare: EntryDraft = {
      kind: 'wash',
      at: noon(3, 31),
      chain: 'chain',
      method: 'off-bike',
      lube: 'none',
    }
    expect(find(reminders(...hundreds, bare, ...measured(0.2)), 'lube')).toMatchObject({
      lube: { inKm: 0, lube: 'none' },
    })
  })

  test('a bike that is not ridden has distances and no days, but for what is due', () => {
    const idle = { kind: 'plan', at: NOW, bike: 'heron', weeklyKm: 0 } as const
    const all = reminders(...hundreds, wiped, ...measured(0.3), idle)
    expect(find(all, 'swap')).not.toHaveProperty('day')
    expect(find(all, 'swap')?.swap?.inKm.p50).toBeGreaterThan(0)
    expect(all.at(-1)).not.toHaveProperty('day')
  })

  test('a tour the chain does not last through has it swapped on its eve', () => {
    const all = reminders(...hundreds, wiped, ...measured(0.35), tour(20, 2500))
    const swap = find(all, 'swap')
    expect(swap?.swap?.before?.name).toBe('Spring tour')
    expect(daysTo(swap)).toBeCloseTo(19, 3)
    expect(daysTo(find(all, 'event'))).toBeCloseTo(20, 3)
    const look = find(all, 'look')
    if (look) expect((look.day ?? '') < (swap?.day ?? '')).toBe(true)
  })

  test('one that it may just last through has it looked at no later than on its eve', () => {
    const all = reminders(...hundreds, wiped, ...measured(0.25), tour(20, 1250))
    const look = find(all, 'look')
    expect(daysTo(look)).toBeLessThanOrEqual(19.001)
    expect(find(all, 'swap')?.swap?.before).toBeUndefined()
  })

  test('a short one changes nothing but the days', () => {
    const all = reminders(...hundreds, wiped, ...measured(0.1), tour(20, 60))
    expect(find(all, 'swap')?.swap?.before).toBeUndefined()
    expect(find(all, 'look')?.look.before).toBeUndefined()
  })

  test('while nothing is worked out only the lubricant and what is planned are told', () => {
    const garage = replay(written([...commuter, ...hundreds, wiped, ...measured(0.3), tour(20, 60)]))
    const bike = garage.bikes.get('heron')
    const all = bike ? remindersOf([{ report: bikeReport(garage, bike, NOW), verdict: undefined }]) : []
    expect(all.map(({ kind }) => kind).sort()).toEqual(['event', 'lube'])
  })
})

describe('what is asked of the model', () => {
  const garage = replay(written([...commuter, ...hundreds, wiped, ...measured(0.3)]))

  test('is the same all day, and another after another ride', () => {
    const asked = (at: string) => JSON.stringify(riderGroups(garage, at))
    expect(asked('2026-04-01T06:00:00.000Z')).toBe(asked('2026-04-01T21:00:00.000Z'))
    expect(askedAt('2026-04-01T21:00:00.000Z')).toBe('2026-04-01T12:00:00.000Z')
    const more = replay(written([...commuter, ...hundreds, wiped, ...measured(0.3), ride(3, 31, 40)]))
    expect(JSON.stringify(riderGroups(more, NOW))).not.toBe(asked(NOW))
  })

  test('holds every reading with the road under it', () => {
    const [group] = riderGroups(garage, NOW)
    const [chain] = group?.ask.chains ?? []
    expect(group?.id).toBe('all')
    expect(chain?.readings).toHaveLength(4)
    expect(chain?.lookSize).toBe(4)
    const km = (road: readonly { readonly km: number }[] | undefined) =>
      (road ?? []).reduce((sum, piece) => sum + piece.km, 0)
    expect(km(chain?.readings[0]?.road)).toBeCloseTo(1200, 6)
    expect(km(chain?.now)).toBeCloseTo(1200, 6)
  })

  test('readings left out by hand are left out', () => {
    const entries = written([...commuter, ...hundreds, ...measured(0.3)])
    const target = entries.find(({ kind }) => kind === 'reading')?.id ?? ''
    const without = replay([
      ...entries,
      ...written([{ kind: 'reading-use', at: NOW, target, counts: false }], Date.UTC(2026, 4, 1)),
    ])
    expect(riderGroups(without, NOW)[0]?.ask.chains[0]?.readings).toHaveLength(3)
  })

  test('more than two dozen bikes are as many riders, but for those that shared a chain', () => {
    const bikes: EntryDraft[] = Array.from({ length: 26 }, (_, i) => ({
      ...kite,
      kind: 'bike',
      bike: `bike-${i}`,
      name: `Bike ${i}`,
    })) as EntryDraft[]
    const shared: EntryDraft[] = [
      { kind: 'remove', at: noon(3, 25), part: 'chain', to: 'shelf' },
      { kind: 'fit', at: noon(3, 26), part: 'chain', bike: 'bike-3' },
    ]
    const many = replay(written([...commuter, ...bikes, ...hundreds, ...measured(0.3), ...shared]))
    const groups = riderGroups(many, NOW)
    expect(groups).toHaveLength(26)
    const own = groups.find(({ chains }) => chains.includes('chain'))
    expect(own?.id).toBe('bike-3 heron')
    const alone = outlookOf(garage, NOW)
    expect(Object.keys(alone.chains)).toEqual(['chain'])
  })
})
