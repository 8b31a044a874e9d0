import { sourcesOf } from '../exposure/same-ride.ts'
import type { Entry, EntryDraft } from './entries.ts'
import { kindOf } from './kind-of.ts'
import { liveEntries } from './supersede.ts'

/** What a draft would bring into the log that can be there only once; undefined for one that may be said again. */
function bornThing(draft: EntryDraft): string | undefined {
  if (draft.supersedes !== undefined) return undefined
  const kind = kindOf(draft)
  return kind.bornOnce && `${draft.kind} ${kind.key?.(draft)}`
}

/**
 * Of what is to be written, what the log does not hold already. Asked again at the moment of writing: a button may have
 * been pressed twice, or the same file added in another tab since it was looked through.
 *
 * A recording that the log counts already is left out. Where a bike, part, tool or event of the action is there already,
 * the whole action was written before, and nothing is left.
 */
export function stillNew(entries: readonly Entry[], drafts: readonly EntryDraft[]): readonly EntryDraft[] {
  const recordings = new Set<string>()
  const born = new Set(drafts.flatMap((draft) => bornThing(draft) ?? []))
  const rides = drafts.some((draft) => draft.kind === 'ride' && draft.source !== undefined)
  if (born.size === 0 && !rides) return drafts
  const live = liveEntries(entries)
  if (born.size > 0 && live.some((entry) => born.has(bornThing(entry) ?? ''))) return []
  if (!rides) return drafts
  for (const entry of live)
    if (entry.kind === 'ride')
      for (const { fingerprint } of sourcesOf(entry)) recordings.add(`${entry.bike} ${fingerprint}`)
  return drafts.filter(
    (draft) =>
      draft.kind !== 'ride' ||
      draft.supersedes !== undefined ||
      draft.source === undefined ||
      !recordings.has(`${draft.bike} ${draft.source.fingerprint}`),
  )
}
