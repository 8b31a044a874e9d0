import { Pencil, X } from 'lucide-react'
import { jobCost, whyLeft } from '../../../core/strategy/job/job-choice.ts'
import type { VisitJob } from '../../../core/log/kinds/visit.ts'
import { sayLeft } from '../../../words/job-words.ts'
import { sayExactMoney } from '../../../words/money.ts'
import type { Job } from './use-job.ts'
import { words } from '../../../words/stations/decide/job/job-table.ts'

interface Props {
  readonly job: Job
  readonly onEdit: (one: VisitJob) => void
}

const SMALL = 'grid size-11 place-items-center'

/** Every job: what it costs and takes, whether it is chosen, and why not. */
export function JobTable({ job, onEdit }: Props) {
  const { draft, list, steps, chosen, setJob, dropJob } = job
  const { currency, hour, sum } = draft
  const nameOf = (id: string): string => draft.jobs.find((one) => one.id === id)?.name ?? id
  const isChosen = ({ id }: VisitJob): boolean => chosen.chosen.includes(id)
  const rows = [...draft.jobs].sort((a, b) => Number(isChosen(b)) - Number(isChosen(a)))
  return (
    <table className="w-full border-collapse text-[0.95rem]">
      <thead className="text-left text-sm text-steel">
        <tr>
          <th className="py-1 font-normal">{words.job}</th>
          <th className="w-24 text-right font-normal">{words.cost}</th>
          <th className="w-20 text-right font-normal max-sm:hidden">{words.minutes}</th>
          <th className="w-32 pl-4 font-normal max-sm:hidden">{words.partToBeHad}</th>
          <th className="no-print w-24">
            <span className="sr-only">{words.change}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((one) => (
          <tr key={one.id} className="border-t border-hairline align-top">
            <th scope="row" className="py-2 text-left font-normal">
              <span className={isChosen(one) ? 'font-semibold' : 'text-steel'}>
                {isChosen(one) ? '✓ ' : '– '}
                {one.name}
              </span>
              {one.isSafety && <span className="ml-2 text-sm font-semibold text-rust">{words.safety}</span>}
              <span className="block text-sm text-steel">
                {isChosen(one)
                  ? one.found
                  : steps
                    ? sayLeft(whyLeft(list, steps, sum, one.id), nameOf, currency)
                    : words.leftOut}
              </span>
            </th>
            <td className="py-2 text-right font-mono">{sayExactMoney(jobCost(one, hour), currency)}</td>
            <td className="py-2 text-right max-sm:hidden">{Math.round(one.minutes)}</td>
            <td className="pl-4 max-sm:hidden">
              <label className="flex min-h-11 items-center gap-2 text-sm">
                <input
                  type="checkbox"
                  className="size-5 accent-petrol"
                  aria-label={words.aPartForCan(one.name)}
                  checked={one.isOut !== true}
                  onChange={({ target }) => {
                    const { isOut: _out, ...rest } = one
                    setJob(target.checked ? rest : { ...rest, isOut: true })
                  }}
                />
                {one.isOut ? words.no : words.yes}
              </label>
            </td>
            <td className="no-print">
              <span className="flex justify-end">
                <button
                  type="button"
                  className={SMALL}
                  aria-label={words.change2(one.name)}
                  onClick={() => onEdit(one)}
                >
                  <Pencil className="size-4" aria-hidden="true" />
                </button>
                <button
                  type="button"
                  className={SMALL}
                  aria-label={words.takeOffTheList(one.name)}
                  onClick={() => dropJob(one.id)}
                >
                  <X className="size-4" aria-hidden="true" />
                </button>
              </span>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
