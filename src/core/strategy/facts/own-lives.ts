import type { Garage } from '../../log/garage.ts'
import type { LubeCheckEntry } from '../../log/kinds/lube-check.ts'
import { ownLives, tableShare, type LifeEvidence, type OwnLives } from '../../lube/learn.ts'
import { afterWash, type LubeState } from '../../lube/state.ts'
import { chainFacts } from './chain-facts.ts'

/** A check counts for nothing so soon after the last one of the same application: they are not independent, and one tap in doubt is taken for two. */
const APART_KM = 20

/** What a chain's checks tell of the lives of what was on it. */
function evidenceOf(garage: Garage, chain: string, checks: readonly LubeCheckEntry[]): LifeEvidence[] {
  const facts = chainFacts(garage, chain)
  if (!facts) return []
  const washes = garage.washes.get(chain) ?? []
  let lastKm = -Infinity
  return checks.flatMap(({ at, look }): LifeEvidence[] => {
    const { lube, since } = washes.filter((wash) => wash.at <= at).reduce<LubeState>(afterWash, { used: 0 })
    const { km } = facts.story.at(at)
    if (lube === undefined || lube === 'none' || since === undefined || km - lastKm < APART_KM) return []
    lastKm = km
    const used = facts.story.rides
      .filter((ride) => ride.at >= since && ride.at < at)
      .map(({ ride }) => tableShare(lube, ride))
    return [
      {
        lube,
        look,
        dryUsed: used.reduce((sum, one) => sum + one.dryUsed, 0),
        wetUsed: used.reduce((sum, one) => sum + one.wetUsed, 0),
      },
    ]
  })
}

const NONE = ownLives([])
const ofGarage = new WeakMap<Garage, OwnLives>()
let last = { named: '[]', lives: NONE }

/**
 * How long each lubricant lasts on this garage's chains, by all that was seen and heard of them. Worked out once for a garage, and
 * the very same answer for as long as the checks tell the same.
 */
export function livesOf(garage: Garage): OwnLives {
  const checks = garage.listed['lube-check']
  if (checks.size === 0) return NONE
  const held = ofGarage.get(garage)
  if (held) return held
  const evidence = [...checks].flatMap(([chain, list]) => evidenceOf(garage, chain, list))
  const named = JSON.stringify(evidence)
  if (named !== last.named) last = { named, lives: ownLives(evidence) }
  ofGarage.set(garage, last.lives)
  return last.lives
}
