import type { Gathered } from '../../exposure/chain-story.ts'
import type { ToolId } from '../../log/entry.ts'
import type { Garage } from '../../log/garage.ts'
import { usualCandidates, type Candidate } from '../../measure/next-reading.ts'
import type { LearnedBias } from '../../measure/tool-bias.ts'
import type { NextLookQuestion } from '../../wear/next-look-value.ts'
import type { WearDistance } from '../../wear/part-grid.ts'
import { takenReading } from './chain-evidence.ts'
import type { ChainFacts } from './chain-facts.ts'

/** What could be read next: the rider's own tools in use, and one of every instrument in general. */
function candidatesFor(garage: Garage, limit: number, biases: ReadonlyMap<ToolId, LearnedBias>): Candidate[] {
  const usual = usualCandidates(limit)
  const own = [...garage.tools.values()].flatMap(({ entry }): Candidate[] => {
    const like = usual.find(({ instrument }) => instrument === entry.instrument)
    const known = biases.get(entry.tool)
    return like && known && !entry.retired
      ? [{ ...like, tool: entry.tool, bias: { b: known.b, sb: known.sb } }]
      : []
  })
  return [...own, ...usual]
}

/** Wear-distance as a question holds it: plain numbers, and nothing where there is nothing. */
const wearDistance = ({ wearKm, unsureWearKm }: Gathered): WearDistance => ({
  wearKm,
  ...(unsureWearKm > 0 && { unsureWearKm }),
})

/** What would another reading of a chain tell? The question, as plain data. */
export function nextLookQuestion(
  garage: Garage,
  { spec, story, used, looks }: ChainFacts,
  limit: number,
  biases: ReadonlyMap<ToolId, LearnedBias>,
): NextLookQuestion {
  const lookSize = looks.at(-1)?.length ?? 0
  const observations = used.map((state) => ({
    ...wearDistance(story.at(state.entry.at)),
    ...takenReading(state, biases),
  }))
  const look = used.slice(used.length - lookSize).map((state) => takenReading(state, biases))
  return {
    past: spec.past,
    earlier: observations.slice(0, observations.length - lookSize),
    look,
    now: wearDistance(story),
    limit,
    candidates: candidatesFor(garage, limit, biases),
  }
}
