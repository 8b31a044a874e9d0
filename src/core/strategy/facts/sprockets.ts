import type { BikeId } from '../../log/entry.ts'
import { fittedParts, type Garage, type PartState } from '../../log/garage.ts'
import type { LookEntry } from '../../log/kinds/look.ts'

/** One cog, ring or pulley of the bike and the last look at it. */
export interface Sprocket {
  readonly part: PartState
  readonly role: 'cog' | 'ring' | 'guide pulley' | 'tension pulley'
  readonly teeth: number
  readonly look?: LookEntry
}

const ORDER: readonly Sprocket['role'][] = ['cog', 'ring', 'guide pulley', 'tension pulley']

function latestLook(garage: Garage, part: PartState, cog?: number): LookEntry | undefined {
  return (garage.looks.get(part.entry.part) ?? []).filter((look) => look.cog === cog).at(-1)
}

/** Cogs from the smallest, then rings from the smallest, then the guide and the tension pulley. */
export function sprocketsOf(garage: Garage, bike: BikeId): Sprocket[] {
  const found = fittedParts(garage, bike).flatMap((part): Sprocket[] => {
    const { spec } = part.entry
    const one = (role: Sprocket['role'], teeth: number, cog?: number): Sprocket => {
      const look = latestLook(garage, part, cog)
      return { part, role, teeth, ...(look && { look }) }
    }
    switch (spec.type) {
      case 'cassette':
        return spec.teeth.map((teeth) => one('cog', teeth, teeth))
      case 'ring':
        return [one('ring', spec.teeth)]
      case 'pulley':
        return [one(`${spec.position} pulley`, spec.teeth)]
      case 'chain':
      case 'joining-link':
        return []
    }
  })
  return found.sort((a, b) => ORDER.indexOf(a.role) - ORDER.indexOf(b.role) || a.teeth - b.teeth)
}
