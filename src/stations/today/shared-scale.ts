import type { JudgedBike } from '../../session/verdicts.ts'
import type { SharedScale } from '../../ui/road/SmallRoad.tsx'

const [LEAST_AHEAD_KM, MOST_AHEAD_KM] = [400, 3000]
const LEAST_BACK_KM = 200
const [LEAST_TOP, MOST_TOP] = [0.75, 1.3]

/** One scale for all bikes, so that what is nearer on the screen is nearer on the road. */
export function sharedScale(bikes: readonly JudgedBike[]): SharedScale {
  const worked = bikes.flatMap(({ report, answer, verdict }) =>
    report.chain && answer && verdict ? [{ chain: report.chain, limit: report.limit, answer, verdict }] : [],
  )
  const furthest = worked.flatMap(({ answer, verdict }) => [
    answer.toLimitKm.p50,
    verdict.look?.inKm ?? 0,
    verdict.lube?.inKm ?? 0,
  ])
  const aheadKm = Math.min(MOST_AHEAD_KM, 1.2 * Math.max(LEAST_AHEAD_KM, ...furthest))
  const behind = worked.map(({ chain }) => chain.story.km)
  const highest = Math.max(
    0,
    ...worked.flatMap(({ limit, answer }) => [limit.percent + 0.15, answer.now.p95]),
  )
  return {
    aheadKm,
    backKm: Math.min(aheadKm, 1.03 * Math.max(LEAST_BACK_KM, ...behind)),
    topPercent: Math.min(MOST_TOP, Math.max(LEAST_TOP, highest)),
  }
}
