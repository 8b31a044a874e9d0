import { expose } from 'comlink'
import { forecastWear, type WearAnswer, type WearQuestion } from '../core/wear/forecast.ts'

const wear = {
  forecast: (question: WearQuestion): WearAnswer => forecastWear(question),
}
export type WearWorker = typeof wear
expose(wear)
