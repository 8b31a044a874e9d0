/** Something that could be done for a sum. */
export interface JobOption {
  readonly id: string
  /** Of the parts, in the money of the sum. */
  readonly price: number
  readonly minutes: number
  readonly value: number
  /** It cannot be had now where this is false. */
  readonly available?: boolean
  /** Options without which it makes no sense. */
  readonly needs?: readonly string[]
  /** Of each of these groups it needs one at least. */
  readonly needsOneOf?: readonly (readonly string[])[]
  /** Options that it rules out. */
  readonly excludes?: readonly string[]
}

/** A job under a fixed sum. */
export interface FixedSum {
  readonly sum: number
  /** What an hour of work costs. */
  readonly ratePerHour: number
  readonly options: readonly JobOption[]
}

/** What is worth most for the sum. */
export interface Chosen {
  /** Ids, sorted. */
  readonly chosen: readonly string[]
  readonly total: number
  readonly value: number
}

/** Less than this is the same money, and the same value. */
const SAME = 1e-9

/** What an option costs, its work included. */
export const costOf = ({ price, minutes }: JobOption, ratePerHour: number): number =>
  price + (minutes / 60) * ratePerHour

/** @throws RangeError in plain words for a price, minutes or a need that cannot be */
function check({ sum, ratePerHour, options }: FixedSum): void {
  if (!Number.isFinite(sum) || !(ratePerHour >= 0) || !Number.isFinite(ratePerHour))
    throw new RangeError('Give the sum and the price of an hour as numbers, 0 or more.')
  const ids = new Set(options.map(({ id }) => id))
  if (ids.size < options.length) throw new RangeError('Two options have the same name.')
  for (const { id, price, minutes, value, needs = [], needsOneOf = [] } of options) {
    if (!(price >= 0) || !(minutes >= 0) || !Number.isFinite(price + minutes + value))
      throw new RangeError(`Price and minutes of "${id}" are numbers, 0 or more.`)
    const missing = [...needs, ...needsOneOf.flat()].find((other) => !ids.has(other))
    if (missing !== undefined) throw new RangeError(`"${id}" needs "${missing}", which is not in the list.`)
  }
}

/** The options by number, those that are worth most for their money first. */
function laidOut({ ratePerHour, options }: FixedSum) {
  const costs = options.map((option) => costOf(option, ratePerHour))
  const density = (i: number): number => (options[i]?.value ?? 0) / Math.max(SAME, costs[i] ?? 0)
  const order = options.map((_, i) => i).sort((a, b) => density(b) - density(a) || a - b)
  const numberOf = new Map(order.map((i, n) => [options[i]?.id ?? '', n]))
  const inOrder = order.map((i) => options[i] as JobOption)
  const numbers = (ids: readonly string[] = []): number[] => ids.flatMap((id) => numberOf.get(id) ?? [])
  const excludes = inOrder.map(({ excludes: ids }) => new Set(numbers(ids)))
  excludes.forEach((list, n) => list.forEach((other) => excludes[other]?.add(n)))
  return {
    inOrder,
    cost: Float64Array.from(order, (i) => costs[i] ?? 0),
    value: Float64Array.from(inOrder, ({ value }) => value),
    mayBe: inOrder.map(({ available, value }) => available !== false && value >= 0),
    needs: inOrder.map(({ needs }) => numbers(needs)),
    oneOf: inOrder.map(({ needsOneOf = [] }) => needsOneOf.map(numbers)),
    excludes,
  }
}

/**
 * The options that are worth most within a sum, exactly; of equal worth the cheapest (methods 9). Branch and bound over the options
 * in the order of worth for money; the bound fills what is left of the sum with parts of options, as if nothing needed or ruled out
 * anything.
 * @throws RangeError in plain words for a list that cannot be
 */
export function chooseWithin(job: FixedSum): Chosen {
  check(job)
  const { inOrder, cost, value, mayBe, needs, oneOf, excludes } = laidOut(job)
  const count = inOrder.length
  /** 0 open, 1 taken, 2 left. */
  const state = new Uint8Array(count)
  let best: { taken: Uint8Array; value: number; total: number } = {
    taken: new Uint8Array(count),
    value: 0,
    total: 0,
  }
  const bound = (from: number, left: number, worth: number): number => {
    let [room, most] = [left, worth]
    for (let n = from; n < count; n++) {
      if (!mayBe[n]) continue
      const price = cost[n] as number
      if (price <= room + SAME) {
        room -= price
        most += value[n] as number
      } else return most + ((value[n] as number) * Math.max(0, room)) / price
    }
    return most
  }
  const isLeft = (n: number): boolean => state[n] === 2 || !mayBe[n]
  /** Whether what is taken so far could still come out right. */
  const canBe = (upTo: number): boolean => {
    for (let n = 0; n < upTo; n++) {
      if (state[n] !== 1) continue
      if ((needs[n] as number[]).some(isLeft)) return false
      if ((oneOf[n] as number[][]).some((group) => group.every(isLeft))) return false
    }
    return true
  }
  const walk = (n: number, left: number, worth: number, total: number): void => {
    const most = bound(n, left, worth)
    if (most < best.value - SAME || (most < best.value + SAME && total > best.total + SAME)) return
    if (n === count) {
      const isBetter = worth > best.value + SAME || (worth > best.value - SAME && total < best.total - SAME)
      if (isBetter) best = { taken: state.slice(), value: worth, total }
      return
    }
    const price = cost[n] as number
    const isRuledOut = [...(excludes[n] as Set<number>)].some((other) => state[other] === 1)
    if (mayBe[n] && price <= left + SAME && !isRuledOut) {
      state[n] = 1
      if (canBe(n + 1)) walk(n + 1, left - price, worth + (value[n] as number), total + price)
    }
    state[n] = 2
    if (canBe(n + 1)) walk(n + 1, left, worth, total)
    state[n] = 0
  }
  walk(0, job.sum, 0, 0)
  return {
    chosen: inOrder.flatMap(({ id }, n) => (best.taken[n] === 1 ? [id] : [])).sort(),
    total: best.total,
    value: best.value,
  }
}
