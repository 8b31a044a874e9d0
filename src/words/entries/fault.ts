import type { FaultEntry } from '../../core/log/kinds/fault.ts'
import { STATIONS } from '../places.ts'
import { sayCause } from '../faults/causes.ts'
import { sayCount } from '../numbers.ts'
import { bikeName, type KindWords } from './kind-words.ts'

const OUTCOMES: Readonly<Record<FaultEntry['outcome'], string>> = {
  mended: 'mended',
  'not-mended': 'not mended yet',
  'not-found': 'nothing found',
}
const AFTERWARDS: Readonly<Record<NonNullable<FaultEntry['afterwards']>, string>> = {
  gone: ', gone since',
  'still-there': ', still there after it',
  'not-sure': '',
}

/** How a fault that was looked for is worded. */
export const fault: KindWords<FaultEntry> = {
  name: 'fault',
  step: (count) => sayCount(count, 'fault'),
  say: ({ bike, about, found, outcome, afterwards }, garage) => {
    const what = about === 'noise' ? 'noise' : 'slips or skips'
    const why = found.length > 0 ? `: ${found.map(sayCause).join(', ')}` : ''
    return `${bikeName(garage, bike)}, ${what}${why}, ${OUTCOMES[outcome]}${afterwards ? AFTERWARDS[afterwards] : ''}`
  },
  fields: [],
  writtenAt: { to: STATIONS.faults.path, label: 'Find out why it slips, skips or creaks' },
}
