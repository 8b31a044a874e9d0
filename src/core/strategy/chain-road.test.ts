import { expect, test } from '@jest/globals'
import { caliperReadings, commuter, hundreds, kite, noon, ride, written } from '../../../test/log.ts'
import { outlookOf } from '../../../test/outlook.ts'
import { replay } from '../log/replay.ts'
import { chainRoad } from './chain-road.ts'
import { chainFacts } from './facts/chain-facts.ts'
import { rideAtKm } from './mile-strip.ts'

const garage = replay(
  written([
    ...commuter,
    kite,
    ...hundreds,
    ...caliperReadings(3, 21, 0.3, 2),
    { kind: 'remove', at: noon(3, 25), part: 'chain', to: 'shelf' },
    { kind: 'fit', at: noon(3, 26), part: 'chain', bike: 'kite' },
    ride(3, 27, 40, { bike: 'kite' }),
  ]),
)
const chain = chainFacts(garage, 'chain')
if (!chain) throw new Error('no chain')
const road = chainRoad(chain)

test('a chain’s own road goes on from bike to bike, in its own km', () => {
  expect(road.totalKm).toBe(chain.story.km)
  expect(rideAtKm(road, road.totalKm - 1)?.bike).toBe('kite')
  expect(rideAtKm(road, 1)?.bike).toBe('heron')
  expect(road.edges.at(-1)).toBeCloseTo(road.totalKm, 9)
})

test('its curve has a point for every mark that the wear model speaks of, in order', () => {
  const [own] = road.chains
  expect(own?.points).toHaveLength(own?.drawn ?? 0)
  expect(outlookOf(garage, noon(4, 1)).chains['chain']?.wayHere).toHaveLength(own?.drawn ?? 0)
  const km = own?.points.map((point) => point.km) ?? []
  expect([...km].sort((a, b) => a - b)).toEqual(km)
  expect(km.at(-1)).toBe(road.totalKm)
})

test('readings stand where the chain was when they were taken', () => {
  expect(road.chains[0]?.readings.map(({ km }) => km)).toEqual([1200, 1200])
})
