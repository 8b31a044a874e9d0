import { crankTurnsPerChain } from '../../core/gearing/ratio.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { sayCount } from '../../words/numbers.ts'
import { PLACES } from './take-form.ts'
import { words } from '../../words/stations/gauge/guide.ts'
import { sayDecimal } from '../../words/grouped-number.ts'

/** Ring and cog that hold the chain tight while it is measured: the big ones. */
export function measuringGear(report: BikeReport): { ring: number; cog: number } {
  const largest = (role: 'ring' | 'cog') =>
    Math.max(0, ...report.sprockets.filter((one) => one.role === role).map(({ teeth }) => teeth))
  return { ring: largest('ring') || 40, cog: largest('cog') || 18 }
}

interface Props {
  readonly report: BikeReport
  readonly links: number
  /** Places read so far in this look, in order. */
  readonly read: readonly number[]
  /** Where to read now, links from the joining link. */
  readonly place: number | undefined
}

/** How to take the next reading so that the usual mistakes do not happen. */
export function Guide({ report, links, read, place }: Props) {
  const { ring, cog } = measuringGear(report)
  const from = read.at(-1) ?? 0
  const ahead = place === undefined ? 0 : (place - from + links) % links
  const turns = sayDecimal((ahead / links) * crankTurnsPerChain(links, ring), 1)
  return (
    <div className="border-l-4 border-petrol pl-4">
      <p className="font-semibold">
        {read.length < PLACES
          ? words.placeOf(read.length + 1, PLACES)
          : words.readThatIsEnough(sayCount(read.length, 'place'))}
      </p>
      <ol className="mt-1 list-decimal pl-5 text-[0.95rem] text-steel">
        <li>{words.bigRingAndBig(ring, cog)}</li>
        <li>
          {read.length === 0
            ? words.fromTheJoiningLink(turns, place ?? '…')
            : words.fromLinkTurnTheCranks(from, turns, place ?? '…')}
        </li>
        <li>{words.holdTheCranksBack}</li>
      </ol>
    </div>
  )
}
