import { bike } from './bike.ts'
import { part } from './part.ts'
import { fit } from './fit.ts'
import { remove } from './remove.ts'
import { ride } from './ride.ts'
import { condition } from './condition.ts'
import { note } from './note.ts'
import { odometer } from './odometer.ts'
import { reading } from './reading.ts'
import { lookAnswer } from './look-answer.ts'
import { readingUse } from './reading-use.ts'
import { tool } from './tool.ts'
import { zeroing } from './zeroing.ts'
import { cogTest } from './cog-test.ts'
import { look } from './look.ts'
import { picture } from './picture.ts'
import { wash } from './wash.ts'
import { kit } from './kit.ts'
import { linkCheck } from './link-check.ts'
import { lubeCheck } from './lube-check.ts'
import { session } from './session.ts'
import { limit } from './limit.ts'
import { rotation } from './rotation.ts'
import { prices } from './prices.ts'
import { policy } from './policy.ts'
import { visit } from './visit.ts'
import { stock } from './stock.ts'
import { stockMove } from './stock-move.ts'
import { paid } from './paid.ts'
import { fault } from './fault.ts'
import { mishap } from './mishap.ts'
import { gearing } from './gearing.ts'
import { check } from './check.ts'
import { round } from './round.ts'
import { thickness } from './thickness.ts'
import { fastener, tightened } from './fastener.ts'
import { lesson } from './lesson.ts'
import { schoolUse } from './school-use.ts'
import { settled } from './settled.ts'
import { plan } from './plan.ts'
import { event } from './event.ts'
import { withdraw } from './withdraw.ts'

/** Every kind of entry: its home, in one line each. What else depends on the kind maps all of these. */
export const KINDS = {
  bike,
  part,
  fit,
  remove,
  ride,
  condition,
  note,
  odometer,
  reading,
  'reading-use': readingUse,
  'look-answer': lookAnswer,
  tool,
  zeroing,
  look,
  'cog-test': cogTest,
  picture,
  wash,
  'lube-check': lubeCheck,
  'link-check': linkCheck,
  session,
  kit,
  limit,
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
  plan,
  event,
  withdraw,
}
