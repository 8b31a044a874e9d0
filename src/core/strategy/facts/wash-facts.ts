import { isWet, quarterOf } from '../../exposure/conditions.ts'
import { mixByQuarter } from '../../exposure/road-ahead.ts'
import type { IsoTime, PartId } from '../../log/entry.ts'
import { chainsOfSet, type Garage } from '../../log/garage.ts'
import type { BikeEntry } from '../../log/kinds/bike.ts'
import type { Lube } from '../../lube/lubes.ts'
import { USUAL_KIT, type WashWants } from '../../lube/suggest.ts'
import { KIT_TOOLS, type KitTool } from '../../lube/wash-ways.ts'
import { leastMinutes } from '../../session/least-minutes.ts'
import type { WashBike } from '../../session/wash-steps.ts'
import { daysBetween } from '../../units/days.ts'
import type { ChainLook } from '../../lube/chain-looks.ts'
import { STEP_KINDS, STEP_TIMES, type StepKind } from '../../session/step-kinds.ts'
import type { BikeReport } from './bike-report.ts'
import { chainFacts } from './chain-facts.ts'
import { lubeFacts, type LubeFacts } from './lube.ts'
import { livesOf } from './own-lives.ts'

/** A chain that may be washed with this bike: the one that is on, and those that have run on it and are kept. */
export interface WashableChain {
  readonly id: PartId
  readonly links: number
  readonly isOn: boolean
  /** What is on it; undefined where that is not known. */
  readonly lube: Lube | undefined
  /** Absent where what is on it is not known. */
  readonly facts?: LubeFacts
  readonly km: number
}

/** What a wash of a bike is planned from, short of what is asked at the stand. */
export interface WashFacts {
  readonly chains: readonly WashableChain[]
  readonly wants: Omit<WashWants, 'minutes'>
  /** What there is to wash with was not entered. */
  readonly isKitGuessed: boolean
  readonly bike: WashBike
  /** Dips in the wax that is in the pot; absent where nobody noted when it was fresh. */
  readonly wax?: { readonly since: IsoTime; readonly dips: number }
  /** Hands' minutes of this rider's own sessions, by kind of step. */
  readonly ownMin: Readonly<Partial<Record<StepKind, number>>>
}

/** Our guess counts for as much as so many of the rider's own times. */
const GUESS_WEIGHT = 2

/** What steps took in the sessions that were run, drawn toward the guess while they are few. */
export function ownStepMinutes(garage: Garage): WashFacts['ownMin'] {
  const sessions = [...garage.listed.session.values()].flat()
  return Object.fromEntries(
    STEP_KINDS.flatMap((kind): [StepKind, number][] => {
      const seen = sessions.flatMap(({ stepMin }) => stepMin[kind] ?? [])
      if (seen.length === 0) return []
      const sum = seen.reduce((all, one) => all + one, GUESS_WEIGHT * STEP_TIMES[kind].handsMin)
      return [[kind, Math.max(1, Math.round(sum / (seen.length + GUESS_WEIGHT)))]]
    }),
  )
}

/** A garage that has waxed in a pot has one. */
function kitGuess(garage: Garage): readonly KitTool[] {
  const hasWaxed = [...garage.washes.values()].some((list) =>
    list.some(({ lube }) => lube === 'immersion-wax'),
  )
  return KIT_TOOLS.filter((tool) => USUAL_KIT.includes(tool) || (tool === 'pot' && hasWaxed))
}

const waxOf = (garage: Garage, since: IsoTime): NonNullable<WashFacts['wax']> => ({
  since,
  dips: [...garage.washes.values()].flat().filter(({ lube, at }) => lube === 'immersion-wax' && at >= since)
    .length,
})

function washable(garage: Garage, { bike, now, chain }: BikeReport): readonly WashableChain[] {
  return chainsOfSet(garage, bike.entry.bike)
    .flatMap((part): WashableChain[] => {
      const facts = chainFacts(garage, part.entry.part)
      if (!facts) return []
      const isOn = part.entry.part === chain?.part.entry.part
      // What is not on the bike hangs on a hook indoors, wherever the bike stands.
      const lube = lubeFacts(bike, facts.story, now, livesOf(garage), isOn ? bike.entry.storage : 'indoors')
      return [
        {
          id: part.entry.part,
          links: facts.spec.links,
          isOn,
          lube: lube?.lube,
          km: facts.story.km,
          ...(lube && { facts: lube }),
        },
      ]
    })
    .sort((a, b) => Number(b.isOn) - Number(a.isOn))
}

/** How a chain looked and sounded, where that was tapped within half a day and nothing was done about it since. */
function lookNow(garage: Garage, chain: PartId, now: IsoTime): ChainLook | undefined {
  const last = garage.listed['lube-check'].get(chain)?.at(-1)
  const washed = garage.washes.get(chain)?.at(-1)
  if (!last || daysBetween(last.at, now) > 0.5 || (washed && washed.at > last.at)) return undefined
  return last.look
}

/** A bike as it stands there. */
export const washBikeOf = ({ brakes, motor }: BikeEntry): WashBike => ({
  // Most bikes of today: and shielding a rotor that is not there is soon left out.
  hasDiscs: brakes !== 'rim',
  isElectric: motor !== 'none',
})

/** Everything that the log says toward a wash of a bike. */
export function washFacts(garage: Garage, report: BikeReport): WashFacts {
  const { bike, now, chain } = report
  const kit = garage.listed.kit.get('kit')?.at(-1)
  const mix = mixByQuarter(bike, now)[quarterOf(now)]
  const allKm = mix.reduce((sum, { km }) => sum + km, 0)
  const shareOf = (isOne: (road: (typeof mix)[number]) => boolean): number =>
    allKm > 0 ? mix.filter(isOne).reduce((sum, { km }) => sum + km, 0) / allKm : 0
  const tools = kit?.tools ?? kitGuess(garage)
  const ownMin = ownStepMinutes(garage)
  const stands = washBikeOf(bike.entry)
  return {
    chains: washable(garage, report),
    wants: {
      on: chain?.lube?.lube,
      clock: chain?.lube?.clock,
      look: chain && lookNow(garage, chain.part.entry.part, now),
      wetShare: shareOf(({ condition }) => isWet(condition)),
      dustShare: shareOf(({ condition }) => condition === 'dry-gravel'),
      leastMin: leastMinutes({ bike: stands, kit: tools, ownMin }),
      kit: tools,
      noSolvent: kit?.noSolvent ?? false,
      school: kit?.school,
    },
    isKitGuessed: kit === undefined,
    bike: stands,
    ownMin,
    ...(kit?.waxSince !== undefined && { wax: waxOf(garage, kit.waxSince) }),
  }
}
