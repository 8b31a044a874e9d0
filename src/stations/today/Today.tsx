import { lazy, Suspense, useMemo } from 'react'
import { KM_PER_MILE } from '../../core/units/convert.ts'
import { useNavigate } from 'react-router'
import { needsSomething, urgency } from '../../core/strategy/verdict.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { WearMark } from '../../ui/glyphs/ToothGlyph.tsx'
import { Answer } from '../../ui/parts/Answer.tsx'
import { Button } from '../../ui/parts/Button.tsx'
import { NoBike } from '../../ui/parts/NoBike.tsx'
import { bikeChosen, useSend, useUnits } from '../../ui/screen-state.ts'
import type { Units } from '../../core/units/units.ts'
import { sayAction, sayReason } from '../../words/advice.ts'
import { sayChance, sayCount, sayFigure, sayKm, sayLimit } from '../../words/numbers.ts'
import { sayRoad } from '../../words/road.ts'
import type { SharedScale } from '../../ui/road/SmallRoad.tsx'
import { DUE_MARKS } from '../../ui/road/marks.ts'
import { sharedScale } from './shared-scale.ts'
import { sayLastReading } from '../../words/verdict.tsx'
import { UnsavedNote } from './UnsavedNote.tsx'
import { stepFor } from './step-for.ts'
import { AfterRepair } from './AfterRepair.tsx'
import { AfterRide } from './AfterRide.tsx'
import { ComingUp } from './ComingUp.tsx'
import { ChangedElsewhere } from './ChangedElsewhere.tsx'
import { Contradictions } from './Contradictions.tsx'
import { FolderNote } from './FolderNote.tsx'
import { TwoVersions } from './TwoVersions.tsx'
import { useForecasts } from '../../session/use-forecasts.ts'
import { useJudgedInTurn, type JudgedBike } from '../../session/verdicts.ts'
import { words } from '../../words/stations/today/today.ts'

const NONE: readonly JudgedBike[] = []

function useLines() {
  const judged = useJudgedInTurn()
  const bikes = judged ?? NONE
  const fault = bikes.find((bike) => bike.fault !== undefined)?.fault
  const calls = ({ verdict }: JudgedBike): number => (verdict ? urgency(verdict) : -1)
  const lines = [...bikes].sort((a, b) => calls(b) - calls(a))
  const { groups } = useForecasts()
  const working = groups.some((group) => !group.fresh && !group.stopped && group.fault === undefined)
  return { lines, fault, working, isThere: judged !== undefined }
}

function sayHowSure({ report, answer, verdict }: JudgedBike): string {
  if (report.chain?.lastReadingAt === undefined) return words.noReadingYet
  if (!answer) return words.stillBeingWorkedOut
  const band = words.toLimit(
    sayFigure(answer.now.p05),
    sayFigure(answer.now.p95),
    sayLimit(report.limit.percent),
  )
  return verdict?.confidence === undefined
    ? words.probably(band)
    : words.confidenceProbably(sayChance(verdict.confidence), band)
}

const SmallRoad = lazy(() => import('../../ui/road/SmallRoad.tsx'))
const SharedRuler = lazy(async () => ({ default: (await import('../../ui/road/SmallRoad.tsx')).SharedRuler }))

const DayList = lazy(() => import('./day/DayList.tsx'))
/** With more bikes than this Today is a workshop's list: a row each, found, grouped and narrowed. */
const MANY = 12

/** The columns of a bike's row where there is room for them: name, advice, road, step. */
const COLUMNS = 'lg:grid-cols-[9.5rem_minmax(0,1fr)_minmax(17rem,24rem)_8.5rem]'

/** Room for the drawing while it is on its way, so that nothing moves when it comes. */
const RoadRoom = () => <div data-drawn="false" className="h-[98px]" />

function RoadOf({ line, scale }: { readonly line: JudgedBike; readonly scale: SharedScale }) {
  const units = useUnits()
  const { report, answer, verdict } = line
  if (!report.chain) return null
  if (!answer || !verdict) return <RoadRoom />
  return (
    <Suspense fallback={<RoadRoom />}>
      <SmallRoad
        report={report}
        chain={report.chain}
        answer={answer}
        verdict={verdict}
        scale={scale}
        sentence={sayRoad(report, answer, verdict, units)}
      />
    </Suspense>
  )
}

interface LineProps {
  readonly line: JudgedBike
  readonly first: boolean
  readonly scale: SharedScale
}

