import { describe, expect, test } from '@jest/globals'
import { isWorthALook, lostShare } from '../core/exposure/receipt.ts'
import { sayReceipt } from './receipt.ts'

describe('a receipt', () => {
  test('says what was used, and for a table no more than there is', () => {
    expect(sayReceipt({})).toEqual([])
    expect(sayReceipt({ receipt: { distance: 'table' } })).toEqual(['Distance: as the table has it.'])
    expect(sayReceipt({ receipt: { distance: 'device', energy: 'power' }, gears: { '40x15': 3 } })).toEqual([
      'Distance: the device’s own.',
      'Energy: from measured power. Gears from cadence.',
    ])
    expect(sayReceipt({ receipt: { distance: 'track' } })[1]).toMatch(/not known, so it counts like/)
  })

  test('says what was left out, and how much that is', () => {
    const receipt = { distance: 'track' as const, points: 200, stray: 12, bad: 3, twice: 1, wild: 2 }
    expect(lostShare(receipt)).toBeCloseTo(0.075, 9)
    expect(sayReceipt({ receipt }).slice(2)).toEqual([
      '15 points of 200 left out (8 %): 12 where no bike comes in the time, 3 without a usable place or time.',
      '1 point written twice, counted once.',
      '2 figures of power or cadence that no rider has, left out.',
    ])
  })

  test('is worth a look where more than a twentieth was lost, or the device’s distance cannot be', () => {
    expect(isWorthALook({ distance: 'track', points: 100, stray: 5 })).toBe(false)
    expect(isWorthALook({ distance: 'track', points: 100, stray: 6 })).toBe(true)
    expect(isWorthALook({ distance: 'track', deviceFault: 'unlike-track' })).toBe(true)
    expect(isWorthALook({ distance: 'device', points: 0 })).toBe(false)
  })

  test('says where a distance that jumps is all there is', () => {
    const said = (distance: 'device' | 'track') =>
      sayReceipt({ receipt: { distance, deviceFault: 'impossible' } })[0]
    expect(said('device')).toMatch(/there is no track: only the steps that can be are counted/)
    expect(said('track')).toMatch(/so it is not used: the distance is the track’s/)
  })

  test('remembers what its owner said of it', () => {
    const said = sayReceipt({
      receipt: { distance: 'track', sport: 'running', writtenAt: '2006-07-24T07:30:00.000Z' },
    })
    expect(said.slice(2)).toEqual([
      'The file calls it “running”; it was taken as a ride.',
      'The device wrote 2006-07-24 for its day.',
    ])
  })
})
