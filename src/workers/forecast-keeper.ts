import type { PartId } from '../core/log/entry.ts'
import type { RiderGroup } from '../core/strategy/rider-ask.ts'
import type { ChainNow, WearAnswer } from '../core/wear/outlook.ts'
import { telling } from './telling.ts'
import { OUTLOOK_VERSION, type RiderAsk, type RiderOutlook } from '../core/wear/rider-outlook.ts'

/** Changes are told at most this often, ms. */
const TELL_MS = 200

/** Something being worked out. */
export interface OutlookJob {
  /** Gives nothing where it was stopped. */
  readonly done: Promise<RiderOutlook | undefined>
  readonly stop: () => void
}

/** An outlook, the model it is by and the question it answers, as text. */
export interface KeptOutlook {
  readonly version: number
  readonly key: string
  readonly outlook: RiderOutlook
}

/** Where outlooks come from, and where they are kept from one visit to the next. */
interface KeeperMeans {
  readonly work: (ask: RiderAsk, onProgress: (share: number) => void) => OutlookJob
  readonly load: (group: string) => Promise<KeptOutlook | undefined>
  readonly save: (group: string, kept: KeptOutlook) => Promise<void>
}

/** What is known of one rider's chains at the moment. */
export interface GroupForecast {
  readonly id: string
  readonly chains: readonly PartId[]
  /** The newest there is; of an earlier state of the log where it is not fresh. */
  readonly outlook?: RiderOutlook
  readonly fresh: boolean
  /** Share of the work that is done, while it is being done. */
  readonly progress?: number
  readonly stopped?: true
  readonly fault?: string
}

export interface ForecastKeeper {
  /** Says which riders are asked about, and how the log stands with each. */
  readonly want: (groups: readonly RiderGroup[]) => void
  readonly known: () => readonly GroupForecast[]
  /** What was last asked for: what is known is of no later log. */
  readonly wanted: () => readonly RiderGroup[]
  readonly subscribe: (onChange: () => void) => () => void
  /** Stops what is being worked out, and leaves it. */
  readonly stop: () => void
  /** Takes up again what was stopped or went wrong. */
  readonly resume: () => void
}

interface Held extends GroupForecast {
  readonly key: string
  readonly ask: RiderAsk
  /** What was kept from an earlier visit has been looked up. */
  readonly loaded: boolean
}

const texts = new WeakMap<RiderAsk, string>()
/** A question as text, which tells it from others. Written once for each: it may be long. */
export function askText(ask: RiderAsk): string {
  const known = texts.get(ask)
  if (known !== undefined) return known
  const text = JSON.stringify(ask)
  texts.set(ask, text)
  return text
}

/** A rider as now asked about, with what is known of an earlier state of the log. */
function heldFor({ id, chains, ask, fault }: RiderGroup, old: Held | undefined): Held {
  const key = askText(ask)
  if (old?.key === key) return old
  return {
    id,
    key,
    ask,
    chains,
    fresh: false,
    ...(fault !== undefined && { fault }),
    loaded: old?.loaded ?? false,
    ...(old?.outlook && { outlook: old.outlook }),
  }
}

/** With what was kept from an earlier visit, which stands until something newer does. */
function withKept(group: Held, kept: KeptOutlook | undefined): Held {
  const isSame = kept?.key === group.key
  const outlook = isSame ? kept.outlook : (group.outlook ?? kept?.outlook)
  return { ...group, loaded: true, fresh: group.fresh || isSame, ...(outlook && { outlook }) }
}

function ended(group: Held): Held {
  const { progress: _progress, ...rest } = group
  return rest
}

const isWaiting = ({ fresh, loaded, stopped, fault }: Held): boolean =>
  loaded && !fresh && !stopped && fault === undefined

/**
 * Keeps the forecasts in step with the log: what was worked out for the same state of it, now or on an earlier visit,
 * is there at once; what is older is shown as such while the worker works it out anew, one rider after another.
 */
export function forecastKeeper({ work, load, save }: KeeperMeans): ForecastKeeper {
  let held: readonly Held[] = []
  let wanted: readonly RiderGroup[] = []
  let running: { readonly id: string; readonly key: string; readonly job: OutlookJob } | undefined

  const { subscribe, tell } = telling(TELL_MS)
  const put = (id: string, key: string, change: (group: Held) => Held): void => {
    held = held.map((group) => (group.id === id && group.key === key ? change(group) : group))
    tell()
  }

  const begin = ({ id, key, ask }: Held): void => {
    const job = work(ask, (progress) =>
      put(id, key, (group) => (running?.job === job ? { ...group, progress } : group)),
    )
    running = { id, key, job }
    put(id, key, (group) => ({ ...group, progress: 0 }))
    // An answer to a question that another has replaced says nothing of the log as it is.
    const end = (change: (group: Held) => Held): void => {
      if (running?.job !== job) return
      running = undefined
      put(id, key, (group) => change(ended(group)))
      next()
    }
    job.done.then(
      (outlook) => {
        if (!outlook) return end((group) => ({ ...group, stopped: true }))
        // What is called worked out is there at the next visit: it is kept first. A full disk costs that visit a moment, and
        // nothing else.
        const over = (): void => end((group) => ({ ...group, outlook, fresh: true }))
        save(id, { version: OUTLOOK_VERSION, key, outlook }).then(over, over)
      },
      (error: unknown) =>
        end((group) => ({ ...group, fault: error instanceof Error ? error.message : String(error) })),
    )
  }

  const next = (): void => {
    if (running && held.some(({ id, key }) => id === running?.id && key === running.key)) return
    running?.job.stop()
    running = undefined
    const waiting = held.find(isWaiting)
    if (waiting) begin(waiting)
  }

  const lookUp = ({ id, key }: Held): void => {
    const found = (kept: KeptOutlook | undefined): void => {
      // An answer of another version of the model is none of this one's.
      put(id, key, (group) => withKept(group, kept?.version === OUTLOOK_VERSION ? kept : undefined))
      next()
    }
    load(id).then(found, () => found(undefined))
  }

  return {
    want: (groups) => {
      wanted = groups
      const before = new Map(held.map((group) => [group.id, group]))
      held = groups.map((group) => heldFor(group, before.get(group.id)))
      tell()
      for (const group of held) if (!group.loaded && before.get(group.id) !== group) lookUp(group)
      next()
    },
    known: () => held,
    wanted: () => wanted,
    subscribe,
    stop: () => {
      held = held.map((group): Held => (isWaiting(group) ? { ...ended(group), stopped: true } : group))
      running?.job.stop()
      // Whatever still comes of it is not waited for: it may be asked for anew before that.
      running = undefined
      tell()
    },
    resume: () => {
      held = held.map(({ stopped: _stopped, fault: _fault, ...group }) => group)
      tell()
      next()
    },
  }
}

/** What is known of one chain; undefined until it is worked out for the first time. */
export function answerFor(
  groups: readonly GroupForecast[],
  chain: PartId | undefined,
): { readonly group: GroupForecast; readonly answer: ChainNow | WearAnswer | undefined } | undefined {
  if (chain === undefined) return undefined
  const group = groups.find(({ chains }) => chains.includes(chain))
  return group && { group, answer: group.outlook?.chains[chain] }
}
