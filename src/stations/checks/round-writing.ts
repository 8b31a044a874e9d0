import type { Act, ItemId } from '../../core/checks/items.ts'
import type { Occasion } from '../../core/checks/sheets.ts'
import type { BikeId, IsoTime } from '../../core/log/entry.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import type { CheckResult } from '../../core/log/kinds/check.ts'
import type { RoundState } from '../../core/strategy/facts/rounds.ts'

/** The moment itself: a round and its checks are told apart by it, so the log's slower clock is not enough. */
export const thisMoment = (): IsoTime => new Date().toISOString()

/** The entry that begins a round. */
export const roundBegun = (
  bike: BikeId,
  occasion: Occasion,
  items: readonly ItemId[],
  round: string,
  at: IsoTime,
): EntryDraft => ({ kind: 'round', at, round, bike, occasion, began: at, items })

/** The entries that end a round before all of it was looked at: of every device that began it. */
export const roundEnded = ({ rounds }: RoundState, at: IsoTime): EntryDraft[] =>
  rounds.map(({ id: _id, format: _format, action: _action, supersedes: _supersedes, ...round }) => ({
    ...round,
    at,
    isEnded: true,
  }))

/** What is noted with a finding. */
export interface FindingNote {
  readonly act?: Act
  readonly byKm?: number
  readonly byDay?: IsoTime
  readonly note?: string
  readonly picture?: string
}

/** The entry of something that was looked at. */
export const checkMade = (
  bike: BikeId,
  item: ItemId,
  result: CheckResult,
  at: IsoTime,
  { act, byKm, byDay, note, picture }: FindingNote = {},
): EntryDraft => ({
  kind: 'check',
  at,
  bike,
  item,
  result,
  ...(result === 'fail' && act && { act }),
  ...(byKm !== undefined && { byKm }),
  ...(byDay !== undefined && { byDay }),
  ...(note && { note }),
  ...(picture && { picture }),
})
