import { useMemo, useState } from 'react'
import { COMPARED, type Compared, type Comparison } from '../../core/compare/compare.ts'
import { QUARTERS } from '../../core/exposure/conditions.ts'
import { stretchesOf } from '../../core/compare/stretches.ts'
import { KM_PER_MILE } from '../../core/units/convert.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { useAnswer } from '../../session/use-answer.ts'
import { RateRows } from '../../ui/charts/RateRows.tsx'
import { Answer } from '../../ui/parts/Answer.tsx'
import { Choice } from '../../ui/parts/fields.tsx'
import { NoBike } from '../../ui/parts/NoBike.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import {
  COMPARED_NAMES,
  sayBeside,
  sayCompared,
  sayComparison,
  sayNotShown,
  sayTimes,
} from '../../words/compare-words.ts'
import { sayCount, sayKm } from '../../words/numbers.ts'
import { words } from '../../words/stations/compare/compare.ts'
import { sayDecimal } from '../../words/grouped-number.ts'

const MARKS = [0.05, 0.1, 0.2, 0.3, 0.5]
const CHOICES = COMPARED.map((value) => ({ value, label: COMPARED_NAMES[value] }))

/** Parts of the year as they follow one another; anything else as it is. */
const inOrder = <G extends { readonly key: string }>(of: Compared, groups: readonly G[]): readonly G[] =>
  of === 'season' ? QUARTERS.flatMap((quarter) => groups.filter(({ key }) => key === quarter)) : groups

/** Rates of the groups on one scale, and how each stands to the first. */
function Sides({ comparison }: { readonly comparison: Comparison }) {
  const { garage } = useOpenLog()
  const units = useUnits()
  const times = units === 'metric' ? 1 : KM_PER_MILE
  const per = units === 'metric' ? words.per1000Km : words.per1000Miles
  const { of, groups, ratios } = comparison
  const inUnits = (value: number): number => Math.max(0.001, value * times)
  return (
    <div className="grid grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)] gap-x-14 gap-y-8 border-t border-hairline pt-6 max-lg:grid-cols-1">
      <Section title={words.howFastEachWears} note={words.measuredFromLookToLook(per)}>
        <RateRows
          caption={words.wearOf(COMPARED_NAMES[of].toLowerCase(), per)}
          marks={MARKS}
          sayMark={(value) => sayDecimal(value, 2)}
          rows={inOrder(of, groups).map(({ key, chains, km, rate }) => ({
            name: sayCompared(of, key, garage),
            note: of === 'chain' ? sayKm(km, units) : `${sayCount(chains, 'chain')}, ${sayKm(km, units)}`,
            after: { p10: inUnits(rate.p10), p50: inUnits(rate.p50), p90: inUnits(rate.p90) },
            said: words.to(
              sayDecimal(inUnits(rate.p50), 2),
              sayDecimal(inUnits(rate.p10), 2),
              sayDecimal(inUnits(rate.p90), 2),
            ),
            guess: false,
          }))}
        />
      </Section>
      <Section
        title={words.sideBySide}
        note={groups[0] && words.eachBesideWhichHas(sayCompared(of, groups[0].key, garage))}
      >
        <ul>
          {inOrder(of, ratios).map((ratio) => (
            <li key={ratio.key} className="border-b border-hairline/70 py-2 first:border-t">
              <span className="flex flex-wrap justify-between gap-x-4">
                <span>{sayCompared(of, ratio.key, garage)}</span>
                <span className="tabular-nums">{words.theWear(sayTimes(ratio))}</span>
              </span>
              {sayBeside(ratio) && <span className="block text-sm text-steel">{sayBeside(ratio)}</span>}
            </li>
          ))}
        </ul>
      </Section>
      <Section title={words.whatThisDoesNot} note={words.besideRates}>
        <ul className="list-disc pl-5 text-[0.95rem] text-steel">
          {sayNotShown(comparison, garage, units).map((line) => (
            <li key={line} className="py-0.5">
              {line}
            </li>
          ))}
        </ul>
      </Section>
    </div>
  )
}

/** Compare: chains, lubes, bikes and parts of the year side by side, from the rider's own records, and what they do not show. */
export default function Compare() {
  const { garage } = useOpenLog()
  const [of, setOf] = useState<Compared>('lube')
  const stretches = useMemo(() => stretchesOf(garage), [garage])
  const question = useMemo(() => (stretches.length > 0 ? { stretches, of } : undefined), [stretches, of])
  const { answer, fresh, fault } = useAnswer('compare', question, undefined)
  if (garage.bikes.size === 0) return <NoBike what={words.rideMeasureNowAndThen} />
  const comparison = fresh && answer?.of === of ? answer : undefined
  return (
    <div className="flex flex-col gap-6">
      <Answer detail={words.fromYourOwnReadings}>
        {fault ??
          (!question
            ? words.measureAChainTwice
            : comparison
              ? sayComparison(comparison, garage)
              : words.comparing)}
      </Answer>
      <Choice legend={words.compare} options={CHOICES} value={of} onPick={setOf} />
      {comparison && comparison.groups.length > 0 && <Sides comparison={comparison} />}
    </div>
  )
}
