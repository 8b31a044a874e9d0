import { array, number, object, type InferType } from 'yup'
import { FIT_BOUNDS, type FitFacts } from '../../../core/log/fit-facts.ts'
import type { StockItem } from '../../../core/log/kinds/stock.ts'
import { numberField, shortText } from '../../../ui/form/fields.ts'
import { words as phrases } from '../../../words/stations/shelf/stock/fact-fields.ts'

/** Facts of fit as they are typed; each may be left empty. */
export const factsSchema = object({
  speeds: numberField({ unit: '', ask: phrases.howManySpeeds, least: 1, most: 16, whole: true }),
  innerWidthMm: numberField({ unit: 'mm', ask: phrases.howWideInside, least: 0.5, most: 20 }),
  spacingMm: numberField({ unit: 'mm', ask: phrases.howFarFromCog, least: 0.5, most: 20 }),
  freehub: shortText(FIT_BOUNDS.words),
  boltCircleMm: numberField({ unit: 'mm', ask: phrases.howWideIsTheBolt, least: 20, most: 300 }),
  bolts: numberField({ unit: '', ask: phrases.howManyBolts, least: 3, most: 12, whole: true }),
  teeth: array(number().required())
    .transform((_value: unknown, original: unknown) =>
      (typeof original === 'string' ? original : '')
        .split(/[^\d]+/)
        .filter((part) => part !== '')
        .map(Number),
    )
    .max(16, phrases.sixteenToothCountsAre)
    .test('teeth', phrases.toothCountsLieBetween, (teeth = []) =>
      teeth.every((one) => one >= FIT_BOUNDS.teeth[0] && one <= FIT_BOUNDS.teeth[1]),
    ),
  capacityTeeth: numberField({
    unit: '',
    ask: phrases.howManyTeethDoes,
    least: 1,
    most: 100,
    whole: true,
  }),
  largestCog: numberField({
    unit: '',
    ask: phrases.howLargeACog,
    least: 5,
    most: 120,
    whole: true,
  }),
  linkKind: shortText(FIT_BOUNDS.words),
})
export type TypedFacts = InferType<typeof factsSchema>

/** What each fact is called beside its field. */
export const FACT_LABELS: Readonly<Record<keyof TypedFacts, string>> = {
  speeds: phrases.speeds,
  innerWidthMm: phrases.innerWidthMm,
  spacingMm: phrases.fromCogToCog,
  freehub: phrases.freehubBody,
  boltCircleMm: phrases.boltCircleMm,
  bolts: phrases.bolts,
  teeth: phrases.teeth,
  capacityTeeth: phrases.cageTakesUpTeeth,
  largestCog: phrases.largestCogCleared,
  linkKind: phrases.joiningLinkFor,
}

/** Which facts matter, by what it is. */
export const FACTS_OF: Readonly<Record<StockItem | 'bike', readonly (keyof TypedFacts)[]>> = {
  chain: ['speeds', 'innerWidthMm'],
  'hard-chain': ['speeds', 'innerWidthMm'],
  'joining-link': ['speeds', 'linkKind'],
  cassette: ['speeds', 'teeth', 'freehub'],
  'single-cog': ['teeth', 'spacingMm', 'freehub'],
  ring: ['teeth', 'boltCircleMm', 'bolts'],
  pulleys: ['teeth'],
  derailleur: ['speeds', 'capacityTeeth', 'largestCog'],
  'drip-lube': [],
  wax: [],
  degreaser: [],
  'brake-pads': [],
  cable: [],
  tyre: [],
  other: [],
  bike: [
    'innerWidthMm',
    'spacingMm',
    'freehub',
    'boltCircleMm',
    'bolts',
    'capacityTeeth',
    'largestCog',
    'linkKind',
  ],
}

/** Facts as a form shows them. */
export const shownFacts = (facts: FitFacts = {}) => ({
  speeds: facts.speeds ?? '',
  innerWidthMm: facts.innerWidthMm ?? '',
  spacingMm: facts.spacingMm ?? '',
  freehub: facts.freehub ?? '',
  boltCircleMm: facts.boltCircleMm ?? '',
  bolts: facts.bolts ?? '',
  teeth: (facts.teeth ?? []).join(' '),
  capacityTeeth: facts.capacityTeeth ?? '',
  largestCog: facts.largestCog ?? '',
  linkKind: facts.linkKind ?? '',
})

/** Typed facts as they are kept: of what it is, and no empty ones. */
export function keptFacts(typed: TypedFacts, item: StockItem | 'bike'): FitFacts | undefined {
  const kept = Object.fromEntries(
    FACTS_OF[item].flatMap((name) => {
      const value = typed[name]
      const isEmpty = value === undefined || value === '' || (Array.isArray(value) && value.length === 0)
      return isEmpty ? [] : [[name, value] as const]
    }),
  )
  return Object.keys(kept).length > 0 ? kept : undefined
}
