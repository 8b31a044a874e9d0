import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { LessonAnswer } from '../log/kinds/lesson.ts'
import { INSTRUMENTS } from '../measure/instruments.ts'
import { densityOf, summariseDensity } from '../measure/posterior.ts'
import type { TakenReading } from '../measure/reading.ts'
import { seededRandom } from '../stats/random.ts'
import { toothWord, TOOTH_WORDS } from '../teeth/tooth-word.ts'
import {
  caliperShown,
  coversJoint,
  LESSON_INSTRUMENTS,
  lengthShown,
  limitShown,
  madeUpChain,
  rightAt,
  shownAs,
  slipsOf,
  SPAN,
  type PutOn,
} from './gauge-lesson.ts'
import { ownError } from './own-error.ts'
import { eyeOf, LEAST_LESSONS, ownEye, ownReading, readerOf } from './rider-skill.ts'
import { FUTURES, madeUpSkip, skipFutures } from './skip-lesson.ts'
import { bestSwap, madeUpSwap, swapOutcomes } from './swap-lesson.ts'
import { madeUpTeeth } from './teeth-lesson.ts'

const RIGHTLY: PutOn = { isTight: true, from: 30, side: 0.5, isPushed: false, besideMm: 0 }
const gauge = (right: number, read: number): LessonAnswer => ({
  about: 'gauge',
  instrument: 'three-contact-scale',
  truth: right,
  right,
  read,
  slips: [],
})
/** Normal scatter without luck: even quantiles in a shuffled order, so that their mean is nothing. */
const EVEN = Array.from({ length: 20 }, (_, i) => Math.sqrt(2) * 1.9 * (((i * 7) % 20) / 9.5 - 1) * 0.62)

describe('a rider’s own error', () => {
  test('a rider who reads 0.05 high is corrected to within 0.02 after 20 lessons, whatever the chains', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.05, max: 1, noNaN: true }), { minLength: 20, maxLength: 20 }),
        fc.double({ min: 0.005, max: 0.04, noNaN: true }),
        fc.constantFrom(-0.05, 0.05),
        (chains, scatter, high) => {
          const lessons = chains.map((right, i) => gauge(right, right + high + scatter * (EVEN[i] ?? 0)))
          const own = ownReading('three-contact-scale', readerOf('three-contact-scale', lessons))
          // The next chain, read by the same rider many times: what is believed of it, with and without School.
          const e = 0.5
          const readings = (bias?: TakenReading['bias'], noise?: number): TakenReading[] =>
            Array.from({ length: 12 }, (_, i) => ({
              reading: { instrument: 'three-contact-scale', percent: e + high + scatter * (EVEN[i] ?? 0) },
              ...(bias && { bias }),
              ...(noise !== undefined && { noise }),
            }))
          const meanOf = (taken: TakenReading[]): number => summariseDensity(densityOf(taken), [0.5]).mean
          const corrected = meanOf(readings(own?.bias, own?.noise))
          expect(Math.abs(corrected - e)).toBeLessThanOrEqual(0.02)
          expect(Math.abs(meanOf(readings()) - e)).toBeGreaterThan(Math.abs(corrected - e))
        },
      ),
      { numRuns: 25 },
    )
  })

  test('without lessons it is nothing, and wide; with each it narrows', () => {
    const prior = { shiftSd: 0.08, spread: 0.04, spreadLogSd: 0.5 }
    const none = ownError([], prior)
    expect(none.shift).toBeCloseTo(0, 9)
    expect(none.shiftSd).toBeCloseTo(0.08, 2)
    const sds = [3, 10, 30].map(
      (count) =>
        ownError(
          Array.from({ length: count }, () => ({ right: 0.5, read: 0.53 })),
          prior,
        ).shiftSd,
    )
    expect([...sds].sort((a, b) => b - a)).toEqual(sds)
    expect(sds[2]).toBeLessThan(0.02)
  })

  test('the spread is learned too: a steady hand from a shaky one', () => {
    const of = (scatter: number) =>
      readerOf(
        'three-contact-scale',
        EVEN.map((one) => gauge(0.5, 0.5 + scatter * one)),
      ).spread
    expect(of(0.01)).toBeLessThan(0.02)
    expect(of(0.12)).toBeGreaterThan(0.08)
  })

  test('a drop-in gauge tells of its reader by its answers alone', () => {
    const answer = (right: number, result: 'drops' | 'clear'): LessonAnswer => ({
      about: 'gauge',
      instrument: 'three-contact-limit',
      truth: right,
      right,
      limit: 0.5,
      result,
      slips: [],
    })
    const heavy = readerOf(
      'three-contact-limit',
      Array.from({ length: 12 }, () => answer(0.42, 'drops')),
    )
    expect(heavy.shift).toBeGreaterThan(0.04)
    expect(readerOf('three-contact-limit', [answer(0.7, 'drops'), answer(0.2, 'clear')]).shift).toBeCloseTo(
      0,
      2,
    )
  })

  test('few lessons are not used', () => {
    const few = Array.from({ length: LEAST_LESSONS - 1 }, () => gauge(0.5, 0.6))
    expect(ownReading('three-contact-scale', readerOf('three-contact-scale', few))).toBeUndefined()
    expect(ownEye(eyeOf([{ about: 'teeth', truth: 0.4, word: 'watch' }]))).toBeUndefined()
  })

  test('an eye that calls good teeth worn is known to, and the table’s own bias stays in what a gauge adds', () => {
    const random = seededRandom(3)
    const lessons = Array.from({ length: 40 }, (): LessonAnswer => {
      const truth = random.between(0, 1.1)
      return { about: 'teeth', truth, word: toothWord(truth + 0.15 + random.normal(0, 0.05)) }
    })
    const eye = ownEye(eyeOf(lessons))
    expect(eye?.shift).toBeGreaterThan(0.09)
    expect(eye?.shift).toBeLessThan(0.2)
    expect(eye?.sd).toBeLessThan(0.15)
    const reader = { shift: 0.03, shiftSd: 0.01, spread: 0.04, lessons: 20 }
    expect(ownReading('two-contact-scale', reader)?.bias.b).toBeCloseTo(0.13, 9)
  })
})

