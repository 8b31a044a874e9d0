import {
  COMPLAINTS,
  complaintAnswers,
  movedBy,
  searchWithout,
  viewOf,
  type AnyFinding,
} from '../src/core/faults/finder.ts'
import type { Answers } from '../src/core/faults/infer.ts'
import { tapPeriod } from '../src/core/faults/tap-period.ts'
import { gearBench } from '../src/core/gearing/bench.ts'
import { shiftedUse } from '../src/core/gearing/shifted-use.ts'
import { madeUpFaults, type MadeUpFault, type SearchWay } from '../src/core/faults/made-up-faults.ts'

interface Timed {
  readonly median: number
  readonly worst: number
}

const ms = (value: number): string => `${value.toFixed(1)} ms`

/** What came of made-up faults, in a few figures. */
function tell(how: SearchWay, most: number, count = 500, seed = 2026): string {
  const all = [...madeUpFaults(how, { count, seed, most })]
  const mean = (of: (one: MadeUpFault) => number): number =>
    all.reduce((sum, one) => sum + of(one), 0) / all.length
  return `${(100 * mean(({ isRight }) => Number(isRight))).toFixed(1)} % right in ${mean(({ minutes }) => minutes).toFixed(1)} minutes and ${mean(({ tests }) => tests).toFixed(1)} tests`
}

/** Figures of the fault finder and of the bench of gears. */
export function faultFigures(time: (work: () => unknown) => Timed) {
  const search = searchWithout('shifting', new Set(['derailleur', 'cable', 'two-rings', 'disc']))
  const given: Answers<AnyFinding> = {
    ...complaintAnswers([COMPLAINTS[0]]),
    load: 'hard-only',
    cogs: 'small',
    'new-chain': 'yes',
    'ring-lift': 'little',
  }
  const ranked = time(() => viewOf(search, given))
  const { causes } = viewOf(search, given).ranking
  const moved = time(() =>
    (Object.keys(given) as AnyFinding[]).map((finding) => movedBy(search, given, finding, causes)),
  )
  const jerks = Array.from({ length: 12 }, (_, i) => 0.4 + i * 2.667)
  const turns = Array.from({ length: 33 }, (_, i) => i)
  const tapped = time(() => tapPeriod({ jerks, turns }, { links: 112, ring: 42, cog: 17, pulley: 11 }))
  const set = { rings: [34, 50], cogs: [11, 12, 13, 14, 15, 17, 19, 21, 24, 28, 32, 36] }
  const used = set.rings.flatMap((ring) => set.cogs.map((cog) => ({ ring, cog, share: 1 / 24 })))
  const geared = time(() => {
    gearBench(set, 2155, 85)
    return shiftedUse(used, { ...set, rings: [36, 52] }, set)
  })
  return [
    {
      what: 'a fault ranked again after an answer, and the next test found',
      median: ms(ranked.median),
      worst: ms(ranked.worst),
      goal: 'under 50 ms',
    },
    {
      what: 'what each of nine answers moved',
      median: ms(moved.median),
      worst: ms(moved.worst),
      goal: 'none set',
    },
    {
      what: 'what 12 jerks over 32 crank turns keep time with',
      median: ms(tapped.median),
      worst: ms(tapped.worst),
      goal: 'none set',
    },
    {
      what: 'a set of 24 gears laid out, and the riding shifted to another',
      median: ms(geared.median),
      worst: ms(geared.worst),
      goal: 'none set',
    },
    {
      what: '500 faults drawn from the network: the finder, six tests at most',
      median: tell('finder', 6),
      worst: `a fixed list: ${tell('checklist', 6)}; all of the list: ${tell('checklist', 30)}`,
      goal: '85 % right, in fewer minutes than a list',
    },
  ]
}
