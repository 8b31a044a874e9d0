import { onBike } from '../../core/wear/outlook.ts'
import type { RiderOutlook } from '../../core/wear/rider-outlook.ts'
import type { GroupForecast } from '../../session/use-forecasts.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Answer } from '../../ui/parts/Answer.tsx'
import { NoBike } from '../../ui/parts/NoBike.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { WorkingsNote } from '../../ui/parts/WorkingsNote.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { useBikeId } from '../../ui/use-bike-id.ts'
import { QUARTER_NAMES } from '../../words/names.ts'
import { sayAboutKm, sayChance, sayCount } from '../../words/numbers.ts'
import { namePart } from '../../words/part-name.ts'
import { useForecasts } from '../../session/use-forecasts.ts'
import { RateRows, type RateRow } from '../../ui/charts/RateRows.tsx'
import {
  capital,
  isRoad,
  LEARNED_FROM,
  rateIn,
  sayContrast,
  sayFactor,
  sayInterval,
  sayLesson,
  sayRates,
  sayTwo,
} from './say-rates.ts'

const LESSONS_SHOWN = 5

/** How fast chains wear: the rider’s, each chain’s, each part of the year’s. */
function useRateRows({ rates, chains }: RiderOutlook): {
  readonly chains: RateRow[]
  readonly seasons: RateRow[]
} {
  const { garage } = useOpenLog()
  const units = useUnits()
  const inUnits = ({ p10, p50, p90 }: RateRow['after']) => ({
    p10: rateIn(units, p10),
    p50: rateIn(units, p50),
    p90: rateIn(units, p90),
  })
  const row = (name: string, note: string, after: RateRow['after'], before?: RateRow['after']): RateRow => ({
    name,
    note,
    after: inUnits(after),
    ...(before && { before: inUnits(before) }),
    said: sayInterval(inUnits(after)),
    guess: false,
  })
  const bikesOf = (id: string) => garage.parts.get(id)?.fittings[0]?.bike
  const manyBikes = new Set(rates.chains.map(({ id }) => bikesOf(id))).size > 1
  const isAsked = (id: string): boolean => onBike(chains[id])?.surprise !== undefined
  const isOn = (id: string): boolean => garage.parts.get(id)?.fittings.at(-1)?.to === undefined
  return {
    chains: [
      row('You, on a dry road', 'the middle of all your chains', rates.rider.after, rates.rider.before),
      ...[...rates.chains]
        .sort((a, b) => Number(isOn(b.id)) - Number(isOn(a.id)))
        .map(({ id, readings, after, before }) =>
          row(
            namePart(garage, id, undefined, manyBikes),
            `${sayCount(readings, 'reading')}${isOn(id) ? ', on now' : ''}${isAsked(id) ? '; a question about it is open' : ''}`,
            after,
            before,
          ),
        ),
    ],
    seasons: rates.seasons.map(({ quarter, km, before, after }) =>
      row(QUARTER_NAMES[quarter], `as you ride then: ${sayAboutKm(km, units)} in the log`, after, before),
    ),
  }
}

function factorRow({
  of,
  before,
  after,
  learned,
  wearKm,
}: RiderOutlook['rates']['factors'][number]): RateRow {
  const guess = wearKm <= 0 || learned < LEARNED_FROM
  return {
    name: capital(sayFactor(of)),
    note:
      wearKm <= 0
        ? 'never under a chain that was measured'
        : `${Math.round(100 * learned)}\u00a0% more certain than before your readings`,
    before,
    after,
    said: `× ${sayInterval(after)}`,
    guess,
  }
}

