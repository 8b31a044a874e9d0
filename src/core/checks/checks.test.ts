import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { BikeEntry } from '../log/kinds/bike.ts'
import { bikeHas } from './bike-has.ts'
import { AREAS, ITEM_IDS, itemOf, type ItemId } from './items.ts'
import { chanceWrong, pickWithin, worthOf, type SinceLooked } from './pick.ts'
import { isForBike, itemsOfSheet, minutesOf, OCCASIONS } from './sheets.ts'
import { convertTorque, NM_PER, torqueOf, TORQUE_UNITS, usualMostNm, USUAL_FASTENERS } from './torque.ts'

const road: BikeEntry = {
  id: 'x',
  format: 2,
  kind: 'bike',
  at: '2026-01-01T12:00:00.000Z',
  bike: 'b',
  name: 'B',
  note: '',
  speeds: 11,
  shifting: 'cable',
  motor: 'none',
  usualCondition: 'dry-road',
  storage: 'indoors',
  brakes: 'rim',
  build: { suspension: false, tyres: 'tubes', carbon: false, axles: 'quick-release', brakeLine: 'cable' },
}

describe('what a bike has', () => {
  test('is known by its description, and what is not entered is neither yes nor no', () => {
    expect(bikeHas(road)).toMatchObject({
      rim: true,
      disc: false,
      tubeless: false,
      motor: false,
      cable: true,
    })
    const { brakes: _brakes, build: _build, ...bare } = road
    expect(bikeHas(bare)).toMatchObject({ rim: undefined, disc: undefined, suspension: undefined })
    expect(bikeHas({ ...road, speeds: 1, shifting: 'none' })).toMatchObject({
      derailleur: false,
      cable: false,
    })
    expect(bikeHas({ ...road, shifting: 'hub-gear' }).derailleur).toBe(false)
  })
})

describe('the sheets', () => {
  test('go round the bike from the rear wheel to the front, and end with the bike as a whole', () => {
    for (const occasion of OCCASIONS) {
      const places = itemsOfSheet(occasion, road).map((id) => AREAS.indexOf(itemOf(id).area))
      expect([occasion, [...places].sort((a, b) => a - b)]).toEqual([occasion, places])
      expect([occasion, places.length]).not.toEqual([occasion, 0])
    }
  })

  test('leave out what the bike has not, and ask what nobody entered', () => {
    const monthly = itemsOfSheet('monthly', road)
    expect(monthly).toEqual(expect.arrayContaining(['rim-rear', 'rim-pads-front', 'gear-cable']))
    for (const absent of [
      'pads-rear',
      'rotor-front',
      'sealant',
      'suspension',
      'motor',
      'shift-battery',
    ] as const)
      expect(monthly).not.toContain(absent)
    const { brakes: _brakes, build: _build, ...bare } = road
    expect(itemsOfSheet('monthly', bare)).toEqual(
      expect.arrayContaining(['pads-rear', 'rim-pads-rear', 'sealant']),
    )
    expect(itemsOfSheet('monthly', bare, new Set<ItemId>(['sealant']))).not.toContain('sealant')
  })

  test('before every ride takes few minutes; the monthly round leaves nothing of the brakes out', () => {
    expect(minutesOf(itemsOfSheet('before-ride', road))).toBeLessThan(6)
    expect(itemsOfSheet('before-ride', road)).toEqual(
      expect.arrayContaining([
        'pressure',
        'headset',
        'brake-rear',
        'brake-front',
        'axle-rear',
        'axle-front',
        'chain',
      ]),
    )
    expect(isForBike('electric', road)).toBe(false)
    expect(isForBike('electric', { ...road, motor: 'hub' })).toBe(true)
  })

  test('a crack, brakes, steering and axles stop the bike unless the mechanic says otherwise', () => {
    for (const id of [
      'frame',
      'fork',
      'cranks',
      'brake-rear',
      'brake-front',
      'stem-bolts',
      'axle-front',
    ] as const)
      expect([id, itemOf(id).act]).toEqual([id, 'stop'])
    expect(itemOf('headset').act).toBe('mechanic')
  })
})

