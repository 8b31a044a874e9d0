import { bikeHas } from '../../core/checks/bike-has.ts'
import { itemOf, type Area, type ItemId } from '../../core/checks/items.ts'
import { minutesOf, type Occasion } from '../../core/checks/sheets.ts'
import type { IsoTime } from '../../core/log/entry.ts'
import type { BikeEntry } from '../../core/log/kinds/bike.ts'
import type { PaperSheet } from '../../core/paper/paper-sheet.ts'
import { sayCount, sayFullDay } from '../numbers.ts'
import { AREA_NAMES, OCCASION_NAMES } from './check-words.ts'
import { ITEM_NAMES } from './item-names.ts'
import { howOn } from './item-talk.ts'
import { ITEM_WORDS } from './item-words.ts'

/** A round of checks for paper: a box for each thing, how it is looked at, and what passes, place by place. */
export function checkSheet(
  bike: BikeEntry,
  occasion: Occasion,
  items: readonly ItemId[],
  now: IsoTime,
): PaperSheet {
  const has = bikeHas(bike)
  const byArea = new Map<Area, ItemId[]>()
  for (const item of items) {
    const { area } = itemOf(item)
    byArea.set(area, [...(byArea.get(area) ?? []), item])
  }
  return {
    title: `${bike.name}: ${OCCASION_NAMES[occasion].toLowerCase()}`,
    about: [
      sayFullDay(now),
      sayCount(items.length, 'thing'),
      `about ${Math.max(1, Math.round(minutesOf(items)))} min`,
    ].join(' \u00b7 '),
    sections: [...byArea].map(([area, its]) => ({
      heading: AREA_NAMES[area],
      mark: 'box',
      lines: its.map((item) => {
        const { how, passes, care } = ITEM_WORDS[item]
        return [`${ITEM_NAMES[item]}: ${howOn(how, has).join(' ')}`, `Passes: ${passes}`, care]
          .filter((one) => one !== undefined)
          .join(' ')
      }),
    })),
    pictures: [],
    foot: 'Write beside a box what you find: watch, or fail. A brake that does not hold, steering that binds, a crack: the bike is not ridden until a mechanic has seen it. The makers’ instructions come before this sheet.',
  }
}
