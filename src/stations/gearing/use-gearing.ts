import { useMemo, useState } from 'react'
import { gearMix, sprocketTeeth } from '../../core/exposure/gear-mix.ts'
import { gearBench, gearSetFault, type Bench, type GearSet } from '../../core/gearing/bench.ts'
import { chainstayOf } from '../../core/gearing/chain-fit.ts'
import { onHill, ownHill, type HillAnswer } from '../../core/gearing/hill.ts'
import {
  shiftedUse,
  usedGears,
  usedOn,
  type ShiftedUse,
  type UsedGear,
} from '../../core/gearing/shifted-use.ts'
import { fittedChain } from '../../core/log/garage.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import type { GearingEntry, WhatIf } from '../../core/log/kinds/gearing.ts'
import { useOpenLog } from '../../session/log-context.ts'
import type { JudgedBike } from '../../session/verdicts.ts'
import { useInTurn } from '../../ui/use-in-turn.ts'
import { riderOf, type Rider, type RiderMoves } from './rider.ts'
import { words } from '../../words/stations/gearing/use-gearing.ts'

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

/** Those of the moved figures that belong to the bike, and those that belong to its gears. */
function bikeMoves({ massKg, circumferenceMm }: RiderMoves): Pick<RiderMoves, 'massKg' | 'circumferenceMm'> {
  return {
    ...(massKg !== undefined && { massKg }),
    ...(circumferenceMm !== undefined && { circumferenceMm }),
  }
}
function gearingMoves(moved: RiderMoves): Omit<RiderMoves, 'massKg' | 'circumferenceMm'> {
  const { massKg: _mass, circumferenceMm: _wheel, ...rest } = moved
  return rest
}

type GearingChange = Partial<Omit<GearingEntry, 'kind' | 'bike'>>
const NOTHING_KEPT: Pick<GearingEntry, 'whatIfs'> & Partial<GearingEntry> = { whatIfs: [] }

/** The bike's own gears and every what-if, those that cannot be left out. */
function layOnBench(
  own: GearSet,
  whatIfs: readonly WhatIf[],
  rider: Rider,
  used: readonly UsedGear[],
): readonly OnBench[] {
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
  return [...lay(words.asItIs, own, true), ...whatIfs.flatMap(({ name, ...set }) => lay(name, set, false))]
}

/** Everything that a bike's gears are chosen by, and the way to change it. */
export function useGearing({ report }: JudgedBike) {
  const { garage, now, record } = useOpenLog()
  const { bike } = report
  const id = bike.entry.bike
  const kept = garage.listed.gearing.get(id)?.at(-1)
  const own = useMemo(() => sprocketTeeth(garage, id), [garage, id])
  const hasGears = gearSetFault(own) === undefined
  const mix = useMemo(() => gearMix(bike.rides, bike.entry, own), [bike, own])
  const used = useMemo<readonly UsedGear[]>(
    () => (hasGears ? usedOn(own, usedGears(mix.gears)) : []),
    [mix, own, hasGears],
  )
  const hill = useMemo(() => ownHill(bike.rides), [bike])
  const chain = fittedChain(garage, id)?.entry.spec
  const links = chain?.type === 'chain' ? chain.links : undefined
  const hasDerailleur = own.cogs.length > 1
  const [moved, setMoved] = useState<RiderMoves>({})
  const rider = useMemo(
    () =>
      riderOf(
        { ...bike.entry, ...bikeMoves(moved) },
        { ...(kept ?? NOTHING_KEPT), ...gearingMoves(moved) },
        hill,
        hasGears && links !== undefined ? chainstayOf(links, own, hasDerailleur) : undefined,
      ),
    [bike, kept, hill, links, own, hasGears, hasDerailleur, moved],
  )
  const whatIfs = useMemo(() => kept?.whatIfs ?? [], [kept])
  const onBench = useMemo(() => layOnBench(own, whatIfs, rider, used), [own, whatIfs, rider, used])
  /** What is written down for a bike's gears, with something changed. */
  const draftWith = (next: GearingChange): EntryDraft => {
    const { id: _i, format: _f, action: _a, supersedes: _s, firstId: _o, ...before } = kept ?? NOTHING_KEPT
    return { ...before, ...next, kind: 'gearing', bike: id, at: now }
  }
  const change = useInTurn(async (next: GearingChange, said: string) => {
    await record([draftWith(next)], said)
  })
  /** Keeps the figures that were moved: the bike's own with the bike. */
  const keepMoved = useInTurn(async () => {
    const { id: superseded, action: _action, ...held } = bike.entry
    const [ofBike, ofGears] = [bikeMoves(moved), gearingMoves(moved)]
    await record(
      [
        ...(Object.keys(ofGears).length > 0 ? [draftWith(ofGears)] : []),
        ...(Object.keys(ofBike).length > 0 ? [{ ...held, ...ofBike, supersedes: superseded }] : []),
      ],
      words.figuresKept(bike.entry.name),
    )
    setMoved({})
  })
  return {
    move: (next: RiderMoves) => setMoved((before) => ({ ...before, ...next })),
    hasMoved: Object.keys(moved).length > 0,
    keepMoved,
    dropMoved: () => setMoved({}),
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
    setWhatIfs: (next: readonly WhatIf[], said: string) => change({ whatIfs: next }, said),
  }
}

export type GearingInHand = ReturnType<typeof useGearing>
