import { describe, expect, test } from '@jest/globals'
import { renderToStaticMarkup } from 'react-dom/server'
import { answerOf } from '../../../test/outlook.ts'
import { caliperReadings, commuter, hundreds, noon, written } from '../../../test/log.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import { replay } from '../../core/log/replay.ts'
import { lengthAtElongation } from '../../core/measure/elongation.ts'
import { bikeReport } from '../../core/strategy/bike-report.ts'
import { recommend } from '../../core/strategy/recommend.ts'
import { remindersOf } from '../../core/strategy/reminders.ts'
import { sayAction } from './advice.ts'
import { verdictOf, verdictSentence } from './verdict.tsx'

const NOW = noon(3, 31)
const scale = (percent: number): EntryDraft => ({
  kind: 'reading',
  at: noon(3, 30),
  chain: 'chain',
  reading: { instrument: 'two-contact-scale', percent },
})
const rule = (percent: number): EntryDraft => ({
  kind: 'reading',
  at: noon(3, 30),
  chain: 'chain',
  reading: { instrument: 'rule', pitches: 24, lengthMm: lengthAtElongation(24, percent) },
})
const old = commuter.map((draft): EntryDraft =>
  draft.kind === 'part' && draft.spec.type === 'chain'
    ? { ...draft, spec: { ...draft.spec, past: 'unknown' } }
    : draft,
)

/** Logs in which screens once differed, or could: doubt, disagreement, wide readings, new and old chains. */
const LOGS: Readonly<Record<string, readonly EntryDraft[]>> = {
  'a new chain': commuter,
  'a new chain, ridden': [...commuter, ...hundreds],
  'a chain as found': [...old, ...hundreds],
  'a fresh reading': [...commuter, ...hundreds, ...caliperReadings(3, 30, 0.12, 3)],
  'past the limit': [...commuter, ...hundreds, ...caliperReadings(3, 30, 0.62, 3)],
  'far past it': [...commuter, ...hundreds, ...caliperReadings(3, 30, 1.02, 3)],
  'two tools that disagree about the limit': [
    ...commuter,
    ...hundreds,
    ...[0.75, 0.8].map(scale),
    ...[0.25, 0.22].map(rule),
  ],
  'two tools that disagree beyond it': [
    ...commuter,
    ...hundreds,
    ...[1.3, 1.35].map(scale),
    ...[0.8, 0.82].map(rule),
  ],
  'one coarse reading': [...old, ...hundreds, rule(0.4)],
  'a reading that surprises': [
    ...commuter,
    ...hundreds,
    ...caliperReadings(2, 1, 0.3, 3),
    ...caliperReadings(3, 30, 0.02, 2),
  ],
}

describe('whatever the log, no two screens say different things of one chain', () => {
  test.each(Object.entries(LOGS))('%s', (_name, drafts) => {
    const garage = replay(written(drafts))
    const bike = garage.bikes.get('heron')
    if (!bike) throw new Error('no bike')
    const report = bikeReport(garage, bike, NOW)
    const answer = answerOf(garage, NOW, 'chain')
    const advice = recommend(report, answer)
    if (!advice) throw new Error('no advice')
    const sentence = renderToStaticMarkup(<>{verdictSentence(report, answer, 'metric')}</>)
    const reminders = remindersOf([report], [answer], NOW)
    const swapsNow = advice.action === 'swap-chain' || advice.action === 'swap-chain-and-cogs'

    expect(verdictOf(report, answer)).toBe(advice.word)
    expect(sentence.includes('Swap it now')).toBe(swapsNow)
    expect(sayAction(advice.action, advice, 'metric').startsWith('Swap')).toBe(swapsNow)
    expect(/measure it again|is not measured yet/i.test(sentence)).toBe(advice.action === 'measure')
    expect(reminders.some(({ kind, inKm }) => kind === 'look' && inKm === 0)).toBe(
      advice.action === 'measure',
    )
    expect(reminders.some(({ kind, inKm }) => kind === 'swap' && inKm === 0)).toBe(swapsNow)
    if (/First look in/.test(sentence)) expect(advice.reasons[0]?.kind).toBe('new-chain')
  })
})
