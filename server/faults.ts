import type { FastifyInstance, FastifyReply } from 'fastify'

/** How a stand-in misbehaves, to see that the app bears it. */
export interface FaultSwitches {
  /** Each answer waits so long, ms. */
  readonly slowMs: number
  /** Every so many answers is a fault of the service (503); 0: none. */
  readonly failEvery: number
  /** At most so many questions a second, then 429; 0: any number. */
  readonly perSecond: number
  /** Every ride comes twice. */
  readonly duplicate: boolean
  /** The newest first, deletions before what they delete. */
  readonly outOfOrder: boolean
  /** Every so many rides was deleted since; 0: none. */
  readonly deleteEvery: number
}

export const NO_FAULTS: FaultSwitches = {
  slowMs: 0,
  failEvery: 0,
  perSecond: 20,
  duplicate: false,
  outOfOrder: false,
  deleteEvery: 0,
}

const amount = (maximum: number) => ({ type: 'integer', minimum: 0, maximum })
const switchesSchema = {
  body: {
    type: 'object',
    additionalProperties: false,
    properties: {
      slowMs: amount(10_000),
      failEvery: amount(100),
      perSecond: amount(1000),
      duplicate: { type: 'boolean' },
      outOfOrder: { type: 'boolean' },
      deleteEvery: amount(100),
    },
  },
}

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms))

/** The switches of one stand-in, and the gate that each of its questions passes. */
export interface Faults {
  readonly now: () => FaultSwitches
  /** @returns whether the question was answered with a fault */
  readonly gate: (reply: FastifyReply) => Promise<boolean>
}

/**
 * Fault switches at `POST {path}/faults`: what is named is set, the rest is as it was; an empty body sets all as at
 * the start.
 */
export function addFaults(app: FastifyInstance, path: string): Faults {
  let faults = NO_FAULTS
  let asked = 0
  let second = 0
  let inSecond = 0
  app.post<{ Body: Partial<FaultSwitches> }>(`${path}/faults`, { schema: switchesSchema }, (request) => {
    faults = Object.keys(request.body).length === 0 ? NO_FAULTS : { ...faults, ...request.body }
    asked = 0
    return faults
  })
  return {
    now: () => faults,
    gate: async (reply) => {
      const now = Math.floor(Date.now() / 1000)
      inSecond = now === second ? inSecond + 1 : 1
      second = now
      if (faults.slowMs > 0) await pause(faults.slowMs)
      if (faults.perSecond > 0 && inSecond > faults.perSecond) {
        await reply.code(429).header('retry-after', '1').send({ error: 'Too many questions.' })
        return true
      }
      asked++
      if (faults.failEvery > 0 && asked % faults.failEvery === 0) {
        await reply.code(503).send({ error: 'Out of order for the moment.' })
        return true
      }
      return false
    },
  }
}
