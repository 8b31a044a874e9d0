import { useDeferredValue, useMemo, useState } from 'react'
import type { BikeId } from '../../../core/log/entry.ts'
import {
  dayGroups,
  needOf,
  type DayBike,
  type DayGroup,
  type DayGroupOf,
  type DayOrder,
  type Need,
} from '../../../core/strategy/needs.ts'
import type { JudgedBike } from '../../../session/verdicts.ts'
import { finder, searchable } from '../../../words/entries/search.ts'

/** A bike of the list with all that is known of it. */
export interface ListedBike extends DayBike {
  readonly line: JudgedBike
}

/** What of the bikes is shown, and how. */
export interface DayWish {
  readonly typed: string
  readonly group: DayGroup
  readonly order: DayOrder
  /** Only those that need this; `something`: whatever needs anything. */
  readonly need: Need | 'any' | 'something'
}

export interface DayListState {
  readonly wish: DayWish
  readonly set: (part: Partial<DayWish>) => void
  readonly groups: readonly DayGroupOf<ListedBike>[]
  /** The bikes that are shown, in their order. */
  readonly shown: readonly ListedBike[]
  readonly chosen: ReadonlySet<BikeId>
  readonly choose: (bikes: readonly BikeId[], isChosen: boolean) => void
}

/** Groups as they stood at a moment, by the ids of their bikes. */
type Standing = readonly { readonly key: string; readonly bikes: readonly BikeId[] }[]

const standingOf = (groups: readonly DayGroupOf<ListedBike>[]): Standing =>
  groups.map(({ key, bikes }) => ({ key, bikes: bikes.map(({ entry }) => entry.bike) }))

/** Bikes where they stood, each with what is known of it now. One that is no longer there leaves its place. */
function asStood(standing: Standing, bikes: readonly ListedBike[]): readonly DayGroupOf<ListedBike>[] {
  const now = new Map(bikes.map((one) => [one.entry.bike, one]))
  return standing.map(({ key, bikes: ids }) => ({ key, bikes: ids.flatMap((id) => now.get(id) ?? []) }))
}

const isWanted = (need: Need, wish: DayWish['need']): boolean =>
  wish === 'any' || (wish === 'something' ? need !== 'nothing' && need !== 'working' : need === wish)

/** The bikes of a workshop as somebody wants to see them today, and which of them are chosen. */
export function useDayList(lines: readonly JudgedBike[]): DayListState {
  const [wish, setWish] = useState<DayWish>({ typed: '', group: 'need', order: 'urgency', need: 'any' })
  const [picked, setPicked] = useState<ReadonlySet<BikeId>>(new Set())
  // Answers that come in move the bikes: not under the hand of somebody who is choosing some.
  const [standing, setStanding] = useState<Standing>()
  const typed = useDeferredValue(wish.typed)
  const { group, order, need } = wish
  const bikes = useMemo(
    () =>
      lines.map((line): ListedBike => ({
        line,
        entry: line.report.bike.entry,
        km: line.report.totalKm,
        verdict: line.verdict,
      })),
    [lines],
  )
  const groups = useMemo(() => {
    if (standing) return asStood(standing, bikes)
    const isMeant = finder(typed)
    const shown = bikes.filter(({ entry: { name, note, owner = '', rack = '' }, verdict }) => {
      if (!isWanted(needOf(verdict), need)) return false
      return typed.trim() === '' || isMeant(searchable(`${name} ${note} ${owner} ${rack}`)) !== undefined
    })
    return dayGroups(shown, group, order)
  }, [standing, bikes, typed, need, group, order])
  const shown = useMemo(() => groups.flatMap(({ bikes: own }) => own), [groups])
  // What is not shown is not acted on.
  const chosen = useMemo(
    () => new Set(shown.flatMap(({ entry: { bike } }) => (picked.has(bike) ? [bike] : []))),
    [shown, picked],
  )
  return {
    wish,
    set: (part) => {
      setStanding(undefined)
      setWish({ ...wish, ...part })
    },
    groups,
    shown,
    chosen,
    choose: (ids, isChosen) => {
      const next = new Set(picked)
      for (const id of ids)
        if (isChosen) next.add(id)
        else next.delete(id)
      setPicked(next)
      const isChoosing = shown.some(({ entry }) => next.has(entry.bike))
      setStanding(isChoosing ? (standing ?? standingOf(groups)) : undefined)
    },
  }
}
