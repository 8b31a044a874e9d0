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
import { words } from '../../words/stations/rates/rates.ts'

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
      row(words.youOnADry, words.theMiddleOfAll, rates.rider.after, rates.rider.before),
      ...[...rates.chains]
        .sort((a, b) => Number(isOn(b.id)) - Number(isOn(a.id)))
        .map(({ id, readings, after, before }) =>
          row(
            namePart(garage, id, undefined, manyBikes),
            `${sayCount(readings, 'reading')}${isOn(id) ? words.onNow : ''}${isAsked(id) ? words.aQuestionAboutItIsOpen : ''}`,
            after,
            before,
          ),
        ),
    ],
    seasons: rates.seasons.map(({ quarter, km, before, after }) =>
      row(QUARTER_NAMES[quarter], words.asYouRideThen(sayAboutKm(km, units)), after, before),
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
    note: wearKm <= 0 ? words.neverUnderAChain : words.moreCertainThanBefore(Math.round(100 * learned)),
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
  const per = units === 'metric' ? words.per1000Km : words.per1000Miles
  const marks = [0.05, 0.1, 0.2, 0.4, 0.8].map((mark) => (units === 'metric' ? mark : mark * 1.5))
  const roads = factors.filter(isRoad)
  const lubes = factors.filter((factor) => !isRoad(factor))
  return (
    <>
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-x-14 gap-y-8 border-t border-hairline pt-6 max-lg:grid-cols-1">
        <Section title={words.eachChain} note={words.ofDryRoadOnDrip(per)}>
          <RateRows rows={chains} caption={words.wearRateOfEach(per)} marks={marks} sayMark={sayTwo} />
        </Section>
        <div className="flex flex-col gap-8">
          <Section title={words.eachKindOfRoad} note={words.soManyTimesTheWear}>
            {roads.length > 0 ? (
              <RateRows
                rows={roads.map(factorRow)}
                caption={words.whatEachKindOfRoad}
                marks={[0.5, 1, 2, 4]}
                sayMark={(mark) => `×${mark}`}
              />
            ) : (
              <p className="text-steel">{words.onlyDryRoadWas}</p>
            )}
          </Section>
          {lubes.length > 0 && (
            <Section title={words.eachLube} note={words.soManyTimesTheWearOn}>
              <RateRows
                rows={lubes.map(factorRow)}
                caption={words.whatEachLubeDoes}
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
        <Section title={words.eachPartOfTheYear} note={words.inTheWeatherAndOnThe(per)}>
          <RateRows rows={seasons} caption={words.wearByPartOfTheYear(per)} marks={marks} sayMark={sayTwo} />
        </Section>
        <Section title={words.whatToFindOut} note={words.howMuchOfTheUncertainty}>
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
  if (bike === undefined) return <NoBike what={words.addOneRideItAndMeasure} />
  const ofBike = (group: GroupForecast): boolean =>
    group.chains.some((id) => garage.parts.get(id)?.fittings.some((fitting) => fitting.bike === bike))
  const group = groups.find(ofBike)
  if (!group) return <Answer word="unsure">{words.noChainHasBeen}</Answer>
  const { outlook } = group
  if (!outlook) return <Answer word="unsure">{group.fault ?? words.workingOutWhatWears}</Answer>
  const { answer, rest } = sayRates(outlook.rates, units)
  const { readings } = outlook.workings
  const learned = Math.round(100 * outlook.rates.rider.learned)
  return (
    <div className="flex flex-col gap-8">
      <Answer
        detail={
          readings === 0
            ? words.noChainHasBeenMeasured
            : words.basedOnYourOwn(rest, sayCount(readings, 'reading'), learned)
        }
      >
        {answer}
      </Answer>
      <Learned outlook={outlook} />
    </div>
  )
}
