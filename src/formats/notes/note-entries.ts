import { isSameRide } from '../../core/exposure/same-ride.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import type { BikeId, PartId } from '../../core/log/entry.ts'
import { openFitting, type Garage } from '../../core/log/garage.ts'
import { canonicalText } from '../../core/log/canonical-text.ts'
import { elongationFromLength } from '../../core/measure/elongation.ts'
import type { Reading } from '../../core/measure/reading.ts'
import { draftOfRow } from '../rides/row-draft.ts'
import {
  bikeHere,
  bikeOfNotes,
  chainAt,
  later,
  nextLogged,
  putOn,
  startOfDay,
  swapLogged,
  type FollowedBike,
  type NotesBike,
} from './note-bike.ts'
import type { NoteMapping } from './note-mapping.ts'
import type { Doubt, NoteRow, ReadNotes } from './note-rows.ts'

/** What a row of notes becomes. */
export interface RowOutcome {
  readonly line: number
  readonly at?: string
  /** The bike's name in the table. */
  readonly bike: string
  readonly drafts: readonly EntryDraft[]
  /** How many of its facts the log holds already. */
  readonly known: number
  readonly doubts: readonly Doubt[]
}

/** What a table of notes becomes. */
export interface NotesOutcome {
  /** In the order of the table. */
  readonly rows: readonly RowOutcome[]
  /** What is to be written, in order of time: bikes before what is on them. */
  readonly drafts: readonly EntryDraft[]
}

/** What reading notes into a log takes beside them. */
export interface NotesInto {
  readonly garage: Garage
  readonly mapping: NoteMapping
  /** Which bike the notes under each name are about; the name in small letters, empty where no column names one. */
  readonly bikes: Readonly<Record<string, NotesBike>>
  readonly file: string
  /** An id for a new thing: the same for the same words, each time it is asked. */
  readonly newId: (what: string) => string
  /** How many minor units one of the currency has. */
  readonly minorPerMajor: number
}

/** The key under which a bike's notes stand. */
export const bikeKey = (name: string): string => name.trim().toLowerCase()

/** Fields that tell of the writing, not of what happened. */
const OF_WRITING: ReadonlySet<string> = new Set([
  'id',
  'format',
  'action',
  'supersedes',
  'firstId',
  'writtenBy',
  'abridged',
  'altered',
])

/** What an entry says, as text: whoever wrote it, on whatever device, and whatever it corrects. */
const sameFields = (entry: Record<string, unknown>): string =>
  canonicalText(Object.fromEntries(Object.entries(entry).filter(([field]) => !OF_WRITING.has(field))))

/** What the log holds that notes may bring a second time, as text. */
function heldAbout(garage: Garage, bike: BikeId, chains: readonly PartId[]): ReadonlySet<string> {
  const entries = [
    ...(garage.bikes.get(bike)?.odometer ?? []),
    ...(garage.listed.note.get(bike) ?? []),
    ...(garage.listed.paid.get(bike) ?? []),
    ...chains.flatMap((chain) => [
      ...(garage.readings.get(chain) ?? []).map(({ entry }) => entry),
      ...(garage.washes.get(chain) ?? []),
    ]),
  ]
  return new Set(entries.map((entry) => sameFields(entry as unknown as Record<string, unknown>)))
}

/** What is gathered for a row. */
interface Row {
  readonly row: NoteRow
  readonly drafts: EntryDraft[]
  readonly doubts: Doubt[]
  known: number
}

/** Everything that following one bike's notes takes. */
interface Following extends NotesInto {
  readonly bike: FollowedBike
  readonly held: ReadonlySet<string>
  readonly rides: ReadonlySet<string>
  /** How many rows like it, of the same day and distance, there were: by their text. */
  readonly twins: Map<string, number>
}

function add(into: Row, following: Following, draft: EntryDraft): void {
  if (following.held.has(canonicalText(draft))) into.known++
  else into.drafts.push(draft)
}

const FRESH_PERCENT = 0.12

