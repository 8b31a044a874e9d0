import type { SchemaDescription, SchemaFieldDescription, SchemaObjectDescription } from 'yup'

/** A JSON Schema, or a part of one. */
export type Json = { readonly [key: string]: unknown }

/** What a test of ours is called in a JSON Schema, by the type of the value and the name of the test. */
const BOUNDS: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  string: { min: 'minLength', max: 'maxLength', length: 'minLength' },
  number: { min: 'minimum', max: 'maximum' },
  array: { min: 'minItems', max: 'maxItems' },
}
/** Bounds that a value must not reach: ours name them `more` and `less`. */
const OPEN_BOUNDS: Readonly<Record<string, string>> = { more: 'exclusiveMinimum', less: 'exclusiveMaximum' }

function boundsOf({ type, tests }: SchemaDescription): Json {
  const made: Record<string, unknown> = {}
  for (const { name, params } of tests) {
    const word = BOUNDS[type]?.[name ?? '']
    for (const [param, open] of Object.entries(OPEN_BOUNDS))
      if (params?.[param] !== undefined) made[open] = params[param]
    if (word !== undefined && params?.[name ?? ''] !== undefined) made[word] = params[name ?? '']
  }
  return made
}

const isWhole = ({ tests }: SchemaDescription): boolean => tests.some(({ name }) => name === 'integer')

function plain(description: SchemaDescription): Json {
  const { type, oneOf, meta } = description
  const own = (meta as { jsonSchema?: Json } | undefined)?.jsonSchema
  // What a value of any kind must be, its own description says.
  const kind = type === 'mixed' ? {} : { type: isWhole(description) ? 'integer' : type }
  return { ...kind, ...boundsOf(description), ...(oneOf.length > 0 && { enum: oneOf }), ...own }
}

const isRequired = (field: SchemaFieldDescription): boolean => 'optional' in field && !field.optional

/**
 * The JSON Schema of what a Yup schema takes, from its description. Fields that a schema does not name are refused; a
 * test of ours says what it looks like in the schema's `meta({ jsonSchema })`.
 */
export function jsonSchemaOf(field: SchemaFieldDescription): Json {
  if (!('tests' in field)) return {}
  if (field.type === 'object') {
    const { fields } = field as SchemaObjectDescription
    const required = Object.entries(fields).flatMap(([name, one]) => (isRequired(one) ? [name] : []))
    return {
      ...plain(field),
      properties: Object.fromEntries(Object.entries(fields).map(([name, one]) => [name, jsonSchemaOf(one)])),
      ...(required.length > 0 && { required }),
      additionalProperties: false,
    }
  }
  if (field.type === 'array' && 'innerType' in field && field.innerType && !Array.isArray(field.innerType))
    return { ...plain(field), items: jsonSchemaOf(field.innerType) }
  return plain(field)
}
