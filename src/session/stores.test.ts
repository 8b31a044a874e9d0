import { describe, expect, test } from '@jest/globals'
import { commuter, kite, kiteChain, noon, ride, ruleReading, written } from '../../test/log.ts'
import type { EntryDraft } from '../core/log/entries.ts'
import type { Garage } from '../core/log/garage.ts'
import { replay } from '../core/log/replay.ts'
import type { RiderOutlook } from '../core/wear/rider-outlook.ts'
import type { TeethOutlook } from '../core/teeth/teeth-outlook.ts'
import { answerKeeper, type AnswerKeeper } from '../workers/answer-keeper.ts'
import type { Answer, JobName, Question } from '../workers/jobs.ts'
import { forecastStore } from './forecast-store.ts'
import { teethStore } from './teeth-store.ts'

const DAY = noon(4, 1)
const garageOf = (drafts: readonly EntryDraft[]): Garage => replay(written(drafts))
const log = [...commuter, ride(1, 5, 300), ruleReading(2, 1, 305.2)]

/** Somebody who answers when told to, and what they were asked. */
interface Answerer<N extends JobName> {
  readonly keeper: AnswerKeeper<N>
  readonly asked: Question<N>[]
  readonly give: (answer: Answer<N>) => void
}

function answerer<N extends JobName>(): Answerer<N> {
  const asked: Question<N>[] = []
  const waiting: ((answer: Answer<N>) => void)[] = []
  const keeper = answerKeeper<N>({
    ask: (question) => {
      asked.push(question)
      return {
        done: new Promise((resolve) => waiting.push(resolve)),
        stop: () => undefined,
        hurry: () => undefined,
      }
    },
    load: () => Promise.resolve(undefined),
    save: () => Promise.resolve(),
  })
  return { keeper, asked, give: (answer) => waiting.shift()?.(answer) }
}

const until = async (isSo: () => boolean): Promise<void> => {
  for (let i = 0; i < 400 && !isSo(); i++) await new Promise((resolve) => setTimeout(resolve, 5))
  expect(isSo()).toBe(true)
}
/** An answer without a chain in it, told from others by the rate it says. */
const outlook = (rate: number): RiderOutlook => {
  const one = Float32Array.of(rate)
  const draws = { count: 1, beta: one, lateTimes: one, lateFrom: one, rider: one, times: {}, chains: {} }
  return { chains: {}, draws } as unknown as RiderOutlook
}

describe('the forecasts', () => {
  const store = () => {
    const wear = answerer<'rider-outlook'>()
    const forecasts = forecastStore(wear.keeper)
    /** Follows a log, and has its first question answered. */
    const answered = async (garage: Garage, answer: RiderOutlook): Promise<void> => {
      forecasts.follow(garage, DAY)
      await until(() => wear.asked.length === 1)
      wear.give(answer)
      await until(() => forecasts.groups()[0]?.fresh === true)
    }
    return { wear, forecasts, answered }
  }

  test('ask about the log they follow, and show what comes in', async () => {
    const { wear, forecasts } = store()
    forecasts.follow(garageOf(log), DAY)
    await until(() => wear.asked.length === 1)
    expect(wear.asked[0]?.chains.map(({ id }) => id)).toEqual(['chain'])
    const [before] = forecasts.groups()
    expect(before).toMatchObject({ bikes: ['heron'], chains: ['chain'], fresh: false })
    expect(before).not.toHaveProperty('outlook')
    const first = outlook(0.1)
    wear.give(first)
    await until(() => forecasts.groups()[0]?.fresh === true)
    expect(forecasts.groups()[0]?.outlook).toBe(first)
  })

  test('give the very same list for as long as nothing changes', async () => {
    const { forecasts, answered } = store()
    const garage = garageOf(log)
    await answered(garage, outlook(0.1))
    const groups = forecasts.groups()
    forecasts.follow(garage, DAY)
    expect(forecasts.groups()).toBe(groups)
  })

  test('of an older log are shown as such from the moment something is written', async () => {
    const { wear, forecasts, answered } = store()
    const first = outlook(0.1)
    await answered(garageOf(log), first)
    let told = 0
    forecasts.subscribe(() => told++)
    forecasts.follow(garageOf([...log, ride(3, 1, 200)]), DAY)
    expect(told).toBeGreaterThan(0)
    expect(forecasts.groups()[0]).toMatchObject({ outlook: first, fresh: false })
    await until(() => wear.asked.length === 2)
    const second = outlook(0.2)
    wear.give(second)
    await until(() => forecasts.groups()[0]?.fresh === true)
    expect(forecasts.groups()[0]?.outlook).toBe(second)
  })

  test('ask about the log as it is now alone, where it changes while the questions are put together', async () => {
    const { wear, forecasts } = store()
    for (const km of [10, 20, 30]) forecasts.follow(garageOf([...log, ride(3, 1, km)]), DAY)
    await until(() => wear.asked.length > 0)
    await new Promise((resolve) => setTimeout(resolve, 30))
    expect(wear.asked).toHaveLength(1)
    expect(wear.asked[0]?.chains[0]?.now.reduce((sum, { km }) => sum + km, 0)).toBeCloseTo(330, 6)
  })

  test('the same log asks the same all day, and once', async () => {
    const { wear, forecasts } = store()
    const garage = garageOf(log)
    forecasts.follow(garage, DAY)
    await until(() => wear.asked.length === 1)
    forecasts.follow(garageOf(log), DAY)
    await new Promise((resolve) => setTimeout(resolve, 30))
    expect(wear.asked).toHaveLength(1)
  })
})

