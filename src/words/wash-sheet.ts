import type { IsoTime } from '../core/log/entry.ts'
import type { Lube } from '../core/lube/lubes.ts'
import type { PaperSheet } from '../core/paper/paper-sheet.ts'
import type { SessionPlan } from '../core/session/plan.ts'
import type { WashStep } from '../core/session/wash-steps.ts'
import { LUBE_NAMES } from './names.ts'
import { sayFullDay, sayList } from './numbers.ts'
import { sayHow, STEP_WORDS } from './step-words.ts'

/** A wash to be put on paper. */
export interface WashOnPaper {
  readonly bikes: readonly string[]
  readonly steps: readonly WashStep[]
  readonly plan: SessionPlan
  /** Which chain or bike a step is of; '' where there is only one. */
  readonly tagOf: (step: WashStep) => string
  /** What goes on at a step. */
  readonly lubeOf: (step: WashStep) => Lube
  readonly legend: readonly string[]
  /** How much lube, how many crank turns. */
  readonly amounts: string
  /** What to take care of. */
  readonly cares: readonly string[]
}

function sayStep(step: WashStep, { plan, tagOf, lubeOf }: WashOnPaper): string {
  const { name, wait } = STEP_WORDS[step.kind]
  const tag = tagOf(step)
  const what = [
    `Minute ${plan.start[step.id] ?? 0}: ${name}`,
    tag === '' ? '' : `, ${tag}`,
    step.kind === 'drops' ? `: ${LUBE_NAMES[lubeOf(step)]}` : '',
    `, ${step.handsMin} min`,
    wait && (step.waitMin ?? 0) > 0 ? `, then ${wait} for ${step.waitMin ?? 0} min` : '',
  ].join('')
  return `${what}. ${sayHow(step)}`
}

/** The plan of a wash for paper: its steps in the order in which they are begun, each with a box. */
export function washSheet(wash: WashOnPaper, now: IsoTime): PaperSheet {
  const { bikes, steps, plan, legend, amounts, cares } = wash
  const inOrder = [...steps].sort((a, b) => (plan.start[a.id] ?? 0) - (plan.start[b.id] ?? 0))
  return {
    title: `The wash of ${sayList(bikes)}`,
    about: [sayFullDay(now), `${plan.minutes} min`, ...legend].join(' \u00b7 '),
    sections: [
      { heading: 'Careful', lines: cares },
      { heading: 'How much', lines: amounts === '' ? [] : [amounts] },
      { heading: 'Steps', mark: 'box', lines: inOrder.map((step) => sayStep(step, wash)) },
    ],
    pictures: [],
    foot: 'Solvents and wax: fresh air, gloves, no flame, nothing down the drain. The makers’ instructions come before this sheet.',
  }
}
