import { evidenceLikelihood, type ToothEvidence } from './evidence.ts'
import { skipRisk } from './skip.ts'
import type { SprocketOutlook, TeethOutlook } from './teeth-outlook.ts'
import { TOOTH_WORDS } from './tooth-word.ts'

/** What could be found out next about a cog. */
export type NextTest = 'look' | 'tool' | 'ride'

const OUTCOMES: Readonly<Record<NextTest, readonly ToothEvidence[]>> = {
  look: TOOTH_WORDS.map((word) => ({ kind: 'look', word })),
  tool: [
    { kind: 'tool', result: 'pass' },
    { kind: 'tool', result: 'condemn' },
  ],
  ride: [
    { kind: 'ride', result: 'held', chain: 0 },
    { kind: 'ride', result: 'skipped', chain: 0 },
  ],
}

/** How likely one is wrong about a chance, saying the likelier. */
const wrongAt = (p: number): number => Math.min(p, 1 - p)

/** The chance to be wrong about whether a fresh chain skips on a cog: now, and after each test, on average over what it may say. */
export interface TestWorth {
  readonly now: number
  readonly after: Readonly<Record<NextTest, number>>
}

/** What each test would tell of a cog, by the draws of it as they are. */
export function testWorth(
  { worn, teeth }: Pick<SprocketOutlook, 'worn' | 'teeth'>,
  { shift, mm }: Pick<TeethOutlook, 'shift' | 'mm'>,
): TestWorth {
  const risks = Array.from(worn, (w, i) => skipRisk(w, 0, teeth, shift[i] ?? 0))
  const count = Math.max(1, risks.length)
  const now = risks.reduce((sum, risk) => sum + risk, 0) / count
  const after = (test: NextTest): number =>
    OUTCOMES[test].reduce((sum, outcome) => {
      let [mass, skips] = [0, 0]
      risks.forEach((risk, i) => {
        const likely = evidenceLikelihood(outcome, worn[i] ?? 0, teeth, {
          shift: shift[i] ?? 0,
          mmPerPercent: mm[i] ?? 1,
        })
        mass += likely
        skips += likely * risk
      })
      return mass > 0 ? sum + (mass / count) * wrongAt(skips / mass) : sum
    }, 0)
  return { now: wrongAt(now), after: { look: after('look'), tool: after('tool'), ride: after('ride') } }
}
