import { useMemo } from 'react'
import { materialsOf } from '../../../core/session/materials.ts'
import type { BikeReport } from '../../../core/strategy/facts/bike-report.ts'
import type { WashFacts } from '../../../core/strategy/facts/wash-facts.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { timeOfDay } from '../../../ui/parts/day.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { CautionNote } from '../../../ui/parts/Empty.tsx'
import { Section } from '../../../ui/parts/Section.tsx'
import { sayCount, sayList } from '../../../ui/words/numbers.ts'
import { namePart } from '../../../ui/words/part-name.ts'
import { MATERIAL_NAMES, sayMisfit, sayWayReason, WAY_TALK } from '../../../ui/words/say-ways.ts'
import { STEP_WORDS } from '../../../ui/words/step-words.ts'
import { WAY_NAMES } from '../../../ui/words/wash-words.ts'
import { chainOnBike } from '../chain-on-bike.ts'
import { KitEditor } from './KitEditor.tsx'
import { PlanLanes } from './PlanLanes.tsx'
import { StepList } from './StepList.tsx'
import { useWashPlan, type WashPlan } from './use-wash-plan.ts'
import { WayChooser } from './WayChooser.tsx'

interface Props {
  readonly report: BikeReport
  readonly facts: WashFacts
  /** Begins the wash as it is planned. */
  readonly onStart: (plan: WashPlan) => void
}

const MINUTE_MS = 60_000

const capital = (text: string): string => `${text.slice(0, 1).toUpperCase()}${text.slice(1)}`

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
  const cares = [...new Set(plan.steps.flatMap(({ kind }) => STEP_WORDS[kind].care ?? []))]
  const materials = materialsOf(plan.steps).map((one) => MATERIAL_NAMES[one])
  return (
    <div className="grid grid-cols-3 gap-x-10 gap-y-6 max-lg:grid-cols-1">
      <div className="border-t border-hairline pt-3">
        <h3 className="font-semibold">Lay out first</h3>
        <p className="mt-1 text-[0.95rem]">
          {capital(sayList(materials))}. {amounts}
        </p>
      </div>
      <div className="border-t border-hairline pt-3">
        <h3 className="font-semibold">Why this way</h3>
        <p className="mt-1 text-[0.95rem]">{why}</p>
      </div>
      <div className="border-t-[3px] border-rust pt-3">
        <h3 className="font-semibold text-rust">Careful</h3>
        <p className="mt-1 text-[0.95rem]">{cares.join(' ')} The makers’ instructions come first.</p>
      </div>
    </div>
  )
}

/** The next wash: which way, on which chains, in which order, and why. */
export function WashPlanner({ report, facts, onStart }: Props) {
  const { garage, now } = useOpenLog()
  const planned = useWashPlan(facts)
  const { way, lube, judged, best, mixes, picked, plan, choice } = planned
  const { name } = report.bike.entry
  const chainName = useMemo(() => {
    const letters = new Map(
      picked.map(({ id }, i) => [id, picked.length > 1 ? String.fromCharCode(65 + i) : '']),
    )
    return (id: string): string => letters.get(id) ?? ''
  }, [picked])
  const { drops, ml, crankTurns } = chainOnBike(garage, report, planned.fits).amounts
  const hasDrops = plan?.steps.some(({ kind }) => kind === 'drops')
  const amounts = hasDrops
    ? `${drops} drops, about ${Math.round(ml)} ml; once round is ${crankTurns.toFixed(1)} crank turns.`
    : ''
  const pro = judged?.pro.map(sayWayReason) ?? []
  const runnerUp = planned.ways.find((one) => one.way !== way && one.isOpen)
  const isSuggested = best?.way === way
  const why = [
    pro.length > 0 ? `${capital(sayList(pro))}.` : WAY_TALK[way],
    isSuggested && runnerUp
      ? `Next best: ${WAY_NAMES[runnerUp.way]}${runnerUp.pro[0] ? `, as ${sayWayReason(runnerUp.pro[0])}` : ''}.`
      : '',
    !isSuggested && best ? `Suggested instead: ${WAY_NAMES[best.way]}.` : '',
  ]
    .filter(Boolean)
    .join(' ')
  const leftOut = plan?.timed.leftOut ?? []
  return (
    <Section
      id="plan"
      title={`The next wash: ${WAY_NAMES[way]}`}
      note={
        plan &&
        `${plan.timed.plan.minutes} minutes, ${plan.handsMin} of them hands on.${leftOut.length === 0 && plan.listMin > plan.timed.plan.minutes ? ` One step after another it would be ${plan.listMin}.` : ''}`
      }
    >
      <div className="flex flex-col gap-6">
        <WayChooser planned={planned} all={facts.chains} />
        {mixes.map((misfit) => (
          <CautionNote key={misfit}>{capital(sayMisfit(misfit))}.</CautionNote>
        ))}
        {plan?.timed.isTooLong && (
          <p role="status" className="border-l-4 border-ochre pl-3">
            {choice.minutes} minutes are too few for this: even the least takes {plan.timed.plan.minutes}.
          </p>
        )}
        {plan && !plan.timed.isTooLong && leftOut.length > 0 && (
          <p role="status">
            Left out to fit:{' '}
            {sayList(plan.leftOutSteps.map(({ kind }) => STEP_WORDS[kind].name.toLowerCase()))}.
          </p>
        )}
        {plan ? (
          <>
            <PlanLanes
              steps={plan.steps}
              plan={plan.timed.plan}
              chainName={chainName}
              done={`done at ${timeOfDay(Date.parse(now) + MINUTE_MS * plan.timed.plan.minutes)} if you start now`}
            />
            {picked.length > 1 && (
              <p className="text-sm text-steel">
                {picked
                  .map(({ id }) => `${chainName(id)}: ${namePart(garage, id, report.bike.entry.bike)}`)
                  .join(' · ')}
              </p>
            )}
            <Notes plan={plan} why={why} amounts={amounts} />
            <div className="flex flex-wrap items-center gap-4">
              <Button look="firm" onClick={() => onStart(plan)}>
                Start the wash of {name}
              </Button>
              <span className="text-sm text-steel">
                {sayCount(plan.steps.length, 'step')}; clocks run while your hands are dirty.
              </span>
            </div>
            <StepList steps={plan.steps} plan={plan.timed.plan} chainName={chainName} lube={lube} />
          </>
        ) : (
          <p role="status" className="text-steel">
            {planned.fault ?? 'Working out the order…'}
          </p>
        )}
        <KitEditor report={report} facts={facts} way={way} />
      </div>
    </Section>
  )
}
