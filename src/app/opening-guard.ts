import { forgetText, recallText, rememberText } from '../ui/local-memory.ts'
import { world } from './world.ts'

const KEY = `jolt-mile openings ${world}`
/** After so many openings that came to nothing the next one goes to the safe page. */
const MOST = 2
/** A page that has stood for so long, ms, has opened. */
const STOOD_MS = 2500

/** Openings of this log, the one under way not counted, that never came so far as to be looked at or left. */
const failedBefore = Math.max(0, Math.floor(Number(recallText(KEY) ?? 0)) || 0)

/** Whether the last openings came to nothing: the page froze or fell over before anybody could leave it. */
export const keepsFailing = (): boolean => failedBefore >= MOST

const opened = (): void => forgetText(KEY)

/**
 * Counts this opening as failed until the page has stood for a moment or is left in the ordinary way. A page that hangs
 * in its sums does neither.
 */
export function guardOpening(): void {
  rememberText(KEY, String(failedBefore + 1))
  setTimeout(opened, STOOD_MS)
  window.addEventListener('pagehide', opened)
}

/** Lets the next opening be an ordinary one. */
export const trustAgain = opened
