import { fittedParts, type Garage } from '../core/log/garage.ts'
import { kmOf } from '../core/exposure/distance.ts'
import type { PaperSheet } from '../core/paper/paper-sheet.ts'
import type { BikeReport } from '../core/strategy/facts/bike-report.ts'
import type { Verdict } from '../core/strategy/verdict.ts'
import type { WearAnswer } from '../core/wear/outlook.ts'
import type { Units } from '../core/units/units.ts'
import { sayFullDay, sayKm, sayLimit } from './numbers.ts'
import { sayCautions, sayExpected, sayFindings } from './owner-sheet.ts'
import { sayPart } from './part-name.ts'
import { sayAsRead } from './reading.ts'
import { LUBE_NAMES, SHORT_INSTRUMENT, WASH_NAMES } from './names.ts'

/** So many of the last readings and washes stand on the sheet. */
const LAST = 8

/** What a bike's record says, for whoever works on it next: the readable twin of the file. */
export function recordSheet(
  report: BikeReport,
  answer: WearAnswer | undefined,
  verdict: Verdict | undefined,
  garage: Garage,
  units: Units,
): PaperSheet {
  const { entry } = report.bike
  const parts = fittedParts(garage, entry.bike)
  const chain = report.chain?.part.entry.part ?? ''
  const readings = (garage.readings.get(chain) ?? []).slice(-LAST)
  const washes = (garage.washes.get(chain) ?? []).slice(-LAST)
  return {
    title: `${entry.name}: its record`,
    about: [sayFullDay(report.now), entry.note, `${sayKm(report.totalKm, units)} in all`]
      .filter((one) => one !== '')
      .join(' \u00b7 '),
    sections: [
      {
        heading: 'How it is now',
        lines: verdict ? sayFindings(report, answer, verdict, garage, units) : [],
      },
      {
        heading: 'What is on it',
        lines: parts.map((part) => {
          const used = part.entry.used?.km
          return `${part.entry.name}: ${sayPart(part.entry.spec)}, ${sayKm(kmOf(garage, part), units)} here${used === undefined ? '' : `, ${sayKm(used, units)} before`}.`
        }),
      },
      {
        heading: `Last readings of the chain, limit ${sayLimit(report.limit.percent)}\u00a0%`,
        lines: readings.map(
          ({ entry: { at, reading } }) =>
            `${sayFullDay(at)}: ${SHORT_INSTRUMENT[reading.instrument]}, ${sayAsRead(reading, units)}.`,
        ),
      },
      {
        heading: 'Last washes of the chain',
        lines: washes.map(
          ({ at, method, lube }) =>
            `${sayFullDay(at)}: ${WASH_NAMES[method]}${lube === undefined ? '' : `, ${LUBE_NAMES[lube]}`}.`,
        ),
      },
      { heading: 'What to expect', lines: verdict ? sayExpected(report, answer, verdict, units) : [] },
      { heading: 'Take care', lines: verdict ? sayCautions(verdict, false) : [] },
    ],
    pictures: [],
    foot: 'Distances and days are estimates from this bike’s rides and readings. 8 in 10 fall within what is said to be probable. The file of this record can be brought into another log.',
  }
}