describe('a made-up chain under an instrument', () => {
  test('put on rightly it shows its elongation, its place and what the instrument adds', () => {
    fc.assert(
      fc.property(fc.constantFrom(...LESSON_INSTRUMENTS), fc.nat(10_000), (instrument, seed) => {
        const setup = madeUpChain(instrument, seed)
        const put = { ...RIGHTLY, side: setup.side }
        expect(slipsOf(setup, put)).toEqual([])
        expect(shownAs(setup, put)).toBeCloseTo(rightAt(setup, put.from), 12)
        expect(Math.abs(shownAs(setup, put) - setup.e - setup.toolBias)).toBeLessThan(0.2)
        expect(madeUpChain(instrument, seed)).toEqual(setup)
      }),
    )
  })

  test('hanging slack it reads 0.10 too little; pushed in, too much', () => {
    const setup = madeUpChain('two-contact-scale', 4)
    const put = { ...RIGHTLY, side: setup.side }
    expect(shownAs(setup, { ...put, isTight: false }) - shownAs(setup, put)).toBeCloseTo(-0.1, 9)
    expect(shownAs(setup, { ...put, isPushed: true }) - shownAs(setup, put)).toBeCloseTo(0.08, 9)
    expect(slipsOf(setup, { ...put, isTight: false, isPushed: true })).toEqual(['slack', 'pushed'])
  })

  test('a span over the joining link is seen to be one', () => {
    const setup = madeUpChain('rule', 9)
    expect(coversJoint(setup, 0)).toBe(true)
    expect(coversJoint(setup, 1)).toBe(false)
    expect(coversJoint(setup, -1)).toBe(true)
    expect(coversJoint(setup, setup.links - SPAN.rule)).toBe(false)
    expect(coversJoint(setup, setup.links - SPAN.rule + 1)).toBe(true)
    expect(slipsOf(setup, { ...RIGHTLY, from: -3 })).toEqual(['joining-link'])
  })

  test('a rule beside its pin reads that much longer; the wrong side of a gauge is told', () => {
    const setup = madeUpChain('rule', 9)
    expect(lengthShown(setup, { ...RIGHTLY, besideMm: 1 }) - lengthShown(setup, RIGHTLY)).toBeCloseTo(1, 9)
    expect(slipsOf(setup, { ...RIGHTLY, besideMm: 1 })).toEqual(['crooked'])
    const limit = { ...madeUpChain('two-contact-limit', 2), side: 0.5 }
    expect(slipsOf(limit, { ...RIGHTLY, side: 0.75 })).toEqual(['wrong-side'])
    const long = { ...limit, e: 1, toolBias: 0.1 }
    const fresh = { ...limit, e: 0.1, toolBias: 0.1 }
    expect([limitShown(long, RIGHTLY), limitShown(fresh, RIGHTLY)]).toEqual(['drops', 'clear'])
  })

  test('a caliper’s two readings give the length by their mean, the roller cancelled (methods 1)', () => {
    const setup = madeUpChain('caliper-pair', 12)
    const { insideMm, outsideMm } = caliperShown(setup, RIGHTLY)
    const lengthMm = SPAN['caliper-pair'] * 12.7 * (1 + shownAs(setup, RIGHTLY) / 100)
    expect((insideMm + outsideMm) / 2).toBeCloseTo(lengthMm, 9)
    // Play c = D + (A - B) / 2.
    expect(7.75 + (insideMm - outsideMm) / 2).toBeCloseTo(setup.playMm, 9)
  })

  test('chains are of every length, and the two-contact gauge adds about what the table has', () => {
    const chains = Array.from({ length: 300 }, (_, seed) => madeUpChain('two-contact-scale', seed))
    expect(Math.min(...chains.map(({ e }) => e))).toBeLessThan(0.15)
    expect(Math.max(...chains.map(({ e }) => e))).toBeGreaterThan(0.95)
    const mean = chains.reduce((sum, { toolBias }) => sum + toolBias, 0) / chains.length
    expect(mean).toBeCloseTo(INSTRUMENTS['two-contact-scale'].bias.b, 1)
  })
})

