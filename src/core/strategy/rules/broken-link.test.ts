import { expect, test } from '@jest/globals'
import { factsOn, LUBED, measuredAt, reportOn } from '../../../../test/judged.ts'
import { commuter, hundreds, noon } from '../../../../test/log.ts'
import type { EntryDraft } from '../../log/entries.ts'
import type { LinkFault } from '../../log/kinds/link-check.ts'
import { verdictOf } from '../verdict.ts'

const checked = (day: number, ...faults: readonly LinkFault[]): EntryDraft => ({
  kind: 'link-check',
  at: noon(3, day),
  chain: 'chain',
  found: faults.map((fault, i) => ({ link: 10 * (i + 1), fault })),
})
const log = [...commuter, ...hundreds, LUBED, ...measuredAt(0.1)]
const verdictOn = (drafts: readonly EntryDraft[]) => verdictOf(reportOn(drafts), factsOn(drafts).answer)

test('a chain with a parting plate is swapped and not ridden, however little worn, even before the forecast is there', () => {
  const drafts = [...log, checked(30, 'parted-plate', 'stiff-link')]
  for (const verdict of [verdictOn(drafts), verdictOf(reportOn(drafts), undefined)]) {
    expect(verdict).toMatchObject({ action: 'swap-chain', word: 'spent', cautions: ['do-not-ride'] })
    expect(verdict?.reasons[0]).toEqual({ kind: 'bad-links', found: [{ link: 10, fault: 'parted-plate' }] })
  }
})

test('a stiff link is named beside the verdict, and holds nothing back', () => {
  const [without, withOne] = [verdictOn(log), verdictOn([...log, checked(30, 'stiff-link')])]
  expect(withOne?.action).toBe(without?.action)
  expect(withOne?.reasons.map(({ kind }) => kind)).toContain('bad-links')
  expect(without?.reasons.map(({ kind }) => kind)).not.toContain('bad-links')
})

test('the last check counts: a link put right is no longer said', () => {
  const verdict = verdictOn([...log, checked(29, 'stuck-roller'), checked(30)])
  expect(verdict?.reasons.map(({ kind }) => kind)).not.toContain('bad-links')
})
