import type { OtherRide, RideDraft } from '../../core/exposure/admit-rides.ts'
import type { DoubtfulDay } from '../../formats/rides/doubtful-day.ts'

/** What is open about a ride before it goes in. */
export type Open =
  /** The file says that it was something else. */
  | { readonly kind: 'sport'; readonly sport: string; readonly draft: RideDraft }
  /** Its day cannot be. */
  | { readonly kind: 'day'; readonly doubt: DoubtfulDay; readonly draft: RideDraft }
  /** It may be a ride that is there already, by day and distance. */
  | {
      readonly kind: 'same-day'
      readonly draft: RideDraft
      readonly instead?: RideDraft
      readonly of: OtherRide
    }
  /** Another row of its table is the same, cell for cell. */
  | { readonly kind: 'twin'; readonly draft: RideDraft; readonly line: number }

export type OpenKind = Open['kind']
/** What may be said of an open ride: in as it is, on the likely day, as the one there already, or not at all. */
export type Say = 'take' | 'likely-day' | 'one' | 'leave'

/** Things that are asked in one go. */
export interface Question {
  readonly id: string
  readonly kind: OpenKind
  readonly open: readonly Open[]
  readonly choices: readonly Say[]
  /** What it is taken to be where nobody says. */
  readonly usual: Say
}

const CHOICES: Readonly<Record<OpenKind, readonly [Say, ...Say[]]>> = {
  sport: ['leave', 'take'],
  day: ['leave', 'likely-day', 'take'],
  'same-day': ['one', 'take'],
  twin: ['take', 'leave'],
}

/** So many of a kind are asked about one by one; more in one go. */
const ONE_BY_ONE = 6

/** The questions that open rides raise. A choice that none of a question's rides has is not offered. */
export function questionsOf(open: readonly Open[]): readonly Question[] {
  const groups = new Map<string, Open[]>()
  const counts = new Map<OpenKind, number>()
  for (const { kind } of open) counts.set(kind, (counts.get(kind) ?? 0) + 1)
  open.forEach((one, i) => {
    const isMany = (counts.get(one.kind) ?? 0) > ONE_BY_ONE
    const about = one.kind === 'sport' ? one.sport : one.kind === 'day' ? one.doubt.why : ''
    const key = isMany ? `${one.kind} ${about}` : `${one.kind} ${i}`
    groups.set(key, [...(groups.get(key) ?? []), one])
  })
  return [...groups].flatMap(([id, held]): Question[] => {
    const [first] = held
    if (!first) return []
    const isPossible = (say: Say): boolean => {
      if (say === 'likely-day')
        return held.every((one) => one.kind === 'day' && one.doubt.likely !== undefined)
      // The log takes nothing from the future, nor from before there were such recordings.
      if (say === 'take' && first.kind === 'day') return first.doubt.why === 'lost-count'
      return true
    }
    const choices = CHOICES[first.kind].filter(isPossible)
    return [{ id, kind: first.kind, open: held, choices, usual: CHOICES[first.kind][0] }]
  })
}

/** A ride moved to another day, with what its device wrote. */
function movedTo(draft: RideDraft, at: string): RideDraft {
  const receipt = draft.receipt ?? { distance: 'track' as const }
  return { ...draft, at, receipt: { ...receipt, writtenAt: draft.at } }
}

/** What goes into the log of an open ride, once it is said what it is. */
export function draftsSaid(open: Open, say: Say): readonly RideDraft[] {
  switch (say) {
    case 'leave':
      return []
    case 'one':
      return open.kind === 'same-day' && open.instead ? [open.instead] : []
    case 'likely-day':
      return open.kind === 'day' && open.doubt.likely !== undefined
        ? [movedTo(open.draft, open.doubt.likely)]
        : []
    case 'take':
      if (open.kind !== 'sport') return [open.draft]
      return [
        {
          ...open.draft,
          receipt: { ...(open.draft.receipt ?? { distance: 'track' as const }), sport: open.sport },
        },
      ]
  }
}
