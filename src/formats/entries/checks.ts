import { array, boolean, mixed, number, object, string, type AnyObjectSchema } from 'yup'
import { BOUNDS, isEntryId, isIsoTime, isOneLine, isPlainText, isThingId } from '../../core/log/bounds.ts'
import type { EntryKind } from '../../core/log/entries.ts'
import { ENTRY_FORMAT } from '../../core/log/entry.ts'
import { PART_BOUNDS } from '../../core/log/kinds/part.ts'
import type { Reading } from '../../core/measure/reading.ts'
import { isReading } from '../reading-schema.ts'

const MOST_TARGETS = 500_000

// A field that is not there is `required`'s matter, and no fault of an optional one.
const orAbsent =
  (isSound: (text: string) => boolean) =>
  (value: string | undefined): boolean =>
    value === undefined || isSound(value)

/** What an id of an entry, an id of a thing and a time look like, for the published schema. */
const FORMS = {
  entryId: '^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$',
  thingId: '^[A-Za-z0-9][A-Za-z0-9._:-]{0,63}$',
  time: '^\\d{4}-\\d\\d-\\d\\dT\\d\\d:\\d\\d:\\d\\d\\.\\d{3}Z$',
} as const
const form = (pattern: string) => ({ jsonSchema: { pattern } })

/** The id of another entry. */
export const entryId = () =>
  string()
    .strict()
    .required()
    .meta(form(FORMS.entryId))
    .test('entry id', '${path} is not an id of an entry', orAbsent(isEntryId))
/** The id of a bike, part, tool or event. */
export const thingId = () =>
  string()
    .strict()
    .required()
    .meta(form(FORMS.thingId))
    .test('thing id', '${path} is not an id', orAbsent(isThingId))
/** Text of several lines. */
export const text = (most: number) =>
  string()
    .strict()
    .defined()
    .max(most)
    .test('plain text', '${path} holds a character that cannot be shown', orAbsent(isPlainText))
/** Text of one line. */
export const line = (most: number) =>
  string()
    .strict()
    .defined()
    .max(most)
    .test('one line', '${path} holds a character that cannot be shown', orAbsent(isOneLine))
/** A number from 0 up. */
export const amount = (most: number) => number().strict().required().min(0).max(most)
/** A whole number. */
export const whole = (least: number, most: number) =>
  number().strict().required().integer().min(least).max(most)
/** True or false. */
export const flag = () => boolean().strict()
/** One of these words. */
export const oneOf = <T extends string>(values: readonly T[]) =>
  string()
    .strict()
    .required()
    .oneOf([...values])
/** One of these words, or nothing. */
export const maybeOneOf = <T extends string>(values: readonly T[]) =>
  string()
    .strict()
    .optional()
    .oneOf([...values])
/** A time as entries hold it. */
export const time = () =>
  string()
    .strict()
    .required()
    .meta(form(FORMS.time))
    .test('time', '${path} is not a date and time from 1990 to 2100', orAbsent(isIsoTime))
/** The entries that a word is about. */
export const targets = () => array(entryId()).strict().required().min(1).max(MOST_TARGETS)

const base = {
  id: entryId(),
  format: number().strict().required().oneOf([ENTRY_FORMAT]),
  at: time(),
  action: entryId().optional(),
  supersedes: entryId().optional(),
  firstId: entryId().optional(),
  writtenBy: line(BOUNDS.whoLetters).min(1).optional(),
  abridged: flag().oneOf([true]).optional(),
  altered: array(line(40)).strict().max(40).optional(),
}
/** The schema of a kind of entry: what every entry has, and these fields. */
export const entry = (kind: EntryKind, fields: Parameters<AnyObjectSchema['shape']>[0]): AnyObjectSchema =>
  object({ ...base, kind: oneOf([kind]), ...fields }).noUnknown()

/** A record of numbers under keys of one form. */
export const record = (isKey: (key: string) => boolean, most: number, mostKeys: number) =>
  mixed<Record<string, number>>()
    .meta({
      jsonSchema: {
        type: 'object',
        maxProperties: mostKeys,
        additionalProperties: { type: 'number', minimum: 0, maximum: most },
      },
    })
    .test('record', '${path} cannot be', (value) => {
      if (value === undefined) return true
      if (typeof value !== 'object' || Array.isArray(value)) return false
      const held = Object.entries(value)
      return (
        held.length <= mostKeys &&
        held.every(([key, amount]) => isKey(key) && Number.isFinite(amount) && amount >= 0 && amount <= most)
      )
    })

/** A tooth count of a sprocket. */
export const teeth = () => whole(...PART_BOUNDS.teeth)

/** Whether a key is a tooth count. */
export const isTeeth = (key: string): boolean =>
  /^[1-9]\d{0,2}$/.test(key) && Number(key) >= PART_BOUNDS.teeth[0] && Number(key) <= PART_BOUNDS.teeth[1]

/** A reading of an elongation that can be. */
export const reading = () =>
  mixed<Reading>()
    .required()
    .meta({ jsonSchema: { type: 'object', $ref: '#/$defs/reading' } })
    .test('reading', '${path} cannot be', isReading)

/** Fields that belong together, or nothing. */
export const maybe = (schema: AnyObjectSchema) => schema.noUnknown().optional().default(undefined)
