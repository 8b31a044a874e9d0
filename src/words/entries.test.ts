import { describe, expect, test } from '@jest/globals'
import { commuter, kite, kiteChain, noon, ride, ruleReading, springTour, written } from '../../test/log.ts'
import type { Entry, EntryDraft } from '../core/log/entries.ts'
import { replay } from '../core/log/replay.ts'
import type { Effect } from '../core/strategy/effects.ts'
import type { FittingCheck } from '../core/strategy/fitting-checks.ts'
import { sayEffect } from './effects.ts'
import { KIND_WORDS, sayEntry } from './entries/index.ts'
import { sayCheck } from './fitting.ts'
import { namePart, sayPart } from './part-name.ts'

const plain = (text: string): string => text.replaceAll('\u00a0', ' ')
const garage = replay(written([...commuter, kite, ...kiteChain]))
const alone = replay(written(commuter))
const { condition: _said, ...silent } = ride(1, 5, 42) as Extract<EntryDraft, { kind: 'ride' }>
const tool: EntryDraft = {
  kind: 'tool',
  at: noon(1, 1),
  tool: 'rule',
  name: 'Bench rule',
  instrument: 'rule',
  retired: false,
}

describe('an entry in a few words', () => {
  test.each<readonly [EntryDraft, string]>([
    [commuter[0] as EntryDraft, 'Heron: steel commuter'],
    [kite, 'Kite: a bike'],
    [commuter[1] as EntryDraft, 'Chain 1: chain of 116 links'],
    [commuter[2] as EntryDraft, 'Chain 1 of Heron fitted to Heron'],
    [ride(1, 5, 42, { source: { file: 'a.gpx', fingerprint: 'a' } }), '42 km on Heron, dry road, a.gpx'],
    [silent, '42 km on Heron, conditions not set'],
    [
      { kind: 'condition', at: noon(1, 6), targets: ['a', 'b'], condition: 'mud', from: 'weather' },
      '2 rides: mud, from the weather',
    ],
    [
      { kind: 'odometer', at: noon(1, 6), bike: 'heron', km: 1200, restarted: true },
      'Heron’s bike computer at 1 200 km, count restarted',
    ],
    [
      {
        kind: 'check',
        at: noon(1, 6),
        bike: 'heron',
        item: 'brake-rear',
        result: 'fail',
        act: 'stop',
        note: 'Air in it.',
      },
      'Heron, rear brake: fail, stop riding. Air in it.',
    ],
    [{ kind: 'check', at: noon(1, 6), bike: 'heron', item: 'frame', result: 'pass' }, 'Heron, frame: pass'],
    [
      {
        kind: 'round',
        at: noon(1, 6),
        round: 'r',
        bike: 'heron',
        occasion: 'monthly',
        began: noon(1, 6),
        items: ['frame'],
      },
      'Heron, monthly round: 1 thing to look at',
    ],
    [
      { kind: 'thickness', at: noon(1, 6), bike: 'heron', part: 'pads-front', mm: 3.42, by: 'caliper' },
      'Heron, disc pads, front: 3.4 mm, caliper',
    ],
    [
      { kind: 'thickness', at: noon(1, 6), bike: 'heron', part: 'sealant-rear', isDry: true },
      'Heron, sealant, rear: dry',
    ],
    [
      {
        kind: 'fastener',
        at: noon(1, 6),
        bike: 'heron',
        fastener: 'a',
        name: 'Stem',
        valuesNm: [5, 4.5],
        joint: 'grease',
      },
      'Heron, Stem: 4.5 N m, grease',
    ],
    [
      { kind: 'tightened', at: noon(1, 6), bike: 'heron', fastener: 'a', wasLoose: true },
      'Heron, a bolt: tightened by feel, it was loose',
    ],
    [
      { kind: 'lesson', at: noon(1, 6), answer: { about: 'teeth', truth: 0.4, word: 'swap' } },
      'lesson on teeth: said swap, true 0.40 %',
    ],
    [
      { kind: 'school-use', at: noon(1, 6), readings: true, looks: true },
      'lessons are used for readings and looks at teeth',
    ],
    [
      { kind: 'settled', at: noon(1, 6), targets: ['a', 'b'] },
      '2 entries that seemed to contradict: all happened',
    ],
    [ruleReading(1, 6, 305.5), 'Chain 1 of Heron measured with rule: 24 pitches, 305.5 mm'],
    [{ kind: 'reading-use', at: noon(1, 6), target: 'a', counts: false }, 'a reading left out'],
    [{ kind: 'reading-use', at: noon(1, 6), target: 'a', counts: true }, 'a reading counted again'],
    [tool, 'Bench rule, a rule'],
    [{ kind: 'look', at: noon(1, 6), part: 'cassette', cog: 15, word: 'watch' }, 'Cassette, cog 15: watch'],
    [
      { kind: 'lube-check', at: noon(1, 6), chain: 'chain', look: 'quiet' },
      'Chain 1 of Heron, lube: still quiet',
    ],
    [
      { kind: 'link-check', at: noon(1, 6), chain: 'chain', found: [{ link: 9, fault: 'standing-pin' }] },
      'Chain 1 of Heron link by link: pin standing out at link 9',
    ],
    [
      { kind: 'link-check', at: noon(1, 6), chain: 'chain', found: [] },
      'Chain 1 of Heron link by link: all sound',
    ],
    [
      {
        kind: 'session',
        at: noon(1, 6),
        bike: 'heron',
        chains: ['chain'],
        way: 're-wax',
        minutes: 61.2,
        stepMin: {},
      },
      'Heron: re-wax, 1 chain, in 61 minutes',
    ],
    [
      { kind: 'kit', at: noon(1, 6), tools: ['pot'], noSolvent: true, school: 'drip' },
      'To wash with: wax pot with a thermostat; no solvents; usually drip lube only',
    ],
    [
      { kind: 'look', at: noon(1, 6), part: 'ring', word: 'swap', worstFromCrankDeg: 0 },
      'Ring 40: swap, most at 12 o’clock from the crank arm',
    ],
    [
      { kind: 'wash', at: noon(1, 6), chain: 'chain', method: 'wipe', lube: 'wet-lube' },
      'Chain 1 of Heron wiped, wet lube',
    ],
    [
      { kind: 'remove', at: noon(1, 6), part: 'ring', to: 'lent', lentTo: 'Ada' },
      'Ring 40 taken off, lent to Ada',
    ],
    [
      { kind: 'remove', at: noon(1, 6), part: 'nothing', to: 'shelf' },
      'a part not in the log taken off, spare',
    ],
    [
      { kind: 'limit', at: noon(1, 6), bike: 'heron', school: 'early', percent: 0.6 },
      'Heron: a limit of 0.6 %',
    ],
    [{ kind: 'plan', at: noon(1, 6), bike: 'heron', weeklyKm: 120 }, 'Heron: 120 km a week planned'],
    [{ kind: 'plan', at: noon(1, 6), bike: 'heron' }, 'Heron: planned like the recent average'],
    [{ kind: 'note', at: noon(1, 6), about: 'heron', text: 'creaks' }, 'Heron: creaks'],
    [{ kind: 'note', at: noon(1, 6), about: 'chain', text: 'stiff link' }, 'Chain 1 of Heron: stiff link'],
    [
      { kind: 'policy', at: noon(1, 6), bike: 'heron', percent: 0.75, chains: 2, everyKm: 300 },
      'Heron: two chains in turn to 0.75 %',
    ],
    [
      { kind: 'stock', at: noon(1, 6), stock: 's', name: 'Wet lube', item: 'drip-lube', place: 'shelf' },
      'Wet lube (drip lube), shelf',
    ],
    [
      {
        kind: 'stock-move',
        at: noon(1, 6),
        stock: 'gone',
        count: -1,
        why: 'used',
        bike: 'heron',
      },
      'a thing not in the log: \u22121, used on Heron',
    ],
    [
      { kind: 'paid', at: noon(1, 6), bike: 'heron', what: 'Cable', minor: 450, currency: 'EUR' },
      'Heron: Cable, €4.50',
    ],
    [
      {
        kind: 'visit',
        at: noon(1, 6),
        visit: 'v',
        bike: 'heron',
        currency: 'EUR',
        sum: 6000,
        hour: 0,
        safetyTimes: 5,
        isClosed: true,
        jobs: [],
      },
      'Heron: 0 jobs done of 0, for €60',
    ],
    [
      {
        kind: 'fault',
        at: noon(1, 6),
        fault: 'f',
        bike: 'heron',
        about: 'shifting',
        answers: [],
        found: ['worn-cogs', 'bent-hanger'],
        outcome: 'mended',
        afterwards: 'gone',
      },
      'Heron, slips or skips: worn cogs, a bent hanger or derailleur, mended, gone since',
    ],
    [
      {
        kind: 'fault',
        at: noon(1, 6),
        fault: 'f',
        bike: 'heron',
        about: 'noise',
        answers: [],
        found: [],
        outcome: 'not-found',
      },
      'Heron, noise, nothing found',
    ],
    [{ kind: 'mishap', at: noon(1, 6), bike: 'heron', what: 'crash' }, 'Heron: a fall or a knock'],
    [
      {
        kind: 'gearing',
        at: noon(1, 6),
        bike: 'heron',
        whatIfs: [{ name: 'a', rings: [42], cogs: [11] }],
      },
      'Heron: gearing, 1 what-if',
    ],
    [springTour, 'Spring tour, 900 km on Heron, rain, from 2026-05-02'],
    [{ kind: 'withdraw', at: noon(1, 6), targets: ['a'] }, '1 entry undone or restored'],
  ])('%#', (draft, said) => {
    const [entry] = written([draft])
    expect(plain(sayEntry(entry as Entry, garage, 'metric'))).toBe(said)
    expect(KIND_WORDS[draft.kind].name).toBeTruthy()
  })

  test('parts by what they are', () => {
    expect(sayPart({ type: 'cassette', teeth: [18], material: 'steel' })).toBe('cog of 18')
    expect(sayPart({ type: 'cassette', teeth: [11, 13], material: 'steel' })).toBe('2 cogs, 11 to 13')
    expect(sayPart({ type: 'pulley', position: 'guide', teeth: 12 })).toBe('guide pulley of 12')
    expect(plain(sayPart({ type: 'joining-link', speeds: 11, closingsAllowed: 1, closedBefore: 0 }))).toBe(
      'joining link, 1 closing allowed',
    )
  })
})