const sinceDays = (days: number) => (): SinceLooked => ({ days })

describe('what is worth looking at', () => {
  test('grows with the time and the distance nobody looked, and with how bad it is', () => {
    expect(chanceWrong('brake-rear', { days: 10 })).toBeLessThan(chanceWrong('brake-rear', { days: 40 }))
    expect(chanceWrong('brake-rear', { days: 10 })).toBeLessThan(
      chanceWrong('brake-rear', { days: 10, km: 400 }),
    )
    expect(worthOf('tape', { days: 90 })).toBeLessThan(worthOf('frame', { days: 90 }))
    // One usual time gone: a chance of 1 - 1/e, by hand.
    expect(chanceWrong('levers', { days: 120 })).toBeCloseTo(0.632, 3)
    expect(chanceWrong('levers', {})).toBeCloseTo(0.865, 3)
  })

  test('in ten minutes nothing is worth more than what is picked: as a search of all sets finds', () => {
    const few = ITEM_IDS.slice(0, 13)
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 300 }), { minLength: 13, maxLength: 13 }),
        fc.integer({ min: 0, max: 12 }),
        (ages, minutes) => {
          const sinceOf = (id: ItemId): SinceLooked => ({ days: ages[few.indexOf(id)] ?? 0 })
          const picked = pickWithin(few, minutes, sinceOf)
          const worth = (ids: readonly ItemId[]): number =>
            ids.reduce((sum, id) => sum + worthOf(id, sinceOf(id)), 0)
          let best = 0
          for (let bits = 0; bits < 2 ** few.length; bits++) {
            const set = few.filter((_, i) => (bits >> i) & 1)
            if (minutesOf(set) <= minutes) best = Math.max(best, worth(set))
          }
          expect(minutesOf(picked)).toBeLessThanOrEqual(minutes)
          expect(worth(picked)).toBeCloseTo(best, 6)
        },
      ),
      { numRuns: 12 },
    )
  })

  test('no minutes pick nothing, many pick all, in the order of the round', () => {
    expect(pickWithin(ITEM_IDS, 0, sinceDays(30))).toEqual([])
    expect(pickWithin(ITEM_IDS, 500, sinceDays(30))).toEqual(ITEM_IDS)
    // What was looked at this very moment is worth nothing, and takes no time.
    expect(pickWithin(ITEM_IDS, 10, sinceDays(0))).toEqual([])
  })
})

describe('torque', () => {
  test('where two parts give two values, the lower one holds', () => {
    expect(torqueOf([5, 4.5])).toBe(4.5)
    expect(torqueOf([7])).toBe(7)
    expect(torqueOf([])).toBeUndefined()
  })

  test('converts as tables have it, and back', () => {
    // 1 N m = 8.8507 in lbf = 10.1972 kgf cm (NIST SP 811, appendix B).
    expect(convertTorque(1, 'N m', 'in lbf')).toBeCloseTo(8.8507, 3)
    expect(convertTorque(1, 'N m', 'kgf cm')).toBeCloseTo(10.1972, 4)
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 80, noNaN: true }),
        fc.constantFrom(...TORQUE_UNITS),
        (nm, unit) => {
          expect(convertTorque(convertTorque(nm, 'N m', unit), unit, 'N m')).toBeCloseTo(nm, 9)
        },
      ),
    )
    expect(NM_PER['N m']).toBe(1)
  })

  test('no usual bolt is beyond what its size takes', () => {
    for (const { id, size, nm } of USUAL_FASTENERS) {
      const most = size === undefined ? undefined : usualMostNm(size)
      if (most !== undefined && nm !== undefined) expect([id, nm <= most]).toEqual([id, true])
    }
    expect(usualMostNm(' m5 ')).toBe(10)
    expect(usualMostNm('T25')).toBeUndefined()
  })
})
