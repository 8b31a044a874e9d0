import {
  array,
  boolean,
  lazy,
  mixed,
  number,
  object,
  string,
  ValidationError,
  type AnyObjectSchema,
} from 'yup'
import { CONDITIONS, QUARTERS } from '../core/exposure/conditions.ts'
import { BOUNDS, isEntryId, isIsoTime, isOneLine, isPlainText, isThingId } from '../core/log/bounds.ts'
import {
  ENTRY_FORMAT,
  type Entry,
  type EntryDraft,
  type EntryKind,
  type PartSpec,
} from '../core/log/entries.ts'
import { formatOf, upgradeEntry, type StoredFields } from '../core/log/upgrade.ts'
import { LUBES } from '../core/lube/lubes.ts'
import { INSTRUMENTS } from '../core/measure/instruments.ts'
import type { Reading } from '../core/measure/reading.ts'
import { isReading } from './reading-schema.ts'

const WORDS = ['fresh', 'good', 'watch', 'swap', 'spent'] as const
const MOST_TARGETS = 500_000

// A field that is not there is `required`'s matter, and no fault of an optional one.
const orAbsent =
  (isSound: (text: string) => boolean) =>
  (value: string | undefined): boolean =>
    value === undefined || isSound(value)

const entryId = () =>
  string().strict().required().test('entry id', '${path} is not an id of an entry', orAbsent(isEntryId))
const thingId = () =>
  string().strict().required().test('thing id', '${path} is not an id', orAbsent(isThingId))
const text = (most: number) =>
  string()
    .strict()
    .defined()
    .max(most)
    .test('plain text', '${path} holds a character that cannot be shown', orAbsent(isPlainText))
const line = (most: number) =>
  string()
    .strict()
    .defined()
    .max(most)
    .test('one line', '${path} holds a character that cannot be shown', orAbsent(isOneLine))
const amount = (most: number) => number().strict().required().min(0).max(most)
const whole = (least: number, most: number) => number().strict().required().integer().min(least).max(most)
const teeth = () => whole(...BOUNDS.teeth)
const speeds = () => whole(1, BOUNDS.speeds)
const flag = () => boolean().strict()
const oneOf = <T extends string>(values: readonly T[]) =>
  string()
    .strict()
    .required()
    .oneOf([...values])
const maybeOneOf = <T extends string>(values: readonly T[]) =>
  string()
    .strict()
    .optional()
    .oneOf([...values])
const time = () =>
  string()
    .strict()
    .required()
    .test('time', '${path} is not a date and time from 1990 to 2100', orAbsent(isIsoTime))
const targets = () => array(entryId()).strict().required().min(1).max(MOST_TARGETS)

const base = {
  id: entryId(),
  format: number().strict().required().oneOf([ENTRY_FORMAT]),
  at: time(),
  action: entryId().optional(),
  supersedes: entryId().optional(),
  firstId: entryId().optional(),
}
const entry = (kind: EntryKind, fields: Parameters<AnyObjectSchema['shape']>[0]): AnyObjectSchema =>
  object({ ...base, kind: oneOf([kind]), ...fields }).noUnknown()

/** A record of numbers under keys of one form. */
const record = (isKey: (key: string) => boolean, most: number, mostKeys: number) =>
  mixed<Record<string, number>>().test('record', '${path} cannot be', (value) => {
    if (value === undefined) return true
    if (typeof value !== 'object' || Array.isArray(value)) return false
    const held = Object.entries(value)
    return (
      held.length <= mostKeys &&
      held.every(([key, amount]) => isKey(key) && Number.isFinite(amount) && amount >= 0 && amount <= most)
    )
  })
const isTeeth = (key: string): boolean =>
  /^[1-9]\d{0,2}$/.test(key) && Number(key) >= BOUNDS.teeth[0] && Number(key) <= BOUNDS.teeth[1]
const isGear = (key: string): boolean => {
  const [ring = '', cog = '', ...more] = key.split('x')
  return more.length === 0 && isTeeth(ring) && isTeeth(cog)
}
const count = () => whole(0, BOUNDS.points).optional()
const rideReceipt = () =>
  object({
    distance: oneOf(['device', 'track', 'table']),
    deviceFault: maybeOneOf(['impossible', 'unlike-track']),
    energy: maybeOneOf(['power', 'speed']),
    points: count(),
    stray: count(),
    bad: count(),
    twice: count(),
    wild: count(),
    sport: line(BOUNDS.nameLetters).optional(),
    writtenAt: time().optional(),
  }).noUnknown()
const rideSource = () => object({ file: line(BOUNDS.fileNameLetters), fingerprint: line(200) }).noUnknown()
const material = () => oneOf(['steel', 'aluminium', 'titanium'])

