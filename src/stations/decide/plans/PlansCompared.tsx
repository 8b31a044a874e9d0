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

const MINDS: readonly { readonly value: SkipMind; readonly label: string }[] = [
  { value: 'never', label: 'it must never skip' },
  { value: 'seldom', label: 'hardly ever' },
  { value: 'not-at-all', label: 'I do not mind' },
]
const TIP_NAMES: Readonly<Record<BreakEven['of'], string>> = {
  chain: 'A chain',
  cassette: 'A cassette',
  hour: 'An hour of work',
  skip: 'To be spared a skip',
}

/** Lives by their place among all of a plan, the cheapest first. */
const PLACES = { cheap: 0.1, usual: 0.5, dear: 0.9 } as const
const WHICH: readonly { readonly value: keyof typeof PLACES; readonly label: string }[] = [
  { value: 'cheap', label: 'a cheap one' },
  { value: 'usual', label: 'a usual one' },
  { value: 'dear', label: 'a dear one' },
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
  const range = `${money(best.cost.p10)} to ${money(best.cost.p90)} per ${said}`
  return [
    `Probably ${range}; skips under load: ${saySkips(best.skipsPer1000, units)}.`,
    runnerUp &&
      (isClose
        ? `${capital(nameOf(runnerUp))} costs as good as the same: either will do.`
        : `Next: ${nameOf(runnerUp)}, ${money(runnerUp.mean - best.mean)} more.`),
    cheaperButSkips &&
      `${capital(nameOf(cheaperButSkips))} would save ${money(best.mean - cheaperButSkips.mean)}, but skips ${saySkips(cheaperButSkips.skipsPer1000, units)}.`,
  ]
    .filter(Boolean)
    .join(' ')
}
/** What the plan that is named is first in: where a cheaper one skips too often it is not the cheapest of all. */
function sayRank({ best, cheaperButSkips }: BestPlan, mind: SkipMind): string {
  if (best.skipsPer1000 > SKIP_MINDS[mind]) return 'The plan that skips least'
  if (!cheaperButSkips) return 'Cheapest plan'
  return mind === 'never' ? 'Cheapest plan that almost never skips' : 'Cheapest plan that hardly ever skips'
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
      <h3 className="border-b border-hairline pb-1.5 font-semibold">What would change this</h3>
      <ul className="text-[0.95rem]">
        {said.tips.map(({ of, price, isAbove, then }) => (
          <li key={`${of} ${String(isAbove)}`} className="border-b border-hairline py-2">
            {TIP_NAMES[of]} for {isAbove ? 'over' : 'under'} <strong>{sayMoney(price, currency)}</strong>:{' '}
            {nameOf(then)}.
          </li>
        ))}
        {said.tips.length === 0 && (
          <li className="border-b border-hairline py-2 text-steel">
            No price of a chain, a cassette, an hour or a skip alone would.
          </li>
        )}
        {roadTips?.map((tip) => (
          <li key={tip.times} className="border-b border-hairline py-2">
            {sayRoadTip(tip)}: {nameOf(tip.then)}.
          </li>
        ))}
        {roadTips?.length === 0 && (
          <li className="border-b border-hairline py-2 text-steel">
            Nor would wear twice as fast, or half as fast.
          </li>
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
      <Section title="What each plan costs">
        <p role="status" className="text-steel">
          {answered.fault ??
            (answered.isStopped
              ? 'Stopped.'
              : `Simulating ${ask.lives} lives for each plan… ${Math.round(100 * answered.progress)} %`)}{' '}
          <Button look="link" onClick={answered.isStopped ? answered.resume : answered.stop}>
            {answered.isStopped ? 'Work it out' : 'Not now'}
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
      title={`${sayRank(choice, mind)}: ${nameOf(choice.best.id)}, about ${sayMoney(choice.best.mean * times, currency)} per ${distance}`}
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
            legend="May it skip under load?"
            value={mind}
            onPick={plans.setMind}
            options={MINDS}
          />
          <PriceEditor bike={bike} speeds={speeds} plans={plans} />
          {life && (
            <details>
              <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">
                A plan of your own
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
              label="Draw one life of"
              className="w-72"
              value={life.id}
              options={
                Object.fromEntries(costs.map(({ id }) => [id, nameOf(id)])) as Record<PlanCost['id'], string>
              }
              onPick={setShown}
            />
            <Choice<keyof typeof PLACES> legend="Which" value={which} onPick={setWhich} options={WHICH} />
          </div>
          <OneLife
            ask={ask}
            plan={life}
            life={drawn.life}
            name={`${nameOf(life.id)}, ${sayMoney(drawn.cost * times, currency)} per ${distance}`}
          />
        </div>
      )}
      <p className="mt-4 text-sm text-steel">
        {ask.lives} simulated lives of {sayKm(ask.horizonKm, units)}, each from this drivetrain as it is
        today, with the same rides and luck for every plan. {sayHabits(ask.habits, units)} How rings and
        pulleys are renewed, minutes, pushes and {WAIT_DAYS} days for a part are guesses of ours.
        {ask.largerRing &&
          ` A larger ring: ${ask.largerRing.teeth} teeth, a chain long enough for it not counted.`}
        {!answered.fresh && ' Being updated with what was added.'}
      </p>
    </Section>
  )
}
