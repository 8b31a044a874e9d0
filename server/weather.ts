import type { FastifyInstance } from 'fastify'
import { addFaults } from './faults.ts'
import { settled } from './ride-exchange.ts'

const HOUR_MS = 3_600_000
const MOST_HOURS = 200

/** An hour of made-up weather: wet autumns, frosty winters, rain that comes in spells of some hours. */
function hourAt(lat: number, lon: number, ms: number): { at: string; rainMm: number; temperatureC: number } {
  const hour = Math.floor(ms / HOUR_MS)
  const place = Math.round(lat * 10) * 4001 + Math.round(lon * 10)
  const month = new Date(ms).getUTCMonth()
  const season = Math.cos((2 * Math.PI * (month - 0.5)) / 12) * (lat < 0 ? -1 : 1)
  const chance = 0.16 + 0.1 * season + (month >= 8 && month <= 10 ? 0.12 : 0)
  const rains = settled(place, Math.floor(hour / 5)) < chance
  const temperature =
    10 -
    9 * season +
    4 * Math.sin((2 * Math.PI * ((hour % 24) - 9)) / 24) +
    5 * (settled(place, Math.floor(hour / 40)) - 0.5)
  return {
    at: new Date(hour * HOUR_MS).toISOString(),
    rainMm: rains ? Math.round(20 * settled(place, hour, 1)) / 10 : 0,
    temperatureC: Math.round(10 * temperature) / 10,
  }
}

/** A stand-in for a weather service: rain and temperature by the hour, anywhere, for any time. Made up. */
export function addWeather(app: FastifyInstance): void {
  const faults = addFaults(app, '/api/weather')
  app.get<{ Querystring: { lat: number; lon: number; from: string; to: string } }>(
    '/api/weather',
    {
      schema: {
        querystring: {
          type: 'object',
          required: ['lat', 'lon', 'from', 'to'],
          properties: {
            lat: { type: 'number', minimum: -90, maximum: 90 },
            lon: { type: 'number', minimum: -180, maximum: 180 },
            from: { type: 'string', maxLength: 30 },
            to: { type: 'string', maxLength: 30 },
          },
        },
      },
    },
    async (request, reply) => {
      const { lat, lon, from, to } = request.query
      const [start, end] = [Date.parse(from), Date.parse(to)]
      if (
        !Number.isFinite(start) ||
        !Number.isFinite(end) ||
        end < start ||
        end - start > MOST_HOURS * HOUR_MS
      )
        return reply.code(400).send({ error: 'Ask for at most 200 hours, from and to.' })
      if (await faults.gate(reply)) return reply
      const hours = []
      for (let ms = start; ms <= end; ms += HOUR_MS) hours.push(hourAt(lat, lon, ms))
      return { hours }
    },
  )
}
