import type { ItemId } from '../src/core/checks/items.ts'
import { itemsOfSheet, type Occasion } from '../src/core/checks/sheets.ts'
import type { ThicknessTool, WearingPart } from '../src/core/checks/wearing-parts.ts'
import type { BikeEntry, Build } from '../src/core/log/kinds/bike.ts'
import type { CheckEntry } from '../src/core/log/kinds/check.ts'
import { STORY_DAYS } from './bikes.ts'
import type { Diary } from './diary.ts'

/** What each bike of the library has beside its drivetrain. */
export const BUILDS: Readonly<
  Record<string, Required<Pick<BikeEntry, 'brakes'>> & { readonly build: Build }>
> = {
  heron: {
    brakes: 'disc',
    build: { suspension: false, tyres: 'tubes', carbon: false, axles: 'quick-release', brakeLine: 'cable' },
  },
  quarry: {
    brakes: 'disc',
    build: { suspension: false, tyres: 'tubeless', carbon: true, axles: 'through', brakeLine: 'hydraulic' },
  },
  kite: {
    brakes: 'disc',
    build: { suspension: true, tyres: 'tubes', carbon: false, axles: 'through', brakeLine: 'hydraulic' },
  },
  sparrow: {
    brakes: 'rim',
    build: { suspension: false, tyres: 'tubes', carbon: false, axles: 'nuts', brakeLine: 'cable' },
  },
}

type Found = Readonly<Partial<Record<ItemId, Pick<CheckEntry, 'result' | 'act' | 'byKm' | 'byDay' | 'note'>>>>

/** A sheet that was gone through on a day, with what was found; everything else passed. */
function round(
  diary: Diary,
  day: number,
  bike: string,
  occasion: Occasion,
  items: readonly ItemId[],
  found: Found = {},
): void {
  const began = diary.at(day, 17)
  diary.write({ kind: 'round', at: began, round: `${bike}-${day}`, bike, occasion, began, items })
  items.forEach((item, i) =>
    diary.write({
      kind: 'check',
      at: diary.at(day, 17 + 0.012 * (i + 1)),
      bike,
      item,
      ...(found[item] ?? { result: 'pass' }),
    }),
  )
}

/** A part that was measured on some days, after it was fitted new on the first. */
function measured(
  diary: Diary,
  bike: string,
  part: WearingPart,
  by: ThicknessTool,
  newOn: number,
  readings: Readonly<Record<number, number>>,
): void {
  diary.write({ kind: 'thickness', at: diary.at(newOn, 18), bike, part, isNew: true })
  for (const [day, mm] of Object.entries(readings))
    diary.write({ kind: 'thickness', at: diary.at(Number(day), 18.5), bike, part, mm, by })
}

/** What a sheet has for one of the bikes, as its description stands. */
const itemsFor = (
  occasion: Occasion,
  bike: keyof typeof BUILDS,
  rest: Pick<BikeEntry, 'speeds' | 'shifting' | 'motor'>,
) => itemsOfSheet(occasion, { ...rest, ...BUILDS[bike] } as BikeEntry)

/** Rounds of the library's bikes, pads and tyres that were measured, and a torque book. */
export function checks(diary: Diary): void {
  const heron = { speeds: 11, shifting: 'cable', motor: 'none' } as const
  round(diary, STORY_DAYS - 52, 'heron', 'monthly', itemsFor('monthly', 'heron', heron))
  round(diary, STORY_DAYS - 19, 'heron', 'monthly', itemsFor('monthly', 'heron', heron), {
    'rotor-rear': { result: 'watch', byKm: 600, note: 'A groove; a nail just slides over it.' },
    'gear-cable': { result: 'fail', act: 'soon', byKm: 800, note: 'One strand loose at the clamp.' },
  })
  measured(diary, 'heron', 'pads-rear', 'caliper', STORY_DAYS - 300, {
    [STORY_DAYS - 200]: 3.95,
    [STORY_DAYS - 110]: 3.72,
    [STORY_DAYS - 52]: 3.53,
    [STORY_DAYS - 19]: 3.44,
  })
  const kite = { speeds: 9, shifting: 'cable', motor: 'mid-drive' } as const
  round(diary, STORY_DAYS - 25, 'kite', 'monthly', itemsFor('monthly', 'kite', kite), {
    mudguards: { result: 'watch', note: 'The rack rattles.' },
  })
  measured(diary, 'kite', 'pads-front', 'caliper', STORY_DAYS - 320, {
    [STORY_DAYS - 240]: 3.85,
    [STORY_DAYS - 170]: 3.5,
    [STORY_DAYS - 150]: 3.42,
  })
  measured(diary, 'kite', 'pads-front', 'caliper', STORY_DAYS - 120, {
    [STORY_DAYS - 70]: 3.9,
    [STORY_DAYS - 25]: 3.62,
  })
  measured(diary, 'kite', 'rotor-front', 'micrometer', STORY_DAYS - 320, {
    [STORY_DAYS - 170]: 1.74,
    [STORY_DAYS - 25]: 1.69,
  })
  const quarry = { speeds: 12, shifting: 'electric', motor: 'none' } as const
  round(diary, STORY_DAYS - 12, 'quarry', 'short', itemsFor('before-ride', 'quarry', quarry))
  diary.write({
    kind: 'thickness',
    at: diary.at(STORY_DAYS - 96, 19),
    bike: 'quarry',
    part: 'sealant-rear',
    isNew: true,
  })
  measured(diary, 'quarry', 'tyre-rear', 'depth-gauge', STORY_DAYS - 260, {
    [STORY_DAYS - 140]: 2.1,
    [STORY_DAYS - 40]: 1.6,
  })
  bolts(diary)
}

/** A torque book with two values for one bolt, and one that had come loose. */
function bolts(diary: Diary): void {
  const at = diary.at(STORY_DAYS - 25, 18)
  const book = [
    ['steerer-clamp', 'Stem to steerer', 'M5', [5, 4.5]],
    ['faceplate', 'Stem face plate', 'M5', [5]],
    ['caliper-front', 'Caliper bolts, front', 'M6', [7]],
    ['motor-mounts', 'Motor mounts', 'M8', [20]],
    ['bottle-cage', 'Bottle cage', 'M5', []],
  ] as const
  for (const [fastener, name, size, valuesNm] of book)
    diary.write({ kind: 'fastener', at, bike: 'kite', fastener, name, size, valuesNm, joint: 'grease' })
  diary.write({ kind: 'tightened', at, bike: 'kite', fastener: 'caliper-front', nm: 7, wasLoose: true })
  diary.write({ kind: 'tightened', at, bike: 'kite', fastener: 'faceplate', nm: 5 })
}
