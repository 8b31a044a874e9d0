import { useState } from 'react'
import { Link } from 'react-router'
import { fittedLink } from '../../../core/log/garage.ts'
import { SESSION_BOUNDS } from '../../../core/log/kinds/session.ts'
import { isLeftBare, outcomeOf, wasFitted } from '../../../core/session/outcome.ts'
import { closingsOf } from '../../../core/strategy/fitting-checks.ts'
import type { BikeReport } from '../../../core/strategy/facts/bike-report.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { CautionNote } from '../../../ui/parts/Empty.tsx'
import { OPENS } from '../../../ui/places.ts'
import { useInTurn } from '../../../ui/use-in-turn.ts'
import { LUBE_NAMES, WASH_NAMES } from '../../../ui/words/names.ts'
import { sayCount } from '../../../ui/words/numbers.ts'
import { namePart } from '../../../ui/words/part-name.ts'
import { Choice } from '../../../ui/parts/fields.tsx'
import type { KeptRun } from './kept-run.ts'
import { entriesOf, lastTouchMs } from './run-entries.ts'

const MINUTE_MS = 60_000

interface Props {
  readonly report: BikeReport
  readonly kept: KeptRun
  readonly nowMs: number
  /** Absent where nothing is left to do. */
  readonly onBack?: () => void
  readonly onOver: () => void
}

/** The end of a wash: what was done, in words, and into the log with it. */
export function WashEnd({ report, kept, nowMs, onBack, onOver }: Props) {
  const { garage, record } = useOpenLog()
  const [isBareMeant, setBareMeant] = useState(false)
  const { job, run } = kept
  const outcome = outcomeOf(job, run)
  const bare = outcome.filter(isLeftBare)
  const endMs = Math.min(nowMs, lastTouchMs(kept))
  const minutes = Math.min(SESSION_BOUNDS.minutes, Math.round((endMs - run.startedMs) / MINUTE_MS))
  const on = report.chain?.part.entry.part
  const isSwapped = wasFitted(job, run) && on !== undefined && on !== job.fits
  const nameOf = (id: string): string => namePart(garage, id, report.bike.entry.bike)
  const link = wasFitted(job, run) ? fittedLink(garage, report.bike.entry.bike) : undefined
  const closing = link ? closingsOf(link) + 1 : 0
  const allowed = link?.entry.spec.type === 'joining-link' ? link.entry.spec.closingsAllowed : 0
  const [picked, setPicked] = useState<'same' | 'new'>()
  // One that is used up is not closed again unless somebody says that it was.
  const joined = picked ?? (closing > allowed ? 'new' : 'same')
  const write = useInTurn(async () => {
    const drafts = entriesOf(kept, {
      report,
      at: new Date(endMs).toISOString(),
      minutes,
      isBareMeant,
      ...(link && { link: { held: link, joined } }),
      newId: () => crypto.randomUUID(),
    })
    if (drafts.length === 0 || (await record(drafts, 'Wash logged.'))) onOver()
  })
  return (
    <section aria-labelledby="answer" className="flex flex-col gap-5">
      <h1 id="answer" className="text-[2rem] leading-tight font-medium max-sm:text-[1.5rem]">
        {outcome.length === 0 ? 'Nothing was done to a chain.' : `Done in ${sayCount(minutes, 'minute')}.`}
      </h1>
      {outcome.length > 0 && (
        <ul className="divide-y divide-hairline border-y border-hairline">
          {outcome.map(({ chain, method, lube }) => (
            <li key={chain} className="py-2">
              {nameOf(chain)}: {WASH_NAMES[method]}
              {lube ? `, ${LUBE_NAMES[lube]}` : ', not lubed'}
            </li>
          ))}
          {isSwapped && (
            <li className="py-2">
              {nameOf(job.fits)} goes on {report.bike.entry.name}; {nameOf(on)} onto the shelf.
            </li>
          )}
        </ul>
      )}
      {link && (
        <Choice<'same' | 'new'>
          legend="Joined with"
          value={joined}
          onPick={setPicked}
          options={[
            { value: 'same', label: `${link.entry.name} again: closing ${closing} of ${allowed}` },
            { value: 'new', label: 'a fresh joining link' },
          ]}
        />
      )}
      {link && joined === 'same' && closing > allowed && (
        <CautionNote>
          Its maker allows {sayCount(allowed, 'closing')}. A joining link that is closed too often can open by
          itself.
        </CautionNote>
      )}
      {bare.length > 0 && (
        <>
          <CautionNote>
            Cleaned, and not lubricated: a bare chain wears about three times as fast, and rusts. Go back and
            lubricate it before it is ridden.
          </CautionNote>
          <label className="flex min-h-12 items-center gap-3">
            <input
              type="checkbox"
              className="size-6 accent-petrol"
              checked={isBareMeant}
              onChange={({ target }) => setBareMeant(target.checked)}
            />
            It stays without lube for now
          </label>
        </>
      )}
      <div className="flex flex-wrap gap-3">
        <Button look="next" className="min-h-14" disabled={bare.length > 0 && !isBareMeant} onClick={write}>
          {outcome.length === 0 ? 'Close it' : 'Log the wash'}
        </Button>
        {onBack && (
          <Button className="min-h-14" onClick={onBack}>
            Go on washing
          </Button>
        )}
        <Link
          to={OPENS.measureNow}
          className="inline-flex min-h-14 items-center underline underline-offset-4"
        >
          Measure it while it is clean
        </Link>
      </div>
    </section>
  )
}
