import type { BikeId, IsoTime } from '../../log/entry.ts'
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

type AnyFound = FaultEntry['found'][number]

/** Parts whose fitting mends what was found. */
const MENDED_BY: Readonly<Partial<Record<AnyFound, PartSpec['type']>>> = {
  'worn-chain': 'chain',
  'stiff-link': 'chain',
  'chain-length': 'chain',
  'worn-cogs': 'cassette',
  'worn-ring': 'ring',
  'loose-pulley': 'pulley',
}

/** Whether a part that mends a cause has gone on a bike since a moment. */
function isMendedByPart(garage: Garage, bike: BikeId, cause: AnyFound, since: IsoTime): boolean {
  const type = MENDED_BY[cause]
  return [...garage.parts.values()].some(
    ({ entry, fittings }) =>
      entry.spec.type === type && fittings.some((fitting) => fitting.bike === bike && fitting.from > since),
  )
}

/** What is still at fault on a bike: found and left, or still there after it was mended. */
export interface OpenFaults {
  readonly left: readonly AnyFound[]
  readonly stillThere: readonly AnyFound[]
}

/**
 * What is still at fault on a bike's drivetrain, cause by cause: mending that cause, or a new part in place of the worn one, ends it; a
 * later search that found something else, or nothing, does not.
 * @returns undefined where nothing is
 */
export function openFaults(garage: Garage, bike: BikeId): OpenFaults | undefined {
  const open = new Map<AnyFound, FaultEntry>()
  for (const fault of faultsOf(garage)) {
    if (fault.bike !== bike || fault.about !== 'shifting') continue
    const isOpen = fault.outcome === 'not-mended' || fault.afterwards === 'still-there'
    for (const cause of fault.found)
      if (isOpen) open.set(cause, fault)
      else open.delete(cause)
  }
  const causes = [...open].filter(([cause, { at }]) => !isMendedByPart(garage, bike, cause, at))
  if (causes.length === 0) return undefined
  const of = (isLeft: boolean): readonly AnyFound[] =>
    causes.flatMap(([cause, { outcome }]) => ((outcome === 'not-mended') === isLeft ? cause : []))
  return { left: of(true), stillThere: of(false) }
}
