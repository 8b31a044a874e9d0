import type { FastenerEntry, TightenedEntry } from '../../core/log/kinds/fastener.ts'
import { torqueOf } from '../../core/checks/torque.ts'
import { JOINT_NAMES, sayTorque } from '../checks/torque-words.ts'
import { sayCount } from '../numbers.ts'
import { bikeName, type KindWords } from './kind-words.ts'

/** How a bolt is worded. */
export const fastener: KindWords<FastenerEntry> = {
  name: 'bolt',
  step: (count) => sayCount(count, 'bolt'),
  say: ({ bike, name, valuesNm, joint, isGone }, garage) => {
    const nm = torqueOf(valuesNm)
    return `${bikeName(garage, bike)}, ${name}: ${isGone ? 'off the book' : `${nm === undefined ? 'by feel' : sayTorque(nm, 'N m')}, ${JOINT_NAMES[joint]}`}`
  },
  fields: [],
}

/** How a bolt that was tightened is worded. */
export const tightened: KindWords<TightenedEntry> = {
  name: 'bolt tightened',
  step: (count) => sayCount(count, 'boltTightened'),
  say: ({ bike, fastener: id, nm, wasLoose }, garage) => {
    const name = garage.listed.fastener.get(`${bike} ${id}`)?.at(-1)?.name ?? 'a bolt'
    return `${bikeName(garage, bike)}, ${name}: tightened ${nm === undefined ? 'by feel' : `to ${sayTorque(nm, 'N m')}`}${wasLoose ? ', it was loose' : ''}`
  },
  fields: [],
}
