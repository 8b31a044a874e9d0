import type { Condition } from '../exposure/conditions.ts'
import type { IsoTime } from '../log/entry.ts'
import type { WashEntry } from '../log/kinds/wash.ts'
import { lifeUsed } from './clock.ts'
import type { Lube } from './lubes.ts'

export interface LubeState {
  /** Absent: what is on the chain is not known. */
  readonly lube?: Lube
  readonly since?: IsoTime
  /** Share of its life used by distance. */
  readonly used: number
}

/**
 * What a wash leaves on the chain. A chain that was degreased and not lubricated is bare; one that was only wiped
 * keeps what is inside its rollers, and the life already used.
 */
export function afterWash(before: LubeState, wash: WashEntry): LubeState {
  if (wash.lube !== undefined) return { lube: wash.lube, since: wash.at, used: 0 }
  switch (wash.method) {
    case 'on-bike':
    case 'off-bike':
      return { lube: 'none', since: wash.at, used: 0 }
    case 'wipe':
    case 'none':
      return before
  }
}

/** What a ride leaves of the lubricant. */
export function afterRide(
  before: LubeState,
  ride: { readonly km: number; readonly condition: Condition },
): LubeState {
  return before.lube === undefined ? before : { ...before, used: before.used + lifeUsed(before.lube, ride) }
}
