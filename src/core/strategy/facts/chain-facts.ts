import { chainStory, type ChainStory } from '../../exposure/chain-story.ts'
import { toEnd } from '../../job.ts'
import type { EntryId, IsoTime, PartId } from '../../log/entry.ts'
import type { Garage, PartState, ReadingState } from '../../log/garage.ts'
import type { PartSpec } from '../../log/kinds/part.ts'
import { looksOf } from './chain-evidence.ts'

/** What the log says of one chain, on a bike or not: the ground of every screen, and of every question to the wear model. */
export interface ChainFacts {
  readonly part: PartState
  readonly spec: Extract<PartSpec, { readonly type: 'chain' }>
  readonly story: ChainStory
  /** All of them, those left out by hand too, in order of time. */
  readonly readings: readonly ReadingState[]
  /** Those that count. */
  readonly used: readonly ReadingState[]
  /** Those that count, cut into looks. */
  readonly looks: readonly (readonly ReadingState[])[]
  /** Looks up to then were said to be right, and the log complete. */
  readonly answeredUntil?: IsoTime
  /** Readings that were asked about and said to be right. */
  readonly sure: ReadonlySet<EntryId>
}

interface Made {
  readonly from: readonly unknown[]
  readonly facts: ChainFacts
}

const made = new WeakMap<PartState, Made>()
const NO_READINGS: readonly ReadingState[] = []

/** Whether two lists hold the very same things. */
export const isSameList = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length && a.every((one, i) => one === b[i])

/**
 * What the log says of a chain. Made once for as long as nothing it rests on changes: the chain, the bikes it was on,
 * what was put on it, its readings.
 * @returns undefined where there is no such chain
 */
export function chainFacts(garage: Garage, id: PartId): ChainFacts | undefined {
  const part = garage.parts.get(id)
  if (part?.entry.spec.type !== 'chain') return undefined
  const readings = garage.readings.get(id) ?? NO_READINGS
  const bikes = part.fittings.map(({ bike }) => garage.bikes.get(bike))
  const answers = garage.listed['look-answer'].get(id)
  const from = [garage.washes.get(id), readings, answers, ...bikes]
  const before = made.get(part)
  if (before && isSameList(before.from, from)) return before.facts
  const looks = looksOf(readings)
  const facts: ChainFacts = {
    part,
    spec: part.entry.spec,
    story: chainStory(garage, id),
    readings,
    used: readings.filter(({ used }) => used),
    looks,
    sure: new Set(
      looks
        .filter((look) => answers?.some(({ until }) => until === look.at(-1)?.entry.at))
        .flatMap((look) => look.map(({ entry }) => entry.id)),
    ),
    ...(answers && { answeredUntil: answers.reduce((last, { until }) => (until > last ? until : last), '') }),
  }
  made.set(part, { from, facts })
  return facts
}

/** What the log says of every chain of a garage, a chain a step of a few milliseconds. */
export function* chainFactsSteps(garage: Garage): Generator<void, readonly ChainFacts[], undefined> {
  const all: ChainFacts[] = []
  for (const id of garage.parts.keys()) {
    const facts = chainFacts(garage, id)
    if (!facts) continue
    all.push(facts)
    yield
  }
  return all
}

/** {@link chainFactsSteps}, in one go. */
export const allChainFacts = (garage: Garage): readonly ChainFacts[] => toEnd(chainFactsSteps(garage))
