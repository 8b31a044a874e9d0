import type { Entry } from '../core/log/entries.ts'
import type { PartSpec } from '../core/log/kinds/part.ts'
import { INSTRUMENT_NAMES } from './names.ts'
import { sayPart } from './part-name.ts'

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

const partName = (spec: PartSpec): string => {
  switch (spec.type) {
    case 'chain':
      return 'Chain'
    case 'joining-link':
      return 'Joining link'
    case 'cassette':
    case 'ring':
    case 'pulley':
      return capital(sayPart(spec))
  }
}

/** What a thing is called where the name that somebody gave it is left out: by what it is. */
export function kindName(entry: Entry): string {
  switch (entry.kind) {
    case 'bike':
      return 'Bike'
    case 'part':
      return partName(entry.spec)
    case 'tool':
      return INSTRUMENT_NAMES[entry.instrument]
    case 'fastener':
      return 'Bolt'
    case 'gearing':
      return 'Gears'
    default:
      return 'Part or work'
  }
}
