import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { commuter, kite, noon, ride, ruleReading, written } from '../../../test/log.ts'
import type { EntryDraft } from '../log/entries.ts'
import type { PartSpec } from '../log/kinds/part.ts'
import { replay } from '../log/replay.ts'
import { answerOf } from '../../../test/outlook.ts'
import { bikeReport, chainsOfRoad } from './facts/bike-report.ts'
import { effectsOf } from './effects.ts'
import { checksBeforeFitting, closingsOf } from './fitting-checks.ts'
import { mileStrip, rideAtKm, rideIndexAt, roadKmAt } from './mile-strip.ts'

const now = noon(4, 1)

function opened(drafts: readonly EntryDraft[]) {
  const garage = replay(written(drafts))
  const bike = garage.bikes.get('heron')
  if (!bike) throw new Error('the garage has lost its bike')
  const report = bikeReport(garage, bike, now)
  return { garage, report, strip: mileStrip(garage, report, chainsOfRoad(garage, report)) }
}

const chain = (part: string, spec: Partial<Extract<PartSpec, { type: 'chain' }>> = {}): EntryDraft => ({
  kind: 'part',
  at: noon(1, 1),
  part,
  name: part,
  spec: { type: 'chain', links: 116, speeds: 11, past: 'new', ...spec },
})
const fit = (month: number, day: number, part: string, bike = 'heron'): EntryDraft => ({
  kind: 'fit',
  at: noon(month, day),
  part,
  bike,
})
/** 100 km on the first chain, 50 on the second, 30 on the first again. */
const swapped: readonly EntryDraft[] = [
  ...commuter,
  ride(1, 5, 60),
  ride(1, 15, 40),
  ruleReading(1, 16, 305),
  chain('spare'),
  fit(2, 1, 'spare'),
  ride(2, 5, 50),
  fit(3, 1, 'chain'),
  ride(3, 5, 30),
]

describe('the mile strip', () => {
  test('lays chains out where they were ridden, in the order of their first fitting', () => {
    const { strip } = opened(swapped)
    expect(strip.totalKm).toBe(180)
    expect([...strip.edges]).toEqual([0, 60, 100, 150, 180])
    expect(strip.chains.map(({ chain: one }) => one.part.entry.part)).toEqual(['chain', 'spare'])
    const [first, spare] = strip.chains
    // The first chain has two stretches with the spare's fifty kilometres between them.
    expect(new Set(first?.points.map(({ stretch }) => stretch))).toEqual(new Set([0, 1]))
    const ends = (stretch: number) =>
      first?.points.filter((point) => point.stretch === stretch).map(({ km }) => km) ?? []
    expect([Math.min(...ends(0)), Math.max(...ends(0))]).toEqual([0, 100])
    expect([Math.min(...ends(1)), Math.max(...ends(1))]).toEqual([150, 180])
    expect(spare?.points.map(({ km }) => km).sort((a, b) => a - b)).toEqual(
      expect.arrayContaining([100, 150]),
    )
    expect(first?.readings.map(({ km }) => km)).toEqual([100])
  })

  test('has a lane for each kind of part, with hand-overs and the last word of its teeth', () => {
    const cogs: EntryDraft = {
      kind: 'part',
      at: noon(2, 1),
      part: 'cogs-2',
      name: 'Cassette 2',
      spec: { type: 'cassette', teeth: [11, 13, 15], material: 'steel' },
    }
    const { strip } = opened([
      ...swapped,
      { kind: 'look', at: noon(1, 20), part: 'cassette', cog: 13, word: 'watch' },
      { kind: 'look', at: noon(1, 21), part: 'cassette', cog: 15, word: 'good' },
      cogs,
      fit(2, 1, 'cogs-2'),
    ])
    const lane = strip.lanes.find(({ name }) => name === 'cogs')
    expect(
      lane?.spans.map(({ part, from, to, open, word }) => [part.entry.part, from, to, open, word]),
    ).toEqual([
      ['cassette', 0, 100, false, 'watch'],
      ['cogs-2', 100, 180, true, undefined],
    ])
    expect(strip.marks.map(({ kind }) => kind)).toEqual(expect.arrayContaining(['reading', 'look', 'fit']))
    expect(strip.marks.map(({ km }) => km)).toEqual(
      [...strip.marks.map(({ km }) => km)].sort((a, b) => a - b),
    )
  })

  test('two rings at once lie on two lanes', () => {
    const { strip } = opened([
      ...commuter,
      {
        kind: 'part',
        at: noon(1, 1),
        part: 'small',
        name: 'Ring 28',
        spec: { type: 'ring', teeth: 28, material: 'steel' },
      },
      fit(1, 1, 'small'),
      ride(1, 5, 10),
    ])
    const rings = strip.lanes.filter(({ name }) => name === 'ring')
    expect(rings.map(({ spans }) => spans.map(({ part }) => part.entry.name))).toEqual([
      ['Ring 28'],
      ['Ring 40'],
    ])
  })

  test('any place of the road belongs to the ride that passes it', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 80 }), { minLength: 1, maxLength: 40 }), (kms) => {
        const { strip } = opened([
          ...commuter,
          ...kms.map((km, i) => ride(1 + Math.floor(i / 28), 1 + (i % 28), km)),
        ])
        kms.reduce((from, km, i) => {
          expect(rideIndexAt(strip.edges, from)).toBe(i)
          expect(rideAtKm(strip, from + km / 2)).toBe(strip.rides[i])
          const at = strip.rides[i]?.at ?? ''
          expect(roadKmAt(strip, at)).toBeCloseTo(from, 9)
          return from + km
        }, 0)
        expect(rideAtKm(strip, strip.totalKm)).toBeUndefined()
      }),
      { numRuns: 40 },
    )
  })
})

