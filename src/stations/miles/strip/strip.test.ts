import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { commuter, noon, ride, ruleReading, written } from '../../../../test/log.ts'
import type { EntryDraft } from '../../../core/log/entries.ts'
import { replay } from '../../../core/log/replay.ts'
import { bikeReport, chainsOfRoad } from '../../../core/strategy/facts/bike-report.ts'
import { mileStrip, type StripMark } from '../../../core/strategy/mile-strip.ts'
import { answerOf } from '../../../../test/outlook.ts'
import { pegsOf } from '../../../ui/charts/pegs.ts'
import { frameFor, kmOfX, xOfKm, yOfPercent } from '../../../ui/road/frame.ts'
import type { StripPicture } from '../../../ui/road/picture.ts'
import { addressOf, markFinder } from './mark-places.ts'
import { sayMarks, sayPlace } from './say-place.ts'
import { stripKeys } from './use-strip.ts'
import { clampView, panView, rulerStep, viewWith, zoomView } from '../../../ui/road/view.ts'

const roads = fc.record({
  end: fc.double({ min: 20, max: 60_000, noNaN: true }),
  from: fc.double({ min: 0, max: 1, noNaN: true }),
  to: fc.double({ min: 0, max: 1, noNaN: true }),
})
const viewOf = ({ end, from, to }: { end: number; from: number; to: number }) =>
  clampView({ from: Math.min(from, to) * end, to: Math.max(from, to) * end }, end)

describe('the view along the road', () => {
  test('stays on the road, whatever is done to it', () => {
    fc.assert(
      fc.property(
        roads,
        fc.double({ min: 0.05, max: 20, noNaN: true }),
        fc.double({ min: -1e5, max: 1e5, noNaN: true }),
        (road, times, by) => {
          const view = viewOf(road)
          const { end } = road
          for (const seen of [view, zoomView(view, by, times, end), panView(view, by, end)]) {
            expect(seen.from).toBeGreaterThanOrEqual(-1e-6)
            expect(seen.to).toBeLessThanOrEqual(end + 1e-6)
            expect(seen.to - seen.from).toBeGreaterThan(0)
          }
        },
      ),
    )
  })

  test('zooming keeps the place under the finger where it is, off the ends of the road', () => {
    const view = { from: 1000, to: 2000 }
    const closer = zoomView(view, 1250, 0.5, 10_000)
    expect(closer).toEqual({ from: 1125, to: 1625 })
    expect((1250 - closer.from) / (closer.to - closer.from)).toBeCloseTo(0.25, 12)
    expect(zoomView(closer, 1250, 2, 10_000)).toEqual(view)
    expect(zoomView(view, 1250, 1e-9, 10_000)).toMatchObject({ from: 1248, to: 1256 })
  })

  test('moving keeps the width; a place out of sight is brought in with some road about it', () => {
    expect(panView({ from: 0, to: 100 }, 1e9, 500)).toEqual({ from: 400, to: 500 })
    expect(viewWith({ from: 0, to: 100 }, 50, 500)).toEqual({ from: 0, to: 100 })
    expect(viewWith({ from: 0, to: 100 }, 300, 500)).toEqual({ from: 208, to: 308 })
    expect(viewWith({ from: 300, to: 400 }, 200, 500)).toEqual({ from: 192, to: 292 })
  })

  test('the ruler steps by 1, 2 or 5 and does not crowd', () => {
    fc.assert(
      fc.property(fc.double({ min: 1e-3, max: 1e3, noNaN: true }), (perPx) => {
        const step = rulerStep(perPx, 60)
        expect(step / perPx).toBeGreaterThanOrEqual(60 * (1 - 1e-9))
        expect(step / perPx).toBeLessThan(60 * 2.5 * (1 + 1e-9))
        const lead = step / 10 ** Math.floor(Math.log10(step) + 1e-9)
        expect([1, 2, 5].some((one) => Math.abs(lead - one) < 1e-6)).toBe(true)
      }),
    )
  })
})

