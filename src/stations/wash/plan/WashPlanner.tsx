import { useMemo } from 'react'
import type { Garage } from '../../../core/log/garage.ts'
import { materialsOf } from '../../../core/session/materials.ts'
import type { BikeReport } from '../../../core/strategy/facts/bike-report.ts'
import type { WashFacts } from '../../../core/strategy/facts/wash-facts.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { timeOfDay } from '../../../words/day.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { CautionNote } from '../../../ui/parts/Empty.tsx'
import { Section } from '../../../ui/parts/Section.tsx'
import { sayCount, sayList } from '../../../words/numbers.ts'
import { MATERIAL_NAMES, sayMisfit, sayWayReason, WAY_TALK } from '../../../words/say-ways.ts'
import { STEP_WORDS } from '../../../words/step-words.ts'
import { WAY_NAMES } from '../../../words/wash-words.ts'
import { chainOnBike } from '../chain-on-bike.ts'
import { stepSubject } from '../run/say-step.ts'
import { Meanwhile } from './Meanwhile.tsx'
import { AlongWith } from './AlongWith.tsx'
import { KitEditor } from './KitEditor.tsx'
import { PlanLanes } from './PlanLanes.tsx'
import { StepList } from './StepList.tsx'
import { stepTags } from './step-tag.ts'
import { useWashPlan, type PlannedBike, type WashPlan } from './use-wash-plan.ts'
import { TimeChooser, WayChooser } from './WayChooser.tsx'
import type { WashStep } from '../../../core/session/wash-steps.ts'
import { fileName } from '../../../ui/file-name.ts'
import { SavePaper } from '../../../ui/parts/SavePaper.tsx'
import { washSheet } from '../../../words/wash-sheet.ts'
import { words } from '../../../words/stations/wash/plan/wash-planner.ts'
import { sayDecimal } from '../../../words/grouped-number.ts'

interface Props {
  readonly report: BikeReport
  readonly facts: WashFacts
  /** Begins the wash as it is planned. */
  readonly onStart: (plan: WashPlan) => void
}

const MINUTE_MS = 60_000

const capital = (text: string): string => `${text.slice(0, 1).toUpperCase()}${text.slice(1)}`

/** What can go wrong at its steps, each said once. */
const caresOf = (plan: WashPlan): string[] => [
  ...new Set(plan.steps.flatMap(({ kind }) => STEP_WORDS[kind].care ?? [])),
]

/** What is laid out, why it is done this way, and what can go wrong. */
function Notes({
  plan,
  why,
  amounts,
}: {
  readonly plan: WashPlan
  readonly why: string
  readonly amounts: string
}) {
  const cares = caresOf(plan)
  const materials = materialsOf(plan.steps).map((one) => MATERIAL_NAMES[one])
  return (
    <div className="grid grid-cols-3 gap-x-10 gap-y-6 max-lg:grid-cols-1">
      <div className="border-t border-hairline pt-3">
        <h3 className="font-semibold">{words.layOutFirst}</h3>
        <p className="mt-1 text-[0.95rem]">
          {capital(sayList(materials))}. {amounts}
        </p>
      </div>
      <div className="border-t border-hairline pt-3">
        <h3 className="font-semibold">{words.whyThisWay}</h3>
        <p className="mt-1 text-[0.95rem]">{why}</p>
      </div>
      <div className="border-t-[3px] border-rust pt-3">
        <h3 className="font-semibold text-rust">{words.careful}</h3>
        <p className="mt-1 text-[0.95rem]">{words.theMakersInstructionsCome(cares.join(' '))}</p>
      </div>
    </div>
  )
}

/** Why a bike is washed in this way, and what would be next best. */
function sayWhy({ judged, way, ways, best }: PlannedBike): string {
  const pro = judged?.pro.map(sayWayReason) ?? []
  const runnerUp = ways.find((one) => one.way !== way && one.isOpen)
  const isSuggested = best?.way === way
  return [
    pro.length > 0 ? `${capital(sayList(pro))}.` : WAY_TALK[way],
    isSuggested && runnerUp
      ? words.nextBest(
          WAY_NAMES[runnerUp.way],
          runnerUp.pro[0] ? `, as ${sayWayReason(runnerUp.pro[0])}` : '',
        )
      : '',
    !isSuggested && best ? words.suggestedInstead(WAY_NAMES[best.way]) : '',
  ]
    .filter(Boolean)
    .join(' ')
}

/** How much lube the drops take on each bike, and how far once round is. */
const sayAmounts = (garage: Garage, bikes: readonly PlannedBike[], { steps }: WashPlan): string =>
  bikes
    .filter(({ report }) =>
      steps.some(
        ({ kind, bike }) => kind === 'drops' && (bike === undefined || bike === report.bike.entry.bike),
      ),
    )
    .map(({ report, job }) => {
      const { drops, ml, crankTurns } = chainOnBike(garage, report, job?.fits).amounts
      const whose = bikes.length > 1 ? `${report.bike.entry.name}: ` : ''
      return words.dropsAboutMlOnce(whose, drops, Math.round(ml), sayDecimal(crankTurns, 1))
    })
    .join(' ')

