import { lateWear } from '../../wear/late-wear.ts'
import { RUBS_OFF } from '../../teeth/conform.ts'
import { logisticAt, NO_RISK } from './logistic-table.ts'
import type { CogSet } from './cogs.ts'
import { SOON_KM, type ChainWay, type Life, type LifeCounts, type LifeTold } from './life-kinds.ts'
import { chainsAtOnce, type Policy } from './policy.ts'

/** A ring whose teeth have shaped themselves to so much is renewed with the next chain, %: where the eye calls it spent (methods 5). */
const RING_SPENT = 0.8
/** Pulleys of soft stuff wear by the road and follow a long chain, % in 1000 wear-km; they go at the same word. Guesses. */
const PULLEY = { rub: 0.04, follow: 0.05, spent: 0.8 } as const

interface Chain {
  readonly way: ChainWay
  wearKm: number
  km: number
  isRetired: boolean
  /** Elongation now, %. */
  percent: number
  /** What a step adds, and for how many steps more that holds. */
  slope: number
  held: number
}

/** A chain's curve is as good as straight over so many steps: it is worked out at their ends. */
const STRAIGHT_STEPS = 4

function elongationAt({ start, rate, beta, lateTimes, lateFrom }: ChainWay, wearKm: number): number {
  const plain = start + rate * (beta === 1 ? wearKm / 1000 : (wearKm / 1000) ** beta)
  return lateTimes === 1 ? plain : lateWear(plain, lateTimes, lateFrom)
}

/** A chain over one step of so many wear-km. */
function lengthen(chain: Chain, wear: number, km: number): void {
  if (chain.held === 0) {
    const ahead = elongationAt(chain.way, chain.wearKm + STRAIGHT_STEPS * wear)
    chain.slope = (ahead - chain.percent) / STRAIGHT_STEPS
    chain.held = STRAIGHT_STEPS
  }
  chain.percent += chain.slope
  chain.held--
  chain.wearKm += wear
  chain.km += km
}

/** The chain of least distance that is not retired; undefined where all are. */
function leastRun(chains: readonly Chain[]): Chain | undefined {
  let least: Chain | undefined
  for (const chain of chains) if (!chain.isRetired && (!least || chain.km < least.km)) least = chain
  return least
}

/** Cogs on which a chain would skip as likely as not. @param over the rider's own shift and the chain's elongation, % */
function wornOut({ count, margin }: CogSet, worn: Float64Array, over: number): number[] {
  const list: number[] = []
  for (let j = 0; j < count; j++) if ((worn[j] as number) > (margin[j] as number) + over) list.push(j)
  return list
}

/** A drivetrain on its way through a life. */
interface Going {
  readonly life: Life
  readonly policy: Policy
  readonly counts: LifeCounts
  readonly told: LifeTold | undefined
  readonly worn: Float64Array
  chains: readonly Chain[]
  on: Chain
  ringWorn: number
  pulleysWorn: number
  /** Chains that were bought so far. */
  born: number
}

/** A chain as a life finds it, or as it is bought: one that was ridden before has its distance behind it. */
const chainOf = (way: ChainWay, wearPerKm: number): Chain => ({
  way,
  wearKm: way.wearKm,
  km: way.wearKm / Math.max(1e-6, wearPerKm),
  isRetired: false,
  percent: elongationAt(way, way.wearKm),
  slope: 0,
  held: 0,
})

