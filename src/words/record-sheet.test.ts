import { expect, test } from '@jest/globals'
import { commuter, hundreds, written } from '../../test/log.ts'
import { factsOn, LUBED, measuredAt } from '../../test/judged.ts'
import { replay } from '../core/log/replay.ts'
import { verdictOf } from '../core/strategy/verdict.ts'
import { paperPdf } from '../formats/paper-pdf.ts'
import { recordSheet } from './record-sheet.ts'

const drafts = [...commuter, ...hundreds, ...measuredAt(0.4), LUBED]
const { report, answer } = factsOn(drafts)
const garage = replay(written(drafts))

test('a bike’s record reads as its file holds it: how it is, what is on it, what was read and washed', () => {
  const sheet = recordSheet(report, answer, verdictOf(report, answer), garage, 'metric')
  expect(sheet.title).toBe('Heron: its record')
  const linesOf = (begins: string): string =>
    sheet.sections.find(({ heading }) => heading.startsWith(begins))?.lines.join(' ') ?? ''
  expect(linesOf('How it is now')).toMatch(/The chain has lengthened by 0\.\d\d/)
  expect(linesOf('What is on it')).toContain('chain of')
  expect(linesOf('Last readings')).toContain('31 March'.slice(3))
  expect(linesOf('Last washes')).toContain('wet lube')
  expect(linesOf('Take care')).toMatch(/stop riding/)
})

test('before it is worked out it says only what the log holds', () => {
  const sheet = recordSheet(report, undefined, undefined, garage, 'imperial')
  expect(sheet.sections.find(({ heading }) => heading === 'How it is now')?.lines).toEqual([])
  expect(sheet.about).toContain('mi in all')
})

test('boxes to tick are drawn before the lines that ask for them', async () => {
  const plain = { title: 't', about: 'a', pictures: [], foot: 'f' }
  const lines = ['Bike 1: swap the chain.', 'Bike 2: measure it.']
  const dotted = await paperPdf({ ...plain, sections: [{ heading: 'h', lines }] }, 'a4')
  const boxed = await paperPdf({ ...plain, sections: [{ heading: 'h', lines, mark: 'box' }] }, 'letter')
  for (const { bytes, lost } of [dotted, boxed]) {
    expect(String.fromCharCode(...bytes.subarray(0, 5))).toBe('%PDF-')
    expect(lost).toBe(0)
  }
  expect(boxed.bytes).not.toEqual(dotted.bytes)
})
