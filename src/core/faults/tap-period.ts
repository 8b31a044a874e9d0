/** What comes round once in a period. */
export const ROUNDS = ['crank', 'chain', 'wheel', 'pulley'] as const
export type Round = (typeof ROUNDS)[number]

/** The bike as it stands while it is turned by hand. */
export interface Turning {
  readonly links: number
  readonly ring: number
  readonly cog: number
  /** Teeth of a pulley; absent without a derailleur. */
  readonly pulley?: number
}

/** Times in the same unit, from any start. */
export interface Taps {
  /** One for each jerk that was felt. */
  readonly jerks: readonly number[]
  /** One for each turn of the crank, or where it began and ended. */
  readonly turns: readonly number[]
  /** Crank turns between the first and the last of `turns`; absent where each turn was tapped. */
  readonly counted?: number
}

export type TapFault = 'few-jerks' | 'few-turns' | 'no-time' | 'out-of-order'

export type TapAnswer =
  | {
      readonly isTold: true
      /** How likely each is; `none` where the jerks keep no rhythm of the bike's. Sums to 1. */
      readonly chances: Readonly<Record<Round | 'none', number>>
      /** What each takes, crank turns; absent where the bike has none. */
      readonly periods: Readonly<Partial<Record<Round, number>>>
      /** The rounds that these gears cannot tell apart from the likeliest. */
      readonly alike: readonly Round[]
      /** Each jerk's place, crank turns from the first tap of a turn. */
      readonly places: readonly number[]
      readonly turns: number
    }
  | { readonly isTold: false; readonly fault: TapFault }

/** Fewer jerks or turns than this tell no period. Ours. */
const [FEWEST_JERKS, FEWEST_TURNS] = [4, 3] as const

/**
 * How long each part takes to come round, in turns of the crank: the ring itself, the chain (links / ring teeth), the wheel (cog / ring),
 * a pulley (its teeth / ring). One tooth of the ring passes one link, whatever the wheel does.
 */
export function roundPeriods({ links, ring, cog, pulley }: Turning): Partial<Record<Round, number>> {
  return {
    crank: 1,
    chain: links / ring,
    wheel: cog / ring,
    ...(pulley !== undefined && { pulley: pulley / ring }),
  }
}

/** A crank's place at a time: even between two taps of a turn, and carried on past the ends. */
function placesOf({ jerks, turns, counted }: Taps): {
  readonly places: readonly number[]
  readonly span: number
} {
  const first = turns[0] ?? 0
  const last = turns.at(-1) ?? 0
  const span = counted ?? turns.length - 1
  if (counted !== undefined) {
    const each = (last - first) / counted
    return { places: jerks.map((t) => (t - first) / each), span }
  }
  const places = jerks.map((t) => {
    const i = Math.max(
      0,
      Math.min(
        turns.length - 2,
        turns.findLastIndex((turn) => turn <= t),
      ),
    )
    const [from, to] = [turns[i] ?? 0, turns[i + 1] ?? 1]
    return i + (t - from) / (to - from)
  })
  return { places, span }
}

function faultOf({ jerks, turns, counted }: Taps): TapFault | undefined {
  if (jerks.length < FEWEST_JERKS) return 'few-jerks'
  if (turns.length < 2 || (counted ?? turns.length - 1) < FEWEST_TURNS) return 'few-turns'
  if (!((turns.at(-1) ?? 0) > (turns[0] ?? 0))) return 'no-time'
  const climbs = (list: readonly number[]): boolean => list.every((t, i) => i === 0 || t > (list[i - 1] ?? t))
  return climbs(turns) && climbs(jerks) ? undefined : 'out-of-order'
}

/** A jerk is tapped so often; a tap is off by one of these, crank turns; and stray taps come so often a turn. Ours. */
const TAPPED = 0.85
const SPREADS = [0.03, 0.06, 0.1]
const STRAY_PER_TURN = 0.08
const PHASES = 80

/** A jerk that is due was tapped where a tap lies within so many spreads of it. */
const NEAR_SPREADS = 2.5

