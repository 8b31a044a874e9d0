import type { PaperSheet } from '../../../core/paper/paper-sheet.ts'
import type { IsoTime } from '../../../core/log/entry.ts'
import type { DayGroup, DayGroupOf } from '../../../core/strategy/needs.ts'
import { sayAction, sayReason } from '../../../words/advice.ts'
import { sayGroup } from '../../../words/day-words.ts'
import { sayCount, sayFullDay } from '../../../words/numbers.ts'
import type { Garage } from '../../../core/log/garage.ts'
import type { Units } from '../../../core/units/units.ts'
import type { ListedBike } from './use-day-list.ts'
import { words } from '../../../words/stations/today/day/day-sheet.ts'

/** A day's list for paper: a box to tick for each bike, what it needs, and why. */
export function daySheet(
  groups: readonly DayGroupOf<ListedBike>[],
  group: DayGroup,
  garage: Garage,
  units: Units,
  now: IsoTime,
): PaperSheet {
  const count = groups.reduce((sum, { bikes }) => sum + bikes.length, 0)
  return {
    title: words.theDaysList,
    about: `${sayFullDay(now)} \u00b7 ${sayCount(count, 'bike')}`,
    sections: groups.map(({ key, bikes }) => ({
      heading: `${sayGroup(group, key)} (${bikes.length})`,
      mark: 'box',
      lines: bikes.map(({ entry, verdict }) => {
        const [why] = verdict?.reasons ?? []
        const place = [entry.owner, entry.rack].filter((one) => one !== undefined).join(', ')
        const said = verdict ? sayAction(verdict, units) : words.beingWorkedOut
        return `${entry.name}${place === '' ? '' : ` (${place})`}: ${said}${why && verdict?.action !== 'ride-on' ? ` ${sayReason(why, units, garage.tools)}` : ''}`
      }),
    })),
    pictures: [],
    foot: words.brakesThatDoNot,
  }
}
