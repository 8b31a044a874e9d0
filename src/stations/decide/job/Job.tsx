import { useState } from 'react'
import { Link } from 'react-router'
import { isStoodInFor } from '../../../core/strategy/job/either-or.ts'
import type { VisitJob } from '../../../core/log/kinds/visit.ts'
import { guessedMinor } from '../../../core/strategy/plans/usual-prices.ts'
import { VISIT_BOUNDS } from '../../../core/log/kinds/visit.ts'
import type { JudgedBike } from '../../../session/verdicts.ts'
import { Answer } from '../../../ui/parts/Answer.tsx'
import { Button, buttonLook } from '../../../ui/parts/Button.tsx'
import { CautionNote } from '../../../ui/parts/Empty.tsx'
import { Section } from '../../../ui/parts/Section.tsx'
import { Sheet } from '../../../ui/parts/Sheet.tsx'
import { STATIONS } from '../../../words/places.ts'
import { COMMON_JOBS } from '../../../words/job-words.ts'
import { sayExactMoney } from '../../../words/money.ts'
import { sayList } from '../../../words/numbers.ts'
import { Alternatives } from './Alternatives.tsx'
import { FinishVisit } from './FinishVisit.tsx'
import { JobForm } from './JobForm.tsx'
import { JobTable } from './JobTable.tsx'
import { SumSlider } from './SumSlider.tsx'
import { useJob, type Job as JobInHand } from './use-job.ts'
import { Weights } from './Weights.tsx'
import { words } from '../../../words/stations/decide/job/job.ts'
import { newId } from '../../../session/new-id.ts'

interface Props {
  readonly judged: JudgedBike & { readonly verdict: NonNullable<JudgedBike['verdict']> }
}

const lower = (text: string): string => `${text.slice(0, 1).toLowerCase()}${text.slice(1)}`

/** The choice in a sentence, and what it leaves out that matters. */
function sayChoice({ draft, chosen, safe }: JobInHand): { readonly answer: string; readonly detail: string } {
  const nameOf = (id: string): string => lower(draft.jobs.find((one) => one.id === id)?.name ?? id)
  const done = draft.jobs.filter(({ id }) => chosen.chosen.includes(id)).map(({ id }) => nameOf(id))
  const left = draft.jobs.filter(
    (one) => !chosen.chosen.includes(one.id) && !isStoodInFor(one, draft.jobs, chosen.chosen),
  ).length
  const money = sayExactMoney(chosen.total, draft.currency)
  const isSafe = safe.chosen.every((id) => chosen.chosen.includes(id))
  return {
    answer:
      draft.jobs.length === 0
        ? words.nothingOnTheList
        : done.length === 0
          ? words.isTooLittleForAny(sayExactMoney(draft.sum, draft.currency))
          : words.for(sayExactMoney(draft.sum, draft.currency), done.join(', ')),
    detail: [
      done.length > 0 && words.inAll(money, left > 0 ? words.leftForAnotherTime(left) : ''),
      safe.total > 0 &&
        (isSafe
          ? words.everythingThatSafetyAsks
          : words.tooLittleForASafe(
              sayExactMoney(safe.total, draft.currency),
              sayList(safe.chosen.map(nameOf)),
            )),
    ]
      .filter((one) => one !== false)
      .join(' '),
  }
}

/** Adds a usual finding, or one of the mechanic's own. */
function AddJob({ job, onEdit }: { readonly job: JobInHand; readonly onEdit: (one: VisitJob) => void }) {
  const { draft, setJob } = job
  const missing = COMMON_JOBS.filter(({ id }) => !draft.jobs.some((one) => one.id === id))
  if (draft.jobs.length >= VISIT_BOUNDS.jobs)
    return <p className="text-sm text-steel">{words.theListIsFull(VISIT_BOUNDS.jobs)}</p>
  return (
    <div className="flex flex-wrap gap-2">
      {job.foundSince.map((one) => (
        <Button key={one.id} className="border-rust text-sm" onClick={() => setJob(one)}>
          {words.foundAtACheck(one.name)}
        </Button>
      ))}
      {missing.map(({ cents, ...one }) => (
        <Button
          key={one.id}
          className="text-sm"
          onClick={() => setJob({ ...one, price: guessedMinor(cents, draft.currency), outcome: 'open' })}
        >
          + {one.name}
        </Button>
      ))}
      <Button
        className="text-sm"
        onClick={() =>
          onEdit({ id: newId(), name: '', isSafety: false, price: 0, minutes: 15, worth: 5, outcome: 'open' })
        }
      >
        {words.somethingElse}
      </Button>
    </div>
  )
}

