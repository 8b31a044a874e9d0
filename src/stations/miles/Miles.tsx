import { Link } from 'react-router'
import { useBikeReport, useOpenLog } from '../../store/log-context.ts'
import type { BikeReport } from '../../core/strategy/bike-report.ts'
import type { WearAnswer } from '../../core/wear/forecast.ts'
import { ElongationChart } from '../../ui/charts/ElongationChart.tsx'
import { Answer } from '../../ui/parts/Answer.tsx'
import { buttonLook } from '../../ui/parts/Button.tsx'
import { NoBike } from '../../ui/parts/NoBike.tsx'
import { Section } from '../../ui/parts/Section.tsx'
import { useUnits, type Units } from '../../ui/screen-state.ts'
import { useBikeId } from '../../ui/use-bike-id.ts'
import { sayAboutKm, sayDay, sayKm } from '../../ui/words/numbers.ts'
import { sayLimitDates, verdictOf } from '../../ui/words/verdict.tsx'
import { useForecast } from '../../workers/use-forecasts.ts'
import { AddRides } from './AddRides.tsx'
import { RideList } from './RideList.tsx'
import { RoadStrip } from './RoadStrip.tsx'

function sayMiles(report: BikeReport, units: Units) {
  const { name } = report.bike.entry
  if (report.bike.rides.length === 0) return `${name} has no rides in the log yet.`
  return (
    <>
      {name} has done <strong className="font-bold">{sayKm(report.totalKm, units)}</strong>
      {report.chain && (
        <>
          , <strong className="font-bold">{sayKm(report.chain.story.km, units)}</strong> of it on this chain
        </>
      )}
      .
    </>
  )
}

function sayRecent(report: BikeReport, units: Units): string {
  const weekly = report.plan.weeklyKm
  return `${sayKm(report.lastFourWeeksKm, units)} in the last four weeks; about ${sayAboutKm(weekly, units)} a week lately.`
}

function Forecast({
  report,
  answer,
}: {
  readonly report: BikeReport
  readonly answer: WearAnswer | undefined
}) {
  const { now } = useOpenLog()
  const { chain } = report
  if (!chain) return null
  const measured = chain.lastReadingAt !== undefined
  return (
    <Section
      title={
        measured
          ? 'What the distance has done to the chain'
          : 'What the distance has probably done to the chain'
      }
      note={
        measured
          ? answer && sayLimitDates(answer, now)
          : 'A guess from bikes in general, since nobody has measured this chain.'
      }
    >
      {answer ? (
        <ElongationChart chain={chain} answer={answer} limit={report.limit} />
      ) : (
        <p className="h-72 text-steel">Working it out…</p>
      )}
    </Section>
  )
}

/** Miles: what the bike and its chain have done, in what, and the way new rides come in. */
export default function Miles() {
  const { garage, now } = useOpenLog()
  const units = useUnits()
  const report = useBikeReport(useBikeId(garage))
  const { answer } = useForecast(report?.chain?.question)
  if (!report) return <NoBike what="Add one, and then drop its recorded rides in here." />
  const { chain } = report
  return (
    <div className="flex flex-col gap-8">
      <Answer
        word={verdictOf(report, answer)}
        detail={
          <>
            {sayRecent(report, units)} {chain && `The chain was fitted on ${sayDay(chain.fittedAt, now)}.`}
          </>
        }
        action={
          <>
            <a href="#add" className={buttonLook('next')}>
              Add rides
            </a>
            <p className="text-[0.95rem] text-steel max-md:hidden">
              or{' '}
              <Link to="/gauge#take" className="underline underline-offset-4">
                measure it
              </Link>
            </p>
          </>
        }
      >
        {sayMiles(report, units)}
      </Answer>
      <Forecast report={report} answer={answer} />
      {chain && <RoadStrip rides={chain.story.rides.map(({ ride }) => ride)} />}
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-x-14 gap-y-8 border-t border-hairline pt-6 max-lg:grid-cols-1">
        <AddRides key={report.bike.entry.bike} report={report} />
        <RideList rides={report.bike.rides} />
      </div>
    </div>
  )
}
