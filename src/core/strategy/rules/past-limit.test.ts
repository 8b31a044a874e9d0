import { describe, expect, test } from '@jest/globals'
import { cogLooked, factsOn, JUDGED_AT, LUBED, measuredAt } from '../../../../test/judged.ts'
import { commuter, hundreds } from '../../../../test/log.ts'
import type { EntryDraft } from '../../log/entries.ts'
import { pastLimit } from './past-limit.ts'

const log = (percent: number, ...more: readonly EntryDraft[]) =>
  factsOn([...commuter, ...hundreds, LUBED, ...measuredAt(percent), ...more])

describe('a chain past its limit', () => {
  test('is swapped alone', () => {
    const proposal = pastLimit(log(0.62))
    expect(proposal).toMatchObject({ action: 'swap-chain', word: 'swap', cautions: [] })
    expect(proposal?.reasons.map(({ kind }) => kind)).toEqual(['chance-past', 'limit', 'lube'])
    expect(proposal?.confidence).toBeGreaterThan(0.9)
  })

  test('past 0.9 % goes with the cogs, and the old chain is kept', () => {
    const proposal = pastLimit(log(1.02))
    expect(proposal?.action).toBe('swap-chain-and-cogs')
    expect(proposal?.cautions).toEqual(['keep-old-chain', 'may-slip'])
  })

  test('takes a cog along that looked spent', () => {
    expect(pastLimit(log(0.62, cogLooked('spent')))?.action).toBe('swap-chain-and-cogs')
    expect(pastLimit(log(0.62, cogLooked('good')))?.action).toBe('swap-chain')
  })

  test('under the late school is bought with everything at once', () => {
    const late: EntryDraft = { kind: 'limit', at: JUDGED_AT, bike: 'heron', school: 'late' }
    expect(pastLimit(log(1.08, late))?.action).toBe('swap-chain-and-cogs')
    expect(pastLimit(log(0.62, late))).toBeUndefined()
  })

  test('is not one that is more likely under it', () => {
    expect(pastLimit(log(0.3))).toBeUndefined()
  })
})