describe('the teeth', () => {
  const spotted = [...log, kite, ...kiteChain]
  const both = () => {
    const wear = answerer<'rider-outlook'>()
    const teeth = answerer<'teeth-outlook'>()
    const forecasts = forecastStore(wear.keeper)
    const kept = teethStore(teeth.keeper, forecasts)
    /** Both follow a log, whose chains are asked about. */
    const followed = async (): Promise<Garage> => {
      const garage = garageOf(spotted)
      forecasts.follow(garage, DAY)
      kept.follow(garage)
      await until(() => wear.asked.length === 1)
      return garage
    }
    return { wear, teeth, forecasts, kept, followed }
  }
  const about = (named: string): TeethOutlook => ({ named }) as unknown as TeethOutlook

  test('are asked once the chains are known, and told for each bike', async () => {
    const { wear, teeth, kept, followed } = both()
    await followed()
    expect(teeth.asked).toHaveLength(0)
    expect(kept.of('heron')).toMatchObject({ outlook: undefined, isWorking: false })
    wear.give(outlook(0.3))
    await until(() => teeth.asked.length === 1)
    expect(kept.of('heron')).toMatchObject({ outlook: undefined, isWorking: true })
    const told = about('teeth')
    teeth.give(told)
    await until(() => kept.of('heron').fresh)
    for (const bike of ['heron', 'kite'])
      expect(kept.of(bike)).toMatchObject({ outlook: told, fresh: true, isWorking: false })
    expect(kept.of('heron')).toBe(kept.of('heron'))
  })

  test('are not asked again by a log that changes nothing of them', async () => {
    const { wear, teeth, kept, followed } = both()
    const garage = await followed()
    wear.give(outlook(0.3))
    await until(() => teeth.asked.length === 1)
    teeth.give(about('teeth'))
    await until(() => kept.of('heron').fresh)
    kept.follow(garage)
    await new Promise((resolve) => setTimeout(resolve, 30))
    expect(teeth.asked).toHaveLength(1)
    expect(kept.of('heron').fresh).toBe(true)
  })

  test('that cannot be asked about say why, and cost nobody else theirs', async () => {
    const { wear, teeth, forecasts, kept, followed } = both()
    await followed()
    wear.give({ chains: {}, draws: {} } as unknown as RiderOutlook)
    await until(() => kept.of('heron').fault !== undefined)
    expect(kept.of('heron')).toMatchObject({ outlook: undefined, isWorking: false })
    expect(teeth.asked).toHaveLength(0)
    expect(forecasts.groups()[0]?.fresh).toBe(true)
  })

  test('of a bike that nobody knows are not known', () => {
    expect(both().kept.of('nobody’s')).toEqual({
      outlook: undefined,
      fresh: false,
      fault: undefined,
      isWorking: false,
    })
  })
})