/** The drivetrain as a life finds it: what a plan lacks is bought. */
function beginning(life: Life, policy: Policy, told: LifeTold | undefined): Going {
  const has = life.has ?? []
  const lacking = Math.max(0, chainsAtOnce(policy) - has.length)
  const chains = [...has, ...Array.from({ length: lacking }, (_, nth) => life.chain(nth))].map((way) =>
    chainOf(way, life.wearPerKm),
  )
  const isNew = has.length === 0
  const ringsFirst = life.ring?.isBoughtFirst ? 1 : 0
  return {
    life,
    policy,
    told,
    chains,
    counts: {
      chains: lacking,
      cassettes: isNew ? 1 : 0,
      singleCogs: 0,
      rings: ringsFirst,
      pulleys: 0,
      orders: lacking > 0 || isNew || ringsFirst > 0 ? 1 : 0,
      mountings: isNew ? 1 : 0,
      looks: 0,
      skips: 0,
      skipsSoon: 0,
      chainsLeft: 0,
      cogsLeft: 0,
      ringLeft: 0,
    },
    worn: life.worn ? Float64Array.from(life.worn) : new Float64Array(life.cogs.count),
    on: chains[0] as Chain,
    ringWorn: life.ring?.worn ?? 0,
    pulleysWorn: life.pulleysWorn ?? 0,
    born: lacking,
  }
}

function newCassette({ worn, counts, told }: Going, km: number): void {
  worn.fill(0)
  counts.cassettes++
  told?.('cassette', km, 0)
}

/** Cogs on which the chain that goes on would skip are renewed: singly where all of them are sold so, else the cassette. */
function renewCogs(going: Going, km: number): void {
  const { life, worn, counts, told, on } = going
  // A spare from a hook has lengthened too: it runs on teeth on which a fresh one would not.
  const bad = wornOut(life.cogs, worn, life.shift + on.percent)
  if (bad.length === 0) return
  if (!bad.every((j) => life.soldSingly?.[j])) return newCassette(going, km)
  for (const j of bad) worn[j] = 0
  counts.singleCogs += bad.length
  told?.('cogs', km, bad.length)
}

/** Ring and pulleys that are spent go with the next chain. */
function renewRingAndPulleys(going: Going): void {
  const { counts } = going
  if (going.ringWorn > RING_SPENT) {
    going.ringWorn = 0
    counts.rings++
  }
  if (going.pulleysWorn > PULLEY.spent) {
    going.pulleysWorn = 0
    counts.pulleys++
  }
}

const bought = ({ chains, cassettes, singleCogs, rings, pulleys }: LifeCounts): number =>
  chains + cassettes + singleCogs + rings + pulleys

/** The mounted chain is retired, and what the policy has follow it goes on; cogs and ring with it where they must. */
function swap(going: Going, km: number): void {
  const { life, policy, counts, told } = going
  const before = bought(counts)
  going.on.isRetired = true
  // What hangs on a hook goes on before a new one is bought; but where all is run to its end, all is new after it.
  const next = policy.kind === 'runout' ? undefined : leastRun(going.chains)
  if (next) going.on = next
  else {
    const count = chainsAtOnce(policy)
    going.chains = Array.from({ length: count }, () => chainOf(life.chain(going.born++), life.wearPerKm))
    going.on = going.chains[0] as Chain
    counts.chains += count
    if (policy.kind !== 'replace') newCassette(going, km)
  }
  counts.mountings++
  if (policy.kind === 'replace') renewCogs(going, km)
  renewRingAndPulleys(going)
  if (bought(counts) > before) counts.orders++
  told?.('chain', km, going.on.percent)
}

/** What is left of chains, cogs and ring, each as a share of a new one. */
function weighWhatIsLeft({ life, policy, counts, chains, worn, ringWorn }: Going): void {
  const { margin, count } = life.cogs
  counts.chainsLeft = chains.reduce(
    (sum, { isRetired, percent }) => sum + (isRetired ? 0 : Math.max(0, 1 - percent / policy.at)),
    0,
  )
  let most = 0
  for (let j = 0; j < count; j++)
    most = Math.max(most, (worn[j] as number) / Math.max(0.05, (margin[j] as number) + life.shift))
  counts.cogsLeft = Math.max(0, 1 - most)
  counts.ringLeft = Math.max(0, 1 - ringWorn / RING_SPENT)
}