const specSchemas: Readonly<Record<PartSpec['type'], AnyObjectSchema>> = {
  chain: object({
    type: oneOf(['chain']),
    links: whole(...BOUNDS.links),
    speeds: speeds(),
    past: oneOf(['new', 'unknown']),
    surface: maybeOneOf(['plain', 'plated', 'hard-coated']),
    directional: flag().optional(),
    join: maybeOneOf(['joining-link', 'pin']),
  }).noUnknown(),
  'joining-link': object({
    type: oneOf(['joining-link']),
    speeds: speeds(),
    closingsAllowed: whole(1, BOUNDS.closings),
    closedBefore: whole(0, BOUNDS.closings),
  }).noUnknown(),
  cassette: object({
    type: oneOf(['cassette']),
    teeth: array(teeth()).strict().required().min(1).max(BOUNDS.speeds),
    material: material(),
    soldSingly: array(teeth()).strict().max(BOUNDS.speeds).optional(),
  }).noUnknown(),
  ring: object({ type: oneOf(['ring']), teeth: teeth(), material: material() }).noUnknown(),
  pulley: object({
    type: oneOf(['pulley']),
    position: oneOf(['guide', 'tension']),
    teeth: teeth(),
  }).noUnknown(),
}

const noSpec = mixed().test('spec', '${path} is not a part', () => false)
const specSchema = lazy((value: unknown) => {
  const type = (value as { type?: unknown } | null | undefined)?.type
  return typeof type === 'string' && Object.hasOwn(specSchemas, type)
    ? specSchemas[type as PartSpec['type']].required()
    : noSpec
})

const reading = () => mixed<Reading>().required().test('reading', '${path} cannot be', isReading)
const maybe = (schema: AnyObjectSchema) => schema.noUnknown().optional().default(undefined)

const schemas: Readonly<Record<EntryKind, AnyObjectSchema>> = {
  bike: entry('bike', {
    bike: thingId(),
    name: line(BOUNDS.nameLetters).min(1),
    note: text(BOUNDS.noteLetters),
    speeds: speeds(),
    shifting: oneOf(['cable', 'electric', 'hub-gear', 'none']),
    motor: oneOf(['none', 'hub', 'mid-drive']),
    usualCondition: oneOf(CONDITIONS),
    storage: oneOf(['indoors', 'outdoors']),
    usualByQuarter: maybe(
      object(Object.fromEntries(QUARTERS.map((quarter) => [quarter, maybeOneOf(CONDITIONS)]))),
    ),
    circumferenceMm: number()
      .strict()
      .min(BOUNDS.circumferenceMm[0])
      .max(BOUNDS.circumferenceMm[1])
      .optional(),
    massKg: number().strict().min(BOUNDS.massKg[0]).max(BOUNDS.massKg[1]).optional(),
    motorShare: number().strict().min(0).max(1).optional(),
    cogMix: record(isTeeth, 1, BOUNDS.speeds),
  }),
  part: entry('part', {
    part: thingId(),
    name: line(BOUNDS.nameLetters).min(1),
    note: text(BOUNDS.noteLetters).optional(),
    used: maybe(object({ km: amount(BOUNDS.usedKm).optional() })),
    spec: specSchema,
  }),
  fit: entry('fit', { part: thingId(), bike: thingId() }),
  remove: entry('remove', {
    part: thingId(),
    to: oneOf(['shelf', 'retired', 'lent']),
    lentTo: line(BOUNDS.nameLetters).optional(),
  }),
  ride: entry('ride', {
    bike: thingId(),
    km: amount(BOUNDS.rideKm),
    condition: maybeOneOf(CONDITIONS),
    trackKm: amount(BOUNDS.rideKm).optional(),
    movingSeconds: amount(BOUNDS.movingSeconds).optional(),
    energyKjPerKm: amount(BOUNDS.energyKjPerKm).optional(),
    elapsedSeconds: amount(BOUNDS.elapsedSeconds).optional(),
    recorded: array(oneOf(['cadence', 'power']))
      .strict()
      .max(2)
      .optional(),
    gears: record(isGear, BOUNDS.gearEnergyKj, 200),
    place: maybe(
      object({
        lat: number().strict().required().min(-90).max(90),
        lon: number().strict().required().min(-180).max(180),
      }),
    ),
    route: line(80).optional(),
    receipt: maybe(rideReceipt()),
    source: maybe(rideSource()),
    otherSources: array(rideSource()).strict().max(100).optional(),
  }),
  condition: entry('condition', {
    targets: targets(),
    condition: oneOf(CONDITIONS),
    from: oneOf(['rider', 'weather', 'usual']),
  }),
  odometer: entry('odometer', {
    bike: thingId(),
    km: amount(BOUNDS.odometerKm),
    restarted: flag().optional(),
  }),
  reading: entry('reading', {
    chain: thingId(),
    linksFromJoint: number().strict().integer().min(0).max(BOUNDS.links[1]).optional(),
    tool: thingId().optional(),
    reading: reading(),
  }),
  tool: entry('tool', {
    tool: thingId(),
    instrument: oneOf(Object.keys(INSTRUMENTS)),
    name: line(BOUNDS.nameLetters).min(1),
    retired: flag().required(),
    checkBarMm: number().strict().min(BOUNDS.checkBarMm[0]).max(BOUNDS.checkBarMm[1]).optional(),
  }),
  zeroing: entry('zeroing', { tool: thingId(), reading: reading() }),
  'reading-use': entry('reading-use', { target: entryId(), counts: flag().required() }),
  look: entry('look', { part: thingId(), cog: teeth().optional(), word: oneOf(WORDS) }),
  wash: entry('wash', {
    chain: thingId(),
    method: oneOf(['none', 'wipe', 'on-bike', 'off-bike']),
    lube: maybeOneOf(LUBES),
  }),
  limit: entry('limit', {
    bike: thingId(),
    school: oneOf(['early', 'usual', 'late']),
    percent: number().strict().min(BOUNDS.limitPercent[0]).max(BOUNDS.limitPercent[1]).optional(),
    reason: text(BOUNDS.noteLetters).optional(),
  }),
  plan: entry('plan', { bike: thingId(), weeklyKm: amount(BOUNDS.weeklyKm).optional() }),
  event: entry('event', {
    event: thingId(),
    bike: thingId(),
    name: line(BOUNDS.nameLetters).min(1),
    starts: time(),
    days: whole(1, BOUNDS.eventDays),
    km: amount(BOUNDS.eventKm),
    condition: oneOf(CONDITIONS),
  }),
  withdraw: entry('withdraw', {
    targets: targets(),
    reason: maybeOneOf(['undo', 'redo', 'restore']),
  }),
}

