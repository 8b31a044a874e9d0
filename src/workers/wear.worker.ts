import { expose } from 'comlink'
import type { NextReadingAnswer } from '../core/measure/next-reading.ts'
import { valueNextLook, type NextLookQuestion } from '../core/wear/next-look-value.ts'
import { forecastWear, type WearAnswer, type WearQuestion } from '../core/wear/forecast.ts'

const wear = {
  nextLook: (question: NextLookQuestion): NextReadingAnswer => valueNextLook(question),
  forecast: (question: WearQuestion): WearAnswer => forecastWear(question),
}
export type WearWorker = typeof wear
expose(wear)