/** Whether a reading is of a chain that has hardly been ridden. */
function isFresh(reading: Reading): boolean {
  switch (reading.instrument) {
    case 'rule':
      return elongationFromLength(reading.pitches, reading.lengthMm) <= FRESH_PERCENT
    case 'two-contact-scale':
    case 'three-contact-scale':
      return reading.percent <= FRESH_PERCENT
    case 'two-contact-limit':
    case 'three-contact-limit':
      return reading.result !== 'drops' && reading.result !== 'starts'
    default:
      return false
  }
}

/** A ride of the row. */
function addRide(into: Row, following: Following, km: number): void {
  const { bike, file, garage, rides, twins } = following
  const { row } = into
  const like = `${row.at} ${km.toFixed(3)}`
  const twin = twins.get(like) ?? 0
  twins.set(like, twin + 1)
  const draft = draftOfRow(bike.id, { at: row.at, hasTime: row.hasTime, km, line: row.line, twin }, file)
  if (rides.has(draft.source?.fingerprint ?? '')) {
    into.known++
    return
  }
  const day = row.at.slice(0, 10)
  const isLike = (garage.bikes.get(bike.id)?.rides ?? []).some(
    (ride) => ride.at.startsWith(day) && ride.spread !== true && isSameRide(ride, draft) !== 'no',
  )
  if (isLike) into.doubts.push({ why: 'ride-there', written: row.distance?.written ?? '' })
  else into.drafts.push(draft)
}

/** What the bike's computer, or a count that goes with it, shows on the row. */
function addCount(into: Row, following: Following, km: number, at: string, restarted: boolean): void {
  const { bike } = following
  add(into, following, {
    kind: 'odometer',
    at,
    bike: bike.id,
    km: Math.round(km * 100) / 100,
    ...(restarted && { restarted: true }),
  })
  bike.count = { km, at }
}

/** The bike's count in the log that lies around a moment, km. */
function countedAround({ garage, bike }: Following, at: string): readonly [number, number] {
  const held = garage.bikes.get(bike.id)?.odometer ?? []
  const before = held.findLast((one) => one.at <= at)
  const after = held.find((one) => one.at > at)
  return [before?.km ?? 0, after && after.restarted !== true ? after.km : Infinity]
}

/** A distance of the row, whatever it counts. */
function addDistance(into: Row, following: Following, isNewChain: boolean): void {
  const { row } = into
  const { distance } = row
  if (!distance) return
  const { bike } = following
  const { km, written } = distance
  const last = bike.count
  switch (distance.use) {
    case 'ride':
      return addRide(into, following, km)
    case 'odometer': {
      const [least, most] = countedAround(following, row.at)
      if (km < (last?.km ?? 0) || km < least || km > most) into.doubts.push({ why: 'counts-back', written })
      else addCount(into, following, km, row.at, false)
      return
    }
    case 'since-last': {
      const isFirst = last === undefined
      if (isFirst && km > 0) into.doubts.push({ why: 'nothing-before', written })
      bike.sum += isFirst ? 0 : km
      const had = isFirst && (following.garage.bikes.get(bike.id)?.odometer.length ?? 0) > 0
      return addCount(into, following, bike.sum, row.at, had)
    }
    case 'chain-distance':
      // The figure on the row of a swap is of the chain that comes off, unless it begins again there.
      return addCount(into, following, km, row.at, isNewChain && last !== undefined && km < last.km)
    default:
      return
  }
}

/** A chain that was changed without a word: its count began again. */
const COUNT_BEGAN_AGAIN = 0.5

function fittedUnsaid(into: Row, following: Following): void {
  const { bike, newId } = following
  const { distance, at } = into.row
  const last = bike.count
  if (distance?.use !== 'chain-distance' || !last || distance.km >= COUNT_BEGAN_AGAIN * last.km) return
  const swapAt = later(last.at, 60)
  if (swapLogged(bike, swapAt)) into.known++
  else if (nextLogged(bike, at)) return
  else into.drafts.push(...putOn(bike, { past: 'new' }, swapAt, newId))
  addCount(into, following, 0, later(swapAt, 1), true)
}