/** An entry as it was checked: sound, of a kind or format that only a newer app knows, or with what is wrong with it. */
export type CheckedEntry =
  | { readonly outcome: 'sound'; readonly entry: Entry }
  | { readonly outcome: 'newer'; readonly what: string }
  | { readonly outcome: 'unsound'; readonly fault: string; readonly field?: string }

const shown = (value: unknown): string => JSON.stringify(value)?.slice(0, 60) ?? 'missing'

/** What is wrong, in words that name the field; Yup's own for a value of the wrong kind print the whole of it. */
const faultOf = ({ message, path, type }: ValidationError): string =>
  type === 'typeError' ? `${path ?? 'it'} is of the wrong kind` : message

function checkKnown(value: StoredFields, kind: EntryKind): CheckedEntry {
  try {
    schemas[kind].validateSync(value, { strict: true })
    return { outcome: 'sound', entry: value as unknown as Entry }
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    return { outcome: 'unsound', fault: faultOf(error), ...(error.path && { field: error.path }) }
  }
}

/**
 * An entry from a file or an older database, brought to today's format and checked. The one schema for both ways: what
 * it refuses is never written, and what was written it never refuses.
 */
export function checkEntry(value: unknown): CheckedEntry {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    return { outcome: 'unsound', fault: 'it is not an entry' }
  const stored = value as StoredFields
  const format = formatOf(stored)
  if (Number.isNaN(format)) return { outcome: 'unsound', fault: `its format is ${shown(stored['format'])}` }
  if (format > ENTRY_FORMAT) return { outcome: 'newer', what: `an entry of format ${format}` }
  const { kind } = stored
  if (typeof kind !== 'string') return { outcome: 'unsound', fault: `its kind is ${shown(kind)}` }
  if (!Object.hasOwn(schemas, kind)) return { outcome: 'newer', what: `an entry of the kind ${shown(kind)}` }
  return checkKnown(upgradeEntry(stored), kind as EntryKind)
}

const SAMPLE_ID = '00000000-0000-7000-8000-000000000000'

/**
 * What is wrong with what is about to be written, if anything: by the same schema that reads it back.
 * @returns the name of the field, as `km` or `reading`, and what is wrong
 */
export function faultOfDraft(
  draft: EntryDraft,
): { readonly field: string; readonly fault: string } | undefined {
  const checked = checkEntry({ ...draft, id: SAMPLE_ID, format: ENTRY_FORMAT })
  if (checked.outcome === 'sound') return undefined
  return checked.outcome === 'unsound'
    ? { field: checked.field ?? 'kind', fault: checked.fault }
    : { field: 'kind', fault: checked.what }
}
