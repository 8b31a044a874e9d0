import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { baseRates, type FaultFacts } from './base-rates.ts'
import { cogsSaid } from './cogs-said.ts'
import {
  complaintAnswers,
  COMPLAINTS,
  contradictions,
  movedBy,
  searchOn,
  searchWithout,
  viewOf,
  type AnyCause,
  type AnyFinding,
  type FaultView,
  type Search,
} from './finder.ts'
import type { Answers } from './infer.ts'
import { SHIFTING } from './shifting-network.ts'

const HAS = new Set(['derailleur', 'cable', 'two-rings', 'disc'] as const)
const NOTHING: FaultFacts = { has: HAS, foundHere: [], foundElsewhere: [] }
const chanceOf = ({ ranking }: FaultView, cause: AnyCause): number =>
  ranking.causes.find((one) => one.cause === cause)?.p ?? 0
const first = (search: Search, given: Answers<AnyFinding>): AnyCause | undefined =>
  viewOf(search, given).ranking.causes[0]?.cause

describe('what the log knows', () => {
  test('with nothing known the rates are as they are everywhere', () => {
    const { rates, moved, known } = baseRates(NOTHING)
    expect(moved).toEqual([])
    expect(known).toEqual({})
    expect(rates['worn-chain']).toBeCloseTo(SHIFTING.causes['worn-chain'].rate, 12)
  })

  test('the chance of worn cogs is Teeth’s, and what Teeth knows is not counted twice', () => {
    const risk = 0.6
    const facts: FaultFacts = {
      ...NOTHING,
      cogRisks: [
        { teeth: 11, p: risk },
        { teeth: 13, p: 0.1 },
      ],
    }
    const bare = baseRates(facts)
    expect(bare.rates['worn-cogs']).toBeCloseTo(risk, 9)
    // A fresh chain is known to Teeth already: with what the log answers, it comes to the same again.
    const fresh = baseRates({ ...facts, kmOnChain: 40 })
    expect(fresh.known['new-chain']).toBe('yes')
    expect(fresh.rates['worn-cogs']).toBeLessThan(risk)
    expect(fresh.moved.find(({ cause }) => cause === 'worn-cogs')?.to).toBeCloseTo(risk, 9)
  })

  test('a chain past its limit speaks for the chain, one that is fresh for the cogs', () => {
    const at = (chainPast: number, chainFresh: number) =>
      viewOf(searchOn('shifting', { ...NOTHING, chainPast, chainFresh }), { load: 'hard-only' })
    expect(chanceOf(at(0.97, 0), 'worn-chain')).toBeGreaterThan(0.6)
    expect(chanceOf(at(0, 0.97), 'worn-chain')).toBeLessThan(0.05)
    expect(chanceOf(at(0, 0.97), 'worn-cogs')).toBeGreaterThan(chanceOf(at(0.97, 0), 'worn-cogs'))
  })

  test('rain since the lube, lube that is overdue and a link closed too often speak for a stiff link', () => {
    const p = (more: Partial<FaultFacts>) => baseRates({ ...NOTHING, ...more }).rates['stiff-link']
    const usual = p({})
    expect(p({ lubeUsed: 0.5, wetRidesSinceLube: 3 })).toBeGreaterThan(2 * usual)
    expect(p({ lubeUsed: 1.2 })).toBeGreaterThan(usual)
    expect(p({ isLinkOverused: true })).toBeGreaterThan(2 * usual)
    expect(baseRates({ ...NOTHING, lubeUsed: 0.1 }).rates['dry-chain']).toBeLessThan(
      SHIFTING.causes['dry-chain'].rate,
    )
  })

  test('what was found before is likelier, here more than elsewhere, and everything else a little less', () => {
    const found = (here: number, elsewhere: number) =>
      baseRates({
        ...NOTHING,
        foundHere: Array<'bent-hanger'>(here).fill('bent-hanger'),
        foundElsewhere: Array<'bent-hanger'>(elsewhere).fill('bent-hanger'),
      }).rates
    // Ours counts for twelve: (12 x 0.09 + 2) / 14.
    expect(found(2, 0)['bent-hanger']).toBeCloseTo((12 * 0.09 + 2) / 14, 9)
    expect(found(0, 2)['bent-hanger']).toBeCloseTo((12 * 0.09 + 1) / 13, 9)
    expect(found(2, 0)['worn-chain']).toBeLessThan(0.1)
  })

  test('a fall that was noted, cogs that slipped on the road, a stiff link and a wrong chain are answers', () => {
    const { known } = baseRates({
      ...NOTHING,
      hadCrash: true,
      hadWheelChange: true,
      hasStiffLink: true,
      isMismatched: true,
      slippedOn: { cogs: [11], of: [11, 13, 15, 17] },
      kmOnCassette: 5000,
    })
    expect(known).toEqual({
      crash: 'yes',
      'wheel-change': 'yes',
      links: 'one-stays',
      belongs: 'mixed',
      slips: 'yes',
      cogs: 'one',
      'new-cassette': 'no',
    })
  })

  test('rates are chances, whatever the log says', () => {
    const p = fc.double({ min: 0, max: 1, noNaN: true })
    fc.assert(
      fc.property(
        p,
        p,
        p,
        fc.double({ min: 0, max: 9, noNaN: true }),
        fc.nat(40),
        (past, fresh, risk, lube, wet) => {
          const { rates } = baseRates({
            ...NOTHING,
            chainPast: past * (1 - fresh),
            chainFresh: fresh,
            cogRisks: [{ teeth: 11, p: risk }],
            lubeUsed: lube,
            wetRidesSinceLube: wet,
          })
          for (const rate of Object.values(rates)) {
            expect(rate).toBeGreaterThan(0)
            expect(rate).toBeLessThan(1)
          }
        },
      ),
    )
  })
})

