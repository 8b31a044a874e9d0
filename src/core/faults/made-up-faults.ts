import {
  complaintAnswers,
  COMPLAINTS,
  searchWithout,
  viewOf,
  type AnyCause,
  type AnyFinding,
  type Complaint,
} from './finder.ts'
import { weigh, type Answers } from './infer.ts'
import type { Need } from './network.ts'
import { seededRandom, type Random } from '../stats/random.ts'

/** How a fault is looked for: by the finder, or down a fixed list. */
export type SearchWay = 'finder' | 'checklist'

/** What came of one made-up fault. */
export interface MadeUpFault {
  readonly truth: readonly AnyCause[]
  readonly first: AnyCause | undefined
  readonly isRight: boolean
  readonly tests: number
  readonly minutes: number
  readonly riding: number
}

/** What a mechanic goes through by habit: the chain, the teeth, the cable, the rest. */
const CHECKLIST: readonly AnyFinding[] = [
  'gauge',
  'hooked-teeth',
  'ring-teeth',
  'pulley-line',
  'barrel',
  'hanger',
  'cable',
  'limits',
  'links',
  'cage',
  'pulleys',
  'freehub-hold',
  'freehub-feel',
  'lockring',
  'b-gap',
  'length',
  'belongs',
  'teeth',
  'rust',
  'quiet-drop',
  'ring-lift',
  'laid-chain',
  'front-cage',
]

/** A bike with a derailleur, cables and two rings. */
const HAS: ReadonlySet<Need> = new Set(['derailleur', 'cable', 'two-rings'])
const MOST_TESTS = 6
/** Looked for until one cause is as likely as this. */
const SURE = 0.93

function draw(random: Random, chances: readonly number[]): number {
  let left = random.unit()
  for (const [i, p] of chances.entries()) {
    left -= p
    if (left < 0) return i
  }
  return chances.length - 1
}

/** A rider taps a complaint that is there so often, and answers so many of the other questions. */
const [TAPS, TOLD] = [0.85, 0.8]

/**
 * Draws faults from the network itself, has them answered with the network's own error rates, and looks for each: what the rider feels first,
 * then tests until one cause is likely enough or the tests are used up.
 */
export function* madeUpFaults(
  how: SearchWay,
  {
    count,
    seed,
    most = MOST_TESTS,
    sure = SURE,
  }: { readonly count: number; readonly seed: number; readonly most?: number; readonly sure?: number },
): Generator<MadeUpFault> {
  const search = searchWithout('shifting', HAS)
  const { ready, rates } = search
  const prior = weigh(ready, rates, {})
  for (let n = 0; n < count; n++) {
    // Each fault has a source of its own, so that both ways of looking meet the same faults.
    const random = seededRandom(seed + 7919 * n)
    const at = draw(random, prior)
    const truth = ready.sets[at] ?? []
    const drawn = Object.fromEntries(
      ready.findings.map((one) => {
        const { values } = ready.network.findings[one]
        return [one, values[draw(random, ready.chances[one][at] ?? [])]]
      }),
    ) as Record<AnyFinding, string>
    const told = ready.findings.filter((one) => {
      const { way } = ready.network.findings[one]
      const isTold = random.chance(TOLD)
      return way === 'feel' && !isComplaint(one) && isTold
    })
    const tapped = COMPLAINTS.filter((one) => random.chance(TAPS) && drawn[one] === 'yes')
    if (truth.length === 0) continue
    let answers: Answers<AnyFinding> = {
      ...complaintAnswers(tapped),
      ...Object.fromEntries(told.map((one) => [one, drawn[one]])),
    }
    let [tests, minutes, riding] = [0, 0, 0]
    for (;;) {
      const { ranking, next } = viewOf(search, answers)
      const [top] = ranking.causes
      if (tests >= most || (top && top.p >= sure)) break
      const test = how === 'finder' ? next[0]?.finding : CHECKLIST.find((one) => answers[one] === undefined)
      if (test === undefined) break
      answers = { ...answers, [test]: drawn[test] }
      tests++
      minutes += ready.network.findings[test].minutes
      if (ready.network.findings[test].way === 'ride') riding++
    }
    const first = viewOf(search, answers).ranking.causes[0]?.cause
    yield { truth, first, isRight: first !== undefined && truth.includes(first), tests, minutes, riding }
  }
}

const isComplaint = (one: AnyFinding): one is Complaint => COMPLAINTS.some((complaint) => complaint === one)
