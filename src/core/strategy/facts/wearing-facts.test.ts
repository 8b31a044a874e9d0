import { describe, expect, test } from '@jest/globals'
import { commuter, noon, ride } from '../../../../test/log.ts'
import { reportOn } from '../../../../test/judged.ts'
import type { EntryDraft } from '../../log/entries.ts'
import type { ThicknessEntry } from '../../log/kinds/thickness.ts'

const measured = (month: number, day: number, more: Partial<ThicknessEntry>): EntryDraft => ({
  kind: 'thickness',
  at: noon(month, day),
  bike: 'heron',
  part: 'pads-front',
  ...more,
})
const WEEKLY = Array.from({ length: 12 }, (_, i) => ride(1 + Math.floor(i / 4), 3 + 7 * (i % 4), 80))
const NEW = measured(1, 2, { isNew: true })
const of = (...drafts: readonly EntryDraft[]) =>
  reportOn([...commuter, ...WEEKLY, ...drafts], noon(4, 1)).wearing

describe('a part that wears, by its log', () => {
  test('nothing is said of what was never measured', () => {
    expect(of()).toEqual([])
  })

  test('fitted new: its distance, a guess of when it is worn out, and a day to look', () => {
    const [pads, ...others] = of(NEW)
    expect(others).toEqual([])
    expect(pads).toMatchObject({ part: 'pads-front', past: 'new', km: 960, isGuess: true })
    expect(pads?.lookDay).toBeDefined()
    expect(pads?.limitDay === undefined || pads.limitDay.p10 <= pads.limitDay.p90).toBe(true)
  })

  test('measured: no guess any more, and the days follow from how it is ridden', () => {
    const [pads] = of(
      NEW,
      measured(2, 10, { mm: 3.9, by: 'caliper' }),
      measured(3, 28, { mm: 3.5, by: 'caliper' }),
    )
    expect(pads?.isGuess).toBe(false)
    expect(pads?.mm.p50).toBeGreaterThan(3.35)
    expect(pads?.mm.p50).toBeLessThan(3.65)
    // About 0.5 mm to go at 0.7 mm in 960 km: some 700 km, some ten weeks at 70 to 80 km a week.
    expect(pads?.toLimit.p50).toBeGreaterThan(350)
    expect(pads?.toLimit.p50).toBeLessThan(1100)
    expect((pads?.limitDay?.p50 ?? '') > noon(5, 1)).toBe(true)
    expect((pads?.limitDay?.p50 ?? '~') < noon(8, 1)).toBe(true)
  })

  test('a wet road wears pads faster, as it is felt, and a new set begins at nothing', () => {
    const wet = WEEKLY.map((draft) => ({ ...draft, condition: 'wet-road' as const })) as EntryDraft[]
    const said = (rides: readonly EntryDraft[]) =>
      reportOn([...commuter, ...rides, NEW], noon(4, 1)).wearing[0]?.mm.p50 ?? NaN
    expect(said(wet)).toBeLessThan(said(WEEKLY))
    const [fresh] = of(NEW, measured(3, 28, { mm: 3.2, by: 'caliper' }), measured(3, 30, { isNew: true }))
    expect(fresh?.km).toBe(0)
    expect(fresh?.mm.p50).toBeCloseTo(4.2, 1)
  })

  test('read before it was ever renewed, its past is not known', () => {
    const [pads] = of(measured(3, 1, { mm: 3.6, by: 'caliper' }))
    expect(pads).toMatchObject({ past: 'unknown', isGuess: false })
  })

  test('its maker’s limit comes before the usual one, and tells nothing of how worn it is', () => {
    const thin = measured(3, 28, { mm: 3.4, by: 'caliper' })
    const own = measured(3, 29, { limitMm: 2.5 })
    const [usual] = of(NEW, thin)
    const [makers] = of(NEW, thin, own)
    expect(makers?.law.limitMm).toBe(2.5)
    expect(makers?.toLimit.p50).toBeGreaterThan(1.5 * (usual?.toLimit.p50 ?? 0))
    expect(makers?.mm.p50).toBeCloseTo(usual?.mm.p50 ?? NaN, 6)
    expect(of(own)).toEqual([])
  })

  test('sealant goes by days, ridden or not', () => {
    const sealant = (month: number, day: number, more: Partial<ThicknessEntry>) =>
      measured(month, day, { part: 'sealant-rear', ...more })
    const [one] = reportOn([...commuter, sealant(1, 2, { isNew: true })], noon(2, 1)).wearing
    const [old] = reportOn([...commuter, sealant(1, 2, { isNew: true })], noon(8, 1)).wearing
    expect(one?.pPast).toBeLessThan(0.05)
    expect(old?.pPast).toBeGreaterThan(0.8)
    const [seen] = reportOn(
      [...commuter, sealant(1, 2, { isNew: true }), sealant(7, 30, { isDry: false })],
      noon(8, 1),
    ).wearing
    expect(seen?.pPast).toBeLessThan(0.5)
  })
})