function BikeLine({ line, first, scale }: LineProps) {
  const { report, verdict } = line
  const { now, garage } = useOpenLog()
  const units = useUnits()
  const send = useSend()
  const navigate = useNavigate()
  const { entry } = report.bike
  const done = verdict && stepFor(verdict)
  const [why] = verdict?.reasons ?? []
  return (
    <li
      className={`grid items-start gap-x-6 gap-y-1 border-t border-hairline py-3 max-lg:grid-cols-[minmax(0,1fr)_auto] ${COLUMNS}`}
    >
      <div>
        <h2 className="text-[1.3rem] leading-tight font-medium">{entry.name}</h2>
        <p className="text-sm text-steel">{sayKm(report.totalKm, units)}</p>
        <p className="pt-1 max-lg:hidden">
          {verdict ? <WearMark word={verdict.word} /> : <span className="text-steel">…</span>}
        </p>
      </div>
      <div className="pt-1 text-right lg:hidden">
        {verdict ? <WearMark word={verdict.word} /> : <span className="text-steel">…</span>}
      </div>
      <div className="min-w-0 max-lg:col-span-2">
        <p className="text-[1.08rem] leading-snug font-semibold">
          {verdict ? sayAction(verdict, units) : words.workingItOut}
        </p>
        {why && (
          <p className="mt-0.5 text-[0.95rem] leading-snug text-steel">
            {sayReason(why, units, garage.tools)}
          </p>
        )}
        <p className="mt-1 text-sm text-steel">
          {sayHowSure(line)}
          {report.chain && ` · ${sayLastReading(report.chain, now)}`}
        </p>
      </div>
      <div className="min-w-0 max-lg:col-span-2">
        <RoadOf line={line} scale={scale} />
      </div>
      {done && (
        <Button
          look={first ? 'next' : 'plain'}
          className="max-lg:col-span-2 max-lg:justify-self-start"
          aria-label={`${done.label}: ${entry.name}`}
          onClick={() => {
            send(bikeChosen(entry.bike))
            void navigate(done.path)
          }}
        >
          {done.label}
        </Button>
      )}
    </li>
  )
}

function Key({
  mark,
  className,
  children,
}: {
  readonly mark: keyof typeof DUE_MARKS
  readonly className: string
  readonly children: string
}) {
  return (
    <span className="flex items-center gap-1.5">
      <svg viewBox="-8 -8 16 16" className={`size-4 ${className}`} strokeWidth={1.8}>
        <path d={DUE_MARKS[mark]} />
      </svg>
      {children}
    </span>
  )
}

/** What stands over the roads: what their marks mean, and the ruler they share. */
function RoadsHead({ scale }: { readonly scale: SharedScale }) {
  const units = useUnits()
  return (
    <div className={`mt-4 grid items-end gap-x-6 max-lg:grid-cols-1 ${COLUMNS}`} aria-hidden="true">
      <p className="flex flex-wrap items-center gap-x-4 pb-1 text-sm text-steel lg:col-span-2 lg:justify-end">
        <Key mark="look" className="fill-none stroke-petrol">
          {words.nextLook}
        </Key>
        <Key mark="swap" className="fill-rust">
          {words.limit}
        </Key>
        <Key mark="lube" className="fill-petrol">
          {words.lubeLastsTo}
        </Key>
      </p>
      <div className="min-w-0 lg:col-start-3">
        <Suspense fallback={<div className="h-[26px]" />}>
          <SharedRuler
            scale={scale}
            perUnit={units === 'metric' ? 1 : KM_PER_MILE}
            unit={units === 'metric' ? words.km : words.mi}
          />
        </Suspense>
      </div>
    </div>
  )
}

/** @param working some lines are still to come, and may be more urgent than those there are */
function headline(lines: readonly JudgedBike[], working: boolean, units: Units): string {
  const needing = lines.filter(({ verdict }) => verdict && needsSomething(verdict))
  const [first] = needing
  const settled = lines.every(({ verdict }) => verdict)
  if (!settled && (working || needing.length === 0)) return words.checkingYourBikes
  if (!first?.verdict) return words.nothingToDoToday
  const name = first.report.bike.entry.name
  return words.startWith(name, sayAction(first.verdict, units))
}

function sayRest(lines: readonly JudgedBike[]): string {
  const needing = lines.filter(({ verdict }) => verdict && needsSomething(verdict)).length
  const all = words.theMostUrgentFirst(sayCount(lines.length, 'bike'))
  return needing > 1 ? words.something(sayCount(needing - 1, 'moreBikeNeeds'), all) : all
}

/** Today: which bike needs what, why, and how sure; the most urgent first. */
export default function Today() {
  const { garage } = useOpenLog()
  const units = useUnits()
  const { lines, fault, working, isThere } = useLines()
  const isMany = garage.bikes.size > MANY
  const scale = useMemo(() => sharedScale(isMany ? NONE : lines), [isMany, lines])
  if (garage.bikes.size === 0) return <NoBike what={words.addYourBikeAndARide} />
  if (!isThere) return <Answer detail={sayCount(garage.bikes.size, 'bike')}>{words.checkingYourBikes}</Answer>
  return (
    <>
      <Answer detail={fault ?? sayRest(lines)}>{headline(lines, working, units)}</Answer>
      <Contradictions />
      <TwoVersions />
      <ChangedElsewhere />
      {isMany ? (
        <Suspense fallback={<p className="mt-4 text-steel">{words.layingOutTheList}</p>}>
          <DayList lines={lines} />
        </Suspense>
      ) : (
        <>
          <RoadsHead scale={scale} />
          <ul aria-label={words.bikes} className="border-b border-hairline">
            {lines.map((line, i) => (
              <BikeLine key={line.report.bike.entry.bike} line={line} first={i === 0} scale={scale} />
            ))}
          </ul>
        </>
      )}
      <AfterRide reports={lines.map(({ report }) => report)} />
      <AfterRepair bikes={lines.map(({ report }) => report.bike.entry)} />
      <ComingUp bikes={lines} />
      <FolderNote />
      <UnsavedNote />
    </>
  )
}