/** What a step of so many wear-km does to each cog: laid out once for a life. */
interface CogSteps {
  /** Share of the lag that its teeth follow, and what rubs off them anyway, %. */
  readonly pull: Float64Array
  readonly rub: Float64Array
  /** Over this, %, a chain of no elongation would skip. */
  readonly threshold: Float64Array
}

function cogSteps({ cogs: { load, follow, margin }, shift }: Life, wear: number): CogSteps {
  const bears = load.map((one) => (one * wear) / 1000)
  return {
    pull: bears.map((one, j) => one * (follow[j] as number)),
    rub: bears.map((one) => one * RUBS_OFF),
    threshold: margin.map((one) => one + shift),
  }
}

/** Chain, cogs and ring over a step; skips are expected. @returns the chain's elongation after it, % */
function wearStep(going: Going, steps: CogSteps, wear: number, pushes: number): number {
  const { life, worn, on, counts } = going
  const { pull, rub, threshold } = steps
  const { share, count } = life.cogs
  lengthen(on, wear, life.stepKm)
  const elongation = on.percent
  let skips = 0
  for (let j = 0; j < count; j++) {
    const before = worn[j] as number
    const lag = elongation - before
    const now = before + (rub[j] as number) + (lag > 0 ? (pull[j] as number) * lag : 0)
    worn[j] = now
    // Far below the threshold, as most teeth are most of the time, there is nothing to look up.
    const over = now - elongation - (threshold[j] as number)
    if (over > NO_RISK) skips += (share[j] as number) * logisticAt(over)
  }
  counts.skips += pushes * skips
  if (life.ring) {
    const lag = elongation - going.ringWorn
    going.ringWorn += ((lag > 0 ? life.ring.follow * lag : 0) + RUBS_OFF) * (wear / 1000)
  }
  const behind = elongation - going.pulleysWorn
  going.pulleysWorn += (PULLEY.rub + (behind > 0 ? PULLEY.follow * behind : 0)) * (wear / 1000)
  return elongation
}

/**
 * Lives one life by a policy (methods 8). In each step, in this order: the mounted chain lengthens, each cog conforms to it, skips
 * are expected; the owner looks where it is time and acts on that reading alone; and chains take turns where it is time.
 * @param told hears of each step, where the life is to be drawn
 */
export function live(life: Life, policy: Policy, told?: LifeTold): LifeCounts {
  const going = beginning(life, policy, told)
  const { counts } = going
  const { stepKm } = life
  const steps = Math.round(life.horizonKm / stepKm)
  const wear = stepKm * life.wearPerKm
  const pushes = stepKm * life.pushesPerKm
  const cogs = cogSteps(life, wear)
  const everyKm = policy.kind === 'rotate' ? policy.everyKm : Infinity
  let [nextLook, nextTurn, looked] = [life.firstLookKm ?? life.lookKm, everyKm, 0]
  let swapAt = life.firstSwapKm
  for (let step = 1; step <= steps; step++) {
    if (swapAt !== undefined && (step - 1) * stepKm >= swapAt) {
      swap(going, (step - 1) * stepKm)
      nextTurn = (step - 1) * stepKm + everyKm
      swapAt = undefined
    }
    const km = step * stepKm
    const elongation = wearStep(going, cogs, wear, pushes)
    told?.('worn', km, elongation)
    if (km === SOON_KM) counts.skipsSoon = counts.skips
    if (km >= nextLook) {
      nextLook += life.lookKm
      const nth = looked++
      const error = life.lookError(nth)
      if (error !== undefined) {
        counts.looks++
        // A swap that is set for some distance waits for it, whatever a look says.
        if (swapAt === undefined && elongation + error >= policy.at && !life.isPutOff?.(nth)) swap(going, km)
      }
    }
    if (km < nextTurn || swapAt !== undefined) continue
    nextTurn += everyKm
    const next = leastRun(going.chains)
    if (next && next !== going.on) {
      going.on = next
      counts.mountings++
      told?.('chain', km, next.percent)
    }
  }
  weighWhatIsLeft(going)
  return counts
}
