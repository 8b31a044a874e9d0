import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { rankingOf, readyFor, testsLeft, weigh } from './infer.ts'
import { chancesOf, type Finding, type Network } from './network.ts'
import { rankBySigns, SIGNS, type CauseGroup, type Sign } from './signs.ts'
import type { ShiftCause } from './causes.ts'
import { SHIFTING, type ShiftFinding } from './shifting-network.ts'

/** Two causes, one sign with a false alarm, and one question that has always an answer: small enough for paper. */
const SMALL = {
  causes: { cold: { rate: 0.2 }, wet: { rate: 0.1 } },
  findings: {
    cough: {
      way: 'hand',
      minutes: 1,
      values: ['yes', 'no'],
      normal: 'no',
      otherwise: { yes: 0.1 },
      rows: { cold: { yes: 0.8 }, wet: { yes: 0.5 } },
    },
    when: {
      way: 'hand',
      minutes: 1,
      values: ['day', 'night'],
      otherwise: { day: 0.5, night: 0.5 },
      rows: { cold: { day: 0.1, night: 0.9 } },
    },
  },
} as const satisfies Network<string, string>
type SmallCause = keyof (typeof SMALL)['causes']
type SmallFinding = keyof (typeof SMALL)['findings']
const small = readyFor<SmallCause, SmallFinding>(SMALL, new Set())
const RATES = { cold: 0.2, wet: 0.1 }
const of = (answers: Parameters<typeof weigh<SmallCause, SmallFinding>>[2]) =>
  Object.fromEntries(rankingOf(small, weigh(small, RATES, answers)).causes.map(({ cause, p }) => [cause, p]))

describe('chances of what is found', () => {
  const { cough, when } = SMALL.findings
  test('causes show themselves independently of one another: a noisy or, by hand', () => {
    expect(chancesOf<SmallCause>(cough, [])).toEqual([expect.closeTo(0.1, 12), expect.closeTo(0.9, 12)])
    expect(chancesOf<SmallCause>(cough, ['cold'])[1]).toBeCloseTo(0.9 * 0.2, 12)
    expect(chancesOf<SmallCause>(cough, ['cold', 'wet'])[1]).toBeCloseTo(0.9 * 0.2 * 0.5, 12)
  })

  test('where there is always an answer, those that have a word on it give it', () => {
    expect(chancesOf<SmallCause>(when, ['wet'])).toEqual([0.5, 0.5])
    expect(chancesOf<SmallCause>(when, ['cold', 'wet'])).toEqual([
      expect.closeTo(0.1, 12),
      expect.closeTo(0.9, 12),
    ])
  })

  test('of every finding in the network they sum to one, whatever is true', () => {
    const causes = Object.keys(SHIFTING.causes) as ShiftCause[]
    const findings: readonly Finding<ShiftCause>[] = Object.values(SHIFTING.findings)
    fc.assert(
      fc.property(fc.subarray(causes, { maxLength: 4 }), (set) => {
        for (const finding of findings) {
          const chances = chancesOf(finding, set)
          expect(chances.reduce((sum, p) => sum + p, 0)).toBeCloseTo(1, 9)
          expect(chances.every((p) => p >= 0 && p <= 1)).toBe(true)
        }
      }),
    )
  })
})

describe('what is behind it', () => {
  test('by hand: one cause alone, the other alone, both, and neither', () => {
    // Odds 0.25 and 1/9; both at once a fifth of their product; neither 0.04 of all. Times what each set says of a cough.
    const [cold, wet, both] = [0.25, 1 / 9, 0.2 * 0.25 * (1 / 9)]
    const some = 0.96 / (cold + wet + both)
    const weights = [0.04 * 0.1, some * cold * 0.82, some * wet * 0.55, some * both * 0.91]
    const total = weights.reduce((sum, one) => sum + one, 0)
    const { cold: p } = of({ cough: 'yes' })
    expect(p).toBeCloseTo(((weights[1] ?? 0) + (weights[3] ?? 0)) / total, 9)
  })

  test('two answers to one question at once leave it as it was', () => {
    expect(of({ when: ['day', 'night'] })).toEqual({
      cold: expect.closeTo(of({})['cold'] ?? 0, 9),
      wet: expect.closeTo(of({})['wet'] ?? 0, 9),
    })
  })

  test('a half-hearted answer moves less than a firm one', () => {
    const [none, half, firm] = [of({}), of({ when: { night: 1, day: 0.5 } }), of({ when: 'night' })]
    expect(half['cold']).toBeGreaterThan(none['cold'] ?? 1)
    expect(half['cold']).toBeLessThan(firm['cold'] ?? 0)
  })

  test('an answer that nobody knows changes nothing', () => {
    expect(of({ when: 'noon' })).toEqual(of({}))
  })

  test('a test is worth the bits that it takes off, by hand for one cause and a sure test', () => {
    const sure = readyFor(
      {
        causes: { it: { rate: 0.5 } },
        findings: {
          look: {
            way: 'eye',
            minutes: 0,
            values: ['yes', 'no'],
            normal: 'no',
            otherwise: {},
            rows: { it: { yes: 1 } },
          },
        },
      } satisfies Network<string, string>,
      new Set(),
    )
    const ranking = rankingOf(sure, weigh(sure, { it: 0.5 }, {}))
    // 0.96 that it is, 0.04 that it is something else: 0.2423 bits, all of which a sure test takes.
    expect(testsLeft(sure, ranking, {}, () => false)[0]?.gain).toBeCloseTo(0.2423, 4)
  })
})

