import { OPENS } from '../../words/places.ts'
import { Link } from 'react-router'
import { useOpenLog } from '../../session/log-context.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { Answer } from '../../ui/parts/Answer.tsx'
import { buttonLook } from '../../ui/parts/Button.tsx'
import { NoBike } from '../../ui/parts/NoBike.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import type { Units } from '../../core/units/units.ts'
import { useBikeId } from '../../ui/use-bike-id.ts'
import { sayAboutKm, sayCount, sayDay, sayKm } from '../../words/numbers.ts'
import { useJudged } from '../../session/verdicts.ts'
import { AddRides } from './AddRides.tsx'
import { ConditionSorter } from './ConditionSorter.tsx'
import { GearsRidden } from './GearsRidden.tsx'
import { RideList } from './RideList.tsx'
import { RoadStrip } from './RoadStrip.tsx'
import { Road } from './strip/Road.tsx'
import { ridesNotSet } from './not-set.ts'
import { words } from '../../words/stations/miles/miles.ts'

function sayMiles(report: BikeReport, units: Units) {
  const { name } = report.bike.entry
  if (report.bike.rides.length === 0) return words.hasNoRidesInTheLog(name)
  return (
    <>
      {words.hasDone(name)} <strong className="font-bold">{sayKm(report.totalKm, units)}</strong>
      {report.chain && (
        <>
          , <strong className="font-bold">{sayKm(report.chain.story.km, units)}</strong>{' '}
          {words.ofItOnThisChain}
        </>
      )}
      .
    </>
  )
}

function sayRecent(report: BikeReport, units: Units): string {
  const weekly = report.plan.weeklyKm
  return words.inTheLastFour(sayKm(report.lastFourWeeksKm, units), sayAboutKm(weekly, units))
}

/** Miles: what the bike and its parts have been through, in what, and the ways new rides come in. */
export default function Miles() {
  const { garage, now } = useOpenLog()
  const units = useUnits()
  const judged = useJudged(useBikeId(garage))
  if (!judged) return <NoBike what={words.addOneAndThen} />
  const { report, verdict } = judged
  const { chain } = report
  const notSet = ridesNotSet(report.bike.rides).length
  return (
    <div className="flex flex-col gap-8">
      <Answer
        word={verdict?.word ?? 'unsure'}
        detail={
          <>
            {sayRecent(report, units)} {chain && words.theChainWasFitted(sayDay(chain.fittedAt, now))}
          </>
        }
        action={
          <>
            <Link to={OPENS.addRides} className={buttonLook('next')}>
              {words.addRides}
            </Link>
            <p className="text-[0.95rem] text-steel">
              {words.or}{' '}
              {notSet > 0 ? (
                <Link to={OPENS.setConditions} className="underline underline-offset-4">
                  {words.sort(sayCount(notSet, 'ride'))}
                </Link>
              ) : (
                <Link to={OPENS.takeReading} className="underline underline-offset-4">
                  {words.measureIt}
                </Link>
              )}
            </p>
          </>
        }
      >
        {sayMiles(report, units)}
      </Answer>
      <Road report={report} key={`road ${report.bike.entry.bike}`} />
      <div className="no-print grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-x-14 gap-y-8 border-t border-hairline pt-6 max-lg:grid-cols-1">
        <div className="flex flex-col gap-8">
          <AddRides key={report.bike.entry.bike} report={report} />
          {chain && <RoadStrip rides={chain.story.rides.map(({ ride }) => ride)} />}
        </div>
        <div className="flex flex-col gap-8">
          <ConditionSorter key={report.bike.entry.bike} report={report} />
          <RideList rides={report.bike.rides} />
        </div>
      </div>
      <GearsRidden key={`gears ${report.bike.entry.bike}`} report={report} />
    </div>
  )
}
