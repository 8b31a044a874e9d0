import { kmOf } from '../exposure/distance.ts'
import type { PartId } from '../log/entry.ts'
import type { PartSpec } from '../log/kinds/part.ts'
import { fittedParts, type Garage, type PartState } from '../log/garage.ts'
import { COGS_TOO_PERCENT } from '../measure/limits.ts'
import { limitKey } from '../measure/posterior.ts'
import type { WearAnswer } from '../wear/outlook.ts'
import type { BikeReport } from './facts/bike-report.ts'
import { wornSprockets, type WornTeeth } from './facts/facts.ts'
import type { TeethOutlook } from '../teeth/teeth-outlook.ts'
import { cogRisks, SKIP_DOUBTFUL, SKIP_LIKELY, type CogRisk } from './facts/teeth-facts.ts'
import { isHeldBack, SWAPS, verdictOf } from './verdict.ts'

/** Something to know before a part goes on. `stop`: it will do harm; `care`: it may; `note`: look at it. */
export interface FittingCheck {
  readonly weight: 'stop' | 'care' | 'note'
  readonly finding:
    /** A worn chain would ruin the new ring or cassette. */
    | { readonly what: 'worn-chain'; readonly percent: number; readonly limit: number }
    | { readonly what: 'unmeasured-chain' }
    /** What is known of the chain does not say whether it is worn. */
    | { readonly what: 'open-chain' }
    /** A fresh chain will probably not run on cogs that the old one shaped. */
    | { readonly what: 'shaped-cogs'; readonly p: number }
    /** A fresh chain, or this used one, skips on these cogs, smallest first; the chance is that of the worst. */
    | {
        readonly what: 'skips'
        readonly chain: 'fresh' | 'this'
        readonly cogs: readonly number[]
        readonly p: number
        readonly allSold: boolean
      }
    | {
        readonly what: 'worn-teeth'
        readonly part: PartId
        readonly word: WornTeeth['word']
        readonly byEyeAlone: boolean
      }
    | { readonly what: 'link-limit'; readonly closings: number; readonly limit: number }
    | { readonly what: 'speeds'; readonly part: number; readonly bike: number }
    | { readonly what: 'links'; readonly links: number; readonly before: number }
    | { readonly what: 'directional' }
    | { readonly what: 'unknown-past' }
}

/** A bike as it is before the part goes on. */
export interface KnownBike {
  readonly report: BikeReport
  /** The wear model's on the chain now on the bike. */
  readonly answer: WearAnswer | undefined
  readonly teeth: TeethOutlook | undefined
}

/** How often a joining link was closed so far: before the log, and at each fitting since. */
export const closingsOf = (part: PartState): number =>
  part.entry.spec.type === 'joining-link' ? part.entry.spec.closedBefore + part.fittings.length : 0

const note = (finding: FittingCheck['finding']): FittingCheck => ({ weight: 'note', finding })
const care = (finding: FittingCheck['finding']): FittingCheck => ({ weight: 'care', finding })
const stop = (finding: FittingCheck['finding']): FittingCheck => ({ weight: 'stop', finding })

function chainOnNewTeeth({ report, answer, teeth }: KnownBike): FittingCheck[] {
  if (!report.chain) return []
  if (report.chain.lastReadingAt === undefined) return [care({ what: 'unmeasured-chain' })]
  const verdict = verdictOf(report, answer, teeth)
  if (!answer || !verdict) return []
  if (SWAPS.includes(verdict.action))
    return [stop({ what: 'worn-chain', percent: answer.now.mean, limit: report.limit.percent })]
  return isHeldBack(verdict.action) ? [care({ what: 'open-chain' })] : []
}

/** A chain on cogs that would let it skip: on all where it is likely, else on those where it may. */
function chainOnCogs(cogs: readonly CogRisk[], chain: 'fresh' | 'this'): FittingCheck[] {
  const riskOf = ({ fresh, asked = 0 }: CogRisk): number => (chain === 'fresh' ? fresh : asked)
  const p = cogs.reduce((most, cog) => Math.max(most, riskOf(cog)), 0)
  if (p < SKIP_DOUBTFUL) return []
  const isLikely = p >= SKIP_LIKELY
  const bad = cogs.filter((cog) => riskOf(cog) >= (isLikely ? SKIP_LIKELY : SKIP_DOUBTFUL))
  const finding = {
    what: 'skips',
    chain,
    p,
    cogs: bad.map(({ teeth }) => teeth),
    allSold: bad.every(({ soldSingly }) => soldSingly),
  } as const
  return [isLikely ? stop(finding) : care(finding)]
}

