/**
 * Cassettes as they are commonly made, smallest cog first: for those who write a cassette by its range alone. Tooth counts
 * are what they are whoever makes them; an owner checks them against the cogs.
 */
const COMMON: readonly string[] = [
  '14 16 18 20 22 24 28',
  '12 14 16 18 21 24 28',
  '11 13 15 18 21 24 28',
  '14 16 18 20 22 24 34',
  '11 13 15 17 19 21 24 28',
  '12 13 15 17 19 21 23 25',
  '13 14 15 17 19 21 23 26',
  '11 13 15 17 20 23 26 30',
  '11 13 15 18 21 24 28 32',
  '12 14 16 18 21 24 28 32',
  '11 13 15 17 20 23 26 34',
  '11 12 13 15 17 19 21 23 25',
  '12 13 14 15 17 19 21 23 25',
  '11 12 14 16 18 21 24 28 32',
  '11 13 15 17 20 23 26 30 34',
  '11 13 15 17 20 23 26 30 36',
  '12 14 16 18 21 24 28 32 36',
  '11 12 13 14 15 17 19 21 23 25',
  '12 13 14 15 16 17 19 21 23 25',
  '11 12 13 14 15 17 19 21 24 28',
  '12 13 14 15 17 19 21 23 25 28',
  '12 13 14 15 17 19 21 24 27 30',
  '11 12 14 16 18 20 22 25 28 32',
  '11 13 15 17 19 21 23 26 30 34',
  '11 13 15 17 19 21 24 28 32 36',
  '11 13 15 18 21 24 28 32 37 42',
  '11 12 13 14 15 16 17 19 21 23 25',
  '12 13 14 15 16 17 18 19 21 23 25',
  '11 12 13 14 15 17 19 21 23 25 28',
  '11 12 13 14 15 17 19 21 24 27 30',
  '11 12 13 14 16 18 20 22 25 28 32',
  '11 13 15 17 19 21 23 25 27 30 34',
  '11 13 15 17 19 21 24 27 31 35 40',
  '11 13 15 17 19 21 24 28 32 37 42',
  '11 13 15 17 19 21 24 28 32 37 46',
  '10 12 14 16 18 21 24 28 32 36 42',
  '10 11 12 13 14 15 16 17 19 21 24 28',
  '11 12 13 14 15 16 17 19 21 24 27 30',
  '10 11 12 13 14 15 17 19 21 24 28 33',
  '11 12 13 14 15 17 19 21 24 27 30 34',
  '10 11 12 13 15 17 19 21 24 28 32 36',
  '11 12 13 14 15 17 19 21 24 28 32 36',
  '10 11 13 15 17 19 21 24 28 32 38 44',
  '10 12 14 16 18 21 24 28 32 36 42 50',
  '11 13 15 17 19 22 25 28 32 36 42 50',
  '10 12 14 16 18 21 24 28 33 39 45 51',
  '10 12 14 16 18 21 24 28 32 36 42 52',
]
const CASSETTES = COMMON.map((text) => text.split(' ').map(Number))

/** Fewest and most cogs of a cassette in common use; one cog is a bike with a single gear or a hub gear. */
export const USUAL_COGS = [5, 13] as const

/** Whether so many cogs stand behind a common drivetrain. */
export const isUsualCogCount = (count: number): boolean =>
  count === 1 || (count >= USUAL_COGS[0] && count <= USUAL_COGS[1])

/** A cassette by its range, as it is usually written: "11-28", "11 to 28", "11–28 T". */
export interface CogRange {
  readonly smallest: number
  readonly largest: number
}

/**
 * The range that a text names, where it names just that: two tooth counts with a dash, a slash or "to" between them, too far
 * apart to be a pair of cogs.
 * @example cogRange('11-28') // { smallest: 11, largest: 28 }
 * @example cogRange('11 13 15') // undefined
 */
export function cogRange(text: string): CogRange | undefined {
  const match = /^\s*(\d{1,2})\s*t?\s*(?:[-–—/]|to|bis|à)\s*(\d{1,2})\s*t?\s*$/i.exec(text)
  const [a, b] = [Number(match?.[1]), Number(match?.[2])]
  if (!match || Math.abs(a - b) < USUAL_COGS[0]) return undefined
  return { smallest: Math.min(a, b), largest: Math.max(a, b) }
}

/** A cassette that fits a range. */
export interface CassetteOffer {
  readonly teeth: readonly number[]
  /** Commonly made; else only drawn in even steps, to be corrected cog by cog. */
  readonly isCommon: boolean
}

/** So many cogs in steps that never shrink and grow about evenly in proportion. */
function evenSteps({ smallest, largest }: CogRange, count: number): readonly number[] | undefined {
  const ratio = (largest / smallest) ** (1 / (count - 1))
  const teeth = Array.from({ length: count }, (_, i) => Math.round(smallest * ratio ** i))
  const apart = teeth.every((cog, i) => i === 0 || cog > (teeth[i - 1] ?? cog))
  return apart ? teeth : undefined
}

/**
 * The cassettes with a range, by their number of cogs: the common ones, and for the numbers between where none is known
 * one in even steps.
 */
export function cassettesWith(range: CogRange): readonly CassetteOffer[] {
  const { smallest, largest } = range
  const common = CASSETTES.filter((teeth) => teeth[0] === smallest && teeth.at(-1) === largest)
  const counts = Array.from({ length: 12 - 7 + 1 }, (_, i) => 7 + i)
  return counts.flatMap((count): readonly CassetteOffer[] => {
    const known = common.filter(({ length }) => length === count)
    if (known.length > 0) return known.map((teeth) => ({ teeth, isCommon: true }))
    const teeth = evenSteps(range, count)
    return teeth ? [{ teeth, isCommon: false }] : []
  })
}
