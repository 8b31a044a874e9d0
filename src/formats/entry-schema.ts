import { array, boolean, mixed, number, object, string, ValidationError, type AnyObjectSchema } from 'yup'
import { CONDITIONS, QUARTERS } from '../core/exposure/conditions.ts'
import type { Entry, EntryKind, PartSpec } from '../core/log/entries.ts'
import { LUBES } from '../core/lube/lubes.ts'
import { evidenceOf } from '../core/measure/likelihood.ts'
import { INSTRUMENTS } from '../core/measure/instruments.ts'
import type { Reading } from '../core/measure/reading.ts'

const WORDS = ['fresh', 'good', 'watch', 'swap', 'spent'] as const
const id = () => string().strict().required().min(1).max(64)
const text = (max: number) => string().strict().defined().max(max)
const amount = () => number().strict().required().min(0).max(1e7)
const teeth = () => number().strict().required().integer().min(5).max(120)
const links = () => number().strict().required().integer().min(10).max(400)
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
    .test('time', '${path} is not a date and time', (value) => Number.isFinite(Date.parse(value)))

const base = { id: id(), at: time(), action: id().optional(), supersedes: id().optional() }
const entry = (kind: EntryKind, fields: Parameters<AnyObjectSchema['shape']>[0]): AnyObjectSchema =>
  object({ ...base, kind: oneOf([kind]), ...fields }).noUnknown()

const share = () => number().strict().min(0).max(1)
/** A record of numbers under keys of one form. */
const record = (key: RegExp, most: number) =>
  mixed<Record<string, number>>().test(
    'record',
    '${path} cannot be',
    (value) =>
      value === undefined ||
      (typeof value === 'object' &&
        Object.entries(value).every(
          ([name, held]) => key.test(name) && Number.isFinite(held) && held >= 0 && held <= most,
        )),
  )
const shares = () => record(/^\d{1,3}$/, 1)
const gears = () => record(/^\d{1,3}x\d{1,3}$/, 1e7)
const rideSource = () => object({ file: text(400), fingerprint: text(200) }).noUnknown()

const material = () => oneOf(['steel', 'aluminium', 'titanium'])
const specSchemas: Record<PartSpec['type'], AnyObjectSchema> = {
  chain: object({
    type: oneOf(['chain']),
    links: links(),
    speeds: number().strict().required().integer().min(1).max(16),
    past: oneOf(['new', 'unknown']),
    surface: maybeOneOf(['plain', 'plated', 'hard-coated']),
    directional: boolean().strict().optional(),
    join: maybeOneOf(['joining-link', 'pin']),
  }).noUnknown(),
  'joining-link': object({
    type: oneOf(['joining-link']),
    speeds: number().strict().required().integer().min(1).max(16),
    closingsAllowed: number().strict().required().integer().min(1).max(100),
    closedBefore: number().strict().required().integer().min(0).max(100),
  }).noUnknown(),
  cassette: object({
    type: oneOf(['cassette']),
    teeth: array(teeth()).strict().required().min(1).max(16),
    material: material(),
    soldSingly: array(teeth()).strict().optional(),
  }).noUnknown(),
  ring: object({ type: oneOf(['ring']), teeth: teeth(), material: material() }).noUnknown(),
  pulley: object({
    type: oneOf(['pulley']),
    position: oneOf(['guide', 'tension']),
    teeth: teeth(),
  }).noUnknown(),
}

const passes = (schema: AnyObjectSchema | undefined, value: unknown): boolean => {
  if (!schema) return false
  schema.validateSync(value, { strict: true })
  return true
}

/** A reading is sound where the core can make evidence of it. */
function isReading(value: unknown): value is Reading {
  if (typeof value !== 'object' || value === null) return false
  const reading = value as Partial<Reading>
  if (!reading.instrument || !Object.hasOwn(INSTRUMENTS, reading.instrument)) return false
  try {
    const evidence = evidenceOf(value as Reading)
    return Number.isFinite(evidence.sd) && (evidence.form === 'between' || Number.isFinite(evidence.value))
  } catch {
    return false
  }
}

const reading = () => mixed<Reading>().required().test('reading', '${path} cannot be', isReading)

