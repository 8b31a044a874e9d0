import { describe, expect, test } from '@jest/globals'
import { commuter, hundreds, noon, written } from '../../../test/log.ts'
import { LUBED, LUBED_LONG_AGO, measuredAt, verdictOn } from '../../../test/judged.ts'
import { samples } from '../../../test/samples.ts'
import { faultOfDraft } from '../../formats/entry-schema.ts'
import { asIfWritten } from '../log/as-if-written.ts'
import type { BikeEntry } from '../log/kinds/bike.ts'
import { fittedChain } from '../log/garage.ts'
import { replay } from '../log/replay.ts'
import { bulkEntries, type BulkAct } from './bulk.ts'
import { dayGroups, needOf, type DayBike } from './needs.ts'

const [base] = samples
if (base?.kind !== 'bike') throw new Error('a bike comes first')
const ridden = [...commuter, ...hundreds]
const swap = verdictOn([...ridden, ...measuredAt(0.95), LUBED])
const lube = verdictOn([...ridden, ...measuredAt(0.1), LUBED_LONG_AGO])
const bike = (name: string, more: Partial<BikeEntry> = {}, rest: Partial<DayBike> = {}): DayBike => ({
  entry: { ...base, bike: name, name, ...more },
  km: 100,
  verdict: undefined,
  ...rest,
})
const names = (groups: ReturnType<typeof dayGroups>): string =>
  groups.map(({ key, bikes }) => `${key}: ${bikes.map(({ entry }) => entry.name).join(' ')}`).join('; ')

test('a bike needs the first thing that is to be seen to', () => {
  expect(needOf(undefined)).toBe('working')
  expect(needOf(swap)).toBe('swap')
  expect(needOf(lube)).toBe('lube')
  expect(needOf({ ...lube, found: { items: ['pressure'], isStop: true } as never })).toBe('stop')
  expect(needOf({ ...lube, found: { items: ['pressure'], isStop: false } as never })).toBe('found')
})

describe('a day’s list', () => {
  const bikes = [
    bike('Bike 10', { owner: 'Bakery', rack: 'Rack 2' }, { verdict: lube, km: 900 }),
    bike('Bike 9', { owner: 'Ferry', rack: 'Rack 10' }, { verdict: swap, km: 300 }),
    bike('Bike 1', { rack: 'Rack 2' }, { verdict: lube, km: 500 }),
    bike('Bike 2', { owner: 'Bakery' }, { km: 700 }),
  ]

  test('by need stands in the order in which a workshop sees to it', () => {
    expect(names(dayGroups(bikes, 'need', 'name'))).toBe(
      'swap: Bike 9; lube: Bike 1 Bike 10; working: Bike 2',
    )
  })

  test('by owner and rack stands by name, numbers as numbers, those without last', () => {
    expect(names(dayGroups(bikes, 'owner', 'name'))).toBe('Bakery: Bike 2 Bike 10; Ferry: Bike 9; : Bike 1')
    expect(names(dayGroups(bikes, 'rack', 'distance'))).toBe(
      'Rack 2: Bike 10 Bike 1; Rack 10: Bike 9; : Bike 2',
    )
  })

  test('the most urgent comes first, what is not worked out last', () => {
    expect(names(dayGroups(bikes, 'none', 'urgency'))).toBe(': Bike 9 Bike 1 Bike 10 Bike 2')
  })

  test('every bike stands in it once, however it is grouped', () => {
    for (const group of ['need', 'owner', 'rack', 'none'] as const)
      expect(dayGroups(bikes, group, 'name').flatMap(({ bikes: own }) => own)).toHaveLength(bikes.length)
  })
})

describe('one thing done to several bikes', () => {
  const log = written([
    ...ridden,
    { ...commuter[0], bike: 'bare', name: 'Bare' } as (typeof commuter)[number],
  ])
  const garage = replay(log)
  let ids = 0
  const doing = (act: BulkAct) =>
    bulkEntries(garage, ['heron', 'bare', 'not-there'], act, noon(3, 1), () => `new-${++ids}`)

  test('is what the schema takes, for those it can be done to, and names the others', () => {
    const acts: readonly [BulkAct, number][] = [
      [{ act: 'wash', method: 'wipe', lube: 'wet-lube' }, 1],
      [{ act: 'fit-chain', oldTo: 'retired' }, 2],
      [{ act: 'check', item: 'pressure', result: 'pass' }, 2],
      [{ act: 'place', field: 'owner', value: 'Bakery' }, 2],
    ]
    for (const [act, count] of acts) {
      const { drafts, done, without } = doing(act)
      expect([act.act, done.length, without.includes('not-there')]).toEqual([act.act, count, true])
      for (const draft of drafts) expect([draft, faultOfDraft(draft)]).toEqual([draft, undefined])
    }
  })

  test('new chains are like those that come off, which go where they are sent', () => {
    const { drafts } = doing({ act: 'fit-chain', oldTo: 'shelf' })
    const after = replay(asIfWritten(log, drafts))
    const chain = fittedChain(after, 'heron')
    expect(chain?.entry.name).toBe('Chain 2')
    const old = garage.parts.get('chain')?.entry.spec
    expect(chain?.entry.spec).toMatchObject({ links: old?.type === 'chain' ? old.links : 0, past: 'new' })
    expect(after.parts.get('chain')?.retired).toBe(false)
    expect(fittedChain(after, 'bare')?.entry.spec.type).toBe('chain')
  })

  test('an owner is set and taken away again, and nothing else of the bike changes', () => {
    const set = replay(asIfWritten(log, doing({ act: 'place', field: 'owner', value: 'Bakery' }).drafts))
    expect(set.bikes.get('heron')?.entry.owner).toBe('Bakery')
    const { drafts } = bulkEntries(
      set,
      ['heron'],
      { act: 'place', field: 'owner', value: '' },
      noon(3, 2),
      () => '',
    )
    expect(drafts[0]).not.toHaveProperty('owner')
    expect(drafts[0]).toMatchObject({ name: 'Heron', speeds: set.bikes.get('heron')?.entry.speeds })
  })
})
