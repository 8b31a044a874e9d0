import { searchWithout, viewOf } from './finder.ts'
import type { Answers } from './infer.ts'
import type { ShiftCause } from './causes.ts'
import type { ShiftFinding } from './shifting-network.ts'

/** Signs by name, as outside cases write them: the answers that each one stands for. "Off line" means the cage rather than the cable. */
const ANSWERS_OF = {
  'under-load-only': { load: 'hard-only' },
  'light-pedalling-too': { load: 'light-too' },
  'small-cogs-only': { cogs: 'small' },
  'one-cog-only': { cogs: 'one' },
  'all-cogs': { cogs: 'all' },
  'once-per-chain-turn': { period: 'chain' },
  'once-per-crank-turn': { period: 'crank' },
  'chain-moves-between-cogs': { jumps: 'yes' },
  'after-new-chain': { 'new-chain': 'yes' },
  'after-new-cassette': { 'new-cassette': 'yes' },
  'after-crash': { crash: 'yes' },
  'after-wheel-change': { 'wheel-change': 'yes' },
  'gauge-past-limit': { gauge: 'past' },
  'gauge-fresh': { gauge: 'fresh' },
  'hooked-teeth': { 'hooked-teeth': 'hooked' },
  'pulleys-off-line': { 'pulley-line': { slanted: 1, beside: 0.15 } },
  'grinding-at-cage': { grinds: 'yes', cage: 'over-tab' },
  'standing-climbs-only': { standing: 'yes' },
  'pedals-spin-forward-freely': { 'freehub-hold': 'spins' },
  'mixed-makes-of-shifter-and-derailleur': { belongs: 'mixed' },
  'slow-shift-one-way': { 'one-way': 'yes' },
  'rusty-links': { rust: 'rusty' },
} as const satisfies Readonly<Record<string, Answers<ShiftFinding>>>

type Strengths = Readonly<Record<string, number>>

export type Sign = keyof typeof ANSWERS_OF
export const SIGNS = Object.keys(ANSWERS_OF) as readonly Sign[]

/** The causes that outside cases know, and those of ours that each one takes in. */
const GROUPS = {
  indexing: ['cable-tension', 'cable-friction'],
  'bent-hanger': ['bent-hanger'],
  'worn-chain': ['worn-chain'],
  'worn-cogs': ['worn-cogs'],
  'worn-ring': ['worn-ring'],
  'stiff-link': ['stiff-link'],
  'cage-routing': ['cage-routing'],
  'mismatched-parts': ['mismatched-parts'],
  'frame-flex': ['frame-flex'],
  freehub: ['freehub'],
} as const satisfies Readonly<Record<string, readonly ShiftCause[]>>

export type CauseGroup = keyof typeof GROUPS

/** Signs as answers; two that contradict one another leave both open. */
function answersOf(seen: readonly Sign[]): Answers<ShiftFinding> {
  const all = new Map<ShiftFinding, Record<string, number>>()
  for (const sign of seen)
    for (const [finding, said] of Object.entries(ANSWERS_OF[sign]) as [ShiftFinding, string | Strengths][])
      all.set(finding, { ...all.get(finding), ...(typeof said === 'string' ? { [said]: 1 } : said) })
  return Object.fromEntries(all)
}

/**
 * What a bike with a derailleur and cables has by its signs alone, with nothing known of it from a log; and the next test.
 * @param seen may be empty; signs that contradict one another count for neither
 */
export function rankBySigns(seen: readonly Sign[]): {
  readonly ranked: readonly { readonly cause: CauseGroup; readonly p: number }[]
  readonly nextTest: string | undefined
} {
  const search = searchWithout('shifting', new Set(['derailleur', 'cable', 'two-rings']))
  const { ranking, next } = viewOf(search, answersOf(seen))
  const p = new Map<string, number>(ranking.causes.map(({ cause, p: chance }) => [cause, chance]))
  const ranked = (Object.entries(GROUPS) as [CauseGroup, readonly ShiftCause[]][])
    .map(([cause, own]) => ({
      cause,
      p: Math.min(
        1,
        own.reduce((sum, one) => sum + (p.get(one) ?? 0), 0),
      ),
    }))
    .sort((a, b) => b.p - a.p)
  return { ranked, nextTest: next[0]?.finding }
}
