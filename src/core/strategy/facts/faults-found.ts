import type { BikeId } from '../../log/entry.ts'
import type { Garage } from '../../log/garage.ts'
import type { FaultEntry } from '../../log/kinds/fault.ts'
import type { PartSpec } from '../../log/kinds/part.ts'

/** The faults of a log as they stand: the last word on each, the first first. */
export const faultsOf = (garage: Garage): readonly FaultEntry[] =>
  [...garage.listed.fault.values()]
    .flatMap((list) => list.at(-1) ?? [])
    .sort((a, b) => (a.at < b.at ? -1 : 1))

/** A mended fault that was not asked about since, though the bike was ridden: whether it is gone is asked once. */
export function faultToAskAfter(garage: Garage, bike: BikeId): FaultEntry | undefined {
  const rides = garage.bikes.get(bike)?.rides ?? []
  return faultsOf(garage).findLast(
    (fault) =>
      fault.bike === bike &&
      fault.outcome === 'mended' &&
      fault.afterwards === undefined &&
      rides.some(({ at }) => at > fault.at),
  )
}

/** Parts whose fitting mends what was found. */
const MENDED_BY: Readonly<Partial<Record<FaultEntry['found'][number], PartSpec['type']>>> = {
  'worn-chain': 'chain',
  'stiff-link': 'chain',
  'chain-length': 'chain',
  'worn-cogs': 'cassette',
  'worn-ring': 'ring',
  'loose-pulley': 'pulley',
}

/** Whether a new part has mended all that was found. */
const isMendedByParts = (garage: Garage, { bike, found, at }: FaultEntry): boolean =>
  found.length > 0 &&
  found.every((cause) => {
    const type = MENDED_BY[cause]
    return (
      type !== undefined &&
      [...garage.parts.values()].some(
        ({ entry, fittings }) =>
          entry.spec.type === type && fittings.some((fitting) => fitting.bike === bike && fitting.from > at),
      )
    )
  })

/**
 * What was found and not mended yet on a bike, or is still there after it was; a later search, or a new part in place of the
 * worn one, ends it.
 */
export function openFault(garage: Garage, bike: BikeId): FaultEntry | undefined {
  const last = faultsOf(garage).findLast((fault) => fault.bike === bike && fault.about === 'shifting')
  const isOpen = last && (last.outcome === 'not-mended' || last.afterwards === 'still-there')
  return isOpen && !isMendedByParts(garage, last) ? last : undefined
}
