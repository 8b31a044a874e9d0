import type { Entry } from '../../core/log/entries.ts'
import type { PartSpec } from '../../core/log/kinds/part.ts'
import type { Garage } from '../../core/log/garage.ts'
import type { Units } from '../screen-state.ts'
import { dayOf } from '../parts/day.ts'
import { CONDITION_NAMES, LUBE_NAMES, SHORT_INSTRUMENT, WASH_NAMES } from './names.ts'
import { sayCount, sayKm, sayLimit } from './numbers.ts'
import { namePart } from './part-name.ts'
import { sayAsRead } from './reading.ts'

/** What kinds of entries are called, one and many. */
export const KIND_NAMES: Readonly<Record<Entry['kind'], string>> = {
  bike: 'bike',
  part: 'part',
  fit: 'fitting',
  remove: 'taking off',
  ride: 'ride',
  condition: 'what rides were ridden in',
  odometer: 'bike’s computer',
  reading: 'reading',
  'reading-use': 'reading left out or put back',
  tool: 'tool',
  zeroing: 'zeroing',
  look: 'look',
  wash: 'wash or lube',
  limit: 'limit',
  plan: 'plan',
  event: 'event ahead',
  withdraw: 'undo or restore',
}

/** What a part is, shortly. */
export function sayPart(spec: PartSpec): string {
  switch (spec.type) {
    case 'chain':
      return `chain of ${spec.links} links`
    case 'joining-link':
      return `joining link, ${sayCount(spec.closingsAllowed, 'closing')} allowed`
    case 'cassette':
      return spec.teeth.length === 1
        ? `cog of ${spec.teeth[0]}`
        : `${spec.teeth.length} cogs, ${spec.teeth[0]} to ${spec.teeth.at(-1)}`
    case 'ring':
      return `ring of ${spec.teeth}`
    case 'pulley':
      return `${spec.position} pulley of ${spec.teeth}`
  }
}

const WHERE = { shelf: 'hung up', retired: 'retired', lent: 'lent' } as const

/** An entry in a few words, without its day. */
export function sayEntry(entry: Entry, garage: Garage, units: Units): string {
  const part = (id: string): string => namePart(garage, id)
  const bike = (id: string): string => garage.bikes.get(id)?.entry.name ?? 'a bike not in the log'
  switch (entry.kind) {
    case 'bike':
      return `${entry.name}: ${entry.note || 'a bike'}`
    case 'part':
      return `${entry.name}: ${sayPart(entry.spec)}`
    case 'fit':
      return `${part(entry.part)} fitted to ${bike(entry.bike)}`
    case 'remove':
      return `${part(entry.part)} taken off, ${WHERE[entry.to]}${entry.to === 'lent' && entry.lentTo ? ` to ${entry.lentTo}` : ''}`
    case 'ride':
      return `${sayKm(entry.km, units)} on ${bike(entry.bike)}, ${entry.condition ? CONDITION_NAMES[entry.condition] : 'in what nobody said'}${entry.source ? `, ${entry.source.file}` : ''}`
    case 'condition':
      return `${sayCount(entry.targets.length, 'ride')}: ${CONDITION_NAMES[entry.condition]}${entry.from === 'rider' ? '' : `, by the ${entry.from}`}`
    case 'odometer':
      return `${bike(entry.bike)}’s computer at ${sayKm(entry.km, units)}${entry.restarted ? ', counting anew' : ''}`
    case 'reading':
      return `${part(entry.chain)} read with ${SHORT_INSTRUMENT[entry.reading.instrument]}: ${sayAsRead(entry.reading, units)}`
    case 'reading-use':
      return entry.counts ? 'a reading put back' : 'a reading left out'
    case 'tool':
      return `${entry.name}, a ${SHORT_INSTRUMENT[entry.instrument]}${entry.retired ? ', out of use' : ''}`
    case 'zeroing':
      return `${garage.tools.get(entry.tool)?.entry.name ?? 'a tool'} zeroed on a new chain`
    case 'look':
      return `${part(entry.part)}${entry.cog === undefined ? '' : `, cog ${entry.cog}`}: ${entry.word}`
    case 'wash':
      return `${part(entry.chain)} ${WASH_NAMES[entry.method]}${entry.lube ? `, ${LUBE_NAMES[entry.lube]}` : ''}`
    case 'limit':
      return `${bike(entry.bike)}: the ${entry.school} school${entry.percent === undefined ? '' : `, ${sayLimit(entry.percent)}\u00a0%`}`
    case 'plan':
      return `${bike(entry.bike)} is to go ${entry.weeklyKm === undefined ? 'as far as lately' : `${sayKm(entry.weeklyKm, units)} a week`}`
    case 'event':
      return `${entry.name}, ${sayKm(entry.km, units)} on ${bike(entry.bike)}, ${CONDITION_NAMES[entry.condition]}, from ${dayOf(entry.starts)}`
    case 'withdraw':
      return `${sayCount(entry.targets.length, 'entry', 'entries')} undone or restored`
  }
}
