import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { factsOn, LUBED, measuredAt } from '../../test/judged.ts'
import { commuter, hundreds, written } from '../../test/log.ts'
import { coloursOf, pagesOf, sizesOf } from '../../test/pdf-text.ts'
import { someWash } from '../../test/some-wash.ts'
import { ITEM_IDS } from '../core/checks/items.ts'
import { itemsOfSheet, OCCASIONS } from '../core/checks/sheets.ts'
import { replay } from '../core/log/replay.ts'
import type { Paper, PaperSheet } from '../core/paper/paper-sheet.ts'
import { planSession } from '../core/session/plan.ts'
import { washSteps, type WashJob } from '../core/session/wash-steps.ts'
import { chainsOfRoad } from '../core/strategy/facts/bike-report.ts'
import { mileStrip } from '../core/strategy/mile-strip.ts'
import { paperPdf } from '../formats/paper-pdf.ts'
import { checkSheet } from './checks/check-sheet.ts'
import { ITEM_NAMES } from './checks/item-names.ts'
import { roadSheet } from './road-sheet.ts'
import { washSheet } from './wash-sheet.ts'

const NOW = '2026-11-28T12:00:00.000Z'
const drafts = [...commuter, ...hundreds, ...measuredAt(0.4), LUBED]
const garage = replay(written(drafts))
const { report } = factsOn(drafts)
const { entry } = report.bike

const JOB: WashJob = {
  way: 're-wax',
  lube: 'immersion-wax',
  bike: { hasDiscs: true, isElectric: false },
  chains: [
    { id: 'a', isOn: true },
    { id: 'b', isOn: false },
  ],
  fits: 'b',
  kit: [],
}
function washOf(job: WashJob): PaperSheet {
  const steps = washSteps(job)
  return washSheet(
    {
      bikes: ['Heron'],
      steps,
      plan: planSession({ tasks: steps }),
      tagOf: ({ chain }) => (chain === undefined ? '' : `chain ${chain}`),
      lubeOf: () => job.lube,
      legend: ['a: Chain 1'],
      amounts: '116 drops, about 3 ml.',
      cares: ['Wax is hot: 120 °C burns.'],
    },
    NOW,
  )
}
const png = new Uint8Array(readFileSync('cases/pictures/cog-16-new.png'))
const strip = mileStrip(garage, report, chainsOfRoad(garage, report))
const road = roadSheet({ name: 'Heron', strip, png, note: 'The likely elongation.' }, 'metric', NOW)
const round = checkSheet(entry, 'monthly', itemsOfSheet('monthly', entry, new Set()), NOW)

const linesOf = (sheet: PaperSheet): string => sheet.sections.flatMap(({ lines }) => lines).join('\n')
const joined = async (sheet: PaperSheet, paper: Paper): Promise<string> =>
  (await pagesOf((await paperPdf(sheet, paper)).bytes)).join(' ').replaceAll(/\s+/g, ' ')

describe('a round of checks on paper', () => {
  test.each(OCCASIONS)('%s: every thing of the sheet once, with what passes', (occasion) => {
    const items = itemsOfSheet(occasion, entry, new Set())
    const sheet = checkSheet(entry, occasion, items, NOW)
    const lines = sheet.sections.flatMap((section) => section.lines)
    expect(lines).toHaveLength(items.length)
    for (const item of items)
      expect(lines.filter((line) => line.startsWith(`${ITEM_NAMES[item]}: `))).toHaveLength(1)
    expect(lines.every((line) => line.includes('Passes: '))).toBe(true)
    expect(sheet.sections.every(({ mark }) => mark === 'box')).toBe(true)
  })

  test('lines for what the bike does not have leave no gap', () => {
    const lines = linesOf(checkSheet({ ...entry, build: { axles: 'nuts' } }, 'spring', [...ITEM_IDS], NOW))
    expect(lines).not.toMatch(/undefined|\[object/)
  })
})

describe('a wash on paper', () => {
  test('its steps in the order in which they are begun, with the minute, the chain and the wait', () => {
    const sheet = washOf(JOB)
    const minutes = [...linesOf(sheet).matchAll(/^Minute (\d+):/gm)].map(([, minute]) => Number(minute))
    expect(minutes.length).toBe(washSteps(JOB).length)
    expect([...minutes].sort((a, b) => a - b)).toEqual(minutes)
    expect(linesOf(sheet)).toContain('chain a')
    expect(linesOf(sheet)).toMatch(/, then .* for \d+ min\./)
    expect(sheet.sections[0]).toEqual({ heading: 'Careful', lines: ['Wax is hot: 120 °C burns.'] })
  })

  test('law: every step of any wash is on its sheet, once', () => {
    fc.assert(
      fc.property(someWash(), (job) => {
        const sheet = washOf(job)
        const steps = sheet.sections.find(({ heading }) => heading === 'Steps')?.lines ?? []
        expect(steps).toHaveLength(washSteps(job).length)
        expect(linesOf(sheet)).not.toMatch(/undefined|NaN/)
      }),
      { numRuns: 40 },
    )
  })
})

test('a road on paper: its drawing, its chains, and kinds of road that add up to all of it', () => {
  expect(road.drawings).toHaveLength(1)
  const kinds = road.sections.find(({ heading }) => heading === 'Ridden in')?.lines ?? []
  const sum = kinds.reduce(
    (km, line) => km + Number(/: ([\d\u00a0]+)/.exec(line)?.[1]?.replaceAll('\u00a0', '')),
    0,
  )
  expect(Math.abs(sum - strip.totalKm)).toBeLessThanOrEqual(kinds.length)
  expect(linesOf(road)).toMatch(/Chain 1.*, fitted .*: .*km, \d+ readings?\./)
})

describe.each<readonly [string, PaperSheet]>([
  ['a round of checks', round],
  ['a wash', washOf(JOB)],
  ['a road', road],
])('%s as PDF', (_name, sheet) => {
  test.each<readonly [Paper, number, number]>([
    ['a4', 210, 297],
    ['letter', 215.9, 279.4],
  ])('is whole on %s, every letter set', async (paper, width, height) => {
    const { bytes, lost } = await paperPdf(sheet, paper)
    expect(lost).toBe(0)
    for (const [wide, high] of await sizesOf(bytes)) {
      expect(wide).toBeCloseTo(width, 1)
      expect(high).toBeCloseTo(height, 1)
    }
    const text = await joined(sheet, paper)
    for (const { heading } of sheet.sections.filter(({ lines }) => lines.length > 0))
      expect(text).toContain(heading)
    expect(text).toContain(sheet.foot.slice(0, 30))
  })

  test('is drawn in greys that a black and white printer keeps apart from white', async () => {
    const colours = await coloursOf((await paperPdf(sheet, 'a4')).bytes)
    expect(colours.length).toBeGreaterThan(5)
    for (const [red = 1, green = 1, blue = 1] of colours) {
      expect(0.2126 * red + 0.7152 * green + 0.0722 * blue).toBeLessThan(0.45)
      expect(Math.max(red, green, blue) - Math.min(red, green, blue)).toBeLessThan(0.12)
    }
  })
})

test('a sheet of several pages says on each which it is; a sheet of one does not', async () => {
  const pages = await pagesOf((await paperPdf(round, 'a4')).bytes)
  expect(pages.length).toBeGreaterThan(1)
  pages.forEach((page, i) => expect(page).toContain(`page ${i + 1} of ${pages.length}`))
  const single = await pagesOf((await paperPdf(road, 'a4')).bytes)
  expect(single).toHaveLength(1)
  expect(single[0]).not.toContain('page 1')
})
