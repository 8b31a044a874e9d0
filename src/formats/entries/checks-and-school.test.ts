import { describe, expect, test } from '@jest/globals'
import { noon, written } from '../../../test/log.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import { checkEntry } from '../entry-schema.ts'

/** Whether an entry passes the door, with some of its fields changed. */
const passes = (draft: EntryDraft, more: object = {}): boolean => {
  const [entry] = written([draft])
  return checkEntry({ ...entry, ...more }).outcome === 'sound'
}
const check: EntryDraft = { kind: 'check', at: noon(1, 4), bike: 'heron', item: 'frame', result: 'pass' }
const round: EntryDraft = {
  kind: 'round',
  at: noon(1, 4),
  round: 'r',
  bike: 'heron',
  occasion: 'monthly',
  began: noon(1, 4),
  items: ['frame'],
}
const thickness: EntryDraft = {
  kind: 'thickness',
  at: noon(1, 4),
  bike: 'heron',
  part: 'pads-rear',
  mm: 3,
  by: 'caliper',
}
const fastener: EntryDraft = {
  kind: 'fastener',
  at: noon(1, 4),
  bike: 'heron',
  fastener: 'stem',
  name: 'Stem',
  valuesNm: [5],
  joint: 'grease',
}
const lesson = (answer: object): EntryDraft =>
  ({ kind: 'lesson', at: noon(1, 4), answer }) as unknown as EntryDraft

describe('what a check may hold', () => {
  test('an item that there is, one of four answers, a distance and a day that can be', () => {
    expect(passes(check)).toBe(true)
    for (const more of [
      { item: 'engine' },
      { result: 'perhaps' },
      { byKm: -1 },
      { byKm: 1e9 },
      { byDay: '2026-13-01' },
      { note: 'two\nlines' },
      { note: 'x'.repeat(401) },
      { picture: 'no id' },
      { extra: 1 },
    ])
      expect([more, passes(check, more)]).toEqual([more, false])
  })

  test('a round looks at something, and is only ever ended', () => {
    expect(passes(round)).toBe(true)
    expect(passes(round, { isEnded: true })).toBe(true)
    for (const more of [
      { items: [] },
      { items: ['frame', 'engine'] },
      { isEnded: false },
      { occasion: 'birthday' },
      { began: 'noon' },
    ])
      expect([more, passes(round, more)]).toEqual([more, false])
  })

  test('a thickness is none below nothing, nor thicker than any part', () => {
    expect(passes(thickness)).toBe(true)
    for (const more of [
      { mm: -0.1 },
      { mm: 61 },
      { mm: '3' },
      { by: 'thumb' },
      { part: 'chain' },
      { isNew: false },
    ])
      expect([more, passes(thickness, more)]).toEqual([more, false])
  })

  test('a torque beyond any bolt is refused, and so is a third value', () => {
    expect(passes(fastener)).toBe(true)
    expect(passes(fastener, { valuesNm: [] })).toBe(true)
    for (const more of [
      { valuesNm: [900] },
      { valuesNm: [0] },
      { valuesNm: [5, 4, 3] },
      { joint: 'glue' },
      { name: '' },
      { size: 'x'.repeat(13) },
    ])
      expect([more, passes(fastener, more)]).toEqual([more, false])
    const tightened: EntryDraft = { kind: 'tightened', at: noon(1, 4), bike: 'heron', fastener: 'stem' }
    expect([passes(tightened), passes(tightened, { nm: 5 }), passes(tightened, { nm: 81 })]).toEqual([
      true,
      true,
      false,
    ])
  })

  test('what a bike has is of the things that are asked', () => {
    const bike: EntryDraft = {
      kind: 'bike',
      at: noon(1, 4),
      bike: 'heron',
      name: 'Heron',
      note: '',
      speeds: 11,
      shifting: 'cable',
      motor: 'none',
      usualCondition: 'dry-road',
      storage: 'indoors',
    }
    expect(passes(bike, { build: {} })).toBe(true)
    expect(
      passes(bike, {
        build: { axles: 'nuts', tyres: 'tubeless', carbon: true, suspension: false, brakeLine: 'cable' },
      }),
    ).toBe(true)
    for (const build of [{ axles: 'glued' }, { carbon: 'yes' }, { wings: true }])
      expect([build, passes(bike, { build })]).toEqual([build, false])
  })
})

describe('what a lesson may hold', () => {
  test('each kind its own fields, and no others', () => {
    const gauge = { about: 'gauge', instrument: 'rule', truth: 0.4, right: 0.4, read: 0.5, slips: [] }
    expect(passes(lesson(gauge))).toBe(true)
    for (const answer of [
      { ...gauge, instrument: 'thumb' },
      { ...gauge, truth: 40 },
      { ...gauge, slips: ['sneezed'] },
      { ...gauge, word: 'good' },
      { ...gauge, read: NaN },
      { about: 'teeth', truth: 0.4 },
      { about: 'teeth', truth: 0.4, word: 'fine' },
      { about: 'skip', p: 1.2, saidSkips: true },
      { about: 'skip', p: 0.2 },
      { about: 'swap', best: 'sell-it', chose: 'ride-on', lostShare: 0 },
      { about: 'cooking' },
      {},
      'gauge',
    ])
      expect([answer, passes(lesson(answer as object))]).toEqual([answer, false])
    expect(checkEntry({ ...written([check])[0], kind: 'lesson' }).outcome).toBe('unsound')
  })

  test('whether lessons are used is yes or no, for both', () => {
    const use: EntryDraft = { kind: 'school-use', at: noon(1, 4), readings: true, looks: false }
    expect([passes(use), passes(use, { looks: undefined }), passes(use, { readings: 1 })]).toEqual([
      true,
      false,
      false,
    ])
  })
})
