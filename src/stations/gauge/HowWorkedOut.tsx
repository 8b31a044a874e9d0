import { STATIONS } from '../../words/places.ts'
import { Link } from 'react-router'
import type { PartId } from '../../core/log/entry.ts'
import { WorkingsNote } from '../../ui/parts/WorkingsNote.tsx'
import { answerFor } from '../../session/use-forecasts.ts'
import { useForecasts } from '../../session/use-forecasts.ts'
import { words } from '../../words/stations/gauge/how-worked-out.ts'

/** The workings behind a chain's forecast, and the way to what was learned. */
export function HowWorkedOut({ chain }: { readonly chain: PartId }) {
  const { groups } = useForecasts()
  const workings = answerFor(groups, chain)?.group.outlook?.workings
  if (!workings) return null
  return (
    <div className="no-print flex flex-col gap-2 border-t border-hairline pt-4">
      <WorkingsNote workings={workings} />
      <p className="text-sm text-steel">
        {words.whatIsKnownOfConditions}{' '}
        <Link to={STATIONS.rates.path} className="underline underline-offset-4">
          {words.rates}
        </Link>
        .
      </p>
    </div>
  )
}
