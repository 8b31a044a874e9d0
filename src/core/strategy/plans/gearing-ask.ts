import type { ShiftedUse } from '../../gearing/shifted-use.ts'
import type { PlansAsk } from './plans-steps.ts'
import type { Plan } from './plans.ts'

/** Lives of each set of gears: enough for a cost to a few per cent, as both live through the same luck. */
const LIVES = 600

/**
 * The plan that a bike is on, asked for its gears as they are and for another set: the same lives, with the chain wearing as fast as the
 * shifted riding makes it, and the work on other cogs.
 * @param ask of the bike's plans
 * @param cogs of the other set, smallest first
 * @param isSameCassette its teeth are then as worn as they are; else as new
 */
export function gearingAsks(
  ask: PlansAsk,
  plan: Plan,
  shifted: ShiftedUse,
  cogs: readonly number[],
  isSameCassette: boolean,
): { readonly now: PlansAsk; readonly then: PlansAsk } {
  const { largerRing: _, ...base } = ask
  const now: PlansAsk = {
    ...base,
    plans: [plan],
    lives: LIVES,
    part: [0, LIVES],
    named: `gears ${JSON.stringify(plan)} ${ask.named}`,
  }
  const material = ask.cogs[0]?.material ?? 'steel'
  return {
    now,
    then: {
      ...now,
      named: `${shifted.chainWearTimes} ${cogs.map((cog) => `${cog} ${shifted.cogsAfter.get(cog) ?? 0}`).join(' ')} ${String(isSameCassette)} of ${now.named}`,
      wearTimes: (ask.wearTimes ?? 1) * shifted.chainWearTimes,
      cogs: cogs.map((teeth) => ({ teeth, share: shifted.cogsAfter.get(teeth) ?? 0, material })),
      soldSingly: cogs.map(() => false),
      worn: isSameCassette ? ask.worn : undefined,
    },
  }
}
