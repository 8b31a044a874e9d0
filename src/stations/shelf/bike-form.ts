import { boolean, object, string, type InferType, type ObjectSchema } from 'yup'
import { DRIVETRAINS, USUAL_LINKS, type DrivetrainKind } from '../../core/gearing/drivetrains.ts'
import { DRIVETRAIN_NAMES } from '../../words/names.ts'
import { numberField } from '../../ui/form/fields.ts'
import { cogRange, isUsualCogCount, USUAL_COGS } from '../../core/gearing/cassettes.ts'
import { fewestLinks } from '../../core/gearing/chain-loop.ts'
import { BOUNDS } from '../../core/log/bounds.ts'
import { CONDITIONS, QUARTERS, type Condition, type Quarter } from '../../core/exposure/conditions.ts'
import { PART_BOUNDS, type CassetteSpec, type RingSpec } from '../../core/log/kinds/part.ts'
import { usualGearName } from '../../core/gearing/write-set.ts'
import type { BikeEntry } from '../../core/log/kinds/bike.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import { words } from '../../words/stations/shelf/bike-form.ts'
import { newId } from '../../session/new-id.ts'

/** Tooth counts out of free text: "11 13 15", "11-13-15", "11, 13". Smallest first. */
export const teethOf = (text: string): number[] =>
  (text.match(/\d+/g) ?? []).map(Number).sort((a, b) => a - b)

/** Teeth, where they are given now. */
const teeth = (most: number) =>
  string()
    .trim()
    .default('')
    .test('teeth', words.between1AndTooth(most), (text) => {
      const counts = teethOf(text)
      if (text === '') return true
      return counts.length >= 1 && counts.length <= most && counts.every((count) => count >= 9 && count <= 60)
    })

/** What is wrong with the teeth of a cassette as they were typed, if anything. */
export function faultOfCogs(text: string, isCounted: boolean): string | undefined {
  const range = cogRange(text)
  if (range) return words.howManyCogsPick
  const count = teethOf(text).length
  if (count === 0 || isCounted || isUsualCogCount(count)) return undefined
  return words.cogsFitNoCommon(count, USUAL_COGS[0], USUAL_COGS[1])
}

const facts = {
  name: string().trim().required(words.giveItAName).max(40, words.aShorterNamePlease),
  note: string().trim().max(80, words.aFewWordsAre).default(''),
  shifting: string().oneOf(['cable', 'electric', 'hub-gear', 'none']).required(),
  motor: string().oneOf(['none', 'hub', 'mid-drive']).required(),
  usual: string()
    .oneOf([...CONDITIONS])
    .required(),
  kept: string().oneOf(['indoors', 'outdoors']).required(),
  owner: string().trim().max(BOUNDS.whoLetters, words.aShorterNamePlease).default(''),
  rack: string().trim().max(BOUNDS.whoLetters, words.aShorterNamePlease).default(''),
}

/** What is asked of a bike that is already in the log. */
export const factsSchema = object(facts)
export type BikeFacts = InferType<typeof factsSchema>

/** The year's own word in a form: as on the whole. */
export const AS_MOSTLY = 'as-mostly'
const inSeason = () =>
  string()
    .oneOf([AS_MOSTLY, ...CONDITIONS])
    .required()

/** What is asked besides of a bike that is corrected: what it is ridden in by season. */
export const seasonsSchema = object({
  ...facts,
  'dec-feb': inSeason(),
  'mar-may': inSeason(),
  'jun-aug': inSeason(),
  'sep-nov': inSeason(),
})
export type BikeSeasons = InferType<typeof seasonsSchema>

/** The seasons of a bike as the form holds them. */
export const seasonFields = (entry: BikeEntry): Record<Quarter, Condition | typeof AS_MOSTLY> => ({
  'dec-feb': entry.usualByQuarter?.['dec-feb'] ?? AS_MOSTLY,
  'mar-may': entry.usualByQuarter?.['mar-may'] ?? AS_MOSTLY,
  'jun-aug': entry.usualByQuarter?.['jun-aug'] ?? AS_MOSTLY,
  'sep-nov': entry.usualByQuarter?.['sep-nov'] ?? AS_MOSTLY,
})

const KINDS = Object.keys(DRIVETRAINS) as DrivetrainKind[]

/**
 * What is asked of a new bike: what the next answer takes. What else is known of it may follow at once or later, and is
 * left out of the log until it is.
 */
