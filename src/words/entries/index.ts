import type { Entry, EntryByKind, EntryKind } from '../../core/log/entries.ts'
import type { Garage } from '../../core/log/garage.ts'
import type { Units } from '../../core/units/units.ts'
import { sayCount } from '../numbers.ts'
import { bike } from './bike.ts'
import { condition } from './condition.ts'
import { event } from './event.ts'
import { fit } from './fit.ts'
import type { KindWords } from './kind-words.ts'
import { kit } from './kit.ts'
import { rotation } from './rotation.ts'
import { prices } from './prices.ts'
import { policy } from './policy.ts'
import { visit } from './visit.ts'
import { stock } from './stock.ts'
import { stockMove } from './stock-move.ts'
import { fault } from './fault.ts'
import { gearing } from './gearing.ts'
import { mishap } from './mishap.ts'
import { check } from './check.ts'
import { round } from './round.ts'
import { thickness } from './thickness.ts'
import { fastener, tightened } from './fastener.ts'
import { lesson } from './lesson.ts'
import { schoolUse } from './school-use.ts'
import { settled } from './settled.ts'
import { paid } from './paid.ts'
import { linkCheck } from './link-check.ts'
import { lubeCheck } from './lube-check.ts'
import { session } from './session.ts'
import { limit } from './limit.ts'
import { cogTest } from './cog-test.ts'
import { look } from './look.ts'
import { lookAnswer } from './look-answer.ts'
import { note } from './note.ts'
import { odometer } from './odometer.ts'
import { part } from './part.ts'
import { picture } from './picture.ts'
import { plan } from './plan.ts'
import { readingUse } from './reading-use.ts'
import { reading } from './reading.ts'
import { remove } from './remove.ts'
import { ride } from './ride.ts'
import { tool } from './tool.ts'
import { wash } from './wash.ts'
import { withdraw } from './withdraw.ts'
import { zeroing } from './zeroing.ts'

/** The words of each kind of entry, in the order in which new ones are offered. */
export const KIND_WORDS: { readonly [K in EntryKind]: KindWords<EntryByKind[K]> } = {
  reading,
  ride,
  condition,
  event,
  wash,
  'lube-check': lubeCheck,
  'link-check': linkCheck,
  look,
  'cog-test': cogTest,
  picture,
  fit,
  remove,
  part,
  bike,
  note,
  odometer,
  'reading-use': readingUse,
  'look-answer': lookAnswer,
  tool,
  zeroing,
  session,
  kit,
  rotation,
  prices,
  policy,
  visit,
  stock,
  'stock-move': stockMove,
  paid,
  fault,
  mishap,
  gearing,
  check,
  round,
  thickness,
  fastener,
  tightened,
  lesson,
  'school-use': schoolUse,
  settled,
  limit,
  plan,
  withdraw,
}

/** The words of an entry's kind. */
export const wordsOf = <E extends Entry>(entry: E): KindWords<E> =>
  // The registry's compiler-checked shape: the words under a kind's name take entries of that kind.
  KIND_WORDS[entry.kind] as unknown as KindWords<E>

/** An entry in a few words, without its day. */
export const sayEntry = (entry: Entry, garage: Garage, units: Units): string =>
  wordsOf(entry).say(entry, garage, units)

/** What one step wrote, in a few words, for the notice that it was undone. */
export function sayStep(entries: readonly Entry[]): string {
  const [first, ...others] = entries
  return first && others.every(({ kind }) => kind === first.kind)
    ? wordsOf(first).step(entries.length)
    : sayCount(entries.length, 'entry')
}

/** What can be written, and where. */
export const NEW_ENTRIES = Object.values(KIND_WORDS).flatMap(({ writtenAt }) => writtenAt ?? [])
