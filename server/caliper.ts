import type { ServerResponse } from 'node:http'
import type { FastifyInstance } from 'fastify'

/** How the stand-in behaves. */
interface CaliperSettings {
  /** What the chain in its jaws has lengthened by, %. */
  readonly elongation: number
  /** Roller play, mm. */
  readonly playMm: number
  readonly pitches: number
  /** Scatter of a reading, mm. */
  readonly noiseMm: number
  readonly batteryLow: boolean
  /** The connection is lost after this many readings; 0: never. */
  readonly dropAfter: number
}

const DEFAULTS: CaliperSettings = {
  elongation: 0.6,
  playMm: 0.25,
  pitches: 8,
  noiseMm: 0.02,
  batteryLow: false,
  dropAfter: 0,
}

const settingsSchema = {
  body: {
    type: 'object',
    additionalProperties: false,
    properties: {
      elongation: { type: 'number', minimum: 0, maximum: 2 },
      playMm: { type: 'number', minimum: 0, maximum: 1 },
      pitches: { type: 'integer', minimum: 1, maximum: 40 },
      noiseMm: { type: 'number', minimum: 0, maximum: 1 },
      batteryLow: { type: 'boolean' },
      dropAfter: { type: 'integer', minimum: 0, maximum: 1000 },
    },
  },
}

/** At most this many pages may listen at once. */
const MOST_LISTENERS = 16
const KEEP_ALIVE_MS = 15_000

/** Two even numbers in, a normal one out. */
const normal = (): number =>
  Math.sqrt(-2 * Math.log(1 - Math.random())) * Math.cos(2 * Math.PI * Math.random())

/**
 * A stand-in for a caliper with a data button: an event stream of lengths, inside and outside in turn, with
 * settings for noise, a low battery and a connection that drops.
 */
export function addCaliper(app: FastifyInstance): void {
  let settings = DEFAULTS
  let pressed = 0
  const listeners = new Set<ServerResponse>()
  const tell = (text: string): void => listeners.forEach((listener) => listener.write(text))
  const timer = setInterval(() => tell(': still here\n\n'), KEEP_ALIVE_MS)
  const hangUp = (): void => {
    for (const listener of listeners) listener.end()
    listeners.clear()
  }
  app.addHook('preClose', () => {
    clearInterval(timer)
    hangUp()
  })

  // Asked for its head alone, a stream would never end.
  app.get('/api/caliper/stream', { exposeHeadRoute: false }, (request, reply) => {
    if (listeners.size >= MOST_LISTENERS)
      return reply.code(503).send({ error: 'Too many are listening already.' })
    reply.hijack()
    const { raw } = reply
    raw.writeHead(200, {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      'x-content-type-options': 'nosniff',
    })
    // A lost connection is tried again after half a second.
    raw.write('retry: 500\n\n')
    listeners.add(raw)
    request.raw.on('close', () => listeners.delete(raw))
    return reply
  })

  app.post<{ Body: Partial<CaliperSettings> }>(
    '/api/caliper/settings',
    { schema: settingsSchema },
    (request) => {
      settings = { ...settings, ...request.body }
      pressed = 0
      return settings
    },
  )

  app.post('/api/caliper/press', () => {
    const inside = pressed % 2 === 0
    pressed++
    const length = settings.pitches * 12.7 * (1 + settings.elongation / 100)
    const rollers = 7.75 - settings.playMm
    const mm = length + (inside ? -rollers : rollers) + settings.noiseMm * normal()
    const reading = { mm: Math.round(mm * 100) / 100, battery: settings.batteryLow ? 'low' : 'good' }
    tell(`data: ${JSON.stringify(reading)}\n\n`)
    const heard = listeners.size
    if (settings.dropAfter > 0 && pressed % settings.dropAfter === 0) hangUp()
    return { ...reading, heard }
  })
}
