import { chooseJobs } from '../../../core/strategy/job/job-choice.ts'
import type { VisitJob } from '../../../core/log/kinds/visit.ts'
import { sayExactMoney } from '../../../words/money.ts'
import type { Job } from './use-job.ts'
import { words } from '../../../words/stations/decide/job/alternatives.ts'

interface Way {
  readonly title: string
  readonly chosen: readonly string[]
  readonly total: number
}

/** Other ways to spend beside the choice: the least safe one, what safety's weight does, and all that can be had. */
export function Alternatives({ job }: { readonly job: Job }) {
  const { draft, list, chosen, safe } = job
  const all = draft.jobs.reduce((sum, { price, minutes }) => sum + price + (minutes / 60) * draft.hour, 0)
  const ways: readonly Way[] = [
    { title: words.forTheSum, ...chosen },
    ...(safe.chosen.length > 0 ? [{ title: words.leastThatIsSafe, ...safe }] : []),
    ...(safe.chosen.length > 0
      ? [
          {
            title: words.safetyNoWeightierThan,
            ...chooseJobs({ ...list, safetyTimes: 1 }, draft.sum),
          },
        ]
      : []),
    { title: words.allThatCanBe, ...chooseJobs(list, all) },
  ]
  const minutesOf = (ids: readonly string[]): number =>
    draft.jobs.filter(({ id }) => ids.includes(id)).reduce((sum, { minutes }) => sum + minutes, 0)
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={words.waysSideBySide}>
      <table className="w-full border-collapse text-[0.95rem]">
        <thead className="text-left text-sm">
          <tr>
            <th className="py-1 font-normal text-steel">{words.job}</th>
            {ways.map(({ title }) => (
              <th key={title} scope="col" className="w-36 pl-3 text-right font-semibold">
                {title}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {draft.jobs.map(({ id, name }: VisitJob) => (
            <tr key={id} className="border-t border-hairline">
              <th scope="row" className="py-1.5 text-left font-normal">
                {name}
              </th>
              {ways.map((way) => (
                <td key={way.title} className="pl-3 text-right">
                  {way.chosen.includes(id) ? words.yes : <span className="text-steel">{words.left}</span>}
                </td>
              ))}
            </tr>
          ))}
          <tr className="border-t border-steel font-semibold">
            <th scope="row" className="py-2 text-left font-semibold">
              {words.together}
            </th>
            {ways.map(({ title, total, chosen: ids }) => (
              <td key={title} className="pl-3 text-right font-mono">
                {sayExactMoney(total, draft.currency)}
                <span className="block text-sm font-normal text-steel">
                  {words.min(Math.round(minutesOf(ids)))}
                </span>
              </td>
            ))}
          </tr>
        </tbody>
      </table>
    </div>
  )
}
