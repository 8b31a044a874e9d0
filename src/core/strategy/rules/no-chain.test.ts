import { expect, test } from '@jest/globals'
import { factsOn } from '../../../../test/judged.ts'
import { commuter } from '../../../../test/log.ts'
import { noChain } from './no-chain.ts'

test('a bike without a chain is asked for one, a bike with one is not', () => {
  expect(noChain(factsOn(commuter.slice(0, 1)))).toMatchObject({ action: 'describe-chain', word: 'unsure' })
  expect(noChain(factsOn(commuter))).toBeUndefined()
})