describe('made-up teeth', () => {
  test('are of all words, with shift aids among some, and the same for the same seed', () => {
    const many = Array.from({ length: 200 }, (_, seed) => madeUpTeeth(seed))
    expect(new Set(many.map(({ worn }) => toothWord(worn)))).toEqual(new Set(TOOTH_WORDS))
    expect(many.some(({ aids }) => aids.length > 0)).toBe(true)
    expect(
      many.every(({ excessMm, worn }) => excessMm.every((mm) => mm >= 0 && mm <= 0.8 * worn * 1.7 + 1e-9)),
    ).toBe(true)
    expect(madeUpTeeth(17)).toEqual(many[17])
  })
})

describe('will it skip', () => {
  test('a hundred futures come to about the chance that the app gives', () => {
    for (let seed = 1; seed < 25; seed++) {
      const story = madeUpSkip(seed)
      const { skipped, p } = skipFutures(story)
      expect(skipped).toHaveLength(FUTURES)
      const share = skipped.filter(Boolean).length / FUTURES
      expect(Math.abs(share - p)).toBeLessThan(4 * Math.sqrt((p * (1 - p)) / FUTURES) + 0.02)
    }
  })

  test('teeth that look worse, and a chain run longer, skip more', () => {
    const many = Array.from({ length: 300 }, (_, seed) => madeUpSkip(seed)).map((story) => ({
      story,
      p: skipFutures(story).p,
    }))
    const mean = (of: typeof many): number => of.reduce((sum, { p }) => sum + p, 0) / of.length
    const looks = (word: string) => many.filter(({ story }) => story.look === word && story.nextChain === 0)
    expect(mean(looks('spent'))).toBeGreaterThan(mean(looks('watch')))
    expect(mean(looks('watch'))).toBeGreaterThan(mean(looks('good')))
    const [used, fresh] = [
      many.filter(({ story }) => story.nextChain > 0),
      many.filter(({ story }) => story.nextChain === 0),
    ]
    expect(mean(used)).toBeLessThan(mean(fresh))
  })
})

describe('swap or ride on', () => {
  test('every choice meets the same hundred futures, and the best is the cheapest that does not slip too often', () => {
    const outcomes = swapOutcomes(madeUpSwap(5))
    expect(outcomes.map(({ choice }) => choice)).toEqual(['swap-now', 'ride-on', 'run-out'])
    expect(swapOutcomes(madeUpSwap(5))).toEqual(outcomes)
    const best = bestSwap(outcomes)
    const safe = outcomes.filter(({ skips }) => skips <= 1)
    expect(best?.mean).toBe(Math.min(...safe.map(({ mean }) => mean)))
    expect(bestSwap(outcomes.map((one, i) => ({ ...one, skips: 2 + i })))?.choice).toBe('swap-now')
    expect(bestSwap([])).toBeUndefined()
  })

  test('early is best where the cassette is dear and its teeth are fresh, late where cogs are cheap and gone', () => {
    const story = { ...madeUpSwap(1), rate: 0.2, limit: 0.5, readSd: 0.04 }
    const dear = { ...story, read: 0.8, cogsWorn: 0.3, chainPrice: 25, cassettePrice: 220, chainsBefore: 0 }
    const cheap = { ...story, read: 0.9, cogsWorn: 0.85, chainPrice: 40, cassettePrice: 30, chainsBefore: 3 }
    expect(bestSwap(swapOutcomes(dear))?.choice).toBe('swap-now')
    expect(bestSwap(swapOutcomes(cheap))?.choice).toBe('run-out')
  })

  test('not always the same is best', () => {
    const best = Array.from({ length: 30 }, (_, seed) => bestSwap(swapOutcomes(madeUpSwap(seed + 1)))?.choice)
    expect(new Set(best).size).toBe(3)
  })
})