describe('checks before a part goes on', () => {
  const findings = (drafts: readonly EntryDraft[], spec: PartSpec, part?: string) => {
    const { garage, report } = opened(drafts)
    const answer = answerOf(garage, now, report.chain?.part.entry.part)
    return checksBeforeFitting(
      garage,
      { report, answer, teeth: undefined },
      spec,
      part ? garage.parts.get(part) : undefined,
    ).map(({ weight, finding }) => [weight, finding.what])
  }
  const cassette: PartSpec = {
    type: 'cassette',
    teeth: [11, 13, 15, 17, 19, 21, 24, 28, 32, 37, 42],
    material: 'steel',
  }
  const plain: PartSpec = { type: 'chain', links: 116, speeds: 11, past: 'new' }

  test('a worn chain would ruin a new cassette; an unmeasured one might; a fresh one does not', () => {
    const worn = [307.5, 307.5, 307.5].map((length) => ruleReading(3, 20, length))
    expect(findings([...commuter, ride(1, 5, 3000), ...worn], cassette)).toEqual([['stop', 'worn-chain']])
    expect(findings([...commuter, ride(1, 5, 3000)], cassette)).toEqual([['care', 'unmeasured-chain']])
    // One reading of a rule close to the limit settles nothing: the check says what the verdict says.
    expect(findings([...commuter, ride(1, 5, 3000), ruleReading(3, 20, 306.3)], cassette)).toEqual([
      ['care', 'open-chain'],
    ])
    expect(findings([...commuter, ride(1, 5, 100), ruleReading(3, 20, 304.8)], cassette)).toEqual([])
  })

  test('a fresh chain is warned of cogs that the old one shaped, and of teeth seen spent', () => {
    const far = [308.2, 308.2, 308.2].map((length) => ruleReading(3, 20, length))
    expect(findings([...commuter, ride(1, 5, 5000), ...far], plain)).toEqual([['stop', 'shaped-cogs']])
    const spent: EntryDraft = { kind: 'look', at: noon(3, 1), part: 'cassette', cog: 15, word: 'spent' }
    expect(findings([...commuter, spent], plain)).toEqual([['stop', 'worn-teeth']])
    // A chain in rotation is no fresh chain.
    expect(findings([...swapped, spent], plain, 'spare')).toEqual([['stop', 'worn-teeth']])
    expect(findings([...swapped, ride(2, 6, 300), spent], plain, 'spare')).toEqual([])
  })

  test('speeds, links, direction and an unknown past are said, the worst first', () => {
    expect(
      findings(commuter, { ...plain, speeds: 12, links: 114, directional: true, past: 'unknown' }),
    ).toEqual([
      ['stop', 'speeds'],
      ['care', 'links'],
      ['care', 'unknown-past'],
      ['note', 'directional'],
    ])
    expect(findings(commuter, { ...cassette, teeth: [11, 13, 15] })).toContainEqual(['stop', 'speeds'])
    expect(findings(commuter, { type: 'pulley', position: 'guide', teeth: 12 })).toEqual([])
  })

  test('a joining link is counted up to its limit', () => {
    const spec: PartSpec = { type: 'joining-link', speeds: 11, closingsAllowed: 2, closedBefore: 1 }
    const link: EntryDraft = { kind: 'part', at: noon(1, 1), part: 'link', name: 'Link', spec }
    expect(findings([...commuter, link], spec, 'link')).toEqual([])
    const closed = [...commuter, link, fit(1, 2, 'link')]
    expect(closingsOf(opened(closed).garage.parts.get('link') ?? ({} as never))).toBe(2)
    expect(findings(closed, spec, 'link')).toEqual([['stop', 'link-limit']])
    expect(findings(commuter, { ...spec, speeds: 10 })).toEqual([['stop', 'speeds']])
  })
})

