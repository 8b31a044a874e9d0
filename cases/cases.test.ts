import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import { CASE_KINDS, runCase } from './kinds.ts'

interface Case {
  readonly kind: string
  readonly input: unknown
  readonly expect: unknown
  readonly within: number | readonly ['rel', number]
}
const cases = (JSON.parse(readFileSync('cases/examples.json', 'utf8')) as Case[]).filter(({ kind }) =>
  CASE_KINDS.includes(kind),
)

function agrees(want: unknown, have: unknown, within: Case['within']): boolean {
  if (typeof want === 'number') {
    const room = typeof within === 'number' ? within : within[1] * Math.abs(want) + 1e-9
    return typeof have === 'number' && Math.abs(want - have) <= room
  }
  if (want === null || typeof want !== 'object') return want === have
  return Object.entries(want).every(([key, value]) =>
    agrees(value, (have as Record<string, unknown> | undefined)?.[key], within),
  )
}

describe('the reference cases', () => {
  test.each(cases.map((one, i) => [`${i} ${one.kind}`, one] as const))('agree: %s', async (_name, one) => {
    const result = await runCase(one, 'cases')
    if (one.expect === 'error') expect('error' in result && result.error).toMatch(/\w+ .*[.?]/)
    else {
      expect(result).toHaveProperty('output')
      expect(agrees(one.expect, 'output' in result ? result.output : undefined, one.within)).toBe(true)
    }
  })

  test('cover every kind there is', () => {
    expect(new Set(cases.map(({ kind }) => kind))).toEqual(new Set(CASE_KINDS))
  })
})

describe('a case that cannot be', () => {
  test.each([
    [null, /no kind/],
    [{ kind: 'constructor', input: {} }, /constructor/],
    [{ kind: 'measure.length' }, /pitches|this/],
    [{ kind: 'measure.length', input: { pitches: '24', lengthMm: 305 } }, /pitches/],
    [
      { kind: 'measure.posterior', input: { readings: [{ instrument: 'spoon' }], limits: [0.5] } },
      /instrument/,
    ],
    [
      { kind: 'exposure.distance', input: { rides: [{ bike: 'a', at: 'noon', km: 1 }], fittings: [] } },
      /noon/,
    ],
    [{ kind: 'exposure.wearKm', input: { km: 1, condition: 'lava' } }, /condition/],
    [
      { kind: 'lube.clock', input: { lube: 'wet-lube', rides: [{ km: -1, condition: 'mud' }] } },
      /0 km or more/,
    ],
    [{ kind: 'rides.read', input: { path: '../package.json' } }, /GPX, TCX, FIT and CSV/],
    [{ kind: 'rides.read', input: { path: 'a.docx' } }, /a\.docx cannot be opened/],
    [{ kind: 'exposure.gears', input: { samples: [], wheelMm: 2100, rings: [40], cogs: [] } }, /cogs/],
    [{ kind: 'rides.read', input: { path: 'nowhere.gpx' } }, /nowhere/],
  ])('%.60p is answered with a sentence', async (one, said) => {
    const result = await runCase(one, 'cases')
    expect('error' in result ? result.error : 'taken').toMatch(said)
  })
})
