import type { AnyObjectSchema } from 'yup'
import type { EntryKind } from '../../core/log/entries.ts'
import { bikeSchema } from './bike.ts'
import { partSchema } from './part.ts'
import { fitSchema } from './fit.ts'
import { removeSchema } from './remove.ts'
import { rideSchema } from './ride.ts'
import { conditionSchema } from './condition.ts'
import { noteSchema } from './note.ts'
import { odometerSchema } from './odometer.ts'
import { readingSchema } from './reading.ts'
import { toolSchema } from './tool.ts'
import { zeroingSchema } from './zeroing.ts'
import { lookAnswerSchema } from './look-answer.ts'
import { readingUseSchema } from './reading-use.ts'
import { cogTestSchema } from './cog-test.ts'
import { lookSchema } from './look.ts'
import { pictureSchema } from './picture.ts'
import { washSchema } from './wash.ts'
import { kitSchema } from './kit.ts'
import { rotationSchema } from './rotation.ts'
import { pricesSchema } from './prices.ts'
import { policySchema } from './policy.ts'
import { visitSchema } from './visit.ts'
import { stockSchema } from './stock.ts'
import { stockMoveSchema } from './stock-move.ts'
import { paidSchema } from './paid.ts'
import { linkCheckSchema } from './link-check.ts'
import { lubeCheckSchema } from './lube-check.ts'
import { sessionSchema } from './session.ts'
import { limitSchema } from './limit.ts'
import { faultSchema } from './fault.ts'
import { mishapSchema } from './mishap.ts'
import { gearingSchema } from './gearing.ts'
import { checkSchema } from './check.ts'
import { roundSchema } from './round.ts'
import { thicknessSchema } from './thickness.ts'
import { fastenerSchema, tightenedSchema } from './fastener.ts'
import { lessonSchema } from './lesson.ts'
import { schoolUseSchema } from './school-use.ts'
import { settledSchema } from './settled.ts'
import { planSchema } from './plan.ts'
import { eventSchema } from './event.ts'
import { withdrawSchema } from './withdraw.ts'

/** The one schema of each kind of entry, for what is written and for what is read. */
export const SCHEMAS: { readonly [K in EntryKind]: AnyObjectSchema } = {
  bike: bikeSchema,
  part: partSchema,
  fit: fitSchema,
  remove: removeSchema,
  ride: rideSchema,
  condition: conditionSchema,
  note: noteSchema,
  odometer: odometerSchema,
  reading: readingSchema,
  tool: toolSchema,
  zeroing: zeroingSchema,
  'reading-use': readingUseSchema,
  'look-answer': lookAnswerSchema,
  look: lookSchema,
  'cog-test': cogTestSchema,
  picture: pictureSchema,
  wash: washSchema,
  'lube-check': lubeCheckSchema,
  'link-check': linkCheckSchema,
  session: sessionSchema,
  kit: kitSchema,
  rotation: rotationSchema,
  prices: pricesSchema,
  policy: policySchema,
  visit: visitSchema,
  stock: stockSchema,
  'stock-move': stockMoveSchema,
  paid: paidSchema,
  fault: faultSchema,
  mishap: mishapSchema,
  gearing: gearingSchema,
  check: checkSchema,
  round: roundSchema,
  thickness: thicknessSchema,
  fastener: fastenerSchema,
  tightened: tightenedSchema,
  lesson: lessonSchema,
  'school-use': schoolUseSchema,
  settled: settledSchema,
  limit: limitSchema,
  plan: planSchema,
  event: eventSchema,
  withdraw: withdrawSchema,
}
