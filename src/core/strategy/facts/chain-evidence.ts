import type { PartId, ToolId } from '../../log/entry.ts'
import type { Garage, ReadingState } from '../../log/garage.ts'
import type { PlacedReading } from '../../measure/disagreement.ts'
import { INSTRUMENTS } from '../../measure/instruments.ts'
import type { Instrument, TakenReading } from '../../measure/reading.ts'
import { ownReadings } from './school-facts.ts'
import { learnBiases, type LearnedBias, type Meeting } from '../../measure/tool-bias.ts'

/** Readings taken within this of one another are one look at the chain, ms. */
const ONE_LOOK_MS = 12 * 3_600_000

/** The readings that count, cut into looks, in order of time. */
export function looksOf(readings: readonly ReadingState[]): ReadingState[][] {
  const looks: ReadingState[][] = []
  for (const state of readings) {
    if (!state.used) continue
    const last = looks.at(-1)
    const before = last?.at(-1)?.entry.at
    if (last && before !== undefined && Date.parse(state.entry.at) - Date.parse(before) < ONE_LOOK_MS)
      last.push(state)
    else looks.push([state])
  }
  return looks
}

/**
 * What is known of the bias of each tool in the log, from zeroings, from looks in which tools met, and from the rider's own lessons where
 * they are used.
 * @param except chains whose own readings are left out: they will speak for themselves, and must not do so twice
 */
export function toolBiases(garage: Garage, except?: ReadonlySet<PartId>): Map<ToolId, LearnedBias> {
  const own = ownReadings(garage)
  // Readings of no tool go by how this rider reads such an instrument, under the instrument's name.
  const loose = [...own].map(([instrument, { bias, noise }]) => {
    const known: LearnedBias = { ...bias, noise, zeroings: 0, meetings: 0 }
    return [instrument, known] as const
  })
  if (garage.tools.size === 0) return new Map(loose)
  const instruments = new Map<string, Instrument>()
  const meetings: Meeting[] = []
  for (const [tool, { entry, zeroings }] of garage.tools) {
    instruments.set(tool, entry.instrument)
    if (zeroings.length > 0)
      meetings.push({ isNew: true, readings: zeroings.map(({ reading }) => ({ tool, reading })) })
  }
  for (const [chain, readings] of garage.readings) {
    if (except?.has(chain)) continue
    for (const look of looksOf(readings))
      meetings.push({
        isNew: false,
        readings: look.flatMap(({ entry }) =>
          entry.tool === undefined ? [] : [{ tool: entry.tool, reading: entry.reading }],
        ),
      })
  }
  const learned = learnBiases(
    instruments,
    meetings,
    (instrument) => own.get(instrument)?.bias ?? INSTRUMENTS[instrument].bias,
  )
  return new Map([
    ...loose,
    ...[...learned].map(([tool, known]) => {
      const noise = own.get(instruments.get(tool) ?? 'rule')?.noise
      return [tool, noise === undefined ? known : { ...known, noise }] as const
    }),
  ])
}

/**
 * Whether all readings are of one tool that was never zeroed on a new chain and never met another: whether it reads high or
 * low nobody knows then.
 */
export function isUntestedAlone(
  used: readonly ReadingState[],
  biases: ReadonlyMap<ToolId, LearnedBias>,
): boolean {
  const [tool, ...others] = new Set(used.map(({ entry }) => entry.tool ?? entry.reading.instrument))
  if (tool === undefined || others.length > 0) return false
  const known = biases.get(tool)
  return !known || known.zeroings + known.meetings === 0
}

/** A reading of the log with its tool and what is known of that tool. */
export function takenReading(
  { entry }: ReadingState,
  biases: ReadonlyMap<ToolId, LearnedBias>,
): TakenReading {
  const known = biases.get(entry.tool ?? entry.reading.instrument)
  return {
    reading: entry.reading,
    ...(entry.tool !== undefined && { tool: entry.tool }),
    ...(known && { bias: { b: known.b, sb: known.sb } }),
    ...(known?.noise !== undefined && { noise: known.noise }),
  }
}

/** A reading of the log with its tool, what is known of that tool, and its place on the chain. */
export const placedReading = (
  state: ReadingState,
  biases: ReadonlyMap<ToolId, LearnedBias>,
): PlacedReading => ({
  ...takenReading(state, biases),
  ...(state.entry.linksFromJoint !== undefined && { place: state.entry.linksFromJoint }),
})
