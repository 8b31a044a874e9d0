import type { BulkAct } from '../core/strategy/bulk.ts'
import type { DayGroup, DayOrder, Need } from '../core/strategy/needs.ts'
import { RESULT_NAMES } from './checks/check-words.ts'
import { sayItem } from './checks/item-names.ts'
import { LUBE_NAMES, WASH_NAMES } from './names.ts'
import { sayCount } from './numbers.ts'

/** What a bike needs, as the heading over those that need the same. */
export const NEED_NAMES: Readonly<Record<Need, string>> = {
  stop: 'Not to be ridden',
  found: 'Found at a check',
  swap: 'Swap the chain',
  measure: 'Measure the chain',
  answer: 'Answer a question',
  lube: 'Clean and lubricate',
  teeth: 'Check the teeth',
  describe: 'Enter the chain',
  nothing: 'Nothing to do',
  working: 'Being worked out',
}

export const GROUP_NAMES: Readonly<Record<DayGroup, string>> = {
  need: 'what needs doing',
  owner: 'owner',
  rack: 'rack or place',
  none: 'nothing',
}

export const ORDER_NAMES: Readonly<Record<DayOrder, string>> = {
  urgency: 'most urgent first',
  name: 'name',
  distance: 'distance ridden',
}

/** The heading of a group of a day's list. */
export function sayGroup(group: DayGroup, key: string): string {
  switch (group) {
    case 'need':
      return NEED_NAMES[key as Need]
    case 'owner':
      return key === '' ? 'No owner entered' : key
    case 'rack':
      return key === '' ? 'No rack entered' : key
    case 'none':
      return 'All bikes'
  }
}

/** What was done to several bikes, for the notice. */
export function sayBulk(act: BulkAct, count: number): string {
  const bikes = sayCount(count, 'bike')
  switch (act.act) {
    case 'wash':
      return `${bikes}: ${WASH_NAMES[act.method]}${act.lube ? `, ${LUBE_NAMES[act.lube]}` : ''}.`
    case 'fit-chain':
      return `${bikes}: a new chain fitted.`
    case 'check':
      return `${bikes}: ${sayItem(act.item)}, ${RESULT_NAMES[act.result]}.`
    case 'place':
      return act.value === ''
        ? `${bikes}: ${act.field === 'owner' ? 'owner' : 'rack'} taken away.`
        : `${bikes}: ${act.field === 'owner' ? 'owner' : 'rack'} ${act.value}.`
  }
}

/** What was left out of it. */
export const sayWithout = (names: string): string => `Without a chain in the log, left out: ${names}.`
