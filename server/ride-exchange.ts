import { randomBytes } from 'node:crypto'
import type { FastifyInstance } from 'fastify'
import { addFaults } from './faults.ts'

const PATH = '/api/ride-exchange'
/** The made-up riders of a made-up service, and their PIN. */
const RIDERS = new Set(['heron', 'quarry', 'tern'])
const PIN = '1807'
const PAGE = 12
/** The first day of the exchange's books: places in them stay what they were as days go by. */
const FIRST_DAY = Math.floor(Date.UTC(2026, 8, 20) / 86_400_000)
const DAY_MS = 86_400_000

interface Change {
  readonly id: string
  readonly version: number
  readonly deleted: boolean
  readonly startedAt?: string
  readonly elapsedSeconds?: number
  readonly movingSeconds?: number
  readonly km?: number
  readonly lat?: number
  readonly lon?: number
}

/** An even number from 0 to 1 that depends on nothing but its arguments: the same day brings the same ride. */
export function settled(...of: readonly number[]): number {
  let state = 0x9e3779b9
  for (const value of of) {
    state = Math.imul(state ^ (value | 0), 0x85ebca6b)
    state ^= state >>> 13
    state = Math.imul(state, 0xc2b2ae35)
    state ^= state >>> 16
  }
  return (state >>> 0) / 4_294_967_296
}

/** The rides since autumn 2026 up to yesterday: most weekdays, in the middle of an ocean. */
function ridesOf(rider: string, now: number): Change[] {
  const today = Math.floor(now / DAY_MS)
  const seed = rider.length * 31 + rider.charCodeAt(0)
  const changes: Change[] = []
  for (let day = FIRST_DAY; day < today; day++) {
    if (settled(seed, day, 1) > 0.62) continue
    const km = 8 + 22 * settled(seed, day, 2)
    const moving = Math.round((km / (17 + 6 * settled(seed, day, 3))) * 3600)
    changes.push({
      id: `${rider}-${day}`,
      version: 1,
      deleted: false,
      startedAt: new Date(day * DAY_MS + (6 + 11 * settled(seed, day, 4)) * 3_600_000).toISOString(),
      elapsedSeconds: Math.round(moving * 1.12),
      movingSeconds: moving,
      km: Math.round(km * 100) / 100,
      lat: 44.05,
      lon: -29.4,
    })
  }
  return changes
}

/**
 * A stand-in for a service that keeps rides: signing in, changes in pages, a limit to the questions, and switches for
 * faults. Made up, rides and all.
 */
export function addRideExchange(app: FastifyInstance): void {
  const faults = addFaults(app, PATH)
  const tokens = new Map<string, string>()

  app.post<{ Body: { rider: string; pin: string } }>(
    `${PATH}/sign-in`,
    {
      schema: {
        body: {
          type: 'object',
          required: ['rider', 'pin'],
          additionalProperties: false,
          properties: { rider: { type: 'string', maxLength: 40 }, pin: { type: 'string', maxLength: 20 } },
        },
      },
    },
    async (request, reply) => {
      const rider = request.body.rider.trim().toLowerCase()
      if (await faults.gate(reply)) return reply
      if (!RIDERS.has(rider) || request.body.pin !== PIN)
        return reply.code(401).send({ error: 'Unknown rider or PIN.' })
      if (tokens.size > 500) tokens.clear()
      const token = randomBytes(18).toString('base64url')
      tokens.set(token, rider)
      return { token }
    },
  )

  app.get<{ Querystring: { after: number } }>(
    `${PATH}/changes`,
    {
      schema: {
        querystring: {
          type: 'object',
          required: ['after'],
          properties: { after: { type: 'integer', minimum: 0, maximum: 1_000_000 } },
        },
      },
    },
    async (request, reply) => {
      const rider = tokens.get((request.headers.authorization ?? '').replace(/^Bearer /, ''))
      if (rider === undefined) return reply.code(401).send({ error: 'Sign in first.' })
      if (await faults.gate(reply)) return reply
      const { duplicate, outOfOrder, deleteEvery } = faults.now()
      const rides = ridesOf(rider, Date.now())
      const gone = deleteEvery === 0 ? [] : rides.filter((_, i) => i % deleteEvery === deleteEvery - 1)
      const deletions = gone.map(({ id }): Change => ({ id, version: 2, deleted: true }))
      const told = [...rides.flatMap((ride) => (duplicate ? [ride, ride] : [ride])), ...deletions]
      const all = outOfOrder ? told.reverse() : told
      const { after } = request.query
      const changes = all.slice(after, after + PAGE)
      return { changes, next: Math.min(all.length, after + PAGE), more: after + PAGE < all.length }
    },
  )
}