/** How long it takes, and how sure that this is the shortest. */
function sayMinutes({ timed, handsMin, listMin }: WashPlan): string {
  const { minutes, provenMin } = timed.plan
  return [
    words.minutesOfThemHands(minutes, handsMin),
    timed.leftOut.length === 0 && listMin > minutes ? words.oneStepAfterAnother(listMin) : '',
    provenMin < minutes ? words.theBestOrderFound(Math.ceil(provenMin)) : '',
  ]
    .filter(Boolean)
    .join(' ')
}

/** The plan that was worked out: its lanes, what it needs, its start, and the same as a list. */
function ThePlan({
  plan,
  bikes,
  onStart,
}: {
  readonly plan: WashPlan
  readonly bikes: readonly PlannedBike[]
  readonly onStart: (plan: WashPlan) => void
}) {
  const { garage, now } = useOpenLog()
  const { tagOf, legend } = useMemo(() => stepTags(garage, bikes), [garage, bikes])
  const names = sayList(bikes.map(({ report }) => report.bike.entry.name))
  const amounts = sayAmounts(garage, bikes, plan)
  const lubeOf = (step: WashStep) =>
    (bikes.find(({ report }) => report.bike.entry.bike === step.bike) ?? bikes[0])?.lube ?? 'none'
  const why = bikes
    .map((one) => `${bikes.length > 1 ? `${one.report.bike.entry.name}: ` : ''}${sayWhy(one)}`)
    .join(' ')
  return (
    <>
      <PlanLanes
        steps={plan.steps}
        plan={plan.timed.plan}
        tagOf={tagOf}
        done={words.doneAtIfYou(timeOfDay(Date.parse(now) + MINUTE_MS * plan.timed.plan.minutes))}
      />
      {legend.length > 0 && <p className="text-sm text-steel">{legend.join(' · ')}</p>}
      <Meanwhile plan={plan} tagOf={tagOf} report={bikes[0]?.report} />
      <Notes plan={plan} why={why} amounts={amounts} />
      <div className="flex flex-wrap items-center gap-4">
        <Button look="firm" onClick={() => onStart(plan)}>
          {words.startTheWashOf(names)}
        </Button>
        <span className="text-sm text-steel">
          {words.clocksRunWhileYour(sayCount(plan.steps.length, 'step'))}
        </span>
      </div>
      <StepList steps={plan.steps} plan={plan.timed.plan} tagOf={tagOf} lubeOf={lubeOf} />
      <SavePaper
        label={words.thePlanOnPaper}
        file={fileName(names, words.wash)}
        write={async (paper) => {
          const { paperPdf } = await import('../../../formats/paper-pdf.ts')
          const wash = {
            bikes: bikes.map(({ report }) => report.bike.entry.name),
            steps: plan.steps,
            plan: plan.timed.plan,
            tagOf,
            lubeOf,
            legend,
            amounts,
            cares: caresOf(plan),
          }
          return paperPdf(washSheet(wash, now), paper)
        }}
      />
    </>
  )
}

/** The next wash: which way, on which chains of which bikes, in which order, and why. */
export function WashPlanner({ report, facts, onStart }: Props) {
  const { garage } = useOpenLog()
  const { bikes, others, choose, minutes, setMinutes, plan, fault, progress } = useWashPlan(report, facts)
  const [first, ...along] = bikes
  if (!first) return null
  const { bike } = report.bike.entry
  const ways = bikes.map(
    (one, i) => `${i === 0 ? '' : `${one.report.bike.entry.name} `}${WAY_NAMES[one.way]}`,
  )
  return (
    <Section id="plan" title={words.theNextWash(ways.join(', '))} note={plan && sayMinutes(plan)}>
      <div className="flex flex-col gap-6">
        <div className="flex flex-col gap-4">
          <TimeChooser minutes={minutes} onPick={setMinutes} />
          <WayChooser planned={first} onChoose={(choice) => choose(bike, choice)} />
          <AlongWith along={along} others={others} onChoose={choose} />
        </div>
        {bikes.flatMap(({ report: { bike: of }, mixes }) =>
          mixes.map((misfit) => (
            <CautionNote key={`${of.entry.bike} ${misfit}`}>
              {bikes.length > 1 && `${of.entry.name}: `}
              {capital(sayMisfit(misfit))}.
            </CautionNote>
          )),
        )}
        {plan?.timed.isTooLong && (
          <p role="status" className="border-l-4 border-ochre pl-3">
            {minutes} {words.minutesAreTooFew(plan.timed.plan.minutes)}
          </p>
        )}
        {plan && !plan.timed.isTooLong && plan.leftOutSteps.length > 0 && (
          <p role="status">
            {words.leftOutToFit(
              sayList(
                plan.leftOutSteps.map((step) => {
                  const subject = stepSubject(garage, plan.washes, step)
                  return `${STEP_WORDS[step.kind].name.toLowerCase()}${subject && words.of(subject)}`
                }),
              ),
            )}
          </p>
        )}
        {plan ? (
          <ThePlan plan={plan} bikes={bikes} onStart={onStart} />
        ) : (
          <p role="status" className="text-steel">
            {fault ??
              words.workingOutTheOrder(
                progress === undefined || progress < 0.01 ? '' : ` ${Math.round(100 * progress)} %`,
              )}
          </p>
        )}
        <KitEditor report={report} facts={facts} way={first.way} />
      </div>
    </Section>
  )
}