const schemas: Record<EntryKind, AnyObjectSchema> = {
  bike: entry('bike', {
    bike: id(),
    name: text(80).min(1),
    note: text(200),
    speeds: number().strict().required().integer().min(1).max(16),
    shifting: oneOf(['cable', 'electric', 'hub-gear', 'none']),
    motor: oneOf(['none', 'hub', 'mid-drive']),
    usualCondition: oneOf(CONDITIONS),
    storage: oneOf(['indoors', 'outdoors']),
    usualByQuarter: object(Object.fromEntries(QUARTERS.map((quarter) => [quarter, maybeOneOf(CONDITIONS)])))
      .noUnknown()
      .optional()
      .default(undefined),
    circumferenceMm: number().strict().min(500).max(4000).optional(),
    massKg: number().strict().min(20).max(800).optional(),
    motorShare: share().optional(),
    cogMix: shares().optional(),
  }),
  part: entry('part', {
    part: id(),
    name: text(80).min(1),
    note: string().strict().max(400).optional(),
    used: object({ km: amount().optional() }).noUnknown().optional().default(undefined),
    spec: mixed<PartSpec>()
      .required()
      .test('spec', '${path} is not a part', (value: unknown) =>
        passes(specSchemas[(value as PartSpec | null)?.type ?? 'chain'], value),
      ),
  }),
  fit: entry('fit', { part: id(), bike: id() }),
  remove: entry('remove', { part: id(), to: oneOf(['shelf', 'retired', 'lent']), lentTo: text(80).optional() }),
  ride: entry('ride', {
    bike: id(),
    km: amount(),
    condition: maybeOneOf(CONDITIONS),
    trackKm: amount().optional(),
    movingSeconds: amount().optional(),
    energyKjPerKm: amount().optional(),
    elapsedSeconds: amount().optional(),
    recorded: array(oneOf(['cadence', 'power']))
      .strict()
      .optional(),
    gears: gears().optional(),
    place: object({
      lat: number().strict().required().min(-90).max(90),
      lon: number().strict().required().min(-180).max(180),
    })
      .noUnknown()
      .optional()
      .default(undefined),
    route: text(80).optional(),
    source: rideSource().optional().default(undefined),
    otherSources: array(rideSource()).strict().optional(),
  }),
  condition: entry('condition', {
    targets: array(id()).strict().required().min(1),
    condition: oneOf(CONDITIONS),
    from: oneOf(['rider', 'weather', 'usual']),
  }),
  odometer: entry('odometer', { bike: id(), km: amount(), restarted: boolean().strict().optional() }),
  reading: entry('reading', {
    chain: id(),
    linksFromJoint: number().strict().integer().min(0).max(400).optional(),
    tool: id().optional(),
    reading: reading(),
  }),
  tool: entry('tool', {
    tool: id(),
    instrument: oneOf(Object.keys(INSTRUMENTS)),
    name: text(60).min(1),
    retired: boolean().strict().required(),
    checkBarMm: number().strict().min(190).max(210).optional(),
  }),
  zeroing: entry('zeroing', { tool: id(), reading: reading() }),
  'reading-use': entry('reading-use', { target: id(), counts: boolean().strict().required() }),
  look: entry('look', { part: id(), cog: teeth().optional(), word: oneOf(WORDS) }),
  wash: entry('wash', {
    chain: id(),
    method: oneOf(['none', 'wipe', 'on-bike', 'off-bike']),
    lube: string()
      .strict()
      .optional()
      .oneOf([...LUBES]),
  }),
  limit: entry('limit', {
    bike: id(),
    school: oneOf(['early', 'usual', 'late']),
    percent: number().strict().min(0.1).max(2).optional(),
    reason: string().strict().max(200).optional(),
  }),
  plan: entry('plan', { bike: id(), weeklyKm: number().strict().min(0).max(5000).optional() }),
  event: entry('event', {
    event: id(),
    bike: id(),
    name: text(80).min(1),
    starts: time(),
    days: number().strict().required().min(1).max(400),
    km: number().strict().required().min(0).max(50_000),
    condition: oneOf(CONDITIONS),
  }),
  withdraw: entry('withdraw', { targets: array(id()).strict().required().min(1) }),
}

/**
 * An entry, checked at the door.
 * @returns the entry, or in plain words what is wrong with it
 */
export function checkEntry(value: unknown): { readonly entry: Entry } | { readonly fault: string } {
  const kind = (value as { kind?: unknown } | null)?.kind
  if (typeof kind !== 'string' || !Object.hasOwn(schemas, kind))
    return { fault: `its kind is ${JSON.stringify(kind) ?? 'missing'}` }
  try {
    schemas[kind as EntryKind].validateSync(value, { strict: true })
    return { entry: value as Entry }
  } catch (error) {
    if (error instanceof ValidationError) return { fault: error.message }
    throw error
  }
}
