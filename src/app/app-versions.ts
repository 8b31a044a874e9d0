import type { Workbox } from 'workbox-window'
import { abilities } from '../session/abilities.ts'

/**
 * How the app in this page stands to the one that is kept for when there is no network: `waiting`, a newer version is
 * there and waits to be taken; `stale`, another tab has taken it, and pieces of this one may be gone.
 */
export type VersionState = 'current' | 'waiting' | 'stale'

/** A newer version is looked for this often, ms, beside whenever the page is opened. */
const LOOK_EVERY_MS = 60 * 60_000

let state: VersionState = 'current'
let worker: Workbox | undefined
let isTaking = false
const listeners = new Set<() => void>()

function become(next: VersionState): void {
  state = next
  for (const listener of listeners) listener()
}

export const versionState = (): VersionState => state

export const subscribeToVersion = (onChange: () => void): (() => void) => {
  listeners.add(onChange)
  return () => void listeners.delete(onChange)
}

/**
 * Keeps the whole app in the browser, so that it opens without a network. A newer version is fetched beside it and
 * waits: nobody's work is interrupted.
 */
export async function keepAppOffline(): Promise<void> {
  if (!abilities.offline) return
  const { Workbox } = await import('workbox-window')
  const held = new Workbox('/sw.js')
  worker = held
  held.addEventListener('waiting', () => become('waiting'))
  held.addEventListener('controlling', (event) => {
    if (isTaking) location.reload()
    else if (event.isUpdate) become('stale')
  })
  // Where it cannot be kept (a private window, say) the app works as long as the server is there.
  held.register().catch(() => undefined)
  setInterval(() => void held.update().catch(() => undefined), LOOK_EVERY_MS)
}

/** Takes the version that waits, and loads the page again with it. */
export function takeVersion(): void {
  isTaking = true
  worker?.messageSkipWaiting()
}
