import { expect, test } from '@jest/globals'
import { inOneFolder, threeDevices } from '../../../test/devices.ts'

test('three devices that undo, redo, restore and correct end alike, whoever merges whom first', () => {
  for (let seed = 1; seed <= 120; seed++) expect([seed, threeDevices(seed)]).toEqual([seed, undefined])
})

test('three devices with one folder end with the same log; a liar in it takes nothing honest away', () => {
  for (let seed = 1; seed <= 2; seed++)
    expect([seed, inOneFolder(seed, false, 150)]).toEqual([seed, undefined])
  for (let seed = 1; seed <= 3; seed++)
    expect([seed, inOneFolder(seed, true, 150)]).toEqual([seed, undefined])
})
