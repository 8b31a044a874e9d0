import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { lubeBefore } from '../../core/strategy/facts/lube-before.ts'
import { SWAPS } from '../../core/strategy/verdict.ts'
import { useJudged, type JudgedBike } from '../../session/verdicts.ts'
import { STATIONS } from '../../words/places.ts'
import type { WashPlan } from './plan/use-wash-plan.ts'
import { Standing } from './Standing.tsx'
import { washFacts } from '../../core/strategy/facts/wash-facts.ts'
import { livesOf } from '../../core/strategy/facts/own-lives.ts'
import { isWet } from '../../core/exposure/conditions.ts'
import type { ChainReport } from '../../core/strategy/facts/bike-report.ts'
import { daysBetween } from '../../core/units/days.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Answer } from '../../ui/parts/Answer.tsx'
import { Button, buttonLook } from '../../ui/parts/Button.tsx'
import { NoBike } from '../../ui/parts/NoBike.tsx'
import { NoChain } from '../../ui/parts/NoChain.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { useBikeId } from '../../ui/use-bike-id.ts'
import { LUBE_NAMES, WASH_NAMES } from '../../words/names.ts'
import { sayDay, sayKm } from '../../words/numbers.ts'
import { HookBoard } from './hooks/HookBoard.tsx'
import { LifeStrip } from './LifeStrip.tsx'
import { LogWash } from './LogWash.tsx'
import { LubeTap } from './LubeTap.tsx'
import { useWashRun } from './run/use-wash-run.ts'
import { sayBikes } from './run/say-step.ts'
import { WashGoingOn } from './run/WashGoingOn.tsx'
import { startRun } from '../../core/session/run.ts'
import { lubeAhead } from '../../core/strategy/when.ts'
import { sayClock, sayGrounds } from './say-clock.ts'
import { WeekAhead } from './WeekAhead.tsx'
import type { WeekWeather } from '../../core/strategy/facts/week-ahead.ts'
import { WashPlanner } from './plan/WashPlanner.tsx'
import { words } from '../../words/stations/wash/wash.ts'

/** Drying comes the same day: the next morning is rust. */
function wetToday(chain: ChainReport, now: string): boolean {
  const last = chain.story.rides.at(-1)?.ride
  return last !== undefined && isWet(last.condition) && daysBetween(last.at, now) < 1
}

function History({
  chain,
  washes,
}: {
  readonly chain: ChainReport
  readonly washes: ReturnType<typeof useWashes>
}) {
  const { now } = useOpenLog()
  const units = useUnits()
  return (
    <Section title={words.onThisChainSo}>
      {washes.length === 0 ? (
        <p className="text-steel">{words.nothingIsLoggedYet}</p>
      ) : (
        <ul className="divide-y divide-hairline border-y border-hairline text-[0.95rem]">
          {washes.slice(0, 12).map((wash) => (
            <li key={wash.id} className="grid grid-cols-[8.5rem_minmax(0,1fr)_5rem] gap-3 py-2">
              <span>{sayDay(wash.at, now)}</span>
              <span>
                {WASH_NAMES[wash.method]}
                {wash.lube !== undefined && `, ${LUBE_NAMES[wash.lube]}`}
              </span>
              <span className="text-right text-sm text-steel">
                {words.at(sayKm(chain.story.at(wash.at).km, units))}
              </span>
            </li>
          ))}
        </ul>
      )}
    </Section>
  )
}

function useWashes(chain: ChainReport | undefined) {
  const { garage } = useOpenLog()
  return chain ? [...(garage.washes.get(chain.part.entry.part) ?? [])].reverse() : []
}

/** What is planned soon and wants fresh lube first; or that the chain is to be swapped, and not washed. */
function FirstOfAll({ report, verdict, answer }: JudgedBike) {
  const { garage, now } = useOpenLog()
  const units = useUnits()
  const event = lubeBefore(report, answer, livesOf(garage))
  if (verdict && SWAPS.includes(verdict.action))
    return (
      <p role="note" className="border-l-4 border-ochre pl-3">
        {words.thisChainIsToBe}{' '}
        <Link to={STATIONS.decide.path} className="underline underline-offset-4">
          {words.seeWhy}
        </Link>
      </p>
    )
  if (!event) return null
  return (
    <p role="note" className="border-l-4 border-ochre pl-3">
      {words.beginsOnPutFresh(
        event.name,
        sayDay(event.starts, now),
        sayKm(event.km, units),
        report.chain?.lube ? LUBE_NAMES[report.chain.lube.lube] : words.lube,
      )}
    </p>
  )
}

/** One chain's wash: the clock, how it looks, the next wash, its hooks, and what was done so far. */
function WashOf({
  judged,
  chain,
  onStart,
}: {
  readonly judged: JudgedBike
  readonly chain: ChainReport
  readonly onStart: (plan: WashPlan) => void
}) {
  const { garage, now } = useOpenLog()
  const units = useUnits()
  const { report, verdict } = judged
  const washes = useWashes(chain)
  const [week, setWeek] = useState<WeekWeather>()
  const facts = useMemo(() => {
    const made = washFacts(garage, report)
    // The week's own forecast tells more of the roads to come than the season does.
    return week && week.days > 0
      ? { ...made, wants: { ...made.wants, wetShare: week.wetDays / week.days } }
      : made
  }, [garage, report, week])
  const own = livesOf(garage)
  return (
    <>
      <Answer
        detail={
          <>
            {sayGrounds(chain, units, now, own)}
            {wetToday(chain, now) && words.theLastRideWas}
          </>
        }
        action={
          <a href="#plan" className={buttonLook('next')}>
            {words.planTheWash}
          </a>
        }
      >
        {sayClock(report, chain, verdict?.lube ?? lubeAhead(report, judged.answer), units)}
      </Answer>
      <FirstOfAll {...judged} />
      <WeekAhead report={report} week={week} onWeek={setWeek} />
      <LifeStrip chain={chain} own={own} />
      <LubeTap chain={chain} look={facts.wants.look} />
      <div className="border-t border-hairline pt-6">
        <WashPlanner report={report} facts={facts} onStart={onStart} />
      </div>
      <HookBoard report={report} facts={facts} />
      <Standing report={report} />
      <div className="grid grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)] gap-x-14 gap-y-8 border-t border-hairline pt-6 max-lg:grid-cols-1">
        <LogWash report={report} chain={chain} />
        <History chain={chain} washes={washes} />
      </div>
    </>
  )
}

/** Wash: what is on the chain, when it next needs care, how and in which order, and the log of what was done. */
export default function Wash() {
  const { garage } = useOpenLog()
  const judged = useJudged(useBikeId(garage))
  const { kept, change } = useWashRun()
  if (!judged) return <NoBike what={words.addOneAndSay} />
  const { report } = judged
  const { chain } = report
  const { bike, name } = report.bike.entry
  if (kept?.washes.some((wash) => wash.bike === bike)) return <WashGoingOn kept={kept} onChange={change} />
  if (!chain) return <NoChain bike={name} />
  return (
    <div className="flex flex-col gap-8">
      {kept && (
        <p role="note" className="border-l-4 border-ochre pl-3">
          {words.aWashOfIsGoing(sayBikes(garage, kept.washes))}{' '}
          <Button look="link" onClick={() => change(undefined)}>
            {words.forgetIt}
          </Button>
        </p>
      )}
      <WashOf
        key={chain.part.entry.part}
        judged={judged}
        chain={chain}
        onStart={({ washes, steps }) => change({ washes, run: startRun(steps, Date.now()) })}
      />
    </div>
  )
}
