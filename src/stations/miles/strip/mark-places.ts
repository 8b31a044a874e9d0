import { entryAddress, logAddress } from '../../../words/places.ts'
import type { StripMark } from '../../../core/strategy/mile-strip.ts'
import { PEG_GAP_PX } from '../../../ui/charts/pegs.ts'
import { xOfKm, type Frame } from '../../../ui/road/frame.ts'
import type { StripPicture } from '../../../ui/road/picture.ts'
import type { View } from '../../../ui/road/view.ts'

/** Where a mark is drawn: on which band of the drawing, and how far beside its place on the road, px. */
interface MarkPlace {
  readonly mark: StripMark
  readonly aside: number
  readonly top: number
  readonly bottom: number
}

/** A pointer this near to a mark means it, px. */
const REACH_PX = 14
/** Marks drawn this near to one another look like one, px. */
const SAME_PX = 1.5

/** The band of each part's lane, by part. */
function laneBands({ strip }: StripPicture, { laneY }: Frame): Map<string, readonly [number, number]> {
  return new Map(
    strip.lanes.flatMap(({ spans }, i) =>
      spans.map(({ part }) => {
        const y = laneY[i] ?? 0
        return [part.entry.part, [y - 22, y + 10]] as const
      }),
    ),
  )
}

/** Every mark that is drawn, with its place: readings as pegs, fittings of chains above them, washes, lanes. */
function markPlaces(picture: StripPicture, frame: Frame): MarkPlace[] {
  const asides = new Map(
    picture.chains.flatMap(({ pegs }) =>
      pegs.map(({ entry, beside }) => [entry, -PEG_GAP_PX * beside] as const),
    ),
  )
  const lanes = laneBands(picture, frame)
  return picture.strip.marks.flatMap((mark): MarkPlace[] => {
    const at = (top: number, bottom: number, aside = 0) => [{ mark, aside, top, bottom }]
    switch (mark.kind) {
      case 'reading': {
        // A reading left out is not drawn; keys reach it all the same.
        const aside = asides.get(mark.entry)
        return aside === undefined ? [] : at(frame.curveTop, frame.curveBottom + 6, aside)
      }
      case 'wash':
        return at(frame.washY - 14, frame.washY + 14)
      case 'look':
      case 'fit': {
        const [top, bottom] = lanes.get(mark.about) ?? [
          frame.chainY.length > 0 ? 24 : frame.curveTop - 24,
          frame.curveTop,
        ]
        return at(top, bottom)
      }
      default:
        return at(frame.curveTop - 22, frame.curveTop - 2)
    }
  })
}

/** Tells which marks a pointer means: those drawn nearest to it on its band; several only where they lie on one another. */
export function markFinder(
  picture: StripPicture,
  frame: Frame,
): (view: View, x: number, y: number) => readonly StripMark[] {
  const places = markPlaces(picture, frame)
  return (view, x, y) => {
    const near = places.flatMap(({ mark, aside, top, bottom }) => {
      const drawn = xOfKm(frame, view, mark.km) + aside
      const off = Math.abs(drawn - x)
      return y >= top && y <= bottom && off <= REACH_PX ? [{ mark, drawn, off }] : []
    })
    const nearest = near.reduce(
      (best, one) => (one.off < best.off ? one : best),
      near[0] ?? { drawn: 0, off: 0 },
    )
    return near.flatMap(({ mark, drawn }) => (Math.abs(drawn - nearest.drawn) <= SAME_PX ? [mark] : []))
  }
}

/** The address at which marks are opened: their one entry, or the log about that part on those days. */
export function addressOf(marks: readonly StripMark[]): string | undefined {
  const [first] = marks
  if (!first) return undefined
  if (marks.length === 1) return entryAddress(first.entry)
  const days = marks.map(({ at }) => at.slice(0, 10)).sort()
  const parts = new Set(marks.map(({ about }) => about))
  return logAddress({
    ...(parts.size === 1 && { about: first.about }),
    from: days[0] ?? '',
    to: days.at(-1) ?? '',
  })
}