function Learned({ outlook }: { readonly outlook: RiderOutlook }) {
  const { garage } = useOpenLog()
  const units = useUnits()
  const { chains, seasons } = useRateRows(outlook)
  const { factors } = outlook.rates
  const per = units === 'metric' ? '% per 1000 km' : '% per 1000 miles'
  const marks = [0.05, 0.1, 0.2, 0.4, 0.8].map((mark) => (units === 'metric' ? mark : mark * 1.5))
  const roads = factors.filter(isRoad)
  const lubes = factors.filter((factor) => !isRoad(factor))
  return (
    <>
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-x-14 gap-y-8 border-t border-hairline pt-6 max-lg:grid-cols-1">
        <Section title="Each chain" note={`${per} of dry road on drip lube, at ordinary effort.`}>
          <RateRows
            rows={chains}
            caption={`Wear rate of each chain, ${per}`}
            marks={marks}
            sayMark={sayTwo}
          />
        </Section>
        <div className="flex flex-col gap-8">
          <Section title="Each kind of road" note="So many times the wear of a dry road.">
            {roads.length > 0 ? (
              <RateRows
                rows={roads.map(factorRow)}
                caption="What each kind of road does, as a multiple of a dry road"
                marks={[0.5, 1, 2, 4]}
                sayMark={(mark) => `×${mark}`}
              />
            ) : (
              <p className="text-steel">Only dry road was ridden so far.</p>
            )}
          </Section>
          {lubes.length > 0 && (
            <Section title="Each lube" note="So many times the wear on drip lube.">
              <RateRows
                rows={lubes.map(factorRow)}
                caption="What each lube does, as a multiple of drip lube"
                marks={[0.5, 1, 2, 4]}
                sayMark={(mark) => `×${mark}`}
              />
              <ul className="mt-2 list-disc pl-5 text-[0.95rem]">
                {lubes
                  .filter(({ of }) => of !== 'none')
                  .map((factor) => (
                    <li key={factor.of}>{sayContrast(factor)}</li>
                  ))}
              </ul>
            </Section>
          )}
        </div>
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-x-14 gap-y-8 border-t border-hairline pt-6 max-lg:grid-cols-1">
        <Section title="Each part of the year" note={`${per} in the weather and on the lubes of your log.`}>
          <RateRows
            rows={seasons}
            caption={`Wear by part of the year, ${per}`}
            marks={marks}
            sayMark={sayTwo}
          />
        </Section>
        <Section
          title="What to find out next"
          note="How much of the uncertainty in the distances comes from it."
        >
          <ol>
            {outlook.lessons.slice(0, LESSONS_SHOWN).map((lesson, i) => (
              <li
                key={i}
                className="grid grid-cols-[minmax(0,1fr)_7rem] gap-x-4 border-b border-hairline/70 py-2 leading-snug first:border-t"
              >
                {sayLesson(lesson, garage)}
                <span className="text-right text-[0.95rem] text-steel">{sayChance(lesson.share)}</span>
              </li>
            ))}
          </ol>
        </Section>
      </div>
      <div className="no-print border-t border-hairline pt-4">
        <WorkingsNote workings={outlook.workings} />
      </div>
    </>
  )
}

/** Rates: how fast chains wear with this rider, in what, on what; how much of it is learned and how much a guess. */
export default function Rates() {
  const { garage } = useOpenLog()
  const units = useUnits()
  const bike = useBikeId(garage)
  const { groups } = useForecasts()
  if (bike === undefined)
    return <NoBike what="Add one, ride it and measure its chain; what wears it is learned from that." />
  const ofBike = (group: GroupForecast): boolean =>
    group.chains.some((id) => garage.parts.get(id)?.fittings.some((fitting) => fitting.bike === bike))
  const group = groups.find(ofBike)
  if (!group)
    return <Answer word="unsure">No chain has been on this bike yet: there is nothing to learn from.</Answer>
  const { outlook } = group
  if (!outlook) return <Answer word="unsure">{group.fault ?? 'Working out what wears your chains…'}</Answer>
  const { answer, rest } = sayRates(outlook.rates, units)
  const { readings } = outlook.workings
  const learned = Math.round(100 * outlook.rates.rider.learned)
  return (
    <div className="flex flex-col gap-8">
      <Answer
        detail={
          readings === 0
            ? 'No chain has been measured yet: all of this is a guess from bikes in general.'
            : `${rest} Based on ${sayCount(readings, 'reading')}: your own rate is ${learned}\u00a0% more certain than before them. The dashed line is the guess before, the bar what is known now, where 8 in 10 lie.`
        }
      >
        {answer}
      </Answer>
      <Learned outlook={outlook} />
    </div>
  )
}