describe('what a change would do', () => {
  const after = (...more: EntryDraft[]) => {
    const before = written(swapped)
    const later = written(more, Date.UTC(2027, 0, 1))
    return effectsOf(replay(before), replay([...before, ...later]))
  }
  const fitting = written(swapped).find((entry) => entry.kind === 'fit' && entry.part === 'spare')

  test('another day for a fitting moves distance from one chain to the other', () => {
    expect(after({ ...fit(1, 10, 'spare'), supersedes: fitting?.id ?? '' })).toEqual(
      expect.arrayContaining([{ what: 'moves', from: 'chain', to: 'spare', km: 40 }]),
    )
  })

  test('another distance changes the bike and every part that was on it', () => {
    const effects = after(ride(3, 6, 25))
    expect(effects).toContainEqual({ what: 'bike-km', bike: 'heron', before: 180, after: 205 })
    expect(effects).toContainEqual({ what: 'part-km', part: 'chain', before: 130, after: 155 })
    expect(effects).toContainEqual({ what: 'part-km', part: 'cassette', before: 180, after: 205 })
    expect(effects.some((effect) => 'part' in effect && effect.part === 'spare')).toBe(false)
  })

  test('another condition changes only what the wear counts like', () => {
    const first = written(swapped).find((entry) => entry.kind === 'ride' && entry.km === 50)
    const effects = after({ ...ride(2, 5, 50, { condition: 'mud' }), supersedes: first?.id ?? '' })
    expect(effects.map(({ what }) => what)).toEqual(['wear-km'])
    expect(effects[0]).toMatchObject({ part: 'spare', before: 50 })
  })

  test('a part moved to another bike, and readings moved to another chain, are said', () => {
    expect(after(kite, fit(3, 10, 'chain', 'kite'))).toContainEqual({
      what: 'on',
      part: 'chain',
      bike: 'kite',
    })
    const reading = written(swapped).find(({ kind }) => kind === 'reading')
    const effects = after({
      ...ruleReading(1, 16, 305),
      chain: 'spare',
      supersedes: reading?.id ?? '',
    } as EntryDraft)
    expect(effects).toEqual([
      { what: 'readings', part: 'chain', before: 1, after: 0 },
      { what: 'readings', part: 'spare', before: 0, after: 1 },
    ])
  })

  test('nothing changed is nothing said', () => {
    expect(after()).toEqual([])
  })
})
