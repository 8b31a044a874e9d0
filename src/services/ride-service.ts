import { array, boolean, number, object, string, ValidationError, type InferType } from 'yup'
import { patientFetch, ServiceError, type Patience } from './patient-fetch.ts'

/** What the service is called where rides say whence they came. */
export const RIDE_SERVICE = 'Ostermere ride exchange'
const BASE = '/api/ride-exchange'

const changeSchema = object({
  id: string().required().max(60),
  version: number().integer().min(0).required(),
  deleted: boolean().required(),
  startedAt: string().optional(),
  elapsedSeconds: number().min(0).optional(),
  movingSeconds: number().min(0).optional(),
  km: number().min(0).max(2000).optional(),
  lat: number().min(-90).max(90).optional(),
  lon: number().min(-180).max(180).optional(),
}).noUnknown()
/** A ride as the service tells it, or that it was deleted there. */
export type RideChange = InferType<typeof changeSchema>

const pageSchema = object({
  changes: array(changeSchema.required()).required(),
  /** Where the next page begins. */
  next: number().integer().min(0).required(),
  more: boolean().required(),
})
const tokenSchema = object({ token: string().required() })

async function held<T>(answer: Response, schema: { validate: (value: unknown) => Promise<T> }): Promise<T> {
  try {
    return await schema.validate(await answer.json())
  } catch (error) {
    if (error instanceof ValidationError || error instanceof SyntaxError)
      throw new ServiceError('The service’s answer makes no sense. Nothing of it was taken.')
    throw error
  }
}

/**
 * Signs in.
 * @returns the token to show with each question
 * @throws ServiceError
 */
export async function signIn(rider: string, pin: string, patience?: Patience): Promise<string> {
  try {
    const answer = await patientFetch(
      `${BASE}/sign-in`,
      {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ rider, pin }),
      },
      patience,
    )
    return (await held(answer, tokenSchema)).token
  } catch (error) {
    if (error instanceof ServiceError && error.status === 401)
      throw new ServiceError('The service does not know this rider and PIN. Check both.', 401)
    throw error
  }
}

/** How far the service has been read: kept, so that the next sync goes on from there. */
export interface SyncPlace {
  readonly cursor: number
  /** Rides deleted there whose telling may still come, out of order. */
  readonly deleted: readonly string[]
}
export const SYNC_START: SyncPlace = { cursor: 0, deleted: [] }

export interface SyncPage {
  /** Each ride once, in its newest version; none that was deleted. */
  readonly rides: readonly RideChange[]
  /** Rides deleted at the service. */
  readonly deleted: readonly string[]
  /** Where to go on once this page is kept. */
  readonly place: SyncPlace
}

/** A page with its doubles taken out, whatever their order, and what was deleted kept in mind. */
export function settlePage(changes: readonly RideChange[], before: SyncPlace, next: number): SyncPage {
  const newest = new Map<string, RideChange>()
  for (const change of changes) {
    const held = newest.get(change.id)
    if (!held || held.version < change.version) newest.set(change.id, change)
  }
  const gone = [...newest.values()].filter((change) => change.deleted).map(({ id }) => id)
  const deleted = [...new Set([...before.deleted, ...gone])]
  return {
    rides: [...newest.values()].filter(({ id }) => !deleted.includes(id)),
    deleted: gone,
    place: { cursor: next, deleted: deleted.slice(-500) },
  }
}

/**
 * The pages that have come since a place, one after another. Whoever keeps a page keeps its place with it: broken off
 * anywhere, the next sync goes on from the last page kept.
 * @throws ServiceError
 */
export async function* ridePages(
  token: string,
  from: SyncPlace,
  patience?: Patience,
): AsyncGenerator<SyncPage, void, undefined> {
  let place = from
  for (;;) {
    const answer = await patientFetch(
      `${BASE}/changes?after=${place.cursor}`,
      { headers: { authorization: `Bearer ${token}` } },
      patience,
    )
    const { changes, next, more } = await held(answer, pageSchema)
    const page = settlePage(changes, place, next)
    yield page
    place = page.place
    if (!more) return
  }
}
