import { describe, expect, test } from '@jest/globals'
import { demoWorld } from '../../../demo/world.ts'
import { samples } from '../../../test/samples.ts'
import { commuter, noon, ride, ruleReading, written } from '../../../test/log.ts'
import { checkEntry } from '../../formats/entry-schema.ts'
import { chainStory } from '../exposure/chain-story.ts'
import { kmOf } from '../exposure/distance.ts'
import { fittedChain } from './garage.ts'
import { mergeLogs } from './merge.ts'
import { recordOf } from './one-bike.ts'
import { replay } from './replay.ts'
import { kindName } from '../../words/kind-names.ts'

const NOW_MS = Date.parse('2026-11-26T12:00:00Z')
const ALL = { people: false, money: false }
const SPARING = { people: true, money: true }
const world = demoWorld('2026-11-26')
const garage = replay(world)

describe('the record of one bike', () => {
  const record = recordOf(world, garage, { bike: 'heron' }, ALL, kindName)
  const alone = replay(record)

  test('holds the bike with all that was on it, and says the same of it elsewhere', () => {
    expect([...alone.bikes.keys()]).toEqual(['heron'])
    const chain = fittedChain(garage, 'heron')?.entry.part ?? ''
    expect(fittedChain(alone, 'heron')?.entry.part).toBe(chain)
    expect(chainStory(alone, chain).km).toBeCloseTo(chainStory(garage, chain).km, 6)
    expect(alone.readings.get(chain)).toEqual(garage.readings.get(chain))
    expect(alone.bikes.get('heron')?.rides).toEqual(garage.bikes.get('heron')?.rides)
  })

  test('comes in elsewhere as a merge, and back again without doubling anything', () => {
    const elsewhere = written(commuter)
    const merge = mergeLogs(elsewhere, record, NOW_MS)
    expect(merge.added).toHaveLength(record.length)
    const back = mergeLogs(world, [...elsewhere, ...merge.added], NOW_MS)
    expect(back.added.map(({ id }) => id)).toEqual(elsewhere.map(({ id }) => id))
    expect(back.differing).toEqual([])
  })

  test('holds nothing of the other bikes, the shelf, the lessons', () => {
    const text = JSON.stringify(record)
    for (const other of ['quarry', 'kite', 'sparrow', 'plover'])
      expect(text).not.toContain(`"bike":"${other}"`)
    expect(record.some(({ kind }) => ['stock', 'kit', 'lesson'].includes(kind))).toBe(false)
  })
})

describe('without people, places and prices', () => {
  const secrets = written([
    ...commuter,
    {
      kind: 'bike',
      at: noon(1, 1),
      bike: 'heron',
      name: 'Heron',
      note: 'commuter',
      speeds: 11,
      shifting: 'cable',
      motor: 'none',
      usualCondition: 'dry-road',
      storage: 'indoors',
      owner: 'Secret Person',
      rack: 'Secret Rack',
      supersedes: '',
    },
    ride(1, 2, 20, {
      source: { file: 'Secret Street.gpx', fingerprint: 'Secret' },
      place: { lat: 51.23, lon: 4.56 },
      route: 'Secret way',
    }),
    ruleReading(1, 3, 305),
    { kind: 'note', at: noon(1, 4), about: 'heron', text: 'Secret: call me' },
    { kind: 'paid', at: noon(1, 4), bike: 'heron', what: 'Secret chain', minor: 1999, currency: 'EUR' },
    { kind: 'remove', at: noon(1, 5), part: 'ring', to: 'lent', lentTo: 'Secret Friend' },
  ]).map((entry) => ({ ...entry, writtenBy: 'Secret Mechanic' }))
  const all = replay(secrets)

  test('none of the names is in the file, whatever held them', () => {
    expect(
      JSON.stringify(recordOf(secrets, all, { bike: 'heron' }, ALL, kindName)).match(/Secret/g)?.length,
    ).toBeGreaterThan(10)
    const record = recordOf(secrets, all, { bike: 'heron' }, SPARING, kindName)
    expect(JSON.stringify(record)).not.toMatch(/Secret|51\.23|4\.56/)
    expect(record.map(({ kind }) => kind)).not.toContain('paid')
    // What the wear depends on is all there.
    expect(replay(record).bikes.get('heron')?.rides[0]?.km).toBe(20)
    expect(replay(record).readings.get('chain')).toHaveLength(1)
  })

  test('what was left out is marked, so that the whole of it is no contradiction', () => {
    const record = recordOf(secrets, all, { bike: 'heron' }, SPARING, kindName)
    const merge = mergeLogs(secrets, record, NOW_MS)
    expect(merge.differing).toEqual([])
    expect(merge.added).toEqual([])
    expect(record.every(({ abridged }) => abridged === true)).toBe(true)
  })

  test('entries of every kind still are what the schema takes', () => {
    for (const entry of recordOf(samples, replay(samples), { bike: 'heron' }, SPARING, kindName))
      expect([entry, checkEntry(entry).outcome]).toEqual([entry, 'sound'])
  })
})

describe('the record of a part', () => {
  test('brings what it did as one figure, and what was measured last', () => {
    const chain = fittedChain(garage, 'heron')
    if (!chain) throw new Error('no chain')
    const part = chain.entry.part
    const record = recordOf(world, garage, { part }, ALL, kindName)
    const alone = replay(record)
    expect(alone.bikes.size).toBe(0)
    expect(alone.parts.get(part)?.entry.used?.km).toBe(Math.round(kmOf(garage, chain)))
    expect(alone.parts.get(part)?.fittings).toEqual([])
    // Of its readings the last look: the distance between the others is not in the record.
    const readings = garage.readings.get(part) ?? []
    const lastDay = readings.at(-1)?.entry.at.slice(0, 10) ?? ''
    expect(readings.length).toBeGreaterThan(alone.readings.get(part)?.length ?? 0)
    expect(alone.readings.get(part)).toEqual(readings.filter(({ entry }) => entry.at.startsWith(lastDay)))
    expect(alone.parts.get(part)?.entry.spec).toMatchObject({ past: 'unknown' })
  })

  test('a part that was on another bike before brings that distance along with the bike', () => {
    const log = written([
      ...commuter,
      {
        kind: 'bike',
        at: noon(1, 1),
        bike: 'tern',
        name: 'Tern',
        note: '',
        speeds: 11,
        shifting: 'cable',
        motor: 'none',
        usualCondition: 'dry-road',
        storage: 'indoors',
      },
      ride(1, 2, 120),
      { kind: 'fit', at: noon(1, 10), part: 'chain', bike: 'tern' },
      ride(1, 12, 30, { bike: 'tern' }),
    ])
    const alone = replay(recordOf(log, replay(log), { bike: 'tern' }, ALL, kindName))
    expect([...alone.bikes.keys()]).toEqual(['tern'])
    expect(alone.parts.get('chain')?.entry.used?.km).toBe(120)
    expect(chainStory(alone, 'chain').km).toBeCloseTo(30, 6)
  })
})
