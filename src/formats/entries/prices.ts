import { number, object, string } from 'yup'
import { DEAREST_MINOR, PRICED } from '../../core/log/kinds/prices.ts'
import { entry, thingId } from './checks.ts'
import { words } from '../../words/formats/entries/prices.ts'

const minor = () => number().strict().integer().min(0).max(DEAREST_MINOR).optional()

/** The fields of prices. */
export const pricesSchema = entry('prices', {
  bike: thingId(),
  currency: string()
    .strict()
    .required()
    .matches(/^[A-Z]{3}$/, words.currencyMustBeThree),
  minor: object(Object.fromEntries(PRICED.map((name) => [name, minor()]))).required(),
})
