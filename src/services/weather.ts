import { array, number, object, string, type InferType } from 'yup'
import { patientFetch, ServiceError, type Patience } from './patient-fetch.ts'
import type { WeatherHour } from '../core/exposure/weather-guess.ts'

const hourSchema = object({
  at: string().required(),
  rainMm: number().min(0).required(),
  temperatureC: number().min(-60).max(60).required(),
})
const answerSchema = object({ hours: array(hourSchema.required()).required() })
type Answer = InferType<typeof answerSchema>

/**
 * The weather at a place over some hours, by the hour.
 * @throws ServiceError
 */
export async function weatherAt(
  place: { readonly lat: number; readonly lon: number },
  from: string,
  to: string,
  patience?: Patience,
): Promise<readonly WeatherHour[]> {
  const asked = new URLSearchParams({ lat: String(place.lat), lon: String(place.lon), from, to })
  const answer = await patientFetch(`/api/weather?${asked.toString()}`, {}, patience)
  try {
    const { hours }: Answer = await answerSchema.validate(await answer.json())
    return hours
  } catch {
    throw new ServiceError('The weather service’s answer makes no sense.')
  }
}
