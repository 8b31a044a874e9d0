import { expect, test } from '@jest/globals'
import { LUBED, reportOn } from '../../../test/judged.ts'
import { commuter, noon, ride } from '../../../test/log.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import { ownLives } from '../../core/lube/learn.ts'
import { lubeAhead } from '../../core/strategy/when.ts'
import { sayClock, sayGrounds } from './say-clock.ts'

const said = (...drafts: readonly EntryDraft[]) => {
  const report = reportOn([...commuter, ...drafts])
  if (!report.chain) throw new Error('the bike has no chain')
  return {
    clock: sayClock(report, report.chain, lubeAhead(report, undefined), 'metric').replaceAll('\u00a0', ' '),
    grounds: sayGrounds(report.chain, 'metric', report.now, ownLives([])).replaceAll('\u00a0', ' '),
  }
}
const wetRides = [ride(3, 31, 10, { condition: 'wet-road', at: noon(3, 31).replace('12:', '13:') })]

test('how far and until when it lasts, and what it went through since', () => {
  const { clock, grounds } = said(LUBED, ride(3, 20, 100), ...wetRides)
  expect(clock).toMatch(
    /good for about \d+ km more on the roads of this time of year, until about \d+ \w+\.$/,
  )
  expect(grounds).toMatch(
    /1 wet ride since\. Life: about 250 km of dry road, a guess|1 wet ride since\. Life: 250 km of dry road, a guess/,
  )
})

test('what ended it sooner is named', () => {
  expect(said({ ...LUBED, lube: 'dry-lube' } as EntryDraft, ...wetRides).clock).toContain(
    'Rain has washed out',
  )
  expect(said({ ...LUBED, lube: 'none' } as EntryDraft).clock).toContain('chain is bare')
  expect(said().clock).toContain('is not entered')
})