/** A chain that the row says is new. @param isCounted distance was counted on the one before it */
function fitNew(into: Row, following: Following, isCounted: boolean): void {
  const { bike, newId } = following
  const { at, chain } = into.row
  if (swapLogged(bike, at)) into.known++
  else if (nextLogged(bike, at) && bike.added.length === 0) {
    into.doubts.push({ why: 'swap-in-past', written: into.row.text })
    return
  } else
    into.drafts.push(
      ...putOn(bike, { past: 'new', ...(chain !== '' && { name: chain }) }, later(at, 1), newId),
    )
  if (isCounted && into.row.distance?.use === 'chain-distance')
    addCount(into, following, 0, later(at, 2), true)
}

/** The chain that a row names is the one on the bike. */
function fitNamed(into: Row, following: Following): void {
  const { bike, newId } = following
  const { at, chain } = into.row
  if (chain === '') return
  const part = bike.named.get(chain.toLowerCase())
  if (part !== undefined && part === chainAt(bike, at)) return
  if (part !== undefined && !bike.isNew && bike.logged.some((one) => one.part === part)) {
    into.doubts.push({ why: 'not-fitted', written: chain })
    return
  }
  if (nextLogged(bike, at) && bike.logged.some(({ from }) => from <= at)) {
    into.doubts.push({ why: 'not-fitted', written: chain })
    return
  }
  into.drafts.push(
    ...putOn(bike, part === undefined ? { past: 'unknown', name: chain } : { part }, at, newId, 'shelf'),
  )
}

/** The row that comes first on a bike without a chain: one was on it, whatever it was. */
function fitFound(into: Row, following: Following, isNewChain: boolean): void {
  const { bike, newId } = following
  const { at, chain, distance } = into.row
  if (chainAt(bike, at) !== undefined || (isNewChain && bike.logged.length === 0)) {
    if (isNewChain && chainAt(bike, at) === undefined)
      into.drafts.push(
        ...putOn(bike, { past: 'new', ...(chain !== '' && { name: chain }) }, startOfDay(at), newId),
      )
    return
  }
  const usedKm = distance?.use === 'chain-distance' ? distance.km : undefined
  const next = nextLogged(bike, at)
  const name = chain !== '' ? chain : next ? 'Chain before the log' : undefined
  const past = usedKm !== undefined && usedKm <= 0 ? 'new' : 'unknown'
  const drafts = putOn(
    bike,
    { past, ...(name !== undefined && { name }), ...(usedKm !== undefined && { usedKm }) },
    startOfDay(at),
    newId,
  )
  into.drafts.push(...drafts)
  const part = bike.added.at(-1)?.part
  if (next && part !== undefined) into.drafts.push({ kind: 'remove', at: next.from, part, to: 'retired' })
}

/** A cassette or ring like the one that is on, where the log knows that one. */
function renew(into: Row, following: Following, type: 'cassette' | 'ring'): boolean {
  const { garage, bike, newId } = following
  const at = later(into.row.at, 1)
  const held = [...garage.parts.values()].filter((part) => {
    const fitting = openFitting(part)
    return part.entry.spec.type === type && fitting?.bike === bike.id && fitting.from < at
  })
  const [old] = held
  if (!old || held.length > 1) return false
  const part = newId(`${type} ${bike.id} ${at}`)
  into.drafts.push(
    { kind: 'remove', at, part: old.entry.part, to: 'retired' },
    { kind: 'part', at, part, name: old.entry.name, spec: old.entry.spec },
    { kind: 'fit', at, part, bike: bike.id },
  )
  return true
}

const NOTE_LETTERS = 400

/** What stays in words: what was noted, and a part that the log has no place for. */
function addWords(into: Row, following: Following, unplaced: readonly string[]): void {
  const { bike, mapping, minorPerMajor } = following
  const { text, price, at } = into.row
  const words = [text, ...unplaced].filter((one) => one !== '').join('; ')
  if (words !== '')
    add(into, following, { kind: 'note', at, about: bike.id, text: words.slice(0, NOTE_LETTERS) })
  if (price !== undefined)
    add(into, following, {
      kind: 'paid',
      at,
      bike: bike.id,
      what: (words === '' ? 'From the notes' : words).slice(0, 80),
      minor: Math.round(price * minorPerMajor),
      currency: mapping.currency,
    })
}