describe('a search', () => {
  const search = searchWithout('shifting', HAS)
  test('an answer given takes the place of what the log says, and can be taken back', () => {
    const known = searchOn('shifting', { ...NOTHING, hadCrash: true })
    expect(chanceOf(viewOf(known, {}), 'bent-hanger')).toBeGreaterThan(
      chanceOf(viewOf(known, { crash: 'no' }), 'bent-hanger'),
    )
    expect(viewOf(known, {})).toEqual(viewOf(known, { crash: 'yes' }))
  })

  test('says what each answer moved, the most first', () => {
    const [most] = movedBy(search, { slips: 'yes', 'pulley-line': 'slanted' }, 'pulley-line')
    expect(most?.cause).toBe('bent-hanger')
    expect(most?.to).toBeGreaterThan(most?.from ?? 1)
    const fromLog = searchOn('shifting', { ...NOTHING, hadCrash: true })
    expect(movedBy(fromLog, {}, 'crash')[0]?.cause).toBe('bent-hanger')
  })

  test('a suspected skip is never tested by riding; where nothing may skip, riding comes last', () => {
    expect(viewOf(search, { slips: 'yes' }).next.some(({ finding }) => finding === 'climb')).toBe(false)
    expect(viewOf(search, { slips: 'yes' }).mayThrow).toBe(true)
    const flex: Answers<AnyFinding> = {
      standing: 'yes',
      jumps: 'yes',
      slips: 'no',
      gauge: 'between',
      'hooked-teeth': 'even',
      'ring-teeth': 'even',
      'laid-chain': 'sits',
      'freehub-hold': 'holds',
      'freehub-feel': 'smooth',
      links: 'bend',
      teeth: 'whole',
      'ring-lift': 'little',
      load: 'light-too',
    }
    const { mayThrow, next } = viewOf(search, flex)
    expect(mayThrow).toBe(false)
    expect(next.at(-1)?.finding).toBe('climb')
  })

  test('the next test is quick and safe rather than the most telling one', () => {
    const { next } = viewOf(search, { jumps: 'yes', load: 'light-too' })
    const worth = next.map((one) => one.worth)
    expect(worth).toEqual([...worth].sort((a, b) => b - a))
    expect(search.ready.network.findings[next[0]?.finding ?? 'climb'].way).not.toBe('ride')
  })

  test('a complaint that was not tapped speaks a little against it, once one was', () => {
    expect(complaintAnswers([])).toEqual({})
    const given = complaintAnswers(['slips'])
    expect(Object.keys(given)).toEqual([...COMPLAINTS])
    expect(chanceOf(viewOf(search, given), 'cable-friction')).toBeLessThan(
      chanceOf(viewOf(search, { slips: 'yes' }), 'cable-friction'),
    )
  })

  test('a bike with one cog and no derailleur has no hanger to bend', () => {
    const single = searchWithout('shifting', new Set())
    const causes = viewOf(single, { slips: 'yes' }).ranking.causes.map(({ cause }) => cause)
    expect(causes).not.toContain('bent-hanger')
    expect(causes).not.toContain('electronics')
    expect(causes).toContain('freehub')
    expect(single.ready.findings).not.toContain('barrel')
    expect(searchWithout('shifting', new Set(['derailleur', 'electric'])).ready.causes).toContain(
      'electronics',
    )
  })

  test('never under load and only standing contradict one another, and are shown', () => {
    expect(contradictions({ load: 'light-too', standing: 'yes' })).toEqual([
      { findings: ['load', 'standing'] },
    ])
    expect(contradictions({ load: ['light-too', 'hard-only'] })).toEqual([{ findings: ['load', 'load'] }])
    expect(contradictions({ load: 'hard-only', standing: 'yes' })).toEqual([])
  })
})

