import type { RideDraft } from '../../core/exposure/admit-rides.ts'
import type { TableRide } from './table-rides.ts'

/** What the log keeps of a row of a table. */
export function draftOfRow(bike: string, ride: TableRide, file: string): RideDraft {
  const { at, km, movingSeconds, hasTime, twin } = ride
  const print = ['row', at, km.toFixed(3), movingSeconds, twin > 0 ? `again ${twin}` : undefined]
  return {
    kind: 'ride',
    at,
    bike,
    km,
    ...(movingSeconds !== undefined && { movingSeconds }),
    // Where only the day is known nothing is known of when it began and ended.
    ...(movingSeconds !== undefined && hasTime && { elapsedSeconds: movingSeconds }),
    receipt: { distance: 'table' },
    source: { file, fingerprint: print.filter((part) => part !== undefined).join(' ') },
  }
}