/**
 * The log of how well a period explains the jerks: strays come at a steady rate, and near every multiple of the period a jerk is due that is
 * tapped, with a normal error, or missed (a Poisson process and a thinned comb). Every phase is as likely.
 */
function fitOf(places: readonly number[], span: number, period: number, spread: number): number {
  const logs: number[] = []
  for (let k = 0; k < PHASES; k++) {
    const phase = (period * k) / PHASES
    // So many jerks are due while the crank is turned; those that fall before or after are not.
    const due = Math.max(0, Math.floor((span - phase) / period) + 1)
    const tapped = new Set<number>()
    let log = -STRAY_PER_TURN * span
    for (const place of places) {
      const nth = Math.round((place - phase) / period)
      const off = place - phase - period * nth
      if (Math.abs(off) < NEAR_SPREADS * spread && nth >= 0 && nth < due) tapped.add(nth)
      const peak = Math.exp(-(off ** 2) / (2 * spread ** 2)) / (spread * Math.sqrt(2 * Math.PI))
      log += Math.log(STRAY_PER_TURN + TAPPED * peak)
    }
    logs.push(log + (due - tapped.size) * Math.log(1 - TAPPED))
  }
  return logSum(logs) - Math.log(PHASES)
}

function logSum(logs: readonly number[]): number {
  const top = Math.max(...logs)
  return top + Math.log(logs.reduce((sum, one) => sum + Math.exp(one - top), 0))
}

/** Jerks that keep no rhythm: as many a turn as there were. */
const noRhythm = (count: number, span: number): number => count * Math.log(count / span) - count

/** Two periods nearer than this, as shares, are not told apart by hand. Ours. */
const ALIKE = 0.06

/**
 * What the jerks keep time with. Each part of the bike that comes round has a period of its own, in crank turns; each is as likely beforehand, and
 * so is no rhythm at all.
 * @param taps times of jerks and of crank turns, each list climbing
 */
export function tapPeriod(taps: Taps, bike: Turning): TapAnswer {
  const fault = faultOf(taps)
  if (fault) return { isTold: false, fault }
  const { places, span } = placesOf(taps)
  const periods = roundPeriods(bike)
  const rounds = ROUNDS.filter((round) => periods[round] !== undefined)
  const logs = rounds.map(
    (round) =>
      logSum(SPREADS.map((spread) => fitOf(places, span, periods[round] ?? 1, spread))) -
      Math.log(SPREADS.length),
  )
  const all = [...logs, noRhythm(places.length, span)]
  const total = logSum(all)
  const chance = (log: number | undefined): number => (log === undefined ? 0 : Math.exp(log - total))
  const chances = {
    crank: 0,
    chain: 0,
    wheel: 0,
    pulley: 0,
    none: chance(all.at(-1)),
    ...Object.fromEntries(rounds.map((round, i) => [round, chance(logs[i])])),
  }
  const [best] = [...rounds].sort((a, b) => chances[b] - chances[a])
  const alike = rounds.filter((round) => {
    const [mine, its] = [periods[best ?? 'crank'] ?? 1, periods[round] ?? 1]
    return round !== best && Math.abs(Math.log(mine / its)) < ALIKE
  })
  return { isTold: true, chances, periods, alike, places, turns: span }
}

/** The best gear for tapping: the one whose periods lie furthest apart, so that no two are taken for one another. */
export function tellingGear(
  links: number,
  rings: readonly number[],
  cogs: readonly number[],
  pulley?: number,
): { readonly ring: number; readonly cog: number } | undefined {
  const gears = rings.flatMap((ring) => cogs.map((cog) => ({ ring, cog })))
  const apart = (gear: { readonly ring: number; readonly cog: number }): number => {
    const periods = Object.values(
      roundPeriods({ links, ...gear, ...(pulley !== undefined && { pulley }) }),
    ).sort((a, b) => a - b)
    return Math.min(...periods.slice(1).map((period, i) => Math.log(period / (periods[i] ?? period))))
  }
  return gears.reduce<(typeof gears)[number] | undefined>(
    (best, gear) => (best === undefined || apart(gear) > apart(best) ? gear : best),
    undefined,
  )
}
