import { useMemo } from 'react'
import type { StripLane } from '../../../core/strategy/mile-strip.ts'
import { mileStrip, roadKmAt } from '../../../core/strategy/mile-strip.ts'
import { chainsOfRoad, type BikeReport } from '../../../core/strategy/facts/bike-report.ts'
import { KM_PER_MILE } from '../../../core/units/convert.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { plannedAlong } from '../../../ui/charts/planned.ts'
import { pegsOf } from '../../../ui/charts/pegs.ts'
import { RoadSwatch } from '../../../ui/drawings/RoadTextures.tsx'
import { CONDITIONS } from '../../../core/exposure/conditions.ts'
import { Section } from '../../../ui/parts/Section.tsx'
import { useUnits } from '../../../ui/screen-state.ts'
import type { Units } from '../../../core/units/units.ts'
import { CONDITION_NAMES } from '../../../words/names.ts'
import { sayAboutKm, sayCount, sayDay, sayFigure, sayKm, sayLimit } from '../../../words/numbers.ts'
import { sayLimitDates } from '../../../words/verdict.tsx'
import { useAnswers, useForecast } from '../../../session/use-forecasts.ts'
import { MileStrip } from './MileStrip.tsx'
import type { StripPicture } from '../../../ui/road/picture.ts'
import { RoadPaper } from './RoadPaper.tsx'
import { words } from '../../../words/stations/miles/strip/road.ts'

const LEAST_TOP = 1
const MOST_TOP = 1.3

/** What stands on a lane: the part, and for a joining link how often it was closed. */
function sayLane(lane: StripLane, index: number): string {
  const span = lane.spans[index]
  if (!span) return ''
  if (span.closings !== undefined) return sayCount(span.closings, 'closing')
  return span.part.entry.name.replace(/^(Cassette|Ring) /, '')
}

