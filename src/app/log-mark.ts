import { forgetText, recallText, rememberText } from '../ui/local-memory.ts'
import { world } from './world.ts'

const KEY = `jolt-mile entries ${world}`

/** How many entries this browser held when the log was last open here; 0 where it never was, or does not remember. */
export const entriesLastTime = (): number => Math.max(0, Math.floor(Number(recallText(KEY) ?? 0)) || 0)

let seen = false
/** Whether this page has had entries before it: if there are none now, somebody wiped them. */
export const hasSeenEntries = (): boolean => seen

/**
 * Remembers how many entries there are, apart from where they are: a browser that loses the log, after a power cut or
 * for want of room, may otherwise show an empty one as if nothing had ever been in it.
 */
export function markEntries(count: number): void {
  if (count > 0) seen = true
  if (count === 0) forgetText(KEY)
  else rememberText(KEY, String(count))
}
