import type { Act, Area, ItemId } from '../../core/checks/items.ts'
import type { Occasion } from '../../core/checks/sheets.ts'
import type { CheckEntry, CheckResult } from '../../core/log/kinds/check.ts'
import type { IsoTime } from '../../core/log/entry.ts'
import type { DueWhy, SheetDue } from '../../core/strategy/facts/due-sheets.ts'
import type { OpenFinding } from '../../core/strategy/facts/check-facts.ts'
import type { Units } from '../../core/units/units.ts'
import { sayAboutKm, sayAgo, sayCount, sayDay, sayList } from '../numbers.ts'
import { ITEM_NAMES, sayItem } from './item-names.ts'

/** What each sheet is called. */
export const OCCASION_NAMES: Readonly<Record<Occasion, string>> = {
  'before-ride': 'Before every ride',
  'after-wet': 'After a wet ride',
  monthly: 'Monthly round',
  'before-winter': 'Before winter',
  spring: 'Spring',
  'after-lay-off': 'After a lay-off',
  'off-trainer': 'Off the trainer',
  'before-event': 'Before a tour',
  electric: 'Electric bike',
  'second-hand': 'Bought second-hand',
  'hand-back': 'Handing it back',
  short: 'A short look',
}

/** Parts of the round. */
export const AREA_NAMES: Readonly<Record<Area, string>> = {
  rear: 'Rear wheel',
  drivetrain: 'Derailleur and drivetrain',
  saddle: 'Saddle and post',
  cranks: 'Cranks',
  bars: 'Headset and bars',
  front: 'Fork and front wheel',
  whole: 'The bike as a whole',
}

/** The four answers. */
export const RESULT_NAMES: Readonly<Record<CheckResult, string>> = {
  pass: 'Pass',
  watch: 'Watch',
  fail: 'Fail',
  'not-here': 'Not here',
}

/** What is done about something that failed. */
export const ACT_NAMES: Readonly<Record<Act, string>> = {
  now: 'before the next ride',
  soon: 'soon',
  mechanic: 'mechanic, before it is ridden',
  stop: 'stop riding',
}

/** Why a sheet is due, as a sentence. */
export function sayDueWhy(why: DueWhy, now: IsoTime): string {
  switch (why.kind) {
    case 'wet-ride':
      return `It was ridden in the wet ${sayAgo(why.at, now)}.`
    case 'days':
      return `The last one was ${sayCount(why.days, 'day')} ago.`
    case 'never':
      return 'Not done yet, as far as the log goes.'
    case 'season':
      return 'It is the time of year for it.'
    case 'stood':
      return `It has stood for ${sayCount(why.days, 'day')}.`
    case 'indoor':
      return `${sayCount(why.rides, 'ride')} on the trainer: sweat eats metal unseen.`
    case 'event':
      return `${why.name} begins ${why.inDays === 0 ? 'today' : `in ${sayCount(why.inDays, 'day')}`}.`
    case 'unknown-past':
      return 'Its past is unknown: look at everything once.'
    case 'visit':
      return 'It was just worked on.'
  }
}

/** Each sheet as something to do, within a sentence. */
const TO_DO: Readonly<Record<Occasion, string>> = {
  'before-ride': 'check before the ride',
  'after-wet': 'check after a wet ride',
  monthly: 'monthly round',
  'before-winter': 'check before winter',
  spring: 'spring check',
  'after-lay-off': 'check after the lay-off',
  'off-trainer': 'check off the trainer',
  'before-event': 'check before the tour',
  electric: 'check of the electric parts',
  'second-hand': 'check of a second-hand bike',
  'hand-back': 'check before it goes back',
  short: 'short look',
}

/** A sheet within a sentence: "the monthly round". */
export const sayOccasion = (occasion: Occasion): string => `the ${TO_DO[occasion]}`

/** A sheet as something to do, in a calendar's line. */
export const saySheetToDo = ({ occasion }: Pick<SheetDue, 'occasion'>): string => TO_DO[occasion]

/** By when a finding should be seen to. */
export function sayFindingBy(
  { act, byKm, byDay, result }: Pick<CheckEntry, 'act' | 'byKm' | 'byDay' | 'result'>,
  units: Units,
  now: IsoTime,
): string {
  if (result === 'watch' && byKm === undefined && byDay === undefined) return 'watch it'
  const by = [
    byKm !== undefined && `within ${sayAboutKm(byKm, units)}`,
    byDay !== undefined && `by ${sayDay(byDay, now)}`,
  ].filter(Boolean)
  const when = by.join(', ')
  if (result === 'watch') return `look again ${when}`
  return act === undefined || act === 'soon' ? when || ACT_NAMES.soon : ACT_NAMES[act]
}

/** A finding in a few words: "Brake, rear: stop riding. Pads glazed." */
export function sayFinding({ check }: OpenFinding, units: Units, now: IsoTime): string {
  const { item, note } = check
  return `${ITEM_NAMES[item]}: ${sayFindingBy(check, units, now)}.${note ? ` ${note}` : ''}`
}

/** What was found at a check, before all else. */
export const sayFoundFirst = (items: readonly ItemId[], isStop: boolean): string =>
  isStop
    ? `Do not ride it: ${sayList(items.map(sayItem))}.`
    : `Before the next ride: ${sayList(items.map(sayItem))}.`
