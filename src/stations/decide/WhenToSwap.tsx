import { SWAPS } from '../../core/strategy/verdict.ts'
import type { PlanCost } from '../../core/strategy/plans/price.ts'
import type { JudgedBike } from '../../session/verdicts.ts'
import { Section } from '../../ui/parts/Section.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { sayWait } from '../../words/wait-words.ts'
import { Minds } from './Minds.tsx'
import type { Plans } from './plans/use-plans.ts'
import type { Wait } from './use-wait.ts'
import { WaitChart } from './WaitChart.tsx'
import { words } from '../../words/stations/decide/when-to-swap.ts'

interface Props {
  readonly judged: JudgedBike
  readonly plans: Plans
  readonly wait: Wait
  readonly nameOf: (id: PlanCost['id']) => string
}

/** What swapping now or later costs, in money and in skips, and how much the rider minds either. */
export function WhenToSwap({ judged, plans, wait, nameOf }: Props) {
  const units = useUnits()
  const { choice, fresh, progress = 0, fault } = wait
  const { answer, verdict } = judged
  if (!plans.ask || !answer || !verdict) return null
  const isDue = SWAPS.includes(verdict.action)
  const inTurn = plans.now?.policy.kind === 'rotate' ? words.swappingMeansHereThatThisChain : ''
  const sentence = choice ? sayWait(choice, isDue, plans.currency, units) : ''
  return (
    <div className="grid grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)] gap-x-14 gap-y-8 border-t border-hairline pt-6 max-lg:grid-cols-1">
      <Section
        title={words.whatWaitingCosts}
        note={choice && `${sentence}${inTurn}${fresh ? '' : words.beingUpdated}`}
      >
        {choice ? (
          <WaitChart
            choice={choice}
            currency={plans.currency}
            limitKm={answer.toLimitKm.p50}
            sentence={sentence}
          />
        ) : (
          <p role="status" className="text-steel">
            {fault ?? words.tryingASwapNow(Math.round(100 * progress))}
          </p>
        )}
      </Section>
      <Section title={words.howMuchDoYou} note={words.movesEveryCostOnThisPage}>
        <Minds bike={judged.report.bike.entry.bike} plans={plans} nameOf={nameOf} />
      </Section>
    </div>
  )
}
