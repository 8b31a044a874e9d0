import { afterEach, describe, expect, test } from '@jest/globals'
import type { SprocketMaterial } from '../core/log/kinds/part.ts'
import { limitFor, type LimitReason } from '../core/measure/limits.ts'
import { sayLimitReason } from './limit-reason.ts'
import { writeBy } from './manner.ts'

afterEach(() => writeBy({ numbers: 'space-point', dates: 'day-month' }))

describe('why a limit is what it is', () => {
  test.each<readonly [LimitReason, string]>([
    [{ is: 'single-cog' }, 'a single cog takes a chain up to 1.0 %'],
    [{ is: 'soft-cogs', material: 'titanium' }, 'titanium cogs wear fast under a long chain'],
    [{ is: 'narrow', speeds: 12 }, 'narrow 12-speed chains are changed at 0.5 %'],
    [{ is: 'electric' }, 'electric shifting needs a chain under 0.5 %'],
    [{ is: 'steel' }, 'the usual rule for steel cogs up to 10-speed'],
    [{ is: 'own' }, 'your own limit for this bike'],
    [{ is: 'own', because: 'the maker says so' }, 'your own limit: the maker says so'],
    [{ is: 'early' }, 'early: change chains often, and cogs and rings last longest'],
    [{ is: 'late' }, 'late: run the chain, cogs and rings to the end, then replace them all'],
  ])('%j', (reason, said) => {
    expect(sayLimitReason(reason)).toBe(said)
  })

  test('its figures have the mark of the place', () => {
    writeBy({ numbers: 'space-comma', dates: 'day-month' })
    expect(sayLimitReason({ is: 'electric' })).toBe('electric shifting needs a chain under 0,5 %')
  })

  test('every limit that there is has a reason in words', () => {
    const materials: readonly SprocketMaterial[] = ['steel', 'aluminium', 'titanium']
    for (const cogMaterial of materials)
      for (const speeds of [1, 7, 10, 11, 13])
        for (const shifting of ['cable', 'electric', 'hub-gear', 'none'] as const)
          for (const school of ['early', 'usual', 'late'] as const) {
            const { reason } = limitFor({ cogMaterial, speeds, shifting }, school)
            expect(sayLimitReason(reason)).toMatch(/^[a-z].{15,}[a-z%]$/)
          }
  })

  test('an owner’s limit without words for it needs none', () => {
    const drivetrain = { cogMaterial: 'steel', speeds: 9, shifting: 'cable' } as const
    expect(limitFor(drivetrain, 'usual', { percent: 0.6 }).reason).toEqual({ is: 'own' })
    expect(limitFor(drivetrain, 'usual', { percent: 0.6, reason: '' }).reason).toEqual({ is: 'own' })
  })
})
