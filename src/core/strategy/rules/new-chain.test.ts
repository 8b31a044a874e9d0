import { describe, expect, test } from '@jest/globals'
import { cogLooked, factsOn, LUBED, measuredAt, OF_UNKNOWN_PAST } from '../../../../test/judged.ts'
import { commuter, hundreds, noon } from '../../../../test/log.ts'
import type { EntryDraft } from '../../log/entries.ts'
import { newChain } from './new-chain.ts'

const bare: EntryDraft = {
  kind: 'wash',
  at: noon(3, 31),
  chain: 'chain',
  method: 'off-bike',
  lube: 'none',
}

describe('a chain that went on new', () => {
  test('wants riding', () => {
    const proposal = newChain(factsOn([...commuter, LUBED]))
    expect(proposal).toMatchObject({ action: 'ride-on', word: 'fresh', cautions: [] })
    expect(proposal?.reasons[0]).toMatchObject({ kind: 'new-chain', km: 0 })
  })

  test('is lubricated where it is bare, and rides on worn teeth with a caution', () => {
    expect(newChain(factsOn([...commuter, bare]))?.action).toBe('lubricate')
    expect(newChain(factsOn([...commuter, LUBED, cogLooked('spent')]))).toMatchObject({
      action: 'look-at-teeth',
      cautions: ['may-slip', 'ask-mechanic'],
    })
  })

  test('is no longer one once it was read, is due for its first look, or came on used', () => {
    expect(newChain(factsOn([...commuter, ...hundreds, ...measuredAt(0.2)]))).toBeUndefined()
    expect(newChain(factsOn([...commuter, ...hundreds, LUBED]))).toBeUndefined()
    expect(newChain(factsOn([...OF_UNKNOWN_PAST, LUBED]))).toBeUndefined()
  })
})
