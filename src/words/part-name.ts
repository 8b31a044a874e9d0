import type { PartSpec } from '../core/log/kinds/part.ts'
import { ROLE_NAMES } from './names.ts'
import { sayCount } from './numbers.ts'
import type { BikeId, PartId } from '../core/log/entry.ts'
import type { Garage } from '../core/log/garage.ts'

const shared = new WeakMap<Garage, ReadonlySet<string>>()

/** Names that more than one part of the garage has. */
function sharedNames(garage: Garage): ReadonlySet<string> {
  const held = shared.get(garage)
  if (held) return held
  const [once, twice] = [new Set<string>(), new Set<string>()]
  for (const { entry } of garage.parts.values()) (once.has(entry.name) ? twice : once).add(entry.name)
  shared.set(garage, twice)
  return twice
}

/**
 * A part by its name; where others have the same, by the bike it was first on as well: "Chain 1 of Heron".
 * @param at the bike that is looked at, whose own parts need no telling
 * @param always names the bike of every part, as where parts of several bikes stand together
 */
export function namePart(garage: Garage, id: PartId, at?: BikeId, always = false): string {
  const part = garage.parts.get(id)
  if (!part) return 'a part not in the log'
  const { name } = part.entry
  const [first] = part.fittings
  const bike = first && garage.bikes.get(first.bike)?.entry.name
  return bike !== undefined && first?.bike !== at && (always || sharedNames(garage).has(name))
    ? `${name} of ${bike}`
    : name
}

/** What a part is, in a few words. */
export function sayPart(spec: PartSpec): string {
  switch (spec.type) {
    case 'chain':
      return `chain of ${spec.links} links`
    case 'joining-link':
      return `joining link, ${sayCount(spec.closingsAllowed, 'closing')} allowed`
    case 'cassette':
      return spec.teeth.length === 1
        ? `cog of ${spec.teeth[0]}`
        : `${spec.teeth.length} cogs, ${spec.teeth[0]} to ${spec.teeth.at(-1)}`
    case 'ring':
      return `ring of ${spec.teeth}`
    case 'pulley':
      return `${ROLE_NAMES[`${spec.position} pulley`]} of ${spec.teeth}`
  }
}