function followRow(row: NoteRow, following: Following): RowOutcome {
  const { bike } = following
  const into: Row = { row, drafts: [], doubts: [...row.doubts], known: 0 }
  const isNewChain = row.done.some((one) => one.did === 'new-part' && one.type === 'chain')
  const isFirst = chainAt(bike, row.at) === undefined
  fitFound(into, following, isNewChain)
  if (!isNewChain) {
    fitNamed(into, following)
    fittedUnsaid(into, following)
  }
  const isCounted = bike.count !== undefined
  addDistance(into, following, isNewChain)
  const before = chainAt(bike, row.at)
  if (isNewChain && !(isFirst && bike.logged.length === 0)) fitNew(into, following, isCounted)
  const after = chainAt(bike, later(row.at, 3))
  const isOfNew = isNewChain && row.readings.length > 0 && row.readings.every(isFresh)
  const measured = isOfNew ? after : before
  if (measured !== undefined)
    for (const reading of row.readings)
      add(into, following, {
        kind: 'reading',
        at: isOfNew ? later(row.at, 2) : row.at,
        chain: measured,
        reading,
      })
  const unplaced: string[] = []
  for (const done of row.done) {
    if (done.did === 'wash') {
      const { did: _did, ...wash } = done
      if (after !== undefined)
        add(into, following, { kind: 'wash', at: later(row.at, 3), chain: after, ...wash })
    } else if (done.type !== 'chain' && !renew(into, following, done.type)) unplaced.push(`New ${done.type}`)
  }
  addWords(into, following, row.text === '' ? unplaced : [])
  const { drafts, doubts, known } = into
  return { line: row.line, at: row.at, bike: row.bike, drafts, known, doubts }
}

/** The bike that notes under one name are about, and what it takes to follow them. */
function followingOf(
  into: NotesInto,
  told: NotesBike,
  key: string,
  firstAt: string,
): { readonly following: Following; readonly born: readonly EntryDraft[] } {
  const { garage, newId } = into
  const made = told.is === 'new' ? bikeOfNotes(told, newId(`bike ${key}`), firstAt) : undefined
  const bike = made?.bike ?? bikeHere(garage, told.is === 'here' ? told.bike : '')
  const rides = (garage.bikes.get(bike.id)?.rides ?? []).flatMap((ride) =>
    [...(ride.source ? [ride.source] : []), ...(ride.otherSources ?? [])].map(
      ({ fingerprint }) => fingerprint,
    ),
  )
  return {
    following: {
      ...into,
      bike,
      held: heldAbout(garage, bike.id, [...new Set(bike.logged.map(({ part }) => part))]),
      rides: new Set(rides),
      twins: new Map(),
    },
    born: made ? [made.draft] : [],
  }
}

/**
 * What a table of notes becomes in a log: bikes, chains, rides, counts, readings, washes, parts, prices and notes. What
 * the log holds already is left out, what is not clear is listed by row, and nothing of the log is changed.
 */
export function entriesOfNotes({ rows, lost }: ReadNotes, into: NotesInto): NotesOutcome {
  const followed = new Map<string, Following>()
  const born = new Map<string, readonly EntryDraft[]>()
  const outcomes: RowOutcome[] = lost.map((row) => ({ ...row, bike: '', drafts: [], known: 0 }))
  const drafts: EntryDraft[] = []
  for (const row of rows) {
    const key = bikeKey(row.bike)
    const told = into.bikes[key]
    if (!told) {
      outcomes.push({
        line: row.line,
        at: row.at,
        bike: row.bike,
        drafts: [],
        known: 0,
        doubts: [{ why: 'which-bike', written: row.bike }],
      })
      continue
    }
    let following = followed.get(key)
    if (!following) {
      const begun = followingOf(into, told, key, row.at)
      following = begun.following
      followed.set(key, following)
      born.set(key, begun.born)
    }
    const outcome = followRow(row, following)
    outcomes.push(outcome)
    drafts.push(...outcome.drafts)
  }
  return {
    rows: outcomes.sort((a, b) => a.line - b.line),
    drafts: [...[...born.values()].flat(), ...drafts],
  }
}
