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
        {isNow && <span className="text-steel">, as now</span>}
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
      <h3 className="font-semibold">What would change this</h3>
      <p className="mt-0.5 mb-2 text-sm text-steel">
        Each tried with all that is known; on the right how likely it is.
        {tool !== undefined &&
          ` The next reading is tried with a tool that has not read this chain yet: ${tool}.`}
      </p>
      {fault !== undefined && <p className="text-rust">{fault}</p>}
      {reading && !readings && fault === undefined && (
        <p role="status" className="text-steel">
          Trying the next reading…
        </p>
      )}
      <ul className="text-[0.95rem]">
        {readings?.filter(isTold).map((turn) => (
          <Row
            key={JSON.stringify(turn.from)}
            when={`${tool ?? 'a tool'} reads ${sayReadingTurn(turn, reading?.pitches, units)}`.replace(
              / reads (the|whatever)/,
              ': $1',
            )}
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
            when={`a tour of over ${sayAboutKm(tour.swapFirstKm, units)} is next`}
            then="swap the chain before it"
          />
        )}
        {tour &&
          tour.lookFirstKm > 0 &&
          !verdict.swap?.before &&
          tour.swapFirstKm > 1.15 * tour.lookFirstKm && (
            <Row
              when={`a tour of ${sayAboutKm(tour.lookFirstKm, units)} to ${sayAboutKm(tour.swapFirstKm, units)} is next`}
              then="measure before it"
            />
          )}
      </ul>
      {judged.answer.conflict && (
        <p className="mt-2 text-[0.95rem]">
          Two instruments disagree: what the next reading would do is not known until that is settled.
        </p>
      )}
      {judged.answer.surprise && (
        <p className="mt-2 text-[0.95rem]">
          First{' '}
          <Link to={OPENS.oddLook} className="underline underline-offset-4">
            answer the open question
          </Link>
          : what the next reading would do depends on it.
        </p>
      )}
      <p className="mt-3 text-sm text-steel">
        Another{' '}
        <Link to={STATIONS.gauge.path} className="underline underline-offset-4">
          limit
        </Link>{' '}
        than {sayLimit(report.limit.percent)}&nbsp;% would change it too. The maker’s limits and instructions
        come before anything said here.
      </p>
    </div>
  )
}
