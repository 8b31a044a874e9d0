import { Link } from 'react-router'
import { visitsOf } from '../../../core/strategy/facts/advice.ts'
import type { BikeReport } from '../../../core/strategy/facts/bike-report.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { buttonLook } from '../../../ui/parts/Button.tsx'
import { Section } from '../../../ui/parts/Section.tsx'
import { OPENS, sheetAddress } from '../../../words/places.ts'
import { useUnits } from '../../../ui/screen-state.ts'
import { sayBy } from '../../../words/job-words.ts'
import { sayAgo, sayFullDay, sayKm } from '../../../words/numbers.ts'
import { words } from '../../../words/stations/decide/sheet/visits.ts'

/** What was advised at earlier visits, their sheets, and the way to a job for a fixed sum. */
export function Visits({ report }: { readonly report: BikeReport }) {
  const { garage, now } = useOpenLog()
  const units = useUnits()
  const { advice } = report
  const closed = visitsOf(garage, report.bike.entry.bike).filter(({ isClosed }) => isClosed)
  return (
    <Section
      title={words.aJobForAFixed}
      note={words.whatIsWorthMost}
      className="border-t border-hairline pt-6"
    >
      {advice.length > 0 && (
        <ul className="mb-4 text-[0.95rem]">
          {advice.map(({ job, since, km, isDue }) => (
            <li key={job.id} className="border-b border-hairline py-2 first:border-t">
              <strong className="font-semibold">{job.name}</strong>
              {isDue && <span className="ml-2 text-sm font-semibold text-rust">{words.due}</span>}
              <span className="block text-sm text-steel">
                {words.left(sayAgo(since, now))}
                {km > 0 && words.since(sayKm(km, units))}.{job.why !== undefined && ` ${job.why}`}{' '}
                {isDue
                  ? words.seeToItNow
                  : words.seeToIt(
                      sayBy(
                        { ...job, ...(job.byKm !== undefined && { byKm: Math.max(0, job.byKm - km) }) },
                        units,
                        now,
                      ),
                    )}
              </span>
            </li>
          ))}
        </ul>
      )}
      <p className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <Link to={OPENS.fixedSum} className={buttonLook('plain')}>
          {words.chooseWithinASum}
        </Link>
        {closed.map((visit) => (
          <Link key={visit.visit} to={sheetAddress(visit.visit)} className={buttonLook('link')}>
            {words.sheetOf(sayFullDay(visit.at))}
          </Link>
        ))}
      </p>
    </Section>
  )
}
