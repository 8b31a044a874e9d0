import { expect, test } from '@jest/globals'
import { factsOn, LUBED_LONG_AGO, measuredAt, OF_UNKNOWN_PAST } from '../../../../test/judged.ts'
import { commuter, hundreds } from '../../../../test/log.ts'
import { firstLook } from './first-look.ts'

test('a chain nobody has read is to be measured; a guess is made only of one that went on new', () => {
  const fromNew = firstLook(factsOn([...commuter, ...hundreds]))
  expect(fromNew).toMatchObject({ action: 'measure', word: 'unsure' })
  expect(fromNew?.reasons[0]).toMatchObject({ kind: 'not-measured', km: 1200 })
  expect(fromNew?.reasons[0]).not.toMatchObject({ guess: undefined })
  expect(firstLook(factsOn(OF_UNKNOWN_PAST))?.reasons[0]).toMatchObject({ guess: undefined })
})

test('that its lubricant is due is said beside it', () => {
  const kinds = firstLook(factsOn([...OF_UNKNOWN_PAST, LUBED_LONG_AGO, ...hundreds]))?.reasons.map(
    ({ kind }) => kind,
  )
  expect(kinds).toEqual(['not-measured', 'lube'])
})

test('one that was read needs no first look', () => {
  expect(firstLook(factsOn([...commuter, ...hundreds, ...measuredAt(0.2)]))).toBeUndefined()
})
