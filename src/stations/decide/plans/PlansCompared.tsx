import { useState } from 'react'
import { policyFields } from '../../../core/strategy/plans/plans.ts'
import {
  WAIT_DAYS,
  type BestPlan,
  type BreakEven,
  type PlanCost,
} from '../../../core/strategy/plans/price.ts'
import type { JudgedBike } from '../../../session/verdicts.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { Choice, SelectField } from '../../../ui/parts/fields.tsx'
import { Section } from '../../../ui/parts/Section.tsx'
import { useUnits } from '../../../ui/screen-state.ts'
import type { Units } from '../../../core/units/units.ts'
import { sayMoney } from '../../../words/money.ts'
import { sayKm } from '../../../words/numbers.ts'
import { perDistance, sayHabits, sayRoadTip, saySkips } from '../../../words/plan-words.ts'
import { OneLife } from './OneLife.tsx'
import { PlanTable } from './PlanTable.tsx'
import { PriceEditor } from './PriceEditor.tsx'
import { OwnPlan } from './OwnPlan.tsx'
import { useFollow } from './use-follow.ts'
import { SKIP_MINDS, type Plans, type SkipMind } from './use-plans.ts'
import { words } from '../../../words/stations/decide/plans/plans-compared.ts'

const MINDS: readonly { readonly value: SkipMind; readonly label: string }[] = [
  { value: 'never', label: words.itMustNeverSkip },
  { value: 'seldom', label: words.hardlyEver },
  { value: 'not-at-all', label: words.iDoNotMind },
]
const TIP_NAMES: Readonly<Record<BreakEven['of'], string>> = {
  chain: words.aChain,
  cassette: words.aCassette,
  hour: words.anHourOfWork,
  skip: words.toBeSparedASkip,
}

/** Lives by their place among all of a plan, the cheapest first. */
const PLACES = { cheap: 0.1, usual: 0.5, dear: 0.9 } as const
const WHICH: readonly { readonly value: keyof typeof PLACES; readonly label: string }[] = [
  { value: 'cheap', label: words.aCheapOne },
  { value: 'usual', label: words.aUsualOne },
  { value: 'dear', label: words.aDearOne },
]

type Said = NonNullable<Plans['said']>

/** Which plan, why, and by how much. */
function sayChoice(
  { choice }: Said,
  nameOf: (cost: PlanCost) => string,
  currency: string,
  units: Units,
): string {
  const { said, times } = perDistance(units)
  const money = (minor: number): string => sayMoney(minor * times, currency)
  const { best, runnerUp, isClose, cheaperButSkips } = choice
  const range = words.toPer(money(best.cost.p10), money(best.cost.p90), said)
  return [
    words.probablySkipsUnderLoad(range, saySkips(best.skipsPer1000, units)),
    runnerUp &&
      (isClose
        ? words.costsAsGoodAs(capital(nameOf(runnerUp)))
        : words.nextMore(nameOf(runnerUp), money(runnerUp.mean - best.mean))),
    cheaperButSkips &&
      words.wouldSaveButSkips(
        capital(nameOf(cheaperButSkips)),
        money(best.mean - cheaperButSkips.mean),
        saySkips(cheaperButSkips.skipsPer1000, units),
      ),
  ]
    .filter(Boolean)
    .join(' ')
}
/** What the plan that is named is first in: where a cheaper one skips too often it is not the cheapest of all. */
function sayRank({ best, cheaperButSkips }: BestPlan, mind: SkipMind): string {
  if (best.skipsPer1000 > SKIP_MINDS[mind]) return words.thePlanThatSkips
  if (!cheaperButSkips) return words.cheapestPlan
  return mind === 'never' ? words.cheapestPlanThatAlmost : words.cheapestPlanThatHardly
}

const capital = (text: string): string => `${text.slice(0, 1).toUpperCase()}${text.slice(1)}`

function Tips({
  said,
  roadTips,
  nameOf,
  currency,
}: {
  readonly said: Said
  readonly roadTips: Plans['roadTips']
  readonly nameOf: (id: PlanCost['id']) => string
  readonly currency: string
}) {
  return (
    <div>
      <h3 className="border-b border-hairline pb-1.5 font-semibold">{words.whatWouldChangeThis}</h3>
      <ul className="text-[0.95rem]">
        {said.tips.map(({ of, price, isAbove, then }) => (
          <li key={`${of} ${String(isAbove)}`} className="border-b border-hairline py-2">
            {words.for(TIP_NAMES[of], isAbove ? words.over : words.under)}{' '}
            <strong>{sayMoney(price, currency)}</strong>: {nameOf(then)}.
          </li>
        ))}
        {said.tips.length === 0 && (
          <li className="border-b border-hairline py-2 text-steel">{words.noPriceOfAChain}</li>
        )}
        {roadTips?.map((tip) => (
          <li key={tip.times} className="border-b border-hairline py-2">
            {sayRoadTip(tip)}: {nameOf(tip.then)}.
          </li>
        ))}
        {roadTips?.length === 0 && (
          <li className="border-b border-hairline py-2 text-steel">{words.norWouldWearTwice}</li>
        )}
      </ul>
    </div>
  )
}