describe('a part by its name', () => {
  test('tells its bike only where another part has the name, and not to one who looks at that bike', () => {
    expect(namePart(garage, 'kite-chain')).toBe('Chain 1 of Kite')
    expect(namePart(garage, 'kite-chain', 'kite')).toBe('Chain 1')
    expect(namePart(alone, 'chain')).toBe('Chain 1')
    expect(namePart(garage, 'gone')).toBe('a part not in the log')
  })
})

describe('an effect in a sentence', () => {
  test.each<readonly [Effect, string]>([
    [
      { what: 'moves', from: 'chain', to: 'kite-chain', km: 212 },
      'This moves 212 km from Chain 1 of Heron to Chain 1 of Kite.',
    ],
    [{ what: 'part-km', part: 'ring', before: 10, after: 20 }, 'Ring 40 goes from 10 km to 20 km.'],
    [{ what: 'bike-km', bike: 'kite', before: 10, after: 20 }, 'Kite goes from 10 km to 20 km.'],
    [
      { what: 'wear-km', part: 'ring', before: 10, after: 40 },
      'Ring 40’s wear counts like 40 km of dry road instead of 10 km.',
    ],
    [{ what: 'on', part: 'ring', bike: 'kite' }, 'Ring 40 is then on Kite.'],
    [{ what: 'on', part: 'ring', bike: undefined }, 'Ring 40 is then on no bike.'],
    [
      { what: 'readings', part: 'ring', before: 2, after: 1 },
      'Ring 40 then has 1 reading that count, not 2.',
    ],
  ])('%#', (effect, said) => {
    expect(plain(sayEffect(effect, garage, 'metric'))).toBe(said)
  })
})