/** A job for a fixed sum: what was found, what is worth most for the money, what drops out and why. */
export default function Job({ judged }: Props) {
  const job = useJob(judged)
  const [editing, setEditing] = useState<VisitJob>()
  const [finishing, setFinishing] = useState(false)
  const { draft, safe, ring, unit } = job
  const { name } = judged.report.bike.entry
  const { answer, detail } = sayChoice(job)
  const nameOf = (id: string): string => draft.jobs.find((one) => one.id === id)?.name ?? id
  return (
    <div className="flex flex-col gap-8">
      <Answer
        detail={detail}
        action={
          <>
            <Button
              look="next"
              disabled={draft.jobs.length === 0 || !job.steps}
              onClick={() => setFinishing(true)}
            >
              {words.writeTheOwnersSheet}
            </Button>
            <Link to={STATIONS.decide.path} className={buttonLook('link')}>
              {words.backToTheDecision}
            </Link>
          </>
        }
      >
        {name}. <strong className="font-bold">{answer}</strong>
      </Answer>
      {!judged.teeth && judged.report.chain && (
        <p role="status" className="text-[0.95rem] text-steel">
          {words.theTeethAreStill}
        </p>
      )}
      {safe.isLeft.length > 0 && (
        <CautionNote>{words.cannotBeMadeSafe(sayList(safe.isLeft.map(nameOf)))}</CautionNote>
      )}
      {ring.length > 0 && (
        <p role="status" className="text-[0.95rem]">
          {words.needOneAnotherThey(sayList(ring.map(nameOf)))}
        </p>
      )}
      <div className="grid grid-cols-[minmax(0,1.9fr)_minmax(0,1fr)] gap-x-14 gap-y-8 border-t border-hairline pt-6 max-lg:grid-cols-1">
        <SumSlider job={job} />
        <Weights job={job} />
      </div>
      <Section title={words.whatCouldBeDone} note={words.chosenFirstEverythingCan}>
        <JobTable job={job} onEdit={setEditing} />
        <h3 className="mt-5 mb-2 text-sm font-medium">{words.foundSomethingElse}</h3>
        <AddJob job={job} onEdit={setEditing} />
        {job.isKept && (
          <Button look="link" className="mt-4 min-h-11 text-sm" onClick={job.startAnew}>
            {words.startTheListAgain}
          </Button>
        )}
      </Section>
      {draft.jobs.length > 1 && (
        <Section title={words.otherWaysToSpend}>
          <Alternatives job={job} />
        </Section>
      )}
      <Sheet
        open={editing !== undefined}
        onClose={() => setEditing(undefined)}
        title={editing?.name || words.anotherJob}
      >
        {editing && (
          <JobForm
            key={editing.id}
            one={editing}
            others={draft.jobs.filter(({ id }) => id !== editing.id)}
            unit={unit}
            currency={draft.currency}
            onSave={(one) => {
              job.setJob(one)
              setEditing(undefined)
            }}
          />
        )}
      </Sheet>
      <Sheet
        wide
        open={finishing}
        onClose={() => setFinishing(false)}
        title={words.whatWasDoneWhat}
        note={words.tickWhatYouDid}
      >
        {finishing && job.steps && (
          <FinishVisit judged={judged} job={job} steps={job.steps} onDone={() => setFinishing(false)} />
        )}
      </Sheet>
    </div>
  )
}
