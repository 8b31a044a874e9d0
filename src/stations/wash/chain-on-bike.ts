import type { PartId } from '../../core/log/entry.ts'
import type { Garage } from '../../core/log/garage.ts'
import { lubeAmounts, type LubeAmounts } from '../../core/session/materials.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'

/** What a bike most often has, where nothing is entered. */
const USUAL = { links: 114, ring: 40, cog: 17 } as const

/** A chain as it runs on a bike: its links, the ring and a middle cog that it runs on, and how much lube it takes. */
export interface ChainOnBike {
  readonly links: number
  readonly ring: number
  readonly cog: number
  readonly amounts: LubeAmounts
}

/** @param chain absent, or not in the log: what a bike most often has */
export function chainOnBike(
  garage: Garage,
  { sprockets }: BikeReport,
  chain: PartId | undefined,
): ChainOnBike {
  const spec = chain === undefined ? undefined : garage.parts.get(chain)?.entry.spec
  const links = spec?.type === 'chain' ? spec.links : USUAL.links
  const teethOf = (role: 'ring' | 'cog'): readonly number[] =>
    sprockets.flatMap((one) => (one.role === role ? [one.teeth] : []))
  const ring = teethOf('ring')[0] ?? USUAL.ring
  const cogs = teethOf('cog')
  return { links, ring, cog: cogs[cogs.length >> 1] ?? USUAL.cog, amounts: lubeAmounts(links, ring) }
}
