import { useMemo } from 'react'
import { gearMix, sprocketTeeth } from '../../core/exposure/gear-mix.ts'
import { USUAL_CIRCUMFERENCE_MM } from '../../core/exposure/ride-gears.ts'
import { gearBench, gearSetFault, type Bench, type GearSet } from '../../core/gearing/bench.ts'
import { chainstayOf } from '../../core/gearing/chain-fit.ts'
import { onHill, ownHill, powerByBreath, type HillAnswer, type OwnHill } from '../../core/gearing/hill.ts'
import { shiftedUse, usedGears, type ShiftedUse, type UsedGear } from '../../core/gearing/shifted-use.ts'
import { fittedChain } from '../../core/log/garage.ts'
import type { BikeEntry } from '../../core/log/kinds/bike.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import type { GearingEntry, WhatIf } from '../../core/log/kinds/gearing.ts'
import { useOpenLog } from '../../session/log-context.ts'
import type { JudgedBike } from '../../session/verdicts.ts'
import { useInTurn } from '../../ui/use-in-turn.ts'

/** A cadence that is comfortable, and one that is still so on a climb, until the rider says so. Ours. */
const [USUAL_RPM, SLOWEST_RPM] = [85, 60] as const
/** Where no ride tells of hills, and where nobody has said what the bike and its rider weigh. */
const [USUAL_HILL, USUAL_MASS_KG] = [8, 88] as const

/** A set of gears on the bench: the bike's own, or a what-if. */
export interface OnBench {
  readonly name: string
  readonly set: GearSet
  readonly isOwn: boolean
  readonly bench: Bench
  readonly hill: HillAnswer
  /** Of a what-if, where the rider's gears are known. */
  readonly shifted?: ShiftedUse
}

/** What the bike's gears are chosen by, with guesses in place of what nobody has said. */
export interface Rider {
  readonly circumferenceMm: number
  readonly isWheelGuessed: boolean
  readonly cadenceRpm: number
  readonly slowestRpm: number
  readonly powerW: number
  readonly isPowerGuessed: boolean
  readonly massKg: number
  readonly isMassGuessed: boolean
  readonly hillPercent: number
  readonly ownHill: OwnHill | undefined
  readonly isHillTyped: boolean
  readonly chainstayMm: number | undefined
  readonly isStayGuessed: boolean
}

/** What is known of rider, wheel and hill, and guesses for the rest. @param stayGuess the chainstay that the chain that is on was cut for */
function riderOf(
  entry: BikeEntry,
  kept: GearingEntry | undefined,
  hill: OwnHill | undefined,
  stayGuess: number | undefined,
): Rider {
  const massKg = entry.massKg ?? USUAL_MASS_KG
  return {
    circumferenceMm: entry.circumferenceMm ?? USUAL_CIRCUMFERENCE_MM,
    isWheelGuessed: entry.circumferenceMm === undefined,
    cadenceRpm: kept?.cadenceRpm ?? USUAL_RPM,
    slowestRpm: kept?.slowestRpm ?? SLOWEST_RPM,
    powerW: kept?.powerW ?? powerByBreath('steady', massKg),
    isPowerGuessed: kept?.powerW === undefined,
    massKg,
    isMassGuessed: entry.massKg === undefined,
    hillPercent: kept?.hillPercent ?? hill?.gradePercent ?? USUAL_HILL,
    ownHill: hill,
    isHillTyped: kept?.hillPercent !== undefined,
    chainstayMm: kept?.chainstayMm ?? stayGuess,
    isStayGuessed: kept?.chainstayMm === undefined,
  }
}

type GearingChange = Partial<Omit<GearingEntry, 'kind' | 'bike'>>
const NOTHING_KEPT: Pick<GearingEntry, 'whatIfs'> & Partial<GearingEntry> = { whatIfs: [] }

/** Everything that a bike's gears are chosen by, and the way to change it. */
export function useGearing({ report }: JudgedBike) {
  const { garage, now, record } = useOpenLog()
  const { bike } = report
  const id = bike.entry.bike
  const kept = garage.listed.gearing.get(id)?.at(-1)
  const own = useMemo(() => sprocketTeeth(garage, id), [garage, id])
  const hasGears = gearSetFault(own) === undefined
  const used = useMemo<readonly UsedGear[]>(
    () => (hasGears ? usedGears(gearMix(bike.rides, bike.entry, own).gears) : []),
    [bike, own, hasGears],
  )
  const mix = useMemo(() => gearMix(bike.rides, bike.entry, own), [bike, own])
  const hill = useMemo(() => ownHill(bike.rides), [bike])
  const chain = fittedChain(garage, id)?.entry.spec
  const links = chain?.type === 'chain' ? chain.links : undefined
  const hasDerailleur = own.cogs.length > 1
  const rider = useMemo(
    () =>
      riderOf(
        bike.entry,
        kept,
        hill,
        hasGears && links !== undefined ? chainstayOf(links, own, hasDerailleur) : undefined,
      ),
    [bike, kept, hill, links, own, hasGears, hasDerailleur],
  )
  const whatIfs = useMemo(() => kept?.whatIfs ?? [], [kept])
  const onBench = useMemo<readonly OnBench[]>(() => {
    const lay = (name: string, set: GearSet, isOwn: boolean): OnBench[] =>
      gearSetFault(set)
        ? []
        : [
            {
              name,
              set,
              isOwn,
              bench: gearBench(set, rider.circumferenceMm, rider.cadenceRpm),
              hill: onHill(
                set,
                rider.circumferenceMm,
                { ...rider, gradePercent: rider.hillPercent },
                rider.slowestRpm,
              ),
              ...(!isOwn && used.length > 0 && { shifted: shiftedUse(used, set, own) }),
            },
          ]
    return [...lay('as it is', own, true), ...whatIfs.flatMap(({ name, ...set }) => lay(name, set, false))]
  }, [own, whatIfs, rider, used])
  /** What is written down for a bike's gears, with something changed. */
  const draftWith = (next: GearingChange): EntryDraft => {
    const { id: _i, format: _f, action: _a, supersedes: _s, firstId: _o, ...before } = kept ?? NOTHING_KEPT
    return { ...before, ...next, kind: 'gearing', bike: id, at: now }
  }
  const change = useInTurn(async (next: GearingChange, said: string) => {
    await record([draftWith(next)], said)
  })
  return {
    garage,
    own,
    hasGears,
    hasDerailleur,
    used,
    toldShare: mix.toldShare,
    rider,
    whatIfs,
    onBench,
    links,
    known: bike.entry.fit ?? {},
    speeds: bike.entry.speeds,
    draftWith,
    change,
    setWhatIfs: (next: readonly WhatIf[], said: string) => change({ whatIfs: next }, said),
  }
}

export type GearingInHand = ReturnType<typeof useGearing>
