import { expect, test } from '@jest/globals'
import { cogLooked, factsOn, LUBED, measuredAt } from '../../../../test/judged.ts'
import { commuter, hundreds } from '../../../../test/log.ts'
import { keepRiding } from './keep-riding.ts'

test('a good chain rides on, as sure as it is that it is not past its limit', () => {
  const facts = factsOn([...commuter, ...hundreds, LUBED, ...measuredAt(0.12)])
  const proposal = keepRiding(facts)
  expect(proposal).toMatchObject({ action: 'ride-on', cautions: [] })
  expect(proposal?.confidence).toBe(1 - (facts.wear?.past ?? NaN))
  expect(proposal?.confidence).toBeGreaterThan(0.95)
})

test('a worn cog under it is looked at, with a caution', () => {
  expect(
    keepRiding(factsOn([...commuter, ...hundreds, LUBED, ...measuredAt(0.12), cogLooked('spent')])),
  ).toMatchObject({ action: 'look-at-teeth', cautions: ['may-slip'] })
})

test('of a chain nobody has read it says nothing', () => {
  expect(keepRiding(factsOn(commuter))).toBeUndefined()
})
