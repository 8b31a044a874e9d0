import type { EntryDraft } from '../log/entries.ts'
import type { IsoTime, PartId } from '../log/entry.ts'
import { fittedParts, type Garage, type PartState } from '../log/garage.ts'
import type { GearSet } from './bench.ts'

/** Whether two lists of tooth counts are the same. */
const isSame = (a: readonly number[], b: readonly number[]): boolean =>
  a.length === b.length && a.every((one, i) => one === b[i])

const climbing = (list: readonly number[]): number[] => [...list].sort((a, b) => a - b)

/** What goes on and comes off where a bike gets another set of gears. */
export interface GearChange {
  readonly off: readonly PartState[]
  readonly rings: readonly number[]
  /** Absent where the cassette stays. */
  readonly cogs?: readonly number[]
}

/** The change from what is on a bike to a set of gears: rings that stay are left on. */
export function gearChange(garage: Garage, bike: string, set: GearSet): GearChange {
  const rings = fittedParts(garage, bike, 'ring')
  const cassettes = fittedParts(garage, bike, 'cassette')
  const teethOf = ({ entry: { spec } }: PartState): readonly number[] =>
    spec.type === 'ring' ? [spec.teeth] : spec.type === 'cassette' ? spec.teeth : []
  const staying = rings.filter((part) => set.rings.includes(teethOf(part)[0] ?? 0))
  const isSameCogs = cassettes.some((part) => isSame(climbing(teethOf(part)), climbing(set.cogs)))
  return {
    off: [...rings.filter((part) => !staying.includes(part)), ...(isSameCogs ? [] : cassettes)],
    rings: climbing(set.rings).filter((ring) => !staying.some((part) => teethOf(part)[0] === ring)),
    ...(!isSameCogs && { cogs: climbing(set.cogs) }),
  }
}

/**
 * What is written where a set of gears goes on a bike: what comes off goes on the shelf; new parts are taken for the material of those
 * before them. Empty where nothing changes.
 * @param newId gives an id for each new part
 */
export function gearChangeEntries(
  garage: Garage,
  bike: string,
  set: GearSet,
  at: IsoTime,
  newId: () => PartId,
): readonly EntryDraft[] {
  const { off, rings, cogs } = gearChange(garage, bike, set)
  const materialOf = (type: 'ring' | 'cassette') => {
    const spec = fittedParts(garage, bike, type)[0]?.entry.spec
    return spec?.type === 'ring' || spec?.type === 'cassette' ? spec.material : 'steel'
  }
  const put = (draft: (part: PartId) => EntryDraft): EntryDraft[] => {
    const part = newId()
    return [draft(part), { kind: 'fit', at, part, bike }]
  }
  return [
    ...off.map(({ entry }): EntryDraft => ({ kind: 'remove', at, part: entry.part, to: 'shelf' })),
    ...rings.flatMap((teeth) =>
      put((part) => ({
        kind: 'part',
        at,
        part,
        name: `Ring ${teeth}`,
        spec: { type: 'ring', teeth, material: materialOf('ring') },
      })),
    ),
    ...(cogs
      ? put((part) => ({
          kind: 'part',
          at,
          part,
          name: cogs.length === 1 ? `Cog ${cogs[0]}` : `Cassette ${cogs[0]} to ${cogs.at(-1)}`,
          spec: { type: 'cassette', teeth: cogs, material: materialOf('cassette') },
        }))
      : []),
  ]
}
