import type { WearWord } from '../../log/entry.ts'
import { evenlySpaced } from '../../stats/resample.ts'
import { meanOf } from '../../stats/mean.ts'
import { intervalOf } from '../../stats/interval.ts'
import { evidenceLikelihood, MM_PER_PERCENT } from '../../teeth/evidence.ts'
import type { SprocketOutlook, TeethOutlook } from '../../teeth/teeth-outlook.ts'
import { TOOTH_WORDS } from '../../teeth/tooth-word.ts'
import type { WearAnswer } from '../../wear/outlook.ts'
import type { BikeReport } from '../facts/bike-report.ts'
import { cogRisks } from '../facts/teeth-facts.ts'
import { outlookOf } from '../facts/sprocket-word.ts'
import type { Sprocket } from '../facts/sprockets.ts'
import { verdictOf, type Verdict } from '../verdict.ts'
import { isSameCall } from './reading-turns.ts'

/** A look at one sprocket that would change the verdict. */
export interface TeethTurn {
  readonly sprocket: Sprocket
  /** The mildest word that does so, or the harshest where a milder one than expected does. */
  readonly word: WearWord
  readonly side: 'or-worse' | 'or-better'
  /** Chance that it looks so. */
  readonly p: number
  readonly verdict: Verdict
}

/** So many cogs are tried: those of which it is least known whether a chain skips on them. */
const MOST_COGS = 2
/** A look less likely than this is not told. */
const ODD = 0.01

/** Teeth as they would be believed to be if only these draws held. */
function teethWith(
  teeth: TeethOutlook,
  picked: Int32Array,
  parts: ReadonlySet<string>,
  chain: string,
): TeethOutlook {
  const on = teeth.chains[chain]
  const pick = (list: Float32Array): Float32Array => {
    const kept = new Float32Array(picked.length)
    for (let i = 0; i < kept.length; i++) kept[i] = list[picked[i] ?? 0] ?? 0
    return kept
  }
  const sprocketWith = (one: SprocketOutlook): SprocketOutlook => {
    const worn = pick(one.worn)
    return { ...one, worn, mean: meanOf(worn), after: intervalOf(Float64Array.from(worn)) }
  }
  return {
    ...teeth,
    shift: pick(teeth.shift),
    sets: Object.fromEntries(
      Object.entries(teeth.sets).map(([part, set]) => [
        part,
        parts.has(part) ? { ...set, sprockets: set.sprockets.map(sprocketWith) } : set,
      ]),
    ),
    // Only the chain that is on is asked about.
    chains: on ? { [chain]: pick(on) } : {},
  }
}

/** The sprockets of which a look could tell most: cogs that may or may not let a fresh chain skip, and the ring. */
function worthALook(report: BikeReport, teeth: TeethOutlook): readonly Sprocket[] {
  const risks = cogRisks(report, teeth)
  const openness = ({ teeth: count }: Sprocket): number => {
    const risk = risks.find((one) => one.teeth === count)?.fresh ?? 0
    return risk * (1 - risk)
  }
  const cogs = report.sprockets
    .filter((one) => one.role === 'cog' && outlookOf(one, teeth))
    .sort((a, b) => openness(b) - openness(a))
    .slice(0, MOST_COGS)
  const rings = report.sprockets.filter((one) => one.role === 'ring' && outlookOf(one, teeth))
  return [...cogs, ...rings]
}

/**
 * Looks at teeth that would change the verdict, the likeliest first: each word of each of the most telling sprockets is tried, the
 * draws weighed by how likely the eye is to say it (methods 5).
 */
export function teethTurns(
  report: BikeReport,
  answer: WearAnswer,
  teeth: TeethOutlook,
  verdict: Verdict,
): readonly TeethTurn[] {
  const parts = new Set(report.sprockets.map(({ part }) => part.entry.part))
  const chain = report.chain?.part.entry.part ?? ''
  const turns = worthALook(report, teeth).flatMap((sprocket): TeethTurn[] => {
    const outlook = outlookOf(sprocket, teeth)
    if (!outlook) return []
    const tried = TOOTH_WORDS.flatMap((word) => {
      const weights = Float64Array.from(outlook.worn, (worn, n) =>
        evidenceLikelihood({ kind: 'look', word }, worn, sprocket.teeth, {
          shift: teeth.shift[n] ?? 0,
          mmPerPercent: MM_PER_PERCENT,
        }),
      )
      const p = meanOf(weights)
      const after =
        p >= ODD
          ? verdictOf(
              report,
              answer,
              teethWith(teeth, evenlySpaced(weights, weights.length, 0.5), parts, chain),
            )
          : undefined
      return after ? [{ word, p, after }] : []
    })
    const expected = tried.findIndex(({ after }) => isSameCall(after, verdict))
    if (expected < 0) return []
    const turnOf = (list: typeof tried, side: TeethTurn['side']): TeethTurn[] => {
      const [first] = list
      if (!first) return []
      const same = list.filter(({ after }) => isSameCall(after, first.after))
      return [
        {
          sprocket,
          word: first.word,
          side,
          p: same.reduce((sum, one) => sum + one.p, 0),
          verdict: first.after,
        },
      ]
    }
    const isOther = ({ after }: (typeof tried)[number]): boolean => !isSameCall(after, verdict)
    return [
      ...turnOf(tried.slice(expected).filter(isOther), 'or-worse'),
      ...turnOf(tried.slice(0, expected).filter(isOther).reverse(), 'or-better'),
    ]
  })
  return turns.sort((a, b) => b.p - a.p)
}