function newChainOnTeeth({ report, answer, teeth }: KnownBike): FittingCheck[] {
  const cogs = teeth ? cogRisks(report, teeth) : []
  const isKnown = cogs.length > 0
  const shaped =
    isKnown || report.chain?.lastReadingAt === undefined
      ? 0
      : (answer?.now.pAbove[limitKey(COGS_TOO_PERCENT)] ?? 0)
  const worn = wornSprockets(report.sprockets, teeth).flatMap(
    ({ sprocket: { part, role }, word, byEyeAlone }) =>
      role === 'ring' || (role === 'cog' && !isKnown) ? [{ part: part.entry.part, word, byEyeAlone }] : [],
  )
  const parts = [...new Map(worn.map((one) => [one.part, one])).values()]
  return [
    ...chainOnCogs(cogs, 'fresh'),
    ...(shaped >= SKIP_DOUBTFUL
      ? [
          shaped >= SKIP_LIKELY
            ? stop({ what: 'shaped-cogs', p: shaped })
            : care({ what: 'shaped-cogs', p: shaped }),
        ]
      : []),
    ...parts.map((one) => stop({ what: 'worn-teeth', ...one })),
  ]
}

/** A chain that has run before, by its own wear, on the cogs as they are. */
function usedChainOnTeeth({ report, teeth }: KnownBike, part: PartState | undefined): FittingCheck[] {
  const chain = part?.entry.part
  return teeth && chain && teeth.chains[chain] ? chainOnCogs(cogRisks(report, teeth, chain), 'this') : []
}

function chainLength(garage: Garage, bike: string, links: number): FittingCheck[] {
  const old = fittedParts(garage, bike, 'chain')[0]?.entry.spec
  return old?.type === 'chain' && old.links !== links
    ? [care({ what: 'links', links, before: old.links })]
    : []
}

/**
 * What to know before a part goes on a bike, worst first: a worn chain on new teeth, a fresh chain on worn ones, a
 * joining link at its limit, a number of speeds or links that does not fit.
 * @param known of the bike as it is
 * @param part where the part is in the log already
 */
export function checksBeforeFitting(
  garage: Garage,
  known: KnownBike,
  spec: PartSpec,
  part?: PartState,
): readonly FittingCheck[] {
  const { report } = known
  const { bike, speeds } = report.bike.entry
  const isFresh = !part || (part.fittings.length === 0 && !part.entry.used)
  const wrongSpeeds = (own: number): FittingCheck[] =>
    own === speeds ? [] : [stop({ what: 'speeds', part: own, bike: speeds })]
  const checks = ((): FittingCheck[] => {
    switch (spec.type) {
      case 'chain': {
        const ridden = part ? kmOf(garage, part) > 50 : false
        const isNew = spec.past === 'new' && !ridden
        return [
          ...(isNew ? newChainOnTeeth(known) : usedChainOnTeeth(known, part)),
          ...wrongSpeeds(spec.speeds),
          ...chainLength(garage, bike, spec.links),
          ...(spec.directional ? [note({ what: 'directional' })] : []),
          ...(spec.past === 'unknown' ? [care({ what: 'unknown-past' })] : []),
        ]
      }
      case 'cassette':
        return [...(isFresh ? chainOnNewTeeth(known) : []), ...wrongSpeeds(spec.teeth.length)]
      case 'ring':
        return isFresh ? chainOnNewTeeth(known) : []
      case 'joining-link': {
        const closings = part ? closingsOf(part) : spec.closedBefore
        return [
          ...(closings >= spec.closingsAllowed
            ? [stop({ what: 'link-limit', closings, limit: spec.closingsAllowed })]
            : []),
          ...wrongSpeeds(spec.speeds),
        ]
      }
      case 'pulley':
        return []
    }
  })()
  const order = ['stop', 'care', 'note']
  return checks.sort((a, b) => order.indexOf(a.weight) - order.indexOf(b.weight))
}