/** The chains behind the curves, for those who would rather read. */
function ChainTable({ picture, units }: { readonly picture: StripPicture; readonly units: Units }) {
  const { now } = useOpenLog()
  return (
    <details className="no-print mt-1 text-[0.95rem]">
      <summary className="cursor-pointer text-sm text-steel underline underline-offset-4">
        {words.theRoadAsATable}
      </summary>
      <div className="overflow-x-auto" role="region" aria-label={words.theRoadAsATable} tabIndex={0}>
        <table className="mt-2 w-full text-left">
          <thead>
            <tr className="border-b border-hairline text-sm text-steel">
              <th className="py-1 pr-4 font-medium">{words.chain}</th>
              <th className="py-1 pr-4 font-medium">{words.fitted}</th>
              <th className="py-1 pr-4 font-medium">{words.distance}</th>
              <th className="py-1 pr-4 font-medium">{words.readings}</th>
              <th className="py-1 font-medium">{words.elongation}</th>
            </tr>
          </thead>
          <tbody>
            {picture.chains.map(({ strip: { chain, readings }, answer }) => (
              <tr key={chain.part.entry.part} className="border-b border-hairline/70">
                <td className="py-1 pr-4">{chain.part.entry.name}</td>
                <td className="py-1 pr-4">{sayDay(chain.part.fittings[0]?.from ?? now, now)}</td>
                <td className="py-1 pr-4">{sayKm(chain.story.km, units)}</td>
                <td className="py-1 pr-4">{readings.length}</td>
                <td className="py-1">
                  {answer
                    ? words.to(
                        sayFigure(answer.now.mean),
                        sayFigure(answer.now.p05),
                        sayFigure(answer.now.p95),
                      )
                    : '…'}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  )
}

/** The signature drawing: the bike's whole road with what was on it, and the fan ahead of today. */
export function Road({ report }: { readonly report: BikeReport }) {
  const { garage, now } = useOpenLog()
  const units = useUnits()
  const chains = useMemo(() => chainsOfRoad(garage, report), [garage, report])
  const strip = useMemo(() => mileStrip(garage, report, chains), [garage, report, chains])
  const { answer: current, fault } = useForecast(report.chain?.part.entry.part)
  const parts = useMemo(() => strip.chains.map(({ chain }) => chain.part.entry.part), [strip])
  const found = useAnswers(parts)
  const answers = useMemo(
    () =>
      strip.chains.map(({ drawn }, i) => {
        const answer = found[i]
        // An answer of before may be about a way with fewer marks: it is not drawn under another.
        return answer?.wayHere.length === drawn ? answer : undefined
      }),
    [found, strip],
  )
  const limit = report.limit.percent
  const known = answers.filter((answer) => answer !== undefined)
  const highest = Math.max(limit + 0.25, ...known.map((answer) => answer.now.p95 + 0.05))
  const topPercent = Math.min(MOST_TOP, Math.max(LEAST_TOP, Math.ceil(highest * 4) / 4))
  const picture = useMemo<StripPicture>(() => {
    const measured = report.chain?.lastReadingAt !== undefined
    return {
      strip,
      limit,
      chains: strip.chains.map((chain, i) => ({
        strip: chain,
        answer: answers[i],
        pegs: pegsOf(
          chain.readings.map(({ state }) => state),
          report.chain?.biases ?? new Map(),
          (at) => roadKmAt(strip, at),
        ),
      })),
      ...(current && {
        ahead: {
          answer: current,
          events: plannedAlong(report.bike.events, current, 0),
          // Where the limit is, and no more: what to do about it is the verdict's to say.
          said: words.limit(sayAboutKm(current.toLimitKm.p50, units), measured ? '' : words.aGuess),
        },
      }),
      perUnit: units === 'metric' ? 1 : KM_PER_MILE,
      unit: units === 'metric' ? words.km : words.miles,
      sayLane,
    }
  }, [strip, limit, answers, current, report, units])
  if (strip.totalKm === 0) return null
  const total = strip.totalKm
  const lastEvent = Math.max(0, ...(picture.ahead?.events ?? []).map(({ to }) => to))
  const reach = current ? Math.max(current.toLimitKm.p90, lastEvent) * 1.05 : 0
  const end = total + Math.max(0.06 * total, Math.min(reach, Math.max(0.3 * total, 400, lastEvent * 1.05)))
  const note =
    fault !== undefined
      ? words.theWearCouldNot
      : current
        ? words.theLineIsTheLikely(sayLimitDates(current, now), sayLimit(limit))
        : words.workingItOut
  return (
    <Section title={words.theRoadOf(report.bike.entry.name)} note={note}>
      <MileStrip picture={picture} end={end} topPercent={topPercent} />
      <ul
        className="no-print mt-2 flex flex-wrap gap-x-5 gap-y-1 text-sm text-steel"
        aria-label={words.kindsOfRoad}
      >
        {CONDITIONS.filter((condition) =>
          strip.rides.some((ride) => ride.condition === condition && !ride.unsure),
        ).map((condition) => (
          <li key={condition} className="flex items-center gap-2">
            <RoadSwatch condition={condition} />
            {CONDITION_NAMES[condition]}
          </li>
        ))}
        {strip.rides.some((ride) => ride.unsure) && (
          <li className="flex items-center gap-2">
            <span aria-hidden="true" className="inline-block h-3 w-6 border border-dashed border-steel" />
            {words.notSet}
          </li>
        )}
      </ul>
      {picture.ahead?.events.map(({ name, condition, from, to }) => (
        <p key={`${name} ${from}`} className="no-print mt-1 text-sm text-steel">
          {words.aheadInAboutIn(
            sayAboutKm(from, units),
            name,
            sayKm(to - from, units),
            CONDITION_NAMES[condition],
          )}
        </p>
      ))}
      <ChainTable picture={picture} units={units} />
      <div className="mt-3">
        <RoadPaper
          name={report.bike.entry.name}
          picture={picture}
          end={end}
          topPercent={topPercent}
          note={note}
        />
      </div>
    </Section>
  )
}
