import type { CogTestEntry } from '../../log/kinds/cog-test.ts'
import type { LookEntry } from '../../log/kinds/look.ts'
import type { PictureEntry } from '../../log/kinds/picture.ts'
import { fittedParts, type Garage } from '../../log/garage.ts'
import type { BikeId } from '../../log/entry.ts'

/** What was found of a cog that its cassette does not have: a slip in either of the two, and it counts for nothing until one is corrected. */
export function checksOfNoCog(
  garage: Garage,
  bike: BikeId,
): readonly (LookEntry | CogTestEntry | PictureEntry)[] {
  return fittedParts(garage, bike).flatMap(({ entry: { part, spec } }) => {
    if (spec.type !== 'cassette') return []
    const found = [
      ...(garage.looks.get(part) ?? []),
      ...(garage.listed['cog-test'].get(part) ?? []),
      ...(garage.listed.picture.get(part) ?? []),
    ]
    return found.filter(({ cog }) => cog === undefined || !spec.teeth.includes(cog))
  })
}