describe('a check in a sentence', () => {
  const said = (finding: FittingCheck['finding']) => plain(sayCheck({ weight: 'stop', finding }, garage))
  test.each<readonly [FittingCheck['finding'], RegExp]>([
    [
      { what: 'worn-chain', percent: 0.82, limit: 0.5 },
      /at 0\.82 %, past its limit of 0\.5 %: it would ruin/,
    ],
    [{ what: 'unmeasured-chain' }, /Measure it first/],
    [{ what: 'open-chain' }, /Measure it again first/],
    [{ what: 'shaped-cogs', p: 0.7 }, /past 0\.9 %: .* keep the old chain/],
    [
      { what: 'worn-teeth', part: 'cassette', word: 'spent', byEyeAlone: true },
      /^Cassette last looked spent/,
    ],
    [
      { what: 'worn-teeth', part: 'ring', word: 'swap', byEyeAlone: true },
      /^Ring 40 last looked ready to swap/,
    ],
    [{ what: 'link-limit', closings: 1, limit: 1 }, /closed 1 time; its maker allows 1\. Take a new one/],
    [{ what: 'speeds', part: 12, bike: 11 }, /made for 12 speeds; this bike has 11/],
    [{ what: 'links', links: 114, before: 116 }, /114 links; the chain on it has 116/],
    [{ what: 'directional' }, /the arrow the way it runs/],
    [{ what: 'unknown-past' }, /measure it before it goes on/],
  ])('%#', (finding, sentence) => {
    expect(said(finding)).toMatch(sentence)
  })
})
