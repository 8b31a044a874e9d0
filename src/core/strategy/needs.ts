import type { BikeEntry } from '../log/kinds/bike.ts'
import type { Action } from './rules/rule.ts'
import { urgency, type Verdict } from './verdict.ts'

/** What a bike needs, in the order in which a workshop sees to it; `working`: not worked out yet. */
export const NEEDS = [
  'stop',
  'found',
  'swap',
  'measure',
  'answer',
  'lube',
  'teeth',
  'describe',
  'nothing',
  'working',
] as const
export type Need = (typeof NEEDS)[number]

const BY_ACTION: Readonly<Record<Action, Need>> = {
  'swap-chain-and-cogs': 'swap',
  'swap-chain': 'swap',
  measure: 'measure',
  'answer-first': 'answer',
  'describe-chain': 'describe',
  'look-at-teeth': 'teeth',
  lubricate: 'lube',
  'ride-on': 'nothing',
}

/** What a bike needs by the verdict on it: one word, and the first thing to be seen to. */
export function needOf(verdict: Verdict | undefined): Need {
  if (!verdict) return 'working'
  if (verdict.found?.isStop) return 'stop'
  return verdict.found ? 'found' : BY_ACTION[verdict.action]
}

/** A bike in a day's list: what is known of it, and the verdict on it. */
export interface DayBike {
  readonly entry: BikeEntry
  readonly km: number
  readonly verdict: Verdict | undefined
}

export const DAY_GROUPS = ['need', 'owner', 'rack', 'none'] as const
/** What a day's list is grouped by. */
export type DayGroup = (typeof DAY_GROUPS)[number]
export const DAY_ORDERS = ['urgency', 'name', 'distance'] as const
/** In which order the bikes of a group stand. */
export type DayOrder = (typeof DAY_ORDERS)[number]

/** Bikes that belong together in a day's list. */
export interface DayGroupOf<B> {
  /** The need, the owner or the rack; empty where there is none. */
  readonly key: string
  readonly bikes: readonly B[]
}

const calls = ({ verdict }: DayBike): number => (verdict ? urgency(verdict) : -1)
const NAMES = new Intl.Collator(undefined, { numeric: true })
const byName = (a: DayBike, b: DayBike): number => NAMES.compare(a.entry.name, b.entry.name)

/** How two bikes stand to one another; those that are alike stand by their names. */
function compare(order: DayOrder): (a: DayBike, b: DayBike) => number {
  switch (order) {
    case 'urgency':
      return (a, b) => calls(b) - calls(a) || byName(a, b)
    case 'name':
      return byName
    case 'distance':
      return (a, b) => b.km - a.km || byName(a, b)
  }
}

const keyOf = ({ entry, verdict }: DayBike, group: DayGroup): string => {
  switch (group) {
    case 'need':
      return needOf(verdict)
    case 'owner':
      return entry.owner ?? ''
    case 'rack':
      return entry.rack ?? ''
    case 'none':
      return ''
  }
}

/**
 * A day's list: bikes in groups, each in its order. Needs stand in the order in which they are seen to; owners and racks
 * by their names, those without one last.
 */
export function dayGroups<B extends DayBike>(
  bikes: readonly B[],
  group: DayGroup,
  order: DayOrder,
): readonly DayGroupOf<B>[] {
  const held = new Map<string, B[]>()
  for (const bike of bikes) {
    const key = keyOf(bike, group)
    const own = held.get(key)
    if (own) own.push(bike)
    else held.set(key, [bike])
  }
  const inOrder = [...held].sort(([a], [b]) => {
    if (group === 'need') return NEEDS.indexOf(a as Need) - NEEDS.indexOf(b as Need)
    if (a === '' || b === '') return a === b ? 0 : a === '' ? 1 : -1
    return NAMES.compare(a, b)
  })
  return inOrder.map(([key, own]) => ({ key, bikes: own.sort(compare(order)) }))
}
