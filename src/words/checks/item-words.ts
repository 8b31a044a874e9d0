import type { ItemId } from '../../core/checks/items.ts'
import { BRAKE_WORDS } from './brake-items.ts'
import { DRIVE_WORDS } from './drive-items.ts'
import { FRAME_WORDS } from './frame-items.ts'
import type { ItemWords } from './item-talk.ts'
import { WHEEL_WORDS } from './wheel-items.ts'

/** The words of every item: what to look at, how, what passes, and what to do if it does not. */
export const ITEM_WORDS: Readonly<Record<ItemId, ItemWords>> = {
  ...WHEEL_WORDS,
  ...BRAKE_WORDS,
  ...DRIVE_WORDS,
  ...FRAME_WORDS,
}
