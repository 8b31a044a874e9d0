import { drawnMarks } from '../exposure/chain-story.ts'
import type { ChainFacts } from './facts/chain-facts.ts'
import { edgesOf, type MileStrip } from './mile-strip.ts'

/** One chain's own road, km from new on whatever bike: what is drawn of it, as of a bike's {@link MileStrip}. */
export function chainRoad(chain: ChainFacts): MileStrip {
  const { part, story, readings } = chain
  const rides = story.rides.map(({ ride }) => ride)
  const marks = drawnMarks(story, part.fittings)
  return {
    totalKm: story.km,
    rides,
    edges: edgesOf(rides),
    chains: [
      {
        chain,
        points: marks.map(({ km }, mark) => ({ km, mark, stretch: 0 })),
        readings: readings.map((state) => ({ state, km: story.at(state.entry.at).km })),
        turns: [{ from: 0, to: story.km }],
        drawn: marks.length,
      },
    ],
    lanes: [],
    chainLanes: [],
    washes: [],
    marks: [],
  }
}
