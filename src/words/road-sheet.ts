import { CONDITIONS } from '../core/exposure/conditions.ts'
import type { IsoTime } from '../core/log/entry.ts'
import type { PaperSheet } from '../core/paper/paper-sheet.ts'
import type { MileStrip } from '../core/strategy/mile-strip.ts'
import type { Units } from '../core/units/units.ts'
import { CONDITION_NAMES } from './names.ts'
import { sayCount, sayDay, sayFullDay, sayKm } from './numbers.ts'

/** A bike's road as it is to stand on paper. */
export interface RoadOnPaper {
  readonly name: string
  readonly strip: MileStrip
  /** The drawing, as PNG. */
  readonly png: Uint8Array
  /** What the drawing shows. */
  readonly note: string
}

/** A bike's road for paper: the drawing across the page, its chains, and what it was ridden in. */
export function roadSheet({ name, strip, png, note }: RoadOnPaper, units: Units, now: IsoTime): PaperSheet {
  const kmIn = (condition: (typeof CONDITIONS)[number]): number =>
    strip.rides.reduce((sum, ride) => sum + (ride.condition === condition && !ride.unsure ? ride.km : 0), 0)
  const unsureKm = strip.rides.reduce((sum, { km, unsure }) => sum + (unsure ? km : 0), 0)
  return {
    title: `The road of ${name}`,
    about: `${sayFullDay(now)} \u00b7 ${sayKm(strip.totalKm, units)} in all`,
    drawings: [{ caption: note, png }],
    sections: [
      {
        heading: 'Chains',
        lines: strip.chains.map(({ chain, readings }) => {
          const { fittings, entry } = chain.part
          const since = fittings[0] ? `, fitted ${sayDay(fittings[0].from, now)}` : ''
          return `${entry.name}${since}: ${sayKm(chain.story.km, units)}, ${sayCount(readings.length, 'reading')}.`
        }),
      },
      {
        heading: 'Ridden in',
        lines: [
          ...CONDITIONS.filter((condition) => kmIn(condition) > 0).map(
            (condition) => `${CONDITION_NAMES[condition]}: ${sayKm(kmIn(condition), units)}`,
          ),
          ...(unsureKm > 0 ? [`conditions not set: ${sayKm(unsureKm, units)}`] : []),
        ],
      },
    ],
    pictures: [],
    foot: 'Patterns along the road stand for what it was ridden in; a circle is a reading, the line through it how sure it is.',
  }
}