describe('noises', () => {
  const noise = searchWithout('noise', HAS)
  test.each<readonly [AnyCause, Answers<AnyFinding>]>([
    ['seat-post', { sound: 'creak', seated: 'only-seated', 'post-greased': 'quiet' }],
    [
      'saddle',
      {
        sound: 'creak',
        seated: 'only-seated',
        weather: 'dry',
        felt: 'saddle',
        'stand-coasting': 'noise',
        'post-greased': 'same',
      },
    ],
    ['dry-chain', { sound: 'chirp', weather: 'after-rain', pedalling: 'only-pedalling' }],
    ['rotor', { sound: 'rub', rhythm: 'wheel', pedalling: 'coasting-too' }],
    ['headset', { sound: 'knock', braking: 'yes', 'front-rocked': 'moves' }],
    ['stem', { sound: 'creak', bars: 'yes', seated: 'only-standing' }],
    ['pads', { sound: 'squeal', braking: 'yes' }],
    [
      'bottom-bracket',
      {
        rhythm: 'crank',
        pedalling: 'only-pedalling',
        'crank-pushed': 'moves',
        felt: 'pedals',
        sound: 'creak',
        'one-foot': 'quiet',
        'bolts-felt': 'tight',
      },
    ],
    ['spokes', { sound: 'click', rhythm: 'wheel', 'spokes-squeezed': 'loose' }],
    ['pedals', { sound: 'click', felt: 'pedals', rhythm: 'crank', 'one-foot': 'noise' }],
  ])('%s by how it sounds and when', (cause, given) => {
    expect(first(noise, given)).toBe(cause)
  })

  test('lube that is overdue speaks for the chain', () => {
    const overdue = searchOn('noise', { ...NOTHING, lubeUsed: 1.4 })
    expect(chanceOf(viewOf(overdue, {}), 'dry-chain')).toBeGreaterThan(
      chanceOf(viewOf(noise, {}), 'dry-chain'),
    )
    expect(overdue.moved).toHaveLength(1)
  })

  test('rim brakes have no rotor that rubs', () => {
    expect(searchWithout('noise', new Set()).ready.causes).not.toContain('rotor')
  })
})

describe('which cogs', () => {
  const COGS = [11, 13, 15, 17, 19, 21, 24, 28]
  test.each<readonly [readonly number[], ReturnType<typeof cogsSaid>]>([
    [[], undefined],
    [[15], 'one'],
    [[11, 13], 'small'],
    [[24, 28], 'large'],
    [[11, 28], 'all'],
    [COGS, 'all'],
    [[12], undefined],
    [[12, 15], 'one'],
  ])('%j is %s', (tapped, said) => {
    expect(cogsSaid(tapped, COGS)).toBe(said)
  })

  test('the only cog is all of them', () => {
    expect(cogsSaid([18], [18])).toBe('all')
  })
})
