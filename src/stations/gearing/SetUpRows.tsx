import { useState } from 'react'
import { chainLinks, capacityNeeded } from '../../core/gearing/chain-fit.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { sayDevelopment, sayRpm, saySet, saySpeed } from '../../words/gearing-words.ts'
import { sayAboutMoney } from '../../words/money.ts'
import { GearTable } from './GearTable.tsx'
import type { GearCosts } from './use-gear-cost.ts'
import { WriteIt } from './WriteIt.tsx'
import type { GearingInHand, OnBench } from './use-gearing.ts'
import type { JudgedBike } from '../../session/verdicts.ts'
import { words } from '../../words/stations/gearing/set-up-rows.ts'

interface Props {
  readonly gearing: GearingInHand
  readonly judged: JudgedBike
  readonly costs: GearCosts
}

const percentOf = (times: number): string => {
  const percent = Math.round(100 * (times - 1))
  return `${percent >= 0 ? '+' : '\u2212'}${Math.abs(percent)}\u00a0%`
}

/** The rows of the table: what is compared, and how each set-up stands. */
function useRows({ gearing, costs }: Pick<Props, 'gearing' | 'costs'>) {
  const units = useUnits()
  const { rider, hasDerailleur } = gearing
  const links = (one: OnBench): string => {
    if (rider.chainstayMm === undefined) return words.chainstayNeeded
    const counted = chainLinks(rider.chainstayMm, one.set, hasDerailleur)
    return counted ? String(counted.byFormula.links) : words.cannotBe
  }
  const cost = (one: OnBench): string => {
    const mean = one.isOwn ? costs.now : costs.of(one.name)
    return mean === undefined
      ? one.isOwn || one.name === costs.chosen
        ? costs.isWorking
          ? '…'
          : words.notKnown
        : words.whenPicked
      : sayAboutMoney(mean, costs.currency)
  }
  return [
    {
      name: words.easiestGear,
      of: (one: OnBench) =>
        `${one.bench.lowest.ring} × ${one.bench.lowest.cog}, ${sayDevelopment(one.bench.lowest.developmentM, units)}`,
    },
    {
      name: words.hardestGear,
      of: (one: OnBench) =>
        `${one.bench.highest.ring} × ${one.bench.highest.cog}, ${sayDevelopment(one.bench.highest.developmentM, units)}`,
    },
    {
      name: words.atInIt(sayRpm(rider.cadenceRpm)),
      of: (one: OnBench) => saySpeed(one.bench.highest.speedKmh, units),
    },
    { name: words.range, of: (one: OnBench) => `${Math.round(100 * one.bench.range)}\u00a0%` },
    { name: words.widestStep, of: (one: OnBench) => `${Math.round(one.bench.widestStepPercent)}\u00a0%` },
    { name: words.gearsOfTheirOwn, of: (one: OnBench) => words.of(one.bench.useful, one.bench.gears.length) },
    {
      name: words.onTheHill,
      of: (one: OnBench) => (one.hill.isWalking ? words.walkingPace : sayRpm(one.hill.cadenceRpm)),
    },
    { name: words.chainLinks, of: links },
    {
      name: words.slackForTheCage,
      of: (one: OnBench) => (hasDerailleur ? words.teeth(capacityNeeded(one.set)) : 'none'),
    },
    {
      name: words.theChainLasts,
      of: (one: OnBench) => (one.shifted ? percentOf(1 / one.shifted.chainWearTimes) : words.asNow),
    },
    {
      name: words.theCogThatWears,
      of: (one: OnBench) => (one.shifted ? percentOf(one.shifted.cogLifeTimes) : words.asNow),
    },
    {
      name: words.theRingThatWears,
      of: (one: OnBench) => (one.shifted ? percentOf(one.shifted.ringLifeTimes) : words.asNow),
    },
    { name: words.costPer1000Km, of: cost },
  ]
}

/** The set-ups side by side, in figures; and what is done with a what-if. */
export function SetUpRows({ gearing, judged, costs }: Props) {
  const { onBench, whatIfs, setWhatIfs } = gearing
  const rows = useRows({ gearing, costs })
  const [writing, write] = useState<string>()
  const [opened, open] = useState<string>()
  const shown = onBench.find(({ name }) => name === opened) ?? onBench[0]
  const written = onBench.find(({ name, isOwn }) => name === writing && !isOwn)
  return (
    <Section title={words.sideBySide}>
      <div className="overflow-x-auto" role="region" aria-label={words.setUpsSideBySide} tabIndex={0}>
        <table className="w-full min-w-[30rem] border-collapse text-[0.95rem]">
          <thead>
            <tr className="border-b border-hairline align-bottom">
              <td />
              {onBench.map((one) => (
                <th key={one.name} scope="col" className="px-2 py-2 text-right font-semibold">
                  {one.isOwn ? words.asItIs : one.name}
                  <span className="block font-mono text-sm font-normal whitespace-nowrap text-steel">
                    {saySet(one.set)}
                  </span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ name, of }) => (
              <tr key={name} className="border-b border-hairline/70">
                <th scope="row" className="py-1.5 pr-2 text-left font-normal text-steel">
                  {name}
                </th>
                {onBench.map((one) => (
                  <td key={one.name} className="px-2 py-1.5 text-right tabular-nums">
                    {of(one)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {whatIfs.length > 0 && (
        <ul className="mt-3 flex flex-col gap-2">
          {whatIfs.map((one, i) => (
            <li key={`${one.name} ${i}`} className="flex flex-wrap items-center gap-2">
              <span className="min-w-32 font-medium">{one.name}</span>
              <Button onClick={() => write(one.name)}>{words.fit(one.name)}</Button>
              <Button
                look="link"
                className="min-h-11"
                onClick={() =>
                  setWhatIfs(
                    whatIfs.filter((other) => other !== one),
                    words.takenOffTheBench(one.name),
                  )
                }
              >
                {words.takeOffTheBench(one.name)}
              </Button>
            </li>
          ))}
        </ul>
      )}
      {written && (
        <WriteIt
          key={written.name}
          gearing={gearing}
          judged={judged}
          what={written}
          onDone={() => write(undefined)}
        />
      )}
      <details className="mt-3">
        <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">
          {words.everyGear}
        </summary>
        <div className="mb-2 flex flex-wrap gap-2">
          {onBench.map((one) => (
            <button
              key={one.name}
              type="button"
              aria-pressed={shown === one}
              onClick={() => open(one.name)}
              className="min-h-11 rounded-[3px] border border-hairline px-3 aria-pressed:border-petrol aria-pressed:bg-petrol/10 aria-pressed:font-semibold"
            >
              {one.isOwn ? words.asItIs : one.name}
            </button>
          ))}
        </div>
        {shown && <GearTable one={shown} gearing={gearing} />}
      </details>
    </Section>
  )
}
