import { Link } from 'react-router'
import type { JudgedBike } from '../../session/verdicts.ts'
import { isSameCall, type ReadingTurn } from '../../core/strategy/what-next/reading-turns.ts'
import { OPENS, STATIONS } from '../../words/places.ts'
import { useUnits } from '../../ui/screen-state.ts'
import { SHORT_INSTRUMENT, toolName } from '../../words/names.ts'
import { sayAboutKm, sayChance, sayLimit } from '../../words/numbers.ts'
import { sayCall, sayReadingTurn, sayTeethTurn } from '../../words/turn-words.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { useTurns } from './use-turns.ts'
import { words } from '../../words/stations/decide/turns.ts'

/** So many looks at teeth are told. */
const MOST_LOOKS = 3

function Row({
  when,
  then,
  p,
  isNow,
}: {
  readonly when: string
  readonly then: string
  readonly p?: number
  readonly isNow?: boolean
}) {
  return (
    <li className="grid grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)_5.5rem] items-baseline gap-x-4 border-b border-hairline py-2 leading-snug first:border-t max-sm:grid-cols-[minmax(0,1fr)_5.5rem]">
      <span>{when}</span>
      <span className="max-sm:col-start-1 max-sm:row-start-2">
        <strong className="font-semibold">{then}</strong>
        {isNow && <span className="text-steel">{words.asNow}</span>}
      </span>
      <span className="text-right text-sm text-steel max-sm:col-start-2 max-sm:row-start-1">
        {p !== undefined && sayChance(p)}
      </span>
    </li>
  )
}

/** Readings that hardly anybody would get are not told. */
const isTold = ({ p }: ReadingTurn): boolean => p >= 0.01

/** What would change the verdict: the next reading, a look at the teeth, a tour, each tried. */
export function Turns({ judged }: { readonly judged: JudgedBike }) {
  const { garage } = useOpenLog()
  const units = useUnits()
  const { reading, readings, looks, tour, fault } = useTurns(judged)
  const { verdict, report } = judged
  if (!verdict || !judged.answer) return null
  const tool =
    reading &&
    (garage.tools.has(reading.tool)
      ? toolName(garage.tools, reading.tool)
      : SHORT_INSTRUMENT[reading.instrument])
  return (
    <div className="mt-6">
      <h3 className="font-semibold">{words.whatWouldChangeThis}</h3>
      <p className="mt-0.5 mb-2 text-sm text-steel">
        {words.eachTriedWithAll}
        {tool !== undefined && words.theNextReadingIsTried(tool)}
      </p>
      {fault !== undefined && <p className="text-rust">{fault}</p>}
      {reading && !readings && fault === undefined && (
        <p role="status" className="text-steel">
          {words.tryingTheNextReading}
        </p>
      )}
      <ul className="text-[0.95rem]">
        {readings?.filter(isTold).map((turn) => (
          <Row
            key={JSON.stringify(turn.from)}
            when={words.reads(tool ?? words.aTool, sayReadingTurn(turn, reading?.pitches, units))}
            then={sayCall(turn.verdict, units)}
            {...(readings.length > 1 && { p: turn.p })}
            isNow={isSameCall(turn.verdict, verdict)}
          />
        ))}
        {looks.slice(0, MOST_LOOKS).map((turn) => (
          <Row
            key={`${turn.sprocket.part.entry.part} ${turn.sprocket.teeth} ${turn.side}`}
            when={sayTeethTurn(turn)}
            then={sayCall(turn.verdict, units)}
            p={turn.p}
          />
        ))}
        {tour && tour.swapFirstKm > 0 && !verdict.swap?.before && (
          <Row
            when={words.aTourOfOver(sayAboutKm(tour.swapFirstKm, units))}
            then={words.swapTheChainBefore}
          />
        )}
        {tour &&
          tour.lookFirstKm > 0 &&
          !verdict.swap?.before &&
          tour.swapFirstKm > 1.15 * tour.lookFirstKm && (
            <Row
              when={words.aTourOfToIsNext(
                sayAboutKm(tour.lookFirstKm, units),
                sayAboutKm(tour.swapFirstKm, units),
              )}
              then={words.measureBeforeIt}
            />
          )}
      </ul>
      {judged.answer.conflict && <p className="mt-2 text-[0.95rem]">{words.twoInstrumentsDisagreeWhat}</p>}
      {judged.answer.surprise && (
        <p className="mt-2 text-[0.95rem]">
          {words.first}{' '}
          <Link to={OPENS.oddLook} className="underline underline-offset-4">
            {words.answerTheOpenQuestion}
          </Link>
          {words.whatTheNextReading}
        </p>
      )}
      <p className="mt-3 text-sm text-steel">
        {words.another}{' '}
        <Link to={STATIONS.gauge.path} className="underline underline-offset-4">
          {words.limit}
        </Link>{' '}
        {words.thanWouldChangeItToo(sayLimit(report.limit.percent))}
      </p>
    </div>
  )
}
