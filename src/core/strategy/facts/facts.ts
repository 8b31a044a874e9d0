import type { WearWord } from '../../log/entry.ts'
import { COGS_TOO_PERCENT } from '../../measure/limits.ts'
import { limitKey } from '../../measure/posterior.ts'
import type { WearAnswer } from '../../wear/outlook.ts'
import type { TeethOutlook } from '../../teeth/teeth-outlook.ts'
import { cogRisks, SKIP_DOUBTFUL, SKIP_LIKELY, type CogRisk } from './teeth-facts.ts'
import { chainWord, type ChainWord } from '../wear-word.ts'
import type { BikeReport, ChainReport } from './bike-report.ts'
import { outlookOf, sprocketWord } from './sprocket-word.ts'
import type { Sprocket } from './sprockets.ts'

/** What the wear model says of a chain that was read. */
export interface WearFacts {
  readonly chain: ChainReport
  readonly answer: WearAnswer
  /** How worn it is, in a word. */
  readonly word: ChainWord
  /** Chance that it is past its limit. */
  readonly past: number
  /** Chance that it is so far past that it has shaped the cogs. */
  readonly cogsShaped: number
  /** Distance since the last reading, km. */
  readonly kmSinceReading: number
}

/** A sprocket that is worn out. */
export interface WornTeeth {
  readonly sprocket: Sprocket
  readonly word: Extract<WearWord, 'swap' | 'spent'>
  /** The eye alone says so; else all that is known. */
  readonly byEyeAlone: boolean
}

/** All that a rule may go by: what the log says of a bike, and what the wear model says of its chain. */
export interface Facts {
  readonly report: BikeReport
  /** The chain on the bike, whether it was ever read or not. */
  readonly chain: ChainReport | undefined
  /** Undefined where there is no chain, or while it is being worked out. */
  readonly answer: WearAnswer | undefined
  /** Of a chain that was read, once it is worked out. */
  readonly wear: WearFacts | undefined
  /** Rings and pulleys; cogs only while nothing better is known of them than by eye. */
  readonly wornTeeth: readonly WornTeeth[]
  /** How likely a chain skips on each cog; undefined while it is being worked out. */
  readonly cogs: readonly CogRisk[] | undefined
  /** A fresh chain will probably skip on some of the cogs. */
  readonly hasWornCogs: boolean
  /** The chain that is on skips on a cog with a chance that is worth a word. */
  readonly slipsNow: boolean
  /** The wear model has a say in this, and has not spoken yet. */
  readonly isAwaited: boolean
}

const isWorn = (word: ChainWord | undefined): word is WornTeeth['word'] => word === 'swap' || word === 'spent'

/**
 * Those of a bike's sprockets that are worn out, by the word that every screen has for them; and those that the last look found
 * so, even where road and law say that it can hardly be: a chipped tooth is none of the law's.
 */
export const wornSprockets = (
  sprockets: readonly Sprocket[],
  teeth: TeethOutlook | undefined,
): readonly WornTeeth[] =>
  sprockets.flatMap((sprocket): WornTeeth[] => {
    const word = outlookOf(sprocket, teeth) && sprocketWord(sprocket, teeth)
    if (isWorn(word)) return [{ sprocket, word, byEyeAlone: false }]
    const seen = sprocket.look?.word
    return isWorn(seen) ? [{ sprocket, word: seen, byEyeAlone: true }] : []
  })

function wearFacts({ limit }: BikeReport, chain: ChainReport, answer: WearAnswer): WearFacts {
  const chanceOf = (percent: number): number => answer.now.pAbove[limitKey(percent)] ?? 0
  return {
    chain,
    answer,
    word: chainWord(answer.now, limit.percent),
    past: chanceOf(limit.percent),
    cogsShaped: chanceOf(COGS_TOO_PERCENT),
    kmSinceReading: chain.kmSinceReading ?? 0,
  }
}

/** Gathers what is known of a bike, for the rules. */
export function factsOf(
  report: BikeReport,
  answer: WearAnswer | undefined,
  teeth: TeethOutlook | undefined,
): Facts {
  const { chain } = report
  const risks = teeth && cogRisks(report, teeth)
  const cogs = risks && risks.length > 0 ? risks : undefined
  const wornTeeth = wornSprockets(report.sprockets, teeth).filter(
    ({ sprocket }) => !cogs || sprocket.role !== 'cog',
  )
  const isRead = chain?.lastReadingAt !== undefined
  return {
    report,
    chain,
    answer,
    wear: chain && answer && isRead ? wearFacts(report, chain, answer) : undefined,
    wornTeeth,
    cogs,
    hasWornCogs: cogs
      ? cogs.some(({ fresh }) => fresh >= SKIP_LIKELY)
      : wornTeeth.some(({ sprocket }) => sprocket.role === 'cog'),
    slipsNow: cogs?.some(({ now }) => now !== undefined && now >= SKIP_DOUBTFUL) ?? false,
    // Of a chain that came on used and was never read there is nothing to wait for: it is to be read.
    isAwaited: chain !== undefined && !answer && (isRead || chain.spec.past === 'new'),
  }
}
