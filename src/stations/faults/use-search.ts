import { useCallback, useMemo, useState } from 'react'
import { searchOn, viewOf, type AnyFinding, type FaultView, type Search } from '../../core/faults/finder.ts'
import type { Answers } from '../../core/faults/infer.ts'
import { faultFacts } from '../../core/strategy/facts/fault-facts.ts'
import { useOpenLog } from '../../session/log-context.ts'
import type { JudgedBike } from '../../session/verdicts.ts'
import { givenOf } from './given.ts'
import { EMPTY_SEARCH, keepSearch, recallSearch, type KeptSearch } from './kept-search.ts'

export interface SearchInHand {
  readonly kept: KeptSearch
  readonly change: (next: KeptSearch) => void
  readonly clear: () => void
  readonly search: Search
  readonly given: Answers<AnyFinding>
  readonly view: FaultView
  readonly bike: string
  /** The bike's cogs, smallest first. */
  readonly cogs: readonly number[]
  /** That the chain that is on skips, by cog. */
  readonly cogRisks: readonly { readonly teeth: number; readonly p: number }[]
}

/** The search for a fault on one bike: what was answered so far, and what that comes to. */
export function useSearch({ report, answer, teeth }: JudgedBike): SearchInHand {
  const { garage, world } = useOpenLog()
  const { bike } = report.bike.entry
  const [kept, setKept] = useState(() => recallSearch(world, bike))
  const change = useCallback(
    (next: KeptSearch) => {
      setKept(next)
      keepSearch(world, bike, next)
    },
    [world, bike],
  )
  const facts = useMemo(() => faultFacts(garage, report, answer, teeth), [garage, report, answer, teeth])
  const search = useMemo(() => searchOn(kept.about, facts), [kept.about, facts])
  const cogs = useMemo(
    () => report.sprockets.flatMap(({ role, teeth: count }) => (role === 'cog' ? count : [])),
    [report],
  )
  const given = useMemo(() => givenOf(kept, cogs), [kept, cogs])
  const view = useMemo(() => viewOf(search, given), [search, given])
  return {
    bike,
    kept,
    change,
    clear: () => change({ ...EMPTY_SEARCH, about: kept.about }),
    search,
    given,
    view,
    cogs,
    cogRisks: facts.cogRisks ?? [],
  }
}
