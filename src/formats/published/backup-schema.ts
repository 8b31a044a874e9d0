import { mixed, type AnyObjectSchema, type AnySchema } from 'yup'
import { ASIDE_REASONS } from '../../core/log/aside.ts'
import type { EntryKind } from '../../core/log/entries.ts'
import { ANSWERS } from '../entries/lesson.ts'
import { SCHEMAS } from '../entries/index.ts'
import { specSchemas } from '../entries/part.ts'
import { READING_SCHEMAS } from '../reading-schema.ts'
import { BACKUP_FORMAT } from '../write-backup.ts'
import { jsonSchemaOf, type Json } from './json-schema.ts'

const DRAFT = 'https://json-schema.org/draft/2020-12/schema'

const converted = (schema: AnySchema): Json => jsonSchemaOf(schema.describe())

const either = (schemas: Readonly<Record<string, AnySchema>>): Json => ({
  oneOf: Object.values(schemas).map(converted),
})

/** Fields whose schema depends on what they hold, by kind and name. */
const DEPENDING: Readonly<Partial<Record<EntryKind, readonly [string, Json]>>> = {
  part: ['spec', { type: 'object', ...either(specSchemas) }],
  lesson: ['answer', { type: 'object', ...either(ANSWERS) }],
}

function entrySchema(kind: EntryKind): Json {
  const depending = DEPENDING[kind]
  const schema: AnyObjectSchema = SCHEMAS[kind]
  if (!depending) return converted(schema)
  const [field, jsonSchema] = depending
  return converted(schema.shape({ [field]: mixed().required().meta({ jsonSchema }) }))
}

/** Where the schema of a kind of entry stands. */
const defOf = (kind: EntryKind): string => `entry-${kind}`

/** What every entry has had since the first version. */
const ANY_ENTRY: Json = {
  type: 'object',
  properties: {
    kind: { type: 'string' },
    id: { type: 'string' },
    at: { type: 'string' },
    format: { type: 'integer', minimum: 1 },
  },
  required: ['kind', 'id', 'at'],
}

const ASIDE: Json = {
  type: 'object',
  description: 'Kept beside the log: counted nowhere, lost nowhere.',
  properties: { why: { enum: ASIDE_REASONS }, said: { type: 'string' }, value: true },
  required: ['why', 'said', 'value'],
}

const PICTURE: Json = {
  type: 'object',
  properties: { id: { type: 'string' }, jpeg: { type: 'string', contentEncoding: 'base64' } },
  required: ['id', 'jpeg'],
}

const head = (version: number): Json => ({
  format: { const: BACKUP_FORMAT },
  version: { const: version },
  exportedAt: { type: 'string' },
  count: { type: 'integer', minimum: 0, description: 'How many entries there are.' },
})

function backup(version: number, entries: Json, more: Json, defs?: Json): Json {
  return {
    $schema: DRAFT,
    title: `Jolt Mile backup, version ${version}`,
    description:
      'The whole log: dated entries that are never changed. A correction is an entry that supersedes another; a withdrawal takes others back.',
    type: 'object',
    properties: { ...head(version), entries: { type: 'array', items: entries }, ...more },
    required: ['format', 'version', 'exportedAt', 'count', 'entries', ...Object.keys(more)],
    ...(defs && { $defs: defs }),
  }
}

/** Makes the published schema of each version of the backup, by its number; today's from what checks the entries itself. */
export function backupSchemas(): Readonly<Record<number, Json>> {
  const kinds = Object.keys(SCHEMAS) as EntryKind[]
  return {
    1: backup(1, ANY_ENTRY, {}),
    2: backup(2, ANY_ENTRY, { aside: { type: 'array', items: ASIDE } }),
    3: backup(3, ANY_ENTRY, {
      aside: { type: 'array', items: ASIDE },
      pictures: { type: 'array', items: PICTURE },
    }),
    4: backup(
      4,
      {
        type: 'object',
        required: ['kind'],
        oneOf: kinds.map((kind) => ({ $ref: `#/$defs/${defOf(kind)}` })),
      },
      {
        world: { enum: ['own', 'demo'], description: 'Whose records these are: the demo’s are all made up.' },
        aside: { type: 'array', items: ASIDE },
        pictures: { type: 'array', items: PICTURE },
      },
      {
        reading: either(READING_SCHEMAS),
        ...Object.fromEntries(kinds.map((kind) => [defOf(kind), entrySchema(kind)])),
      },
    ),
  }
}
