import type { RideReceipt } from '../log/kinds/ride.ts'

/** A ride that lost more than this share of its points does not go in without a word. */
export const MUCH_LOST = 0.05

/** The share of a recording's points that could not be used, 0 to 1. */
export function lostShare({ points = 0, stray = 0, bad = 0 }: RideReceipt): number {
  // Points without a place never came into the count; those without a time and strays did.
  const all = Math.max(points, stray + bad)
  return all > 0 ? Math.min(1, (stray + bad) / all) : 0
}

/** Whether something about how a ride's figures were come by is worth a look before it goes in. */
export const isWorthALook = (receipt: RideReceipt): boolean =>
  receipt.deviceFault !== undefined || (receipt.wild ?? 0) > 0 || lostShare(receipt) > MUCH_LOST
