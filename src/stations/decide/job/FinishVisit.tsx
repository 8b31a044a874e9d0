import { useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import { closeJobs, newChainKm } from '../../../core/strategy/job/close-visit.ts'
import { whyLeft, type SumStep } from '../../../core/strategy/job/job-choice.ts'
import { jobOfItem } from '../../../core/strategy/facts/item-jobs.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { useDrawsOf } from '../../../session/use-forecasts.ts'
import type { JudgedBike } from '../../../session/verdicts.ts'
import { Button } from '../../../ui/parts/Button.tsx'
import { TextField } from '../../../ui/parts/fields.tsx'
import { sheetAddress } from '../../../words/places.ts'
import { useUnits } from '../../../ui/screen-state.ts'
import { useOnce } from '../../../ui/use-once.ts'
import { sayBy, sayLeft } from '../../../words/job-words.ts'
import { sayCautions, sayExpected, sayFindings, sayNewChain } from '../../../words/owner-sheet.ts'
import type { Job } from './use-job.ts'
import { words } from '../../../words/stations/decide/job/finish-visit.ts'

interface Props {
  readonly judged: JudgedBike & { readonly verdict: NonNullable<JudgedBike['verdict']> }
  readonly job: Job
  /** Where the choice changes: why a job is left out is told from it. */
  readonly steps: readonly SumStep[]
  readonly onDone: () => void
}

/** What was done and what was left, and with it the owner's sheet. */
export function FinishVisit({ judged, job, steps, onDone }: Props) {
  const { garage, now, record } = useOpenLog()
  const units = useUnits()
  const navigate = useNavigate()
  const { report, answer, verdict } = judged
  const { draft, list, chosen, startAnew } = job
  const draws = useDrawsOf(report.chain?.part.entry.part)
  const newChain = useMemo(() => newChainKm(report, draws), [report, draws])
  const nameOf = (id: string): string => draft.jobs.find((one) => one.id === id)?.name ?? id
  const [done, setDone] = useState<ReadonlySet<string>>(() => new Set(chosen.chosen))
  const whyOf = (id: string): string =>
    chosen.chosen.includes(id)
      ? words.notDoneThisTime
      : sayLeft(whyLeft(list, steps, draft.sum, id), nameOf, draft.currency)
  const [whys, setWhys] = useState<Readonly<Record<string, string>>>(() =>
    Object.fromEntries(draft.jobs.map(({ id }) => [id, whyOf(id)])),
  )
  const jobs = closeJobs(draft.jobs, done, whys, { now, weeklyKm: report.plan.weeklyKm })
  const [save, isSaving] = useOnce(async () => {
    const isChainNew = done.has('chain')
    const isUnsafe =
      verdict.found?.isStop === true && verdict.found.items.some((item) => !done.has(jobOfItem(item)))
    const written = await record(
      [
        {
          ...draft,
          kind: 'visit',
          at: now,
          bike: report.bike.entry.bike,
          jobs,
          found: sayFindings(report, answer, verdict, garage, units),
          expect: isChainNew
            ? sayNewChain(report, newChain, units)
            : sayExpected(report, answer, verdict, units),
          cautions: sayCautions(verdict, isChainNew, isUnsafe),
          isClosed: true,
        },
      ],
      words.theOwnersSheetIsWritten,
    )
    if (!written) return
    startAnew()
    onDone()
    await navigate(sheetAddress(draft.visit))
  })
  return (
    <div className="flex flex-col gap-2">
      <ul>
        {jobs.map((one) => (
          <li
            key={one.id}
            className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)] gap-x-6 border-t border-hairline py-2 max-sm:grid-cols-1"
          >
            <label className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                className="size-6 accent-petrol"
                checked={done.has(one.id)}
                onChange={({ target }) => {
                  const next = new Set(done)
                  if (target.checked) next.add(one.id)
                  else next.delete(one.id)
                  setDone(next)
                }}
              />
              <span>
                {one.name}
                {one.outcome === 'left' && (
                  <span className="block text-sm text-steel">{words.seeToIt(sayBy(one, units, now))}</span>
                )}
              </span>
            </label>
            {one.outcome === 'left' && (
              <TextField
                label={words.whyNot(one.name)}
                maxLength={300}
                value={whys[one.id] ?? ''}
                onChange={({ target }) => setWhys({ ...whys, [one.id]: target.value })}
              />
            )}
          </li>
        ))}
      </ul>
      {done.has('chain') && <p className="text-sm text-steel">{words.enterTheNewChain}</p>}
      <Button look="firm" className="mt-2 self-start" disabled={isSaving} onClick={save}>
        {words.saveTheSheet}
      </Button>
    </div>
  )
}
