import { lazy, Suspense } from 'react'
import { Link, useSearchParams } from 'react-router'
import { isHeldBack } from '../../core/strategy/verdict.ts'
import type { PlanCost } from '../../core/strategy/plans/price.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { useJudged, type JudgedBike } from '../../session/verdicts.ts'
import { ElongationChart } from '../../ui/charts/ElongationChart.tsx'
import { Answer } from '../../ui/parts/Answer.tsx'
import { buttonLook } from '../../ui/parts/Button.tsx'
import { CautionNote } from '../../ui/parts/Empty.tsx'
import { NoBike } from '../../ui/parts/NoBike.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { useBikeId } from '../../ui/use-bike-id.ts'
import { sayAction, sayCaution, sayReason } from '../../words/advice.ts'
import { sayMoney } from '../../words/money.ts'
import { STATIONS } from '../../words/places.ts'
import { NEXT_STEP } from '../../words/next-step.ts'
import { sayChance, sayFigure } from '../../words/numbers.ts'
import { perDistance, planName } from '../../words/plan-words.ts'
import { sayRunnerUp } from '../../words/wait-words.ts'
import { sayLimitDates, sayNextLook } from '../../words/verdict.tsx'
import { Ahead } from './Ahead.tsx'
import { Money } from './Money.tsx'
import { PlansCompared } from './plans/PlansCompared.tsx'
import { usePlans, type Plans } from './plans/use-plans.ts'
import { OwnerSheetPage } from './sheet/OwnerSheetPage.tsx'
import { Visits } from './sheet/Visits.tsx'
import { Turns } from './Turns.tsx'
import { useWait, type Wait } from './use-wait.ts'
import { WhenToSwap } from './WhenToSwap.tsx'
import { words } from '../../words/stations/decide/decide.ts'

const Job = lazy(() => import('./job/Job.tsx'))

/** The plan that the verdict belongs to, and what a better one would save: one sentence under the answer. */
function PlanLine({
  plans,
  nameOf,
}: {
  readonly plans: Plans
  readonly nameOf: (id: PlanCost['id']) => string
}) {
  const units = useUnits()
  const { said, currency } = plans
  if (!said?.now) return null
  const { now, choice } = said
  const { said: distance, times } = perDistance(units)
  const money = (minor: number): string => sayMoney(minor * times, currency)
  const saves = now.mean - choice.best.mean
  return (
    <>
      {' '}
      {words.youAreOnThePlan(
        nameOf(now.id),
        money(now.mean),
        distance,
        choice.best === now || saves <= 0
          ? words.noPlanThatYou
          : words.cheapestLess(nameOf(choice.best.id), money(saves)),
      )}
    </>
  )
}

interface WhyProps {
  readonly judged: JudgedBike
  readonly wait: Wait
  readonly currency: string
}

function Why({ judged, wait, currency }: WhyProps) {
  const { garage } = useOpenLog()
  const units = useUnits()
  const { verdict, answer } = judged
  const runnerUp =
    wait.choice && verdict && answer && !isHeldBack(verdict.action)
      ? sayRunnerUp(wait.choice, verdict, answer.toLimitKm.p50, currency, units)
      : undefined
  return (
    <Section title={words.why}>
      <ol className="flex flex-col">
        {judged.verdict?.reasons.map((reason, i) => (
          <li
            key={i}
            className="grid grid-cols-[2rem_1fr] border-b border-hairline py-2.5 leading-snug first:border-t"
          >
            <span className="font-mono text-sm text-steel">{i + 1}</span>
            {sayReason(reason, units, garage.tools)}
          </li>
        ))}
      </ol>
      {runnerUp !== undefined && <p className="mt-3 leading-snug">{runnerUp}</p>}
      <Turns judged={judged} />
      <p className="no-print mt-3 text-[0.95rem]">
        <Link to={STATIONS.faults.path} className="underline underline-offset-4">
          {words.itSlipsOrSkips}
        </Link>
      </p>
    </Section>
  )
}

/** One bike's decision, with all that it rests on. */
function Decision({
  judged,
}: {
  readonly judged: JudgedBike & { readonly verdict: NonNullable<JudgedBike['verdict']> }
}) {
  const { now } = useOpenLog()
  const units = useUnits()
  const plans = usePlans(judged)
  const wait = useWait(judged, plans)
  const { report, answer, verdict, fresh } = judged
  const { name } = report.bike.entry
  const next = NEXT_STEP[verdict.action]
  const measured = report.chain?.lastReadingAt !== undefined
  const nameOf = (id: PlanCost['id']): string =>
    planName(id, report.limit.percent, plans.lube.isWaxed, plans.own)
  return (
    <div className="flex flex-col gap-8">
      <Answer
        word={verdict.word}
        detail={
          answer && measured ? (
            <>
              {words.theChainIsAtProbably(
                fresh ? '' : words.beingUpdatedWithWhat,
                sayFigure(answer.now.mean),
                sayFigure(answer.now.p05),
                sayFigure(answer.now.p95),
                verdict.confidence === undefined
                  ? sayNextLook(verdict, units, now)
                  : words.confidence(sayChance(verdict.confidence)),
              )}
              <PlanLine plans={plans} nameOf={nameOf} />
            </>
          ) : undefined
        }
        action={
          <Link to={next.path} className={buttonLook('next')}>
            {next.label}
          </Link>
        }
      >
        {name}: <strong className="font-bold">{sayAction(verdict, units)}</strong>
      </Answer>
      {verdict.cautions.length > 0 && (
        <div className="flex flex-col gap-3">
          {verdict.cautions.map((caution) => (
            <CautionNote key={caution}>{sayCaution(caution)}</CautionNote>
          ))}
        </div>
      )}
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.25fr)] gap-x-14 gap-y-8 border-t border-hairline pt-6 max-lg:grid-cols-1">
        <Why judged={judged} wait={wait} currency={plans.currency} />
        {answer && report.chain && measured && (
          <Section title={words.theWaySoFar} note={sayLimitDates(answer, now)}>
            <ElongationChart
              chain={report.chain}
              answer={answer}
              limit={report.limit}
              events={report.bike.events}
            />
          </Section>
        )}
      </div>
      <WhenToSwap judged={judged} plans={plans} wait={wait} nameOf={nameOf} />
      {answer && report.chain && measured && <Ahead report={report} answer={answer} />}
      <PlansCompared judged={judged} plans={plans} nameOf={nameOf} />
      <Money judged={judged} plans={plans} />
      <Visits report={report} />
    </div>
  )
}

/** Decide: one recommendation, its reasons in order, what it risks, what would change it, and what each plan costs. */
export default function Decide() {
  const { garage } = useOpenLog()
  const [search] = useSearchParams()
  const judged = useJudged(useBikeId(garage))
  if (!judged) return <NoBike what={words.addOneAndMeasure} />
  const { report, verdict, fault } = judged
  const { bike, name } = report.bike.entry
  const sheet = search.get('sheet')
  const visit = sheet === null ? undefined : garage.listed.visit.get(sheet)?.at(-1)
  if (visit?.isClosed) return <OwnerSheetPage visit={visit} />
  if (!verdict) return <Answer word="unsure">{fault ?? words.workingOutSChain(name)}</Answer>
  if (search.has('job'))
    return (
      <Suspense fallback={<Answer word="unsure">{words.layingOutTheJobs}</Answer>}>
        <Job key={bike} judged={{ ...judged, verdict }} />
      </Suspense>
    )
  return <Decision key={bike} judged={{ ...judged, verdict }} />
}