export const bikeSchema = object({
  name: facts.name,
  gears: string().oneOf(KINDS, words.pickOneTheLimit).required(words.pickOneTheLimit),
  past: string().oneOf(['new', 'unknown']).required(),
  since: string().required(words.giveADay),
  usual: facts.usual,
  note: facts.note,
  kept: facts.kept,
  owner: facts.owner,
  rack: facts.rack,
  rings: teeth(3),
  cogs: teeth(14).test(words.wholeCassette, '', (text, context) => {
    const { cogsCounted } = context.parent as { cogsCounted?: boolean }
    const fault = faultOfCogs(text, cogsCounted === true)
    return fault === undefined || context.createError({ message: fault })
  }),
  /** The owner has said that an unusual number of cogs is right. */
  cogsCounted: boolean().default(false),
  material: string().oneOf(['steel', 'aluminium', 'titanium']).required(),
  links: numberField({ unit: '', ask: words.countTheLinks, least: 40, most: 300, whole: true }),
}).test('round', (bike, context) => {
  const { links } = bike
  if (links === undefined) return true
  const fault = faultOfChain(links, teethOf(bike.rings), teethOf(bike.cogs))
  return fault === undefined || context.createError({ path: 'links', message: fault })
})
export type BikeDraft = typeof bikeSchema extends ObjectSchema<infer T> ? T : never

/** What is wrong with a chain of so many links on these rings and cogs, if it cannot go round them. */
export function faultOfChain(
  links: number,
  rings: readonly number[],
  cogs: readonly number[],
): string | undefined {
  // A figure that is wrong by itself is asked about by itself.
  if (rings.length === 0 || cogs.length === 0 || links < 40) return undefined
  const [ring, cog] = [Math.max(...rings), Math.max(...cogs)]
  if (ring > PART_BOUNDS.teeth[1] || cog > PART_BOUNDS.teeth[1]) return undefined
  const fewest = fewestLinks(ring, cog)
  return links < fewest ? words.linksDoNotGo(links, ring, cog, fewest) : undefined
}

/** Whose a bike is and where it stands, where that is given. */
const standing = (owner: string, rack: string): Pick<BikeEntry, 'owner' | 'rack'> => ({
  ...(owner !== '' && { owner }),
  ...(rack !== '' && { rack }),
})

/** Ids for a bike and all that may come with it, made once for each form: pressed twice it saves one bike. */
export const bikeIds = (): readonly string[] => Array.from({ length: 12 }, newId)

/**
 * The entries that put a bike with its parts in the log: as of the day its chain was fitted, so that rides since
 * then are counted on it.
 * @param ids of the bike and its parts, as {@link bikeIds} makes them
 */
export function bikeEntries(
  draft: BikeDraft,
  ids: readonly string[],
): { readonly bike: string; readonly entries: EntryDraft[] } {
  const left = [...ids]
  const newId = (): string => left.shift() ?? newId()
  const bike = newId()
  // The start of the day, today too: a ride of that morning is counted on it, as the form says.
  const at = new Date(`${draft.since}T00:00:00`).toISOString()
  const cogs = teethOf(draft.cogs)
  const { name, note, usual, kept, owner, rack } = draft
  const { shifting, motor, ...kind } = DRIVETRAINS[draft.gears]
  const speeds = cogs.length > 0 ? cogs.length : kind.speeds
  const entries: EntryDraft[] = [
    {
      kind: 'bike',
      at,
      bike,
      name,
      note: note === '' ? DRIVETRAIN_NAMES[draft.gears] : note,
      speeds,
      shifting,
      motor,
      usualCondition: usual,
      storage: kept,
      ...standing(owner, rack),
    },
  ]
  const fit = (partName: string, spec: Extract<EntryDraft, { kind: 'part' }>['spec']): void => {
    const part = newId()
    entries.push({ kind: 'part', at, part, name: partName, spec }, { kind: 'fit', at, part, bike })
  }
  const { material, links = USUAL_LINKS, past } = draft
  fit(past === 'new' ? words.chain1 : words.chainAsFound, { type: 'chain', links, speeds, past })
  const gears = (spec: RingSpec | CassetteSpec) => fit(usualGearName(spec), spec)
  if (cogs.length > 0) gears({ type: 'cassette', teeth: cogs, material })
  for (const ring of teethOf(draft.rings)) gears({ type: 'ring', teeth: ring, material: 'steel' })
  if (shifting !== 'none' && cogs.length > 1) {
    fit(words.guidePulley, { type: 'pulley', position: 'guide', teeth: 11 })
    fit(words.tensionPulley, { type: 'pulley', position: 'tension', teeth: 11 })
  }
  return { bike, entries }
}

/** A bike's description written again in place of the old one; what the form does not ask stays. */
export function changedBike(entry: BikeEntry, changed: BikeFacts & Partial<BikeSeasons>): EntryDraft {
  const { id, action: _action, usualByQuarter: _seasons, owner: _owner, rack: _rack, ...held } = entry
  const { name, note, shifting, motor, usual, kept, owner, rack } = changed
  const usualIn = Object.fromEntries(
    QUARTERS.flatMap((quarter) => {
      const said = changed[quarter] ?? entry.usualByQuarter?.[quarter] ?? AS_MOSTLY
      return said === AS_MOSTLY ? [] : [[quarter, said] as const]
    }),
  )
  return {
    ...held,
    supersedes: id,
    name,
    note,
    shifting,
    motor,
    usualCondition: usual,
    storage: kept,
    ...(Object.keys(usualIn).length > 0 && { usualByQuarter: usualIn }),
    ...standing(owner, rack),
  }
}
