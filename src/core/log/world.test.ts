import { expect, test } from '@jest/globals'
import { demoWorld } from '../../../demo/world.ts'
import { commuter, ride, written } from '../../../test/log.ts'
import { kindName } from '../../words/kind-names.ts'
import { recordOf } from './one-bike.ts'
import { replay } from './replay.ts'
import { worldOf } from './world.ts'

const demo = demoWorld('2026-11-26')

test('the demo garage is known by its content, whole, in part, and with what was written in it since', () => {
  expect(worldOf(demo)).toBe('demo')
  expect(worldOf([...demo, ...written([ride(3, 1, 40)])])).toBe('demo')
  for (const bike of ['heron', 'quarry', 'kite', 'sparrow', 'plover'])
    expect([bike, worldOf(demo.filter((entry) => entry.kind === 'bike' && entry.bike === bike))]).toEqual([
      bike,
      'demo',
    ])
  const garage = replay(demo)
  const part = { part: [...garage.parts.keys()].find((id) => id.startsWith('heron-')) ?? '' }
  const record = recordOf(demo, garage, part, { people: false, money: false }, kindName)
  expect(record.length).toBeGreaterThan(0)
  expect(worldOf(record)).toBe('demo')
})

test('a log of one’s own is not taken for it, though a bike has the same name', () => {
  expect(worldOf(written([...commuter, ride(3, 1, 40)]))).toBe('own')
  expect(worldOf([])).toBe('own')
})