describe('the frame', () => {
  test('places and pixels are each other’s inverse', () => {
    fc.assert(
      fc.property(roads, fc.integer({ min: 300, max: 2000 }), (road, width) => {
        const frame = frameFor(width, { lanes: [], chainLanes: [] }, 1)
        const view = viewOf(road)
        for (const x of [frame.left, (frame.left + frame.right) / 2, frame.right])
          expect(xOfKm(frame, view, kmOfX(frame, view, x))).toBeCloseTo(x, 6)
      }),
    )
  })

  test('grows by a lane for each kind of part, and is tighter on a phone', () => {
    const lanes = [
      { name: 'cogs', spans: [] },
      { name: 'ring', spans: [] },
    ] as const
    const [one, two] = [
      frameFor(1200, { lanes: lanes.slice(0, 1), chainLanes: [] }, 1),
      frameFor(1200, { lanes: [...lanes], chainLanes: [] }, 1),
    ]
    expect(two.height - one.height).toBe(36)
    expect(frameFor(390, { lanes: [], chainLanes: [] }, 1)).toMatchObject({ narrow: true, left: 46 })
    expect(yOfPercent(one, 0)).toBe(one.curveBottom)
    expect(yOfPercent(one, 7)).toBe(one.curveTop)
  })
})

describe('marks under a pointer', () => {
  const look = (cog: number): EntryDraft => ({
    kind: 'look',
    at: noon(2, 7),
    part: 'cassette',
    cog,
    word: 'good',
  })
  const garage = replay(
    written([
      ...commuter,
      ride(1, 5, 300),
      ruleReading(1, 6, 305),
      ruleReading(1, 6, 305.25),
      ruleReading(1, 6, 305.5),
      { kind: 'wash', at: noon(1, 6), chain: 'chain', method: 'wipe', lube: 'wet-lube' },
      ride(2, 5, 200),
      ...[11, 13, 15].map(look),
    ]),
  )
  const bike = garage.bikes.get('heron')
  if (!bike) throw new Error('the garage has lost its bike')
  const strip = mileStrip(
    garage,
    bikeReport(garage, bike, noon(4, 1)),
    chainsOfRoad(garage, bikeReport(garage, bike, noon(4, 1))),
  )
  const picture: StripPicture = {
    strip,
    limit: 0.5,
    chains: strip.chains.map((chain) => ({
      strip: chain,
      answer: undefined,
      pegs: pegsOf(
        chain.readings.map(({ state }) => state),
        new Map(),
        () => 300,
      ),
    })),
    perUnit: 1,
    unit: 'km',
    sayLane: () => '',
  }
  const frame = frameFor(1200, strip, 1)
  const view = { from: 0, to: 500 }
  const find = markFinder(picture, frame)
  const at = xOfKm(frame, view, 300)
  const found = (x: number, y: number) => find(view, x, y).map(({ kind }) => kind)

  test('each of three readings of one look is found where its own peg stands', () => {
    const inCurve = (frame.curveTop + frame.curveBottom) / 2
    const entries = [0, 1, 2].map((beside) => find(view, at - 9 * beside, inCurve))
    expect(entries.map(({ length }) => length)).toEqual([1, 1, 1])
    expect(new Set(entries.flat().map(({ entry }) => entry)).size).toBe(3)
    expect(found(at + 40, inCurve)).toEqual([])
  })

  test('the band tells a wash from the readings above it, and a lane its looks', () => {
    expect(found(at + 3, frame.washY)).toEqual(['wash'])
    const cogs = frame.laneY[strip.lanes.findIndex(({ name }) => name === 'cogs')] ?? 0
    expect(found(xOfKm(frame, view, 500), cogs)).toEqual(['look', 'look', 'look'])
    expect(found(frame.left, cogs)).toEqual(['fit'])
    expect(found(frame.left, frame.curveTop - 6)).toEqual(['fit'])
  })

  test('one opens its entry, several the log about their part on their days', () => {
    const [wash] = find(view, at, frame.washY)
    expect(addressOf(wash ? [wash] : [])).toBe(`/log?entry=${wash?.entry}`)
    const cogs = frame.laneY[strip.lanes.findIndex(({ name }) => name === 'cogs')] ?? 0
    expect(addressOf(find(view, xOfKm(frame, view, 500), cogs))).toBe(
      '/log?about=cassette&from=2026-02-07&to=2026-02-07',
    )
    expect(addressOf([])).toBeUndefined()
  })

  test('keys walk to every one, however many stand at one place', () => {
    const walked: string[] = []
    let marks: readonly StripMark[] = []
    const press = () => {
      const standing = {
        view,
        cursor: marks[0]?.km ?? -1,
        marks,
        setView: () => undefined,
        stand: () => undefined,
        go: () => undefined,
        standOn: (mark: StripMark | undefined) => {
          if (!mark) return
          marks = [mark]
          walked.push(mark.entry)
        },
      }
      stripKeys(
        strip,
        standing,
        500,
        () => undefined,
      )({
        key: 'ArrowRight',
        shiftKey: true,
        preventDefault: () => undefined,
      } as never)
    }
    for (let i = 0; i < strip.marks.length + 2; i++) press()
    expect(walked).toEqual(strip.marks.map(({ entry }) => entry))
  })
})

