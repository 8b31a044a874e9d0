import { CONDITIONS, type Condition } from '../../core/exposure/conditions.ts'
import type { Entry, EntryDraft } from '../../core/log/entries.ts'
import type { WashMethod } from '../../core/log/kinds/wash.ts'
import type { WearWord } from '../../core/log/entry.ts'
import type { Ride } from '../../core/log/garage.ts'
import { MOST_ODOMETER_KM } from '../../core/log/kinds/odometer.ts'
import { BOUNDS, isIsoTime } from '../../core/log/bounds.ts'
import { LUBES } from '../../core/lube/lubes.ts'
import { kmToMiles, milesToKm } from '../../core/units/convert.ts'
import { faultOfText } from '../../ui/parts/text-fault.ts'
import type { Units } from '../../ui/screen-state.ts'

/** The fields of a correction, as they stand in the form. */
export interface Fields {
  /** As a date-and-time field holds it, in the reader's own time. */
  readonly when: string
  readonly values: Readonly<Record<string, string>>
}

/** A date and time as the field holds it. */
export function fieldTime(at: string): string {
  const date = new Date(at)
  const two = (value: number) => String(value).padStart(2, '0')
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}T${two(date.getHours())}:${two(date.getMinutes())}`
}

const UNSAID = 'unsaid'

/** What can be corrected in an entry, filled in. */
export function fieldsOf(entry: Entry, counted: Ride | undefined, units: Units): Fields {
  const distance = (km: number) => String(Math.round(100 * (units === 'metric' ? km : kmToMiles(km))) / 100)
  const values = (): Record<string, string> => {
    switch (entry.kind) {
      case 'ride':
        return {
          bike: entry.bike,
          distance: distance(entry.km),
          condition: counted && !counted.unsure ? counted.condition : UNSAID,
        }
      case 'odometer':
        return { bike: entry.bike, distance: distance(entry.km) }
      case 'fit':
        return { part: entry.part, bike: entry.bike }
      case 'remove':
        return { part: entry.part, to: entry.to, who: entry.lentTo ?? '' }
      case 'reading':
        return {
          chain: entry.chain,
          place: entry.linksFromJoint === undefined ? '' : String(entry.linksFromJoint),
        }
      case 'look':
        return { word: entry.word }
      case 'wash':
        return { method: entry.method, lube: entry.lube ?? '' }
      case 'condition':
        return { condition: entry.condition }
      case 'part':
        return { name: entry.name, note: entry.note ?? '' }
      case 'bike':
        return { name: entry.name, note: entry.note }
      case 'event':
        return { name: entry.name, distance: distance(entry.km), condition: entry.condition }
      case 'tool':
      case 'zeroing':
      case 'limit':
      case 'plan':
      case 'reading-use':
      case 'withdraw':
        return {}
    }
  }
  return { when: fieldTime(entry.at), values: values() }
}

type Corrected = { readonly draft: EntryDraft } | { readonly fault: string; readonly field: string }

const isCondition = (value: string | undefined): value is Condition => CONDITIONS.includes(value as Condition)

type Values = Fields['values']
type Draft<K extends Entry['kind']> = Extract<EntryDraft, { kind: K }>

/** A distance as typed, in km. */
function typedKm(values: Values, units: Units): number {
  const text = (values['distance'] ?? '').trim()
  const distance = text === '' ? NaN : Number(text.replace(',', '.'))
  return units === 'metric' ? distance : milesToKm(distance)
}

function correctedRide(base: Draft<'ride'>, values: Values, km: number | undefined): Corrected {
  if (km !== undefined && !(km > 0 && km <= 2000))
    return { fault: 'A distance over nothing, and at most 2000 km.', field: 'distance' }
  const { condition: _old, gears, ...ride } = base
  const bike = values['bike'] ?? base.bike
  const condition = isCondition(values['condition']) ? values['condition'] : undefined
  return {
    draft: {
      ...ride,
      km: km ?? base.km,
      bike,
      // Another bike has other cogs: what the gears did there is not known.
      ...(gears && bike === base.bike && { gears }),
      ...(condition && { condition }),
    },
  }
}

function correctedRemoval(base: Draft<'remove'>, values: Values): Corrected {
  const { lentTo: _who, ...taken } = base
  const to = values['to'] === 'retired' ? 'retired' : values['to'] === 'lent' ? 'lent' : 'shelf'
  const who = (values['who'] ?? '').trim()
  const long = faultOfText(who, BOUNDS.nameLetters)
  if (to === 'lent' && long) return { fault: long, field: 'who' }
  return { draft: { ...taken, to, ...(to === 'lent' && who !== '' && { lentTo: who }) } }
}

function correctedReading(base: Draft<'reading'>, values: Values): Corrected {
  const { linksFromJoint: _place, ...reading } = base
  const place = (values['place'] ?? '').trim()
  if (place !== '' && !(Number.isInteger(Number(place)) && Number(place) >= 0 && Number(place) <= 400))
    return { fault: 'Links from the joining link: a whole number, or nothing.', field: 'place' }
  return {
    draft: {
      ...reading,
      chain: values['chain'] ?? base.chain,
      ...(place !== '' && { linksFromJoint: Number(place) }),
    },
  }
}

function correctedName(base: Draft<'part'> | Draft<'bike'> | Draft<'event'>, values: Values): Corrected {
  const name = (values['name'] ?? '').trim()
  if (name === '') return { fault: 'Give it a name.', field: 'name' }
  const longName = faultOfText(name, BOUNDS.nameLetters)
  if (longName) return { fault: longName, field: 'name' }
  const note = (values['note'] ?? '').trim()
  const longNote = faultOfText(note, BOUNDS.noteLetters)
  if (longNote) return { fault: longNote, field: 'note' }
  if (base.kind === 'event') return { draft: { ...base, name } }
  if (base.kind === 'bike') return { draft: { ...base, name, note } }
  const { note: _note, ...part } = base
  return { draft: { ...part, name, ...(note !== '' && { note }) } }
}

/** The entry written again as the form has it, or what is wrong and where. */
export function correctionOf(
  entry: Entry,
  counted: Ride | undefined,
  fields: Fields,
  units: Units,
  now: string,
): Corrected {
  const { id, action: _action, ...rest } = entry
  const ms = new Date(fields.when).getTime()
  if (!Number.isFinite(ms) || !isIsoTime(new Date(ms).toISOString()))
    return { fault: 'Give the day and the time, with a year of four figures.', field: 'when' }
  if (ms > Date.parse(now) + 60_000)
    return { fault: 'That is still to come: the log tells what was.', field: 'when' }
  // A field shows minutes; a time that was not touched keeps its seconds.
  const at = fields.when === fieldTime(entry.at) ? entry.at : new Date(ms).toISOString()
  const base = { ...rest, at, supersedes: id } as EntryDraft
  const { values } = fields
  switch (base.kind) {
    case 'ride': {
      const untouched = values['distance'] === fieldsOf(entry, counted, units).values['distance']
      return correctedRide(base, values, untouched ? undefined : typedKm(values, units) || 0)
    }
    case 'odometer': {
      const km = typedKm(values, units)
      if (!(km >= 0)) return { fault: 'Give the figure it shows.', field: 'distance' }
      return km <= MOST_ODOMETER_KM
        ? { draft: { ...base, km, bike: values['bike'] ?? base.bike } }
        : { fault: 'That is more than any bike’s computer shows: check the figure.', field: 'distance' }
    }
    case 'fit':
      return { draft: { ...base, bike: values['bike'] ?? base.bike, part: values['part'] ?? base.part } }
    case 'remove':
      return correctedRemoval(base, values)
    case 'reading':
      return correctedReading(base, values)
    case 'look':
      return { draft: { ...base, word: (values['word'] ?? base.word) as WearWord } }
    case 'wash': {
      const { lube: _lube, ...wash } = base
      const lube = LUBES.find((one) => one === values['lube'])
      const method = (values['method'] ?? base.method) as WashMethod
      return { draft: { ...wash, method, ...(lube && { lube }) } }
    }
    case 'condition':
      return {
        draft: {
          ...base,
          condition: isCondition(values['condition']) ? values['condition'] : base.condition,
        },
      }
    case 'part':
    case 'bike':
      return correctedName(base, values)
    case 'event': {
      const km = typedKm(values, units)
      if (!(km > 0 && km <= 50_000)) return { fault: 'A distance over nothing.', field: 'distance' }
      const named = correctedName(base, values)
      const condition = isCondition(values['condition']) ? values['condition'] : base.condition
      return 'fault' in named ? named : { draft: { ...named.draft, km, condition } as Draft<'event'> }
    }
    case 'tool':
    case 'zeroing':
    case 'limit':
    case 'plan':
    case 'reading-use':
    case 'withdraw':
      return { draft: base }
  }
}

const JOB_SECONDS = 60
const isOfJob = ({ kind }: Entry): boolean =>
  kind === 'fit' || kind === 'remove' || kind === 'part' || kind === 'wash' || kind === 'reading'

/**
 * What was written in the same job as a fitting or taking off, as a swap writes it: the chain off, the link, the first
 * look. Whoever mends the day of one nearly always means them all.
 */
export function sameJob(entry: Entry, live: readonly Entry[]): readonly Entry[] {
  if (entry.kind !== 'fit' && entry.kind !== 'remove') return []
  const at = Date.parse(entry.at)
  return live.filter(
    (other) =>
      other.id !== entry.id &&
      isOfJob(other) &&
      (entry.action !== undefined ? other.action === entry.action : other.action === undefined) &&
      Math.abs(Date.parse(other.at) - at) <= (entry.action !== undefined ? 1000 * JOB_SECONDS : 0),
  )
}

/** Entries written again, so many ms later. */
export const movedBy = (entries: readonly Entry[], ms: number): EntryDraft[] =>
  entries.map(({ id, action: _action, ...rest }) => {
    const at = new Date(Date.parse(rest.at) + ms).toISOString()
    return { ...rest, at, supersedes: id }
  })