describe('the network of slips and skips', () => {
  test('has no value or cause that is not its own', () => {
    const findings: readonly Finding[] = Object.values(SHIFTING.findings)
    for (const { values, rows, otherwise, normal } of findings) {
      for (const [cause, chances] of Object.entries(rows as Record<string, Record<string, number>>)) {
        expect(Object.keys(SHIFTING.causes)).toContain(cause)
        expect(Object.keys(chances).every((value) => values.includes(value) && value !== normal)).toBe(true)
      }
      const usual = Object.values(otherwise).reduce((sum, p) => sum + p, 0)
      if (normal === undefined) expect(usual).toBeCloseTo(1, 9)
      else expect(usual).toBeLessThan(0.35)
    }
  })

  // Thirty stories, told from what mechanics know of when it happens.
  const STORIES: readonly (readonly [CauseGroup, readonly Sign[]])[] = [
    ['worn-cogs', ['under-load-only', 'small-cogs-only', 'after-new-chain', 'gauge-fresh']],
    ['worn-cogs', ['under-load-only', 'small-cogs-only', 'hooked-teeth']],
    ['worn-cogs', ['under-load-only', 'one-cog-only', 'after-new-chain']],
    ['worn-cogs', ['after-new-chain', 'small-cogs-only']],
    ['worn-cogs', ['hooked-teeth', 'gauge-fresh', 'under-load-only']],
    ['worn-chain', ['under-load-only', 'all-cogs', 'gauge-past-limit']],
    ['worn-chain', ['gauge-past-limit', 'under-load-only']],
    ['worn-chain', ['after-new-cassette', 'gauge-past-limit']],
    ['worn-chain', ['after-new-cassette', 'under-load-only', 'all-cogs']],
    ['worn-ring', ['once-per-crank-turn', 'under-load-only', 'all-cogs']],
    ['worn-ring', ['once-per-crank-turn', 'under-load-only', 'gauge-fresh']],
    ['worn-ring', ['under-load-only', 'all-cogs', 'gauge-fresh', 'after-new-chain', 'once-per-crank-turn']],
    ['stiff-link', ['once-per-chain-turn']],
    ['stiff-link', ['once-per-chain-turn', 'light-pedalling-too', 'after-new-chain']],
    ['stiff-link', ['once-per-chain-turn', 'rusty-links', 'small-cogs-only']],
    ['stiff-link', ['rusty-links', 'once-per-chain-turn', 'chain-moves-between-cogs']],
    ['indexing', ['light-pedalling-too', 'chain-moves-between-cogs']],
    ['indexing', ['slow-shift-one-way', 'light-pedalling-too']],
    ['indexing', ['after-wheel-change', 'chain-moves-between-cogs']],
    ['indexing', ['chain-moves-between-cogs', 'all-cogs', 'gauge-fresh']],
    ['indexing', ['slow-shift-one-way']],
    ['bent-hanger', ['after-crash', 'chain-moves-between-cogs']],
    ['bent-hanger', ['after-crash', 'pulleys-off-line']],
    ['bent-hanger', ['after-crash', 'pulleys-off-line', 'slow-shift-one-way', 'light-pedalling-too']],
    ['cage-routing', ['grinding-at-cage', 'after-new-chain']],
    ['cage-routing', ['grinding-at-cage', 'light-pedalling-too', 'all-cogs']],
    ['mismatched-parts', ['mixed-makes-of-shifter-and-derailleur', 'chain-moves-between-cogs']],
    ['frame-flex', ['standing-climbs-only', 'chain-moves-between-cogs']],
    ['frame-flex', ['standing-climbs-only', 'under-load-only', 'gauge-fresh', 'once-per-crank-turn']],
    ['freehub', ['pedals-spin-forward-freely', 'under-load-only', 'all-cogs']],
  ]

  test('names the cause of thirty stories', () => {
    const wrong = STORIES.filter(([cause, seen]) => rankBySigns(seen).ranked[0]?.cause !== cause)
    expect(wrong).toEqual([])
    expect(STORIES).toHaveLength(30)
  })

  test('with nothing seen the commonest fault comes first, and every cause has some chance', () => {
    const { ranked } = rankBySigns([])
    expect(ranked[0]?.cause).toBe('indexing')
    expect(ranked.every(({ p }) => p > 0.005)).toBe(true)
  })

  test('signs that contradict one another count for neither', () => {
    const p = (seen: readonly Sign[]) =>
      Object.fromEntries(rankBySigns(seen).ranked.map(({ cause, p: chance }) => [cause, chance]))
    const [both, neither] = [p(['under-load-only', 'light-pedalling-too']), p([])]
    for (const [cause, chance] of Object.entries(neither)) expect(both[cause]).toBeCloseTo(chance, 9)
  })

  test('whatever is seen, the chances are chances, and no test by riding is proposed under load', () => {
    fc.assert(
      fc.property(fc.subarray([...SIGNS]), (seen) => {
        const { ranked, nextTest } = rankBySigns([...seen, 'under-load-only'])
        expect(ranked.every(({ p }) => p >= 0 && p <= 1)).toBe(true)
        const way = nextTest && SHIFTING.findings[nextTest as ShiftFinding].way
        expect(way).not.toBe('ride')
      }),
      { numRuns: 60 },
    )
  })
})