describe('a place in a sentence', () => {
  const now = noon(4, 1)
  const garage = replay(
    written([
      ...commuter,
      ride(1, 5, 300),
      ride(2, 5, 200, { condition: 'mud' }),
      ruleReading(2, 6, 305.5),
      ruleReading(2, 6, 305.5),
      { kind: 'remove', at: noon(3, 1), part: 'chain', to: 'shelf' },
      ride(3, 5, 40),
      { kind: 'fit', at: noon(3, 10), part: 'chain', bike: 'heron' },
      ride(3, 15, 60),
    ]),
  )
  const bike = garage.bikes.get('heron')
  if (!bike) throw new Error('the garage has lost its bike')
  const report = bikeReport(garage, bike, now)
  const chains = chainsOfRoad(garage, report)
  const strip = mileStrip(garage, report, chains)
  const answer = answerOf(garage, now, 'chain')
  if (!answer) throw new Error('the chain has no forecast')
  const picture: StripPicture = {
    strip,
    limit: 0.5,
    chains: strip.chains.map((chain) => ({ strip: chain, answer, pegs: [] })),
    ahead: { answer, said: '', events: [] },
    perUnit: 1,
    unit: 'km',
    sayLane: () => '',
  }
  const at = (km: number) => sayPlace(picture, km, 'metric', now).replaceAll('\u00a0', ' ')

  test('says when, in what, on which chain, how far it had gone, how worn', () => {
    expect(at(100)).toMatch(
      /^100 km, 5 January: dry road\. Chain 1, 100 km on it, probably at 0\.\d\d %, [−\d.]+ to 0\.\d\d\.$/,
    )
    expect(at(450)).toMatch(/^450 km, 5 February: mud\. Chain 1, 450 km on it/)
    expect(at(520)).toBe('520 km, 5 March: dry road. No chain in the log.')
    expect(at(570)).toMatch(/Chain 1, 530 km on it/)
  })

  test('says past today what is to come', () => {
    const ahead = at(strip.totalKm + answer.toLimitKm.p50 * 3)
    expect(ahead).toMatch(/^[\d ]+ km from today: the chain then probably at .* past its limit of 0\.5 %\.$/)
  })

  test('a mark is said with its entry, or by its kind where that was taken back', () => {
    const mark = strip.marks.find(({ kind }) => kind === 'reading')
    if (!mark) throw new Error('no reading on the road')
    const entry = garage.readings.get('chain')?.[0]?.entry
    const said = (which: typeof entry) =>
      sayMarks([mark], which, garage, 'metric', now).replaceAll('\u00a0', ' ')
    expect(said(entry)).toBe('6 February, 500 km: Chain 1 measured with rule: 24 pitches, 305.5 mm.')
    expect(said(undefined)).toBe('6 February, 500 km: reading.')
  })

  test('the road without rides says where it begins', () => {
    const empty = { ...picture, strip: { ...strip, totalKm: 0, rides: [], edges: new Float64Array(1) } }
    expect(sayPlace(empty, 0, 'metric', now)).toBe('The road begins with the first ride.')
  })
})
