import { useState } from 'react'
import { Link } from 'react-router'
import { useOpenLog } from '../../session/log-context.ts'
import { useJudged, type JudgedBike } from '../../session/verdicts.ts'
import { Answer } from '../../ui/parts/Answer.tsx'
import { buttonLook } from '../../ui/parts/Button.tsx'
import { Choice } from '../../ui/parts/fields.tsx'
import { NoBike } from '../../ui/parts/NoBike.tsx'
import { OPENS } from '../../words/places.ts'
import { useBikeId } from '../../ui/use-bike-id.ts'
import { sayHill, sayRpm, sayShifted } from '../../words/gearing-words.ts'
import { sayAboutMoney } from '../../words/money.ts'
import { ChainAndFit, OneRing } from './ChainAndFit.tsx'
import { RiderFields } from './RiderFields.tsx'
import { RulerDrawing } from './RulerDrawing.tsx'
import { SetUpRows } from './SetUpRows.tsx'
import { useGearCosts, type GearCosts } from './use-gear-cost.ts'
import { useGearing, type OnBench } from './use-gearing.ts'
import { WhatIfForm } from './WhatIfForm.tsx'
import { words } from '../../words/stations/gearing/gearing.ts'

/** What a what-if costs beside the gears as they are. */
function sayCost({ now, of, currency }: GearCosts, name: string): string {
  const then = of(name)
  if (now === undefined || then === undefined) return ''
  const more = then - now
  if (Math.abs(more) < 0.02 * now) return words.itCostsAboutAs
  return words.per1000KmItCosts(sayAboutMoney(Math.abs(more), currency), more < 0 ? words.less : words.more)
}

/** The answer for the what-if in hand, or for the gears as they are. */
function sayAnswer(
  name: string,
  own: OnBench,
  chosen: OnBench,
  hillPercent: number,
  slowestRpm: number,
  costs: GearCosts,
) {
  if (chosen.isOwn || !chosen.shifted)
    return { headline: sayHill(name, hillPercent, own.hill, slowestRpm), detail: undefined }
  return {
    headline: sayShifted(chosen.set, chosen.shifted),
    detail: words.onTheHillInPlace(
      sayRpm(chosen.hill.cadenceRpm),
      sayRpm(own.hill.cadenceRpm),
      sayCost(costs, chosen.name),
    ),
  }
}

function OneBike({ judged }: { readonly judged: JudgedBike }) {
  const gearing = useGearing(judged)
  const { onBench, rider, toldShare, used } = gearing
  const [picked, pick] = useState<string>()
  const { name } = judged.report.bike.entry
  const [own] = onBench
  const others = onBench.filter(({ isOwn }) => !isOwn)
  const chosen = onBench.find((one) => one.name === picked) ?? others.at(-1) ?? own
  const costs = useGearCosts(judged, gearing, chosen?.isOwn ? undefined : chosen?.name)
  if (!own || !chosen)
    return (
      <Answer
        word="unsure"
        action={
          <Link to={OPENS.newPart} className={buttonLook('next')}>
            {words.addARingOrCassette}
          </Link>
        }
      >
        {words.hasNoRingOrNo(name)}
      </Answer>
    )
  const { headline, detail } = sayAnswer(name, own, chosen, rider.hillPercent, rider.slowestRpm, costs)
  const ground =
    used.length === 0
      ? words.whereYouRideIsNot
      : toldShare > 0.95
        ? words.whereYouRideFromTheCadence
        : toldShare > 0
          ? words.whereYouRideOfTheWork(Math.round(100 * toldShare))
          : words.whereYouRideAGuess
  return (
    <div className="flex flex-col gap-8">
      <Answer
        detail={[detail, ground, rider.isWheelGuessed && words.theWheelsSizeIsAGuess]
          .filter(Boolean)
          .join(' ')}
        action={
          others.length === 0 ? (
            <a href="#what-if" className={buttonLook('next')}>
              {words.tryOtherGears}
            </a>
          ) : undefined
        }
      >
        {headline}
      </Answer>
      {others.length > 0 && (
        <Choice
          legend={words.setUpInHand}
          hideLegend
          value={chosen.name}
          onPick={pick}
          options={onBench.map((one) => ({ value: one.name, label: one.name }))}
        />
      )}
      <RulerDrawing gearing={gearing} />
      <div className="grid grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)] gap-x-12 gap-y-8 max-lg:grid-cols-1">
        <div className="flex min-w-0 flex-col gap-8">
          <SetUpRows gearing={gearing} judged={judged} costs={costs} />
          <WhatIfForm key={JSON.stringify(gearing.own)} gearing={gearing} />
          <OneRing own={own} one={chosen} />
        </div>
        <div className="flex min-w-0 flex-col gap-8">
          <RiderFields gearing={gearing} />
          <ChainAndFit gearing={gearing} one={chosen} />
        </div>
      </div>
    </div>
  )
}

/** Gearing: the gears as they are and as they might be, the hill, chain length and fit, and what it does to wear and cost. */
export default function Gearing() {
  const { garage } = useOpenLog()
  const bike = useBikeId(garage)
  const judged = useJudged(bike)
  if (!judged) return <NoBike what={words.addOneWithIts} />
  return <OneBike key={judged.report.bike.entry.bike} judged={judged} />
}
