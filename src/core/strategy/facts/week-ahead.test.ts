import { describe, expect, test } from '@jest/globals'
import { LUBED, reportOn } from '../../../../test/judged.ts'
import { commuter, noon, ride } from '../../../../test/log.ts'
import type { WeatherHour } from '../../exposure/weather-guess.ts'
import type { EntryDraft } from '../../log/entries.ts'
import { ownLives } from '../../lube/learn.ts'
import { weekAdvice, weekWeather } from './week-ahead.ts'

/** A week by the hour, with so much rain in an hour of each day. */
const week = (mm: readonly number[], hour = 9): WeatherHour[] =>
  mm.flatMap((rain, day) =>
    Array.from({ length: 24 }, (_, h) => ({
      at: new Date(Date.UTC(2026, 3, 1 + day, h)).toISOString(),
      rainMm: h === hour ? rain : 0,
      temperatureC: 9,
    })),
  )

describe('the week’s weather', () => {
  test('a day is wet where it rains while people ride, and not at night', () => {
    expect(weekWeather(week([5, 0, 0.3, 2, 0, 4, 0]))).toEqual({ wetDays: 3, days: 7 })
    expect(weekWeather(week([5, 5, 5], 2))).toEqual({ wetDays: 0, days: 3 })
    expect(weekWeather([])).toEqual({ wetDays: 0, days: 0 })
  })

  const lubed = (lube: string): EntryDraft => ({ ...LUBED, lube }) as EntryDraft
  /** @param weeklyKm as planned */
  const advice = (lube: EntryDraft, wetDays: number, weeklyKm: number) =>
    weekAdvice(
      reportOn([
        ...commuter,
        ride(3, 20, 10),
        lube,
        { kind: 'plan', at: noon(3, 31), bike: 'heron', weeklyKm },
      ]),
      { wetDays, days: 7 },
      ownLives([]),
    )

  test('dry lube asks for wet lube before the rain; what does not last the week for fresh lube', () => {
    expect(advice(lubed('dry-lube'), 4, 20)).toBe('wet-lube-now')
    // Wet lube lasts 250 km of dry road; a wet road wears more than a dry one.
    expect(advice(LUBED, 7, 240)).toBe('lube-now')
    expect(advice(LUBED, 7, 30)).toBe('lasts')
  })

  test('a dry week asks for nothing, and a chain that is due has been told so', () => {
    expect(advice(lubed('dry-lube'), 1, 200)).toBe('dry')
    expect(advice({ ...LUBED, lube: 'none' } as EntryDraft, 7, 200)).toBeUndefined()
  })
})
