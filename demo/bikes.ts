import { leanDeg } from '../src/core/teeth/picture/shape.ts'
import { DEMO_SHOWN, type DemoPicture } from './pictures/shots.ts'
import type { BikeEntry } from '../src/core/log/kinds/bike.ts'
import type { PartSpec } from '../src/core/log/kinds/part.ts'
import type { RideEntry } from '../src/core/log/kinds/ride.ts'
import type { WearWord } from '../src/core/log/entry.ts'
import type { WashMethod } from '../src/core/log/kinds/wash.ts'
import type { Condition } from '../src/core/exposure/conditions.ts'
import type { Lube } from '../src/core/lube/lubes.ts'
import type { Diary } from './diary.ts'
import type { Random } from '../src/core/stats/random.ts'

/** Days the story runs before today. */
export const STORY_DAYS = 730

type BikeFacts = Omit<BikeEntry, 'id' | 'format' | 'kind' | 'at' | 'bike'>

/** Puts a bike in the log with its cassette, rings and pulleys, as delivered. */
export function deliver(
  diary: Diary,
  day: number,
  bike: string,
  facts: BikeFacts,
  parts: Readonly<Record<string, { name: string; spec: PartSpec; note?: string }>>,
): void {
  diary.write({ kind: 'bike', at: diary.at(day, 8), bike, ...facts })
  for (const [part, { name, spec, note }] of Object.entries(parts))
    diary.fitNew(day, bike, `${bike}-${part}`, name, spec, note)
}

/**
 * The steepest stretches of a day's ride, %: the same hills on the same day, without a draw of chance.
 * @param steepest of the country round about, over 200 m, %
 */
export function hillsOn(day: number, steepest: number): NonNullable<RideEntry['steep']> {
  const m200 = steepest * (0.62 + 0.38 * Math.sin(day * 2.3) ** 2)
  const tenth = (percent: number): number => Math.round(10 * percent) / 10
  return { m50: tenth(1.25 * m200), m200: tenth(m200), m1000: tenth(0.55 * m200) }
}

/** A ride, its start shifted by a few minutes so that no two are alike. */
export function ride(
  diary: Diary,
  random: Random,
  day: number,
  bike: string,
  km: number,
  condition: Condition | undefined,
  told: Pick<RideEntry, 'place' | 'route' | 'gears' | 'recorded' | 'steep'> = {},
): void {
  const metres = Math.max(500, Math.round(km * 1000))
  diary.write({
    ...told,
    kind: 'ride',
    at: diary.at(day, 7 + random.between(0, 2)),
    bike,
    km: metres / 1000,
    ...(condition && { condition }),
    movingSeconds: Math.round((metres / 1000 / random.between(17, 23)) * 3600),
  })
}

/** A wash and, with a lubricant named, what was put on afterwards. */
export function wash(diary: Diary, day: number, chain: string, method: WashMethod, lube?: Lube): void {
  diary.write({ kind: 'wash', at: diary.at(day, 18), chain, method, ...(lube && { lube }) })
}

/** A look at teeth: words by tooth count for a cassette, a single word for anything else. */
export function look(
  diary: Diary,
  day: number,
  part: string,
  words: WearWord | Readonly<Record<number, WearWord>>,
): void {
  const at = diary.at(day, 19)
  if (typeof words === 'string') diary.write({ kind: 'look', at, part, word: words })
  else
    for (const [cog, word] of Object.entries(words))
      diary.write({ kind: 'look', at, part, cog: Number(cog), word })
}

/** How a chain held on cogs under load: by the cog-check tool, or on a ride. */
export function underLoad(
  diary: Diary,
  day: number,
  part: string,
  by: 'tool' | 'ride',
  results: Readonly<Record<number, 'held' | 'slipped'>>,
): void {
  for (const [cog, result] of Object.entries(results))
    diary.write({ kind: 'cog-test', at: diary.at(day, 18), part, cog: Number(cog), by, result })
}

/** A picture of a cog that was measured and kept. */
export function picture(diary: Diary, day: number, part: string, id: DemoPicture): void {
  const { teeth, wornMm, short } = DEMO_SHOWN[id]
  const excessMm = wornMm[0] + wornMm[1]
  diary.write({
    kind: 'picture',
    at: diary.at(day, 18.2),
    part,
    cog: teeth,
    excessMm,
    sdMm: 0.07,
    leanDeg: leanDeg(teeth, wornMm),
    landMm: Math.max(0, Math.round((0.95 - 0.65 * excessMm) * 100) / 100),
    teethSeen: teeth,
    setAside: short.length,
    picture: id,
  })
}

/** A chain that is taken off and not coming back. */
export function retire(diary: Diary, day: number, part: string): void {
  diary.write({ kind: 'remove', at: diary.at(day, 8.5), part, to: 'retired' })
}

/** A tour that was planned on a day of the story and begins some weeks after its last. */
export function plan(
  diary: Diary,
  bike: string,
  {
    name,
    inDays,
    days,
    km,
    condition,
  }: {
    readonly name: string
    readonly inDays: number
    readonly days: number
    readonly km: number
    readonly condition: Condition
  },
): void {
  const planned = { kind: 'event', at: diary.at(STORY_DAYS - 3, 20), event: `${bike}-tour`, bike } as const
  diary.write({ ...planned, name, starts: diary.at(STORY_DAYS + inDays, 8), days, km, condition })
}
