import type { LubeClock } from './clock.ts'
import type { Lube } from './lubes.ts'
import { isWax, misfits, WAYS, type Misfit } from './ways.ts'
import { KIT_TOOLS, WASH_WAYS, type KitTool, type WashWay } from './wash-ways.ts'
import type { ChainLook } from './chain-looks.ts'

/** What a way of washing is chosen by. */
export interface WashWants {
  /** What is on the chain; undefined where it is not known. */
  readonly on: Lube | undefined
  readonly clock: LubeClock | undefined
  /** How it looks and sounds now; undefined where it was not tapped. */
  readonly look: ChainLook | undefined
  /** Share of the distance to come that is wet, and that is dusty, 0 to 1. */
  readonly wetShare: number
  readonly dustShare: number
  /** Time at hand, minutes; undefined where it does not matter. */
  readonly minutes: number | undefined
  /** The least that each way takes, minutes, by the planner. */
  readonly leastMin: Readonly<Record<WashWay, number>>
  readonly kit: readonly KitTool[]
  readonly noSolvent: boolean
  /** The way that the rider keeps to. */
  readonly school: WashWay | undefined
}

/** Why a way is suggested, or not. */
export type WayReason =
  | { readonly why: 'clean-enough' }
  | { readonly why: 'dirty'; readonly look: ChainLook | 'mud' }
  | { readonly why: 'waxed-already' }
  | { readonly why: 'top-up' }
  | { readonly why: 'rain-ahead' }
  | { readonly why: 'dust-ahead' }
  | { readonly why: 'fits-time' }
  | { readonly why: 'your-school' }
  | { readonly why: 'leaves-dirt' }
  | { readonly why: 'too-long'; readonly minutes: number }
  | { readonly why: 'needs'; readonly tool: KitTool }
  | { readonly why: 'misfit'; readonly misfit: Misfit }

/** A way of washing with what speaks for and against it. */
export interface WayJudged {
  readonly way: WashWay
  readonly lube: Exclude<Lube, 'none'>
  readonly score: number
  readonly pro: readonly WayReason[]
  readonly con: readonly WayReason[]
  /** It can be done with the kit and in the time, and mixes with what is on the chain. */
  readonly isOpen: boolean
}

/** How much cleaning a chain wants, 0 to 1. Ours, a judgement. */
function dirtOf({ look, clock }: WashWants): number {
  const byLook: Readonly<Record<ChainLook, number>> = {
    quiet: 0.15,
    dry: 0.25,
    squeaks: 0.4,
    black: 0.75,
    rusty: 0.6,
  }
  const said = look === undefined ? 0.3 : byLook[look]
  return clock?.reason === 'mud' ? Math.max(said, 0.75) : said
}

/** What goes on best: what is on already, but for the roads to come and what the way allows. */
function lubeFor(way: WashWay, { on, wetShare, dustShare }: WashWants): Exclude<Lube, 'none'> {
  const { lubes } = WAYS[way]
  const likes: readonly Lube[] = [
    ...(isWax(on) ? (['drip-wax'] as const) : []),
    ...(wetShare >= 0.25 ? (['wet-lube'] as const) : dustShare >= 0.3 ? (['dry-lube'] as const) : []),
    ...(on === undefined ? [] : [on]),
  ]
  const liked = likes.find((one) => lubes.some((lube) => lube === one))
  return lubes.find((one) => one === liked) ?? (lubes[0] as Exclude<Lube, 'none'>)
}

function judge(way: WashWay, wants: WashWants): WayJudged {
  const { cleans, needs } = WAYS[way]
  const leastMin = wants.leastMin[way]
  const lube = lubeFor(way, wants)
  const dirt = dirtOf(wants)
  const lacking = needs.filter((tool) => !wants.kit.includes(tool))
  const bad = misfits(way, lube, wants)
  const isTooLong = wants.minutes !== undefined && leastMin > wants.minutes
  const leaves = Math.max(0, dirt - cleans)
  const isWaxing = way === 're-wax' && isWax(wants.on)
  const isTopUp = way === 'drip-wax' && isWax(wants.on) && dirt < 0.5
  const pro: WayReason[] = [
    ...(leaves < 0.15 && dirt >= 0.5
      ? [{ why: 'dirty', look: wants.clock?.reason === 'mud' ? 'mud' : (wants.look ?? 'black') } as const]
      : []),
    ...(leaves < 0.15 && dirt < 0.5 && cleans < 0.5 ? [{ why: 'clean-enough' } as const] : []),
    ...(isWaxing ? [{ why: 'waxed-already' } as const] : []),
    ...(isTopUp ? [{ why: 'top-up' } as const] : []),
    ...(lube === 'wet-lube' && wants.wetShare >= 0.25 ? [{ why: 'rain-ahead' } as const] : []),
    ...(lube === 'dry-lube' && wants.dustShare >= 0.3 ? [{ why: 'dust-ahead' } as const] : []),
    ...(wants.minutes !== undefined && !isTooLong ? [{ why: 'fits-time' } as const] : []),
    ...(wants.school === way ? [{ why: 'your-school' } as const] : []),
  ]
  const con: WayReason[] = [
    ...lacking.map((tool) => ({ why: 'needs', tool }) as const),
    ...bad.map((misfit) => ({ why: 'misfit', misfit }) as const),
    ...(isTooLong ? [{ why: 'too-long', minutes: leastMin } as const] : []),
    ...(leaves >= 0.15 ? [{ why: 'leaves-dirt' } as const] : []),
  ]
  // Dirt left in the rollers costs most; time costs some; what the rider keeps to, and what keeps to the wax, counts for it.
  const score =
    -3 * leaves -
    leastMin / 120 +
    (isWaxing ? (wants.clock?.due ? 0.8 : 0.35) : 0) +
    (isTopUp && !wants.clock?.due ? 0.4 : 0) +
    (wants.school === way ? 0.5 : 0) -
    0.4 * Math.max(0, cleans - dirt - 0.45) -
    (way === 'spray' ? 0.35 : 0) -
    (way === 'strip-wax' ? 0.5 : 0)
  return { way, lube, score, pro, con, isOpen: lacking.length === 0 && bad.length === 0 && !isTooLong }
}

/**
 * The ways of washing a chain, those that can be done first, the best of them first of all: by what is on it, how dirty it is, the
 * roads to come, the time at hand, the kit, and the rider's own way. The weights are ours, a judgement.
 */
export const suggestWays = (wants: WashWants): readonly WayJudged[] =>
  WASH_WAYS.map((way) => judge(way, wants)).sort(
    (a, b) => Number(b.isOpen) - Number(a.isOpen) || b.score - a.score,
  )

/** Everything that one may have: where nothing is said of the kit, all ways but those with a pot, a bath or a machine are open. */
export const USUAL_KIT: readonly KitTool[] = KIT_TOOLS.filter(
  (tool) => tool === 'stand' || tool === 'cassette-tool',
)
