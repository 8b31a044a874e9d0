import type { EntryDraft } from '../log/entries.ts'
import type { IsoTime, PartId } from '../log/entry.ts'
import { fittedParts, type Garage, type PartState } from '../log/garage.ts'
import type { CassetteSpec, RingSpec } from '../log/kinds/part.ts'
import type { GearSet } from './bench.ts'

/** Whether two lists of tooth counts are the same. */
const isSame = (a: readonly number[], b: readonly number[]): boolean =>
  a.length === b.length && a.every((one, i) => one === b[i])

const climbing = (list: readonly number[]): number[] => [...list].sort((a, b) => a - b)

/** What goes on and comes off where a bike gets another set of gears. */
export interface GearChange {
  readonly off: readonly PartState[]
  /** New parts, of the material of those before them. */
  readonly on: readonly (RingSpec | CassetteSpec)[]
}

/** The change from what is on a bike to a set of gears: rings that stay are left on. */
export function gearChange(garage: Garage, bike: string, set: GearSet): GearChange {
  const rings = fittedParts(garage, bike, 'ring')
  const cassettes = fittedParts(garage, bike, 'cassette')
  const teethOf = ({ entry: { spec } }: PartState): readonly number[] =>
    spec.type === 'ring' ? [spec.teeth] : spec.type === 'cassette' ? spec.teeth : []
  const materialOf = (part: PartState | undefined) => {
    const spec = part?.entry.spec
    return spec?.type === 'ring' || spec?.type === 'cassette' ? spec.material : 'steel'
  }
  const staying = rings.filter((part) => set.rings.includes(teethOf(part)[0] ?? 0))
  const isSameCogs = cassettes.some((part) => isSame(climbing(teethOf(part)), climbing(set.cogs)))
  const newRings = climbing(set.rings).filter((ring) => !staying.some((part) => teethOf(part)[0] === ring))
  return {
    off: [...rings.filter((part) => !staying.includes(part)), ...(isSameCogs ? [] : cassettes)],
    on: [
      ...newRings.map((teeth): RingSpec => ({ type: 'ring', teeth, material: materialOf(rings[0]) })),
      ...(isSameCogs
        ? []
        : [{ type: 'cassette', teeth: climbing(set.cogs), material: materialOf(cassettes[0]) } as const]),
    ],
  }
}

/** What a ring or a cassette is called until its owner calls it something else. */
export const usualGearName = (spec: RingSpec | CassetteSpec): string =>
  spec.type === 'ring'
    ? `Ring ${spec.teeth}`
    : spec.teeth.length === 1
      ? `Cog ${spec.teeth[0]}`
      : `Cassette ${spec.teeth[0]} to ${spec.teeth.at(-1)}`

/**
 * What is written where a set of gears goes on a bike: what comes off goes on the shelf. Empty where nothing changes.
 * @param newId gives an id for each new part
 */
export function gearChangeEntries(
  garage: Garage,
  bike: string,
  set: GearSet,
  at: IsoTime,
  newId: () => PartId,
): readonly EntryDraft[] {
  const { off, on } = gearChange(garage, bike, set)
  return [
    ...off.map(({ entry }): EntryDraft => ({ kind: 'remove', at, part: entry.part, to: 'shelf' })),
    ...on.flatMap((spec): EntryDraft[] => {
      const part = newId()
      return [
        { kind: 'part', at, part, name: usualGearName(spec), spec },
        { kind: 'fit', at, part, bike },
      ]
    }),
  ]
}
