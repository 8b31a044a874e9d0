import { REFUSED, TAKEN } from '../../wear/event-outlook.ts'
import { pastAt, type WearAnswer } from '../../wear/outlook.ts'

/** How long a tour may be, begun now, before the chain is to be looked at first, and before it is to be swapped first, km. */
export interface TourTurns {
  readonly lookFirstKm: number
  readonly swapFirstKm: number
}

/** The distance at which the chance of being past the limit reaches a share; the fan's end where it does not. */
function kmAtPast({ fan }: Pick<WearAnswer, 'fan'>, share: number): number {
  let [low, high] = [0, fan.at(-1)?.x ?? 0]
  if (pastAt({ fan }, low) >= share) return 0
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2
    if (pastAt({ fan }, middle) >= share) high = middle
    else low = middle
  }
  return high
}

/**
 * What an event that begins now would do, by its length: the same chances as of a planned one (its roads taken to be those ahead).
 * @returns undefined where the forecast ends before it matters
 */
export function tourTurns(answer: Pick<WearAnswer, 'fan'>): TourTurns | undefined {
  const end = answer.fan.at(-1)
  if (!end || end.past < REFUSED) return undefined
  return { lookFirstKm: kmAtPast(answer, TAKEN), swapFirstKm: kmAtPast(answer, REFUSED) }
}
