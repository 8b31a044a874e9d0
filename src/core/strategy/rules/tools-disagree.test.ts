import { expect, test } from '@jest/globals'
import { factsOn, ruledAt } from '../../../../test/judged.ts'
import { commuter, hundreds, noon } from '../../../../test/log.ts'
import type { EntryDraft } from '../../log/entries.ts'
import { toolsDisagree } from './tools-disagree.ts'

const scale = (percent: number): EntryDraft => ({
  kind: 'reading',
  at: noon(3, 30),
  chain: 'chain',
  reading: { instrument: 'two-contact-scale', percent },
})
const log = (scales: readonly number[], rules: readonly number[]) =>
  factsOn([...commuter, ...hundreds, ...scales.map(scale), ...rules.map(ruledAt)])

test('where two instruments contradict one another, the third comes before any verdict', () => {
  const proposal = toolsDisagree(log([0.75, 0.8, 0.78], [0.35, 0.33]))
  expect(proposal).toMatchObject({ action: 'measure', word: 'unsure' })
  expect(proposal?.reasons[0]).toMatchObject({ kind: 'tools-disagree', conflict: { settle: 'caliper-pair' } })
})

test('a gauge far off all that is known of the chain is found out, and holds nothing up', () => {
  const facts = log([0.75, 0.8, 0.78], [0.25, 0.22, 0.24])
  expect(facts.wear?.answer.conflict?.high.tool).toBe('two-contact-scale')
  expect(facts.wear?.past).toBeLessThan(0.02)
  expect(toolsDisagree(facts)).toBeUndefined()
})

test('where both are far beyond the limit it makes no difference which is right', () => {
  const facts = log([1.3, 1.35], [0.8, 0.82])
  expect(facts.wear?.answer.conflict).toBeDefined()
  expect(toolsDisagree(facts)).toBeUndefined()
})

test('where they agree there is nothing to settle', () => {
  expect(toolsDisagree(log([0.33], [0.25]))).toBeUndefined()
})
