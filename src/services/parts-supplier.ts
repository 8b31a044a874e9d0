import { array, boolean, number, object, string, ValidationError, type InferType } from 'yup'
import { STOCK_ITEMS } from '../core/log/kinds/stock.ts'
import { FIT_BOUNDS } from '../core/log/fit-facts.ts'
import { patientFetch, ServiceError, type Patience } from './patient-fetch.ts'

/** What the supplier is called on the screen. */
export const SUPPLIER = 'Ostermere parts supplier'

const mm = () => number().min(FIT_BOUNDS.mm[0]).max(FIT_BOUNDS.mm[1]).optional()
const count = ([least, most]: readonly [number, number]) => number().integer().min(least).max(most).optional()
const words = () => string().max(FIT_BOUNDS.words).optional()

/** What decides whether it fits, as far as the supplier tells; what else it says is left aside. */
const factsSchema = object({
  speeds: count(FIT_BOUNDS.speeds),
  pitchMm: mm(),
  innerWidthMm: mm(),
  spacingMm: mm(),
  freehub: words(),
  boltCircleMm: mm(),
  bolts: count(FIT_BOUNDS.bolts),
  teeth: array(number().integer().min(FIT_BOUNDS.teeth[0]).max(FIT_BOUNDS.teeth[1]).required())
    .max(16)
    .optional(),
  capacityTeeth: count(FIT_BOUNDS.capacityTeeth),
  largestCog: count(FIT_BOUNDS.teeth),
  linkKind: words(),
})

const offerSchema = object({
  sku: string().required().max(40),
  item: string()
    .oneOf([...STOCK_ITEMS])
    .required(),
  name: string().required().max(80),
  /** Minor units of the currency. */
  minor: number().integer().min(0).max(1e8).required(),
  currency: string()
    .required()
    .matches(/^[A-Z]{3}$/),
  inStock: number().integer().min(0).required(),
  leadDays: number().min(0).max(400).required(),
  insteadOf: string().max(40).optional(),
  facts: factsSchema.optional().default(undefined),
})
/** Something that the supplier sells. */
export type Offer = InferType<typeof offerSchema>

const pageSchema = object({
  offers: array(offerSchema.required()).required(),
  next: number().integer().min(0).required(),
  more: boolean().required(),
})

/** So many pages are read at most: a catalogue that never ends is none. */
const MOST_PAGES = 200

/**
 * The supplier's whole catalogue, each thing once, whatever the order in which it is told.
 * @throws ServiceError
 */
export async function catalogue(patience?: Patience): Promise<readonly Offer[]> {
  const offers = new Map<string, Offer>()
  let after = 0
  for (let page = 0; page < MOST_PAGES; page++) {
    const answer = await patientFetch(`/api/parts-supplier/catalogue?after=${after}`, {}, patience)
    try {
      const told = await pageSchema.validate(await answer.json())
      for (const offer of told.offers) offers.set(offer.sku, offer)
      if (!told.more || told.next <= after) return [...offers.values()]
      after = told.next
    } catch (error) {
      if (error instanceof ValidationError || error instanceof SyntaxError)
        throw new ServiceError('The supplier’s answer makes no sense. Nothing of it was taken.')
      throw error
    }
  }
  return [...offers.values()]
}
