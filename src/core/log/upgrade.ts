import { ENTRY_FORMAT } from './entry.ts'

/** An entry of any format, as it was stored: nothing of it is checked yet. */
export type StoredFields = Readonly<Record<string, unknown>>

/** The same fields with some of them under another name. */
function renamed(fields: StoredFields, names: Readonly<Record<string, string>>): StoredFields {
  return Object.fromEntries(
    Object.entries(fields).map(([name, value]) => [
      Object.hasOwn(names, name) ? (names[name] ?? name) : name,
      value,
    ]),
  )
}

const isFields = (value: unknown): value is StoredFields =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

const renamedSource = (source: unknown): unknown =>
  isFields(source) ? renamed(source, { print: 'fingerprint' }) : source

const renamedSpec = (spec: unknown): unknown => {
  if (!isFields(spec)) return spec
  if (spec['type'] === 'joining-link') return renamed(spec, { limit: 'closingsAllowed' })
  return spec['type'] === 'cassette' ? renamed(spec, { loose: 'soldSingly' }) : spec
}

/** Format 2 gives fields names that say what they hold. */
function toFormat2(entry: StoredFields): StoredFields {
  const fields = { ...renamed(entry, { act: 'action' }), format: 2 }
  switch (entry['kind']) {
    case 'bike':
      return renamed(fields, { kept: 'storage', usual: 'usualCondition', usualIn: 'usualByQuarter' })
    case 'part':
      return { ...fields, spec: renamedSpec(entry['spec']) }
    case 'remove':
      return renamed(fields, { who: 'lentTo' })
    case 'ride': {
      const ride = renamed(fields, { carries: 'recorded', also: 'otherSources' })
      const others = ride['otherSources']
      return {
        ...ride,
        ...(ride['source'] !== undefined && { source: renamedSource(ride['source']) }),
        ...(Array.isArray(others) && { otherSources: others.map(renamedSource) }),
      }
    }
    case 'condition':
      return entry['from'] === 'told' ? { ...fields, from: 'rider' } : fields
    case 'odometer':
      return renamed(fields, { anew: 'restarted' })
    case 'reading':
      return renamed(fields, { place: 'linksFromJoint' })
    case 'reading-use':
      return renamed(fields, { use: 'counts' })
    case 'tool':
      return renamed(fields, { barMm: 'checkBarMm' })
    default:
      return fields
  }
}

/** One step for each format, from the one before. A step is never edited once it has been released. */
const STEPS: readonly ((entry: StoredFields) => StoredFields)[] = [toFormat2]

/** The format of a stored entry; those of the first format carry none. NaN where it is no whole number from 1 up. */
export function formatOf(entry: StoredFields): number {
  const { format = 1 } = entry
  return Number.isInteger(format) && Number(format) >= 1 ? Number(format) : NaN
}

/**
 * A stored entry in today's format. One of today's format, of a later one or of none is given back as it is.
 * @example upgradeEntry({ kind: 'remove', who: 'Bo' }) // { kind: 'remove', lentTo: 'Bo', format: 2 }
 */
export function upgradeEntry(entry: StoredFields): StoredFields {
  const from = formatOf(entry)
  if (!(from < ENTRY_FORMAT)) return entry
  return STEPS.slice(from - 1).reduce((upgraded, step) => step(upgraded), entry)
}
