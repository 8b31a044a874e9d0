import { expect, test } from '@jest/globals'
import { factsOn, LUBED, LUBED_LONG_AGO, measuredAt } from '../../../../test/judged.ts'
import { commuter, hundreds } from '../../../../test/log.ts'
import { lubeDue } from './lube-due.ts'

test('a good chain with its lubricant used up is lubricated', () => {
  const proposal = lubeDue(factsOn([...commuter, LUBED_LONG_AGO, ...hundreds, ...measuredAt(0.1)]))
  expect(proposal?.action).toBe('lubricate')
  expect(proposal?.reasons[0]).toMatchObject({ kind: 'lube', clock: { due: true } })
})

test('one with fresh lubricant, or none that anybody entered, is not', () => {
  expect(lubeDue(factsOn([...commuter, ...hundreds, LUBED, ...measuredAt(0.1)]))).toBeUndefined()
  expect(lubeDue(factsOn([...commuter, ...hundreds, ...measuredAt(0.1)]))).toBeUndefined()
})
