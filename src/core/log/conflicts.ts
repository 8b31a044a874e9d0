import type { Entry } from './entries.ts'
import type { BikeId, EntryId, PartId } from './entry.ts'
import type { FitEntry } from './kinds/fit.ts'
import { lastWords } from './kind-of.ts'
import { lineage, liveEntries } from './supersede.ts'

/** Entries, written without knowing of one another, of which probably only some are so. */
export type Conflict =
  /** Two swaps of the same chain. */
  | {
      readonly about: 'swap'
      readonly bike: BikeId
      readonly off: PartId
      readonly sides: readonly FitEntry[]
    }
  /** One part fitted to two bikes. */
  | { readonly about: 'part'; readonly part: PartId; readonly sides: readonly FitEntry[] }
  /** One entry corrected twice: the newest counts. */
  | { readonly about: 'correction'; readonly of: EntryId; readonly sides: readonly Entry[] }

const DAY_MS = 86_400_000
const apart = (a: Entry, b: Entry): number => Math.abs(Date.parse(a.at) - Date.parse(b.at))
/** Entries without an action of their own were written alone. */
const actionOf = ({ action, id }: Entry): EntryId => action ?? id

/** In order of time; of the same moment, in the order of writing. */
const inOrder = (a: Entry, b: Entry): number => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1)

const isUnsettled = (settled: ReadonlySet<EntryId>, sides: readonly Entry[]): boolean =>
  sides.some(({ id }) => !settled.has(id))

/** Chains that an action took off, by the action. */
function takenOff(entries: readonly Entry[], isChain: (part: PartId) => boolean): Map<EntryId, PartId> {
  const off = new Map<EntryId, PartId>()
  for (const entry of entries)
    if (entry.kind === 'remove' && isChain(entry.part)) off.set(actionOf(entry), entry.part)
  return off
}

/**
 * Two swaps within a day that both take the same chain off the same bike: whoever did the second did not know of the
 * first, or it would have taken that one's chain off.
 */
function swapsTwice(
  fits: readonly FitEntry[],
  off: ReadonlyMap<EntryId, PartId>,
): readonly Extract<Conflict, { about: 'swap' }>[] {
  const groups = new Map<string, FitEntry[]>()
  for (const fit of fits) {
    const old = off.get(actionOf(fit))
    if (old === undefined || old === fit.part) continue
    const key = `${fit.bike} ${old}`
    groups.set(key, [...(groups.get(key) ?? []), fit])
  }
  // A chain that was put back on in between was taken off twice by right.
  const isBack = (part: PartId, from: FitEntry, to: FitEntry): boolean =>
    fits.some((fit) => fit.part === part && fit.bike === from.bike && fit.at > from.at && fit.at < to.at)
  return [...groups.values()].flatMap((group) => {
    const [first, ...rest] = group
    const old = first && off.get(actionOf(first))
    if (!first || old === undefined) return []
    const others = rest.filter(
      (one) => one.part !== first.part && apart(one, first) < DAY_MS && !isBack(old, first, one),
    )
    return others.length > 0
      ? [{ about: 'swap' as const, bike: first.bike, off: old, sides: [first, ...others] }]
      : []
  })
}

/** One part that two people fitted to two bikes within a day. */
function fittedTwice(fits: readonly FitEntry[]): readonly Extract<Conflict, { about: 'part' }>[] {
  const byPart = new Map<PartId, FitEntry[]>()
  for (const fit of fits)
    if (fit.writtenBy !== undefined) byPart.set(fit.part, [...(byPart.get(fit.part) ?? []), fit])
  return [...byPart].flatMap(([part, own]) => {
    const second = own.findIndex((fit, i) => {
      const before = own[i - 1]
      return (
        before &&
        before.bike !== fit.bike &&
        before.writtenBy !== fit.writtenBy &&
        apart(before, fit) < DAY_MS
      )
    })
    const sides = second < 0 ? [] : own.slice(second - 1, second + 1)
    return sides.length > 1 ? [{ about: 'part' as const, part, sides }] : []
  })
}

/** An entry that two corrections take the place of, neither of the other. */
function correctedTwice(entries: readonly Entry[]): readonly Extract<Conflict, { about: 'correction' }>[] {
  const withdrawn = new Set(entries.flatMap((entry) => (entry.kind === 'withdraw' ? entry.targets : [])))
  const groups = new Map<EntryId, Entry[]>()
  for (const entry of entries) {
    if (entry.supersedes === undefined || withdrawn.has(entry.id)) continue
    groups.set(entry.supersedes, [...(groups.get(entry.supersedes) ?? []), entry])
  }
  return [...groups].flatMap(([of, sides]) =>
    sides.length > 1 ? [{ about: 'correction' as const, of, sides: sides.sort(inOrder) }] : [],
  )
}

/**
 * What devices wrote that contradicts what another wrote, where it matters to people: one chain swapped twice on a day,
 * one part fitted to two bikes, one entry corrected twice. Merging keeps all of it; somebody has to say what is so.
 * What somebody said of them once is not asked again.
 */
export function conflictsIn(entries: readonly Entry[]): readonly Conflict[] {
  const live = liveEntries(entries)
  const settled = new Set(
    lastWords(
      live.filter((entry) => entry.kind === 'settled'),
      lineage(entries),
    ).keys(),
  )
  const chains = new Set(
    live.flatMap((entry) => (entry.kind === 'part' && entry.spec.type === 'chain' ? [entry.part] : [])),
  )
  // Every device asks the same, whatever arrived there first.
  const fits = live.filter((entry): entry is FitEntry => entry.kind === 'fit').sort(inOrder)
  const chainFits = fits.filter(({ part }) => chains.has(part))
  return [
    ...swapsTwice(
      chainFits,
      takenOff(live, (part) => chains.has(part)),
    ),
    ...fittedTwice(fits),
    ...correctedTwice(entries),
  ].filter(({ sides }) => isUnsettled(settled, sides))
}

/**
 * What has to be withdrawn so that one side of a conflict alone stands: the whole of the other actions.
 * @param keep the id of the side that is so
 */
export function otherSides(
  entries: readonly Entry[],
  { about, sides }: Conflict,
  keep: EntryId,
): readonly EntryId[] {
  const others = sides.filter(({ id }) => id !== keep)
  if (about === 'correction') return others.map(({ id }) => id)
  const actions = new Set(others.map(actionOf))
  return liveEntries(entries).flatMap((entry) => (actions.has(actionOf(entry)) ? [entry.id] : []))
}
