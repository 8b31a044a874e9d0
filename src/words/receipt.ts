import { lostShare } from '../core/exposure/receipt.ts'
import type { RideEntry, RideReceipt } from '../core/log/kinds/ride.ts'
import { sayCount } from './numbers.ts'

function sayDistance({ distance, deviceFault }: RideReceipt): string {
  if (deviceFault === 'impossible' && distance === 'device')
    return 'The device’s own distance jumps as no bike does, and there is no track: only the steps that can be are counted.'
  if (deviceFault === 'impossible')
    return 'The device’s own distance jumps as no bike does, so it is not used: the distance is the track’s.'
  if (deviceFault === 'unlike-track')
    return 'The device’s own distance is far from what the track says, so it is not used: the distance is the track’s.'
  switch (distance) {
    case 'device':
      return 'Distance: the device’s own.'
    case 'track':
      return 'Distance: the track’s.'
    case 'table':
      return 'Distance: as the table has it.'
  }
}

function sayEnergy({ energy }: RideReceipt, hasGears: boolean): string {
  const gears = hasGears ? ' Gears from cadence.' : ''
  switch (energy) {
    case 'power':
      return `Energy: from measured power.${gears}`
    case 'speed':
      return `Energy: from speed, slope and cadence.${gears}`
    default:
      return 'Energy: not known, so it counts like the bike’s other rides.'
  }
}

function sayLeftOut(receipt: RideReceipt): string[] {
  const { points = 0, stray = 0, bad = 0, twice = 0, wild = 0 } = receipt
  const share = Math.round(100 * lostShare(receipt))
  const lost = stray + bad
  return [
    ...(lost > 0
      ? [
          `${sayCount(lost, 'point')} of ${Math.max(points, lost)} left out (${share < 1 ? 'under 1' : share} %): ${[
            ...(stray > 0 ? [`${stray} where no bike comes in the time`] : []),
            ...(bad > 0 ? [`${bad} without a usable place or time`] : []),
          ].join(', ')}.`,
        ]
      : []),
    ...(twice > 0 ? [`${sayCount(twice, 'point')} written twice, counted once.`] : []),
    ...(wild > 0 ? [`${sayCount(wild, 'figure')} of power or cadence that no rider has, left out.`] : []),
  ]
}

/** How a ride's figures were come by, a sentence each; empty for one that came from no file. */
export function sayReceipt({ receipt, gears }: Pick<RideEntry, 'receipt' | 'gears'>): readonly string[] {
  if (!receipt) return []
  return [
    sayDistance(receipt),
    ...(receipt.distance === 'table' ? [] : [sayEnergy(receipt, gears !== undefined)]),
    ...sayLeftOut(receipt),
    ...(receipt.sport === undefined ? [] : [`The file calls it “${receipt.sport}”; it was taken as a ride.`]),
    ...(receipt.writtenAt === undefined
      ? []
      : [`The device wrote ${receipt.writtenAt.slice(0, 10)} for its day.`]),
  ]
}
