import { WASH_WAYS, type WashWay } from '../lube/wash-ways.ts'
import { WAYS } from '../lube/ways.ts'
import { withoutSteps } from './fit-time.ts'
import { planSession } from './plan.ts'
import { washSteps, type WashJob, type WashStep } from './wash-steps.ts'

/** Plenty for one chain and no frills: some 20 places are needed. */
const PLACES = 2000

type Given = Pick<WashJob, 'bike' | 'kit' | 'ownMin'>

/** A way of washing one chain with everything left out that may be. */
function leastSteps(given: Given, way: WashWay): readonly WashStep[] {
  const [lube = 'wet-lube'] = WAYS[way].lubes
  const steps = washSteps({ ...given, way, lube, chains: [{ id: 'chain', isOn: true }], fits: 'chain' })
  const out = new Set(steps.flatMap(({ id, worth }) => (worth === undefined ? [] : [id])))
  return withoutSteps(steps, out)
}

/**
 * The least minutes that each way of washing takes on one chain, everything left out that may be: the planner's own figure, so that
 * a way that is said to fit into the time does.
 */
export const leastMinutes = (given: Given): Readonly<Record<WashWay, number>> =>
  Object.fromEntries(
    WASH_WAYS.map((way) => [way, planSession({ tasks: leastSteps(given, way), mostPlaces: PLACES }).minutes]),
  ) as Record<WashWay, number>

/** The least minutes that hands are at it: what waits meanwhile is no work. */
export const leastHandsMin = (given: Given, way: WashWay): number =>
  leastSteps(given, way).reduce((sum, { handsMin }) => sum + handsMin, 0)
