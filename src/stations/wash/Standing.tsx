import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { STORAGE_DAYS } from '../../core/lube/clock.ts'
import { words } from '../../words/stations/wash/standing.ts'

/** What to do before a bike stands for long, and first of all when it comes back. */
export function Standing({ report }: { readonly report: BikeReport }) {
  const { storage, motor, name } = report.bike.entry
  return (
    <details className="text-[0.95rem]">
      <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">
        {words.beforeStandsForAWhile(name)}
      </summary>
      <ul className="list-disc space-y-1 pl-5">
        <li>{words.beforeCleanItDry}</li>
        <li>
          {storage === 'outdoors'
            ? words.itStandsOutdoorsAfter(STORAGE_DAYS.outdoors)
            : words.indoorsItKeepsDays(STORAGE_DAYS.indoors)}
        </li>
        <li>{words.hangWaxedChainsUp}</li>
        {motor !== 'none' && <li>{words.batteryOutHalfCharged}</li>}
        <li>{words.backAgainFirstWipe}</li>
      </ul>
    </details>
  )
}
