import { describe, expect, test } from '@jest/globals'
import { replay } from '../../core/log/replay.ts'
import { fittedParts } from '../../core/log/garage.ts'
import { checkEntry } from '../../formats/entry-schema.ts'
import { written } from '../../../test/log.ts'
import { dayOf, faultOfDay, momentOf } from '../../words/day.ts'
import { bikeEntries, bikeIds, bikeSchema, changedBike, teethOf, type BikeDraft } from './bike-form.ts'

const now = '2026-11-23T12:00:00.000Z'
const draft: BikeDraft = {
  name: 'Tern',
  note: 'tourer',
  gears: 'few',
  usual: 'wet-road',
  kept: 'indoors',
  owner: '',
  rack: '',
  rings: '36, 50',
  cogs: '11-13-15-18-21-24-28',
  cogsCounted: false,
  material: 'steel',
  links: 112,
  past: 'new',
  since: '2026-10-01',
}

describe('a new bike', () => {
  test('is the entries of the bike and all that is on it, each fit for the log', () => {
    const { bike, entries } = bikeEntries(draft, bikeIds())
    const log = written(entries)
    for (const entry of log) expect(checkEntry(entry)).toMatchObject({ outcome: 'sound' })
    const garage = replay(log)
    expect(garage.bikes.get(bike)?.entry).toMatchObject({
      name: 'Tern',
      speeds: 7,
      usualCondition: 'wet-road',
    })
    expect(
      fittedParts(garage, bike)
        .map((part) => part.entry.spec.type)
        .sort(),
    ).toEqual(['cassette', 'chain', 'pulley', 'pulley', 'ring', 'ring'])
  })

  test('needs no more than its kind of drivetrain: what nobody has counted is not in the log', () => {
    const short = bikeSchema.validateSync({ ...draft, rings: '', cogs: '', links: '', note: '' })
    const { bike, entries } = bikeEntries({ ...short, links: short.links }, bikeIds())
    const log = written(entries)
    for (const entry of log) expect(checkEntry(entry)).toMatchObject({ outcome: 'sound' })
    const garage = replay(log)
    expect(garage.bikes.get(bike)?.entry).toMatchObject({
      speeds: 10,
      note: '5 to 10 cogs',
      shifting: 'cable',
    })
    expect(fittedParts(garage, bike).map((part) => part.entry.spec)).toEqual([
      { type: 'chain', links: 114, speeds: 10, past: 'new' },
    ])
  })

  test('counts a ride of the morning on which the chain was fitted', () => {
    const { bike, entries } = bikeEntries(draft, bikeIds())
    const morning = new Date('2026-10-01T07:00:00').toISOString()
    expect(entries.every(({ at }) => at <= morning)).toBe(true)
    expect(bike).not.toBe('')
    const today = new Date()
    const added = bikeEntries({ ...draft, since: dayOf(today.toISOString()) }, bikeIds())
    today.setHours(0, 0, 1)
    expect(added.entries.every(({ at }) => at <= today.toISOString())).toBe(true)
  })

  test('with a chain that does not go round its ring and its largest cog is questioned at the links', async () => {
    const asked = bikeSchema.validate({ ...draft, links: 40, rings: '48', cogs: '11 13 15 17 19 21 28' })
    await expect(asked).rejects.toMatchObject({
      path: 'links',
      // By the closed form of methods 10: 2C/p + (48 + 28)/2 + p (48 - 28)^2 / (4 pi^2 C) with C = 153.8 mm is 63.06.
      message: '40 links do not go round a ring of 48 and a cog of 28: that takes 64 or more.',
    })
  })

  test('with a single cog has no pulleys', () => {
    const { bike, entries } = bikeEntries({ ...draft, cogs: '18', gears: 'single' }, bikeIds())
    expect(fittedParts(replay(written(entries)), bike, 'pulley')).toEqual([])
  })

  test('is changed by an entry that takes the old one’s place', () => {
    const { bike, entries } = bikeEntries(draft, bikeIds())
    const log = written(entries)
    const [first] = log
    if (first?.kind !== 'bike') throw new Error('a bike comes first')
    const { name, note, shifting, motor, usualCondition: usual } = first
    const after = written(
      [changedBike(first, { name, note, shifting, motor, usual, kept: 'outdoors', owner: '', rack: '' })],
      Date.UTC(2027, 0, 1),
    )
    expect(replay([...log, ...after]).bikes.get(bike)?.entry).toMatchObject({
      name: 'Tern',
      storage: 'outdoors',
      speeds: 7,
    })
  })

  test.each<[Partial<Record<keyof BikeDraft, unknown>>, RegExp]>([
    [{ name: '  ' }, /name/],
    [{ gears: undefined }, /the limit of the chain depends on it/],
    [{ cogs: '11-28' }, /How many cogs\?/],
    [{ cogs: '11 28' }, /2 cogs fit no common drivetrain/],
    [{ cogs: '11 13 400' }, /9 to 60/],
    [{ rings: '30 40 50 60' }, /Between 1 and 3/],
    [{ links: 'many' }, /“many” is not a number.*like 12\./],
    [{ links: 20 }, /Count the links\. At least 40/],
  ])('with %p is asked again', async (wrong, said) => {
    await expect(bikeSchema.validate({ ...draft, ...wrong })).rejects.toThrow(said)
  })

  test('reads tooth counts however they are written', () => {
    expect(teethOf('50/36')).toEqual([36, 50])
    expect(teethOf('11, 13 und 15')).toEqual([11, 13, 15])
    expect(teethOf('none')).toEqual([])
  })
})

describe('a day in a form', () => {
  test('means noon of that day, or now for today', () => {
    expect(dayOf(momentOf('2026-10-05', now))).toBe('2026-10-05')
    expect(Math.abs(Date.parse(momentOf(dayOf(now), now)) - Date.now())).toBeLessThan(60_000)
  })

  test('that is to come, or is none, is asked again', () => {
    expect(faultOfDay('2026-11-24', now)).toMatch(/still to come/)
    expect(faultOfDay('', now)).toMatch(/Give a day/)
    expect(faultOfDay('2026-11-22', now)).toBeUndefined()
  })
})