interface Props {
  readonly judged: JudgedBike
  readonly plans: Plans
  readonly nameOf: (id: PlanCost['id']) => string
}

/** Plans compared: many simulated lives of this drivetrain from its state today, priced. */
export function PlansCompared({ judged, plans, nameOf }: Props) {
  const units = useUnits()
  const [shown, setShown] = useState<PlanCost['id']>()
  const [which, setWhich] = useState<keyof typeof PLACES>('usual')
  const { report } = judged
  const { bike, speeds } = report.bike.entry
  const { ask, answered, said, lube, currency, mind } = plans
  const [follow, isBusy] = useFollow(judged, lube.isWaxed)
  if (!ask) return null
  if (!said)
    return (
      <Section title={words.whatEachPlanCosts}>
        <p role="status" className="text-steel">
          {answered.fault ??
            (answered.isStopped
              ? words.stopped
              : words.simulatingLivesForEach(ask.lives, Math.round(100 * answered.progress)))}{' '}
          <Button look="link" onClick={answered.isStopped ? answered.resume : answered.stop}>
            {answered.isStopped ? words.workItOut : words.notNow}
          </Button>
        </p>
      </Section>
    )
  const { choice, costs } = said
  const { said: distance, times } = perDistance(units)
  const life = ask.plans.find(({ id }) => id === (shown ?? choice.best.id))
  const drawn = life && said.lifeOf(life.id, PLACES[which])
  return (
    <Section
      title={words.aboutPer(
        sayRank(choice, mind),
        nameOf(choice.best.id),
        sayMoney(choice.best.mean * times, currency),
        distance,
      )}
      note={sayChoice(said, ({ id }) => nameOf(id), currency, units)}
    >
      <div className="grid grid-cols-[minmax(0,2.7fr)_minmax(0,1fr)] gap-x-12 gap-y-6 max-lg:grid-cols-1">
        <PlanTable
          costs={costs}
          best={choice.best}
          now={said.now}
          nameOf={nameOf}
          isBusy={isBusy}
          onFollow={(id) => {
            const plan = ask.plans.find((one) => one.id === id)
            if (plan) follow(plan)
          }}
          currency={currency}
          mostSkips={SKIP_MINDS[mind]}
        />
        <div className="flex flex-col gap-4">
          <Tips said={said} roadTips={plans.roadTips} nameOf={nameOf} currency={currency} />
          <Choice<SkipMind>
            legend={words.mayItSkipUnder}
            value={mind}
            onPick={plans.setMind}
            options={MINDS}
          />
          <PriceEditor bike={bike} speeds={speeds} plans={plans} />
          {life && (
            <details>
              <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">
                {words.aPlanOfYour}
              </summary>
              <OwnPlan
                start={policyFields(plans.now ?? life, lube.isWaxed)}
                isWaxed={lube.isWaxed}
                hasSingles={ask.soldSingly.some(Boolean)}
                onTry={plans.tryOwn}
              />
            </details>
          )}
        </div>
      </div>
      {life && drawn && (
        <div className="mt-6 flex flex-col gap-3">
          <div className="flex flex-wrap items-end gap-4">
            <SelectField<PlanCost['id']>
              label={words.drawOneLifeOf}
              className="w-72"
              value={life.id}
              options={
                Object.fromEntries(costs.map(({ id }) => [id, nameOf(id)])) as Record<PlanCost['id'], string>
              }
              onPick={setShown}
            />
            <Choice<keyof typeof PLACES>
              legend={words.which}
              value={which}
              onPick={setWhich}
              options={WHICH}
            />
          </div>
          <OneLife
            ask={ask}
            plan={life}
            life={drawn.life}
            name={words.per(nameOf(life.id), sayMoney(drawn.cost * times, currency), distance)}
          />
        </div>
      )}
      <p className="mt-4 text-sm text-steel">
        {words.simulatedLivesOfEach(
          ask.lives,
          sayKm(ask.horizonKm, units),
          sayHabits(ask.habits, units),
          WAIT_DAYS,
        )}
        {ask.largerRing && words.aLargerRingTeeth(ask.largerRing.teeth)}
        {!answered.fresh && words.beingUpdatedWithWhat}
      </p>
    </Section>
  )
}
