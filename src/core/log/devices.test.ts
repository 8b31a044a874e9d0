import { expect, test } from '@jest/globals'
import { threeDevices } from '../../../test/devices.ts'

test('three devices that undo, redo, restore and correct end alike, whoever merges whom first', () => {
  for (let seed = 1; seed <= 120; seed++) expect([seed, threeDevices(seed)]).toEqual([seed, undefined])
})
