import { words } from '../words/services/patient-fetch.ts'
/** A service that could not be reached or would not answer, in plain words. */
export class ServiceError extends Error {
  override readonly name = 'ServiceError'
  readonly status: number | undefined
  constructor(message: string, status?: number) {
    super(message)
    this.status = status
  }
}

export interface Patience {
  readonly signal?: AbortSignal
  /** How often to ask before giving up. */
  readonly attempts?: number
  /** Told before each wait, ms, with the reason. */
  readonly onWait?: (ms: number, why: string) => void
  /** For tests, which do not wait. */
  readonly sleep?: (ms: number, signal?: AbortSignal) => Promise<void>
  readonly fetch?: typeof fetch
}

/** The stand-ins ship with the server: there is nothing of them in the browser. */
const UNREACHABLE = words.theServiceCouldNot

const FIRST_WAIT_MS = 400
const MOST_WAIT_MS = 20_000
const TIME_OUT_MS = 12_000

const wait = (ms: number, signal?: AbortSignal): Promise<void> =>
  new Promise((resolve, reject) => {
    const timer = setTimeout(resolve, ms)
    signal?.addEventListener('abort', () => {
      clearTimeout(timer)
      reject(new DOMException(words.stopped, 'AbortError'))
    })
  })

/** How long the service asks to be left alone, ms; undefined where it does not say. */
function askedWait(answer: Response): number | undefined {
  const seconds = Number(answer.headers.get('retry-after') ?? NaN)
  return Number.isFinite(seconds) ? seconds * 1000 : undefined
}

/**
 * Asks a service, patiently: a refusal for haste (429), a fault of its own (5xx), a lost connection or no answer
 * within twelve seconds is tried again, each time after twice as long, or after as long as the service asks.
 * @throws ServiceError when it has been asked often enough, or at once for an answer that will not change (4xx)
 */
export async function patientFetch(
  url: string,
  init: RequestInit = {},
  patience: Patience = {},
): Promise<Response> {
  const { attempts = 6, signal, onWait, sleep = wait, fetch: ask = fetch } = patience
  let fault = new ServiceError(UNREACHABLE)
  for (let attempt = 0; attempt < attempts; attempt++) {
    let pause = Math.min(MOST_WAIT_MS, FIRST_WAIT_MS * 2 ** attempt)
    try {
      const limit = AbortSignal.timeout(TIME_OUT_MS)
      const answer = await ask(url, { ...init, signal: signal ? AbortSignal.any([signal, limit]) : limit })
      if (answer.ok) return answer
      if (answer.status === 429) {
        fault = new ServiceError(words.theServiceAsksForFewer, 429)
        pause = askedWait(answer) ?? pause
      } else if (answer.status >= 500) fault = new ServiceError(words.theServiceHasAFault, answer.status)
      else throw new ServiceError(words.theServiceRefused, answer.status)
    } catch (error) {
      if (signal?.aborted) throw error
      if (error instanceof ServiceError) throw error
      fault = new ServiceError(UNREACHABLE)
    }
    if (attempt + 1 < attempts) {
      onWait?.(pause, fault.message)
      await sleep(pause, signal)
    }
  }
  throw fault
}
