import { cogsSaid } from '../../core/faults/cogs-said.ts'
import { complaintAnswers, type AnyFinding } from '../../core/faults/finder.ts'
import type { Answer, Answers } from '../../core/faults/infer.ts'
import type { FaultEntry } from '../../core/log/kinds/fault.ts'
import type { KeptSearch } from './kept-search.ts'

/** The answers of a search, as the network takes them. */
export function givenOf(search: KeptSearch, cogs: readonly number[]): Answers<AnyFinding> {
  const said = Object.fromEntries(
    search.answers.map(({ finding, said: values }): [AnyFinding, Answer] => [
      finding,
      values.length === 1 ? (values[0] ?? '') : values,
    ]),
  )
  if (search.about === 'noise') return said
  const which = cogsSaid(search.cogs, cogs)
  return {
    ...complaintAnswers(search.complaints),
    ...(which && { cogs: which }),
    ...(search.tapped && { period: search.tapped }),
    ...said,
  }
}

/** A search with one finding answered, or no longer. */
export function withAnswer(
  search: KeptSearch,
  finding: AnyFinding,
  said: readonly string[] | undefined,
): KeptSearch {
  const others = search.answers.filter((one) => one.finding !== finding)
  return {
    ...search,
    answers: said && said.length > 0 ? [...others, { finding, said }] : others,
    later: search.later.filter((one) => one !== finding),
  }
}

/** The rhythm that was tapped as the one likeliest, for the log. */
const likeliest = (tapped: Readonly<Record<string, number>>): string =>
  Object.entries(tapped).reduce((best, one) => (one[1] > best[1] ? one : best), ['none', 0])[0]

/** The answers that a search leaves in the log. */
export function entryAnswers(search: KeptSearch): FaultEntry['answers'] {
  const complaints = search.about === 'shifting' ? search.complaints : []
  return [
    ...complaints.map((finding) => ({ finding, said: ['yes'] })),
    ...(search.tapped ? [{ finding: 'period', said: [likeliest(search.tapped)] }] : []),
    ...search.answers,
  ]
}

/** A search as it ends, for the log. */
export const faultEntry = (
  search: KeptSearch,
  end: Pick<FaultEntry, 'at' | 'bike' | 'fault' | 'found' | 'outcome'>,
): Omit<FaultEntry, 'id' | 'format' | 'action'> => ({
  ...end,
  kind: 'fault',
  about: search.about,
  answers: entryAnswers(search),
  ...(search.cogs.length > 0 && { cogs: search.cogs }),
})
