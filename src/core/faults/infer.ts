import { chancesOf, type Finding, type Need, type Network, type Way } from './network.ts'

/**
 * What is known of a finding: a value; several, where answers contradict one another; or how strongly each value is spoken for,
 * beside how often it is found as a rule (virtual evidence, as in Pearl 1988, 2.2.4).
 */
export type Answer = string | readonly string[] | { readonly [value: string]: number }

/** What was answered; a finding that is missing is not known. */
export type Answers<F extends string = string> = { readonly [K in F]?: Answer }

/** How likely each cause is, by itself: several may be true, so they need not sum to 1. */
export interface Ranking<C extends string = string> {
  /** The likeliest first. */
  readonly causes: readonly { readonly cause: C; readonly p: number }[]
  /** That it is none of them. */
  readonly elsewhere: number
  /** How much is open, in bits: 0 where one answer is sure. */
  readonly bits: number
}

/** A test that has not been made, and what it is expected to tell. */
export interface NextTest<F extends string = string> {
  readonly finding: F
  /** Bits it takes off what is open, on average. */
  readonly gain: number
  /** Those per minute, weighed by danger: what tests are ordered by. */
  readonly worth: number
}

/** So many causes at once are thought of at most: more is not told apart by anybody. */
const MOST_AT_ONCE = 3

/** One complaint has one cause as a rule: each further cause is so much less likely than by itself. Ours, a judgement. */
const FURTHER = 0.2

/** That it is something else altogether, before anything is known. Ours, a judgement. */
export const ELSEWHERE = 0.04

/** A minute counts for so many where something turns or one rides: fingers, and falls. Ours, a judgement. */
const DANGER: Readonly<Record<Way, number>> = { feel: 1, eye: 1, hand: 1.1, 'wheel-up': 1.4, ride: 5 }

/** Every test takes so long besides, minutes: one has to get there, and to look twice. Ours. */
const BESIDES_MIN = 1

/** A network made ready for one bike: what it cannot have is left out. */
export interface Ready<C extends string, F extends string> {
  readonly network: Network<C, F>
  readonly causes: readonly C[]
  readonly findings: readonly F[]
  /** Every set of causes that may be true at once, the empty one first. */
  readonly sets: readonly (readonly C[])[]
  /** By finding: the chance of each value in each set. */
  readonly chances: { readonly [K in F]: readonly (readonly number[])[] }
  /** By finding: the bits that are open on it in each set. */
  readonly bits: { readonly [K in F]: readonly number[] }
}

function setsOf<C>(causes: readonly C[]): (readonly C[])[] {
  const sets: (readonly C[])[] = [[]]
  for (const cause of causes)
    for (const set of [...sets]) if (set.length < MOST_AT_ONCE) sets.push([...set, cause])
  return sets
}

/**
 * The chances of a finding in each set. Only the causes that have a word on it matter, so most sets share an answer with others: each
 * is worked out once.
 */
function chancesBySet<C extends string>(
  finding: Finding<C>,
  sets: readonly (readonly C[])[],
): readonly (readonly number[])[] {
  const known = new Map<string, readonly number[]>()
  return sets.map((set) => {
    const speaking = set.filter((cause) => finding.rows[cause] !== undefined)
    const key = speaking.join()
    const kept = known.get(key)
    if (kept) return kept
    const made = chancesOf(finding, speaking)
    known.set(key, made)
    return made
  })
}

/** Makes a network ready for a bike that has these things. */
export function readyFor<C extends string, F extends string>(
  network: Network<C, F>,
  has: ReadonlySet<Need>,
): Ready<C, F> {
  const isFor = ({ needs }: { readonly needs?: Need }): boolean => needs === undefined || has.has(needs)
  const causes = (Object.keys(network.causes) as C[]).filter((cause) => isFor(network.causes[cause]))
  const findings = (Object.keys(network.findings) as F[]).filter((one) => isFor(network.findings[one]))
  const sets = setsOf(causes)
  const chances = Object.fromEntries(
    findings.map((one) => [one, chancesBySet(network.findings[one], sets)]),
  ) as unknown as Ready<C, F>['chances']
  const bits = Object.fromEntries(findings.map((one) => [one, chances[one].map(bitsOf)])) as unknown as Ready<
    C,
    F
  >['bits']
  return { network, causes, findings, sets, chances, bits }
}

/** The weights of the sets before any answer: one cause at least is true, but for what is elsewhere; a further one is rare. */
function priorWeights<C extends string, F extends string>(
  { sets }: Ready<C, F>,
  rates: Readonly<Record<C, number>>,
): number[] {
  const weights = sets.map((set) =>
    set.reduce((p, cause, i) => (p * (i > 0 ? FURTHER : 1) * rates[cause]) / (1 - rates[cause]), 1),
  )
  const some = weights.reduce((sum, one, i) => (i === 0 ? 0 : sum + one), 0)
  return weights.map((one, i) => (i === 0 ? ELSEWHERE : ((1 - ELSEWHERE) * one) / some))
}

function strengthOf(said: Answer, value: string): number {
  if (typeof said === 'string') return said === value ? 1 : 0
  if (isList(said)) return said.includes(value) ? 1 : 0
  return said[value] ?? 0
}

/** Arrays are objects too: this tells the two apart for the compiler. */
const isList = (said: Answer): said is readonly string[] => Array.isArray(said)

/** The chance of what was answered, from the chance of each value; of several, or of weighed ones, the sum. */
export const chanceOfAnswer = (values: readonly string[], chances: readonly number[], said: Answer): number =>
  values.reduce((sum, value, i) => sum + strengthOf(said, value) * (chances[i] ?? 0), 0)

/**
 * The weights of the sets after the answers. Of a finding with several answers at once, each may be so: they count for as much as the
 * sum of their chances. An answer that nothing explains leaves the weights as they are.
 * @param rates of each cause on this bike, over 0 and under 1
 */
export function weigh<C extends string, F extends string>(
  ready: Ready<C, F>,
  rates: Readonly<Record<C, number>>,
  answers: Answers<F>,
): readonly number[] {
  let weights = priorWeights(ready, rates)
  for (const finding of ready.findings) {
    const said = answers[finding]
    if (said === undefined) continue
    const { values } = ready.network.findings[finding]
    const next = weights.map((w, i) => w * chanceOfAnswer(values, ready.chances[finding][i] ?? [], said))
    const total = next.reduce((sum, one) => sum + one, 0)
    if (total > 0) weights = next.map((one) => one / total)
  }
  return weights
}

const bitsOf = (weights: readonly number[]): number =>
  weights.reduce((sum, p) => (p > 0 ? sum - p * Math.log2(p) : sum), 0)

/** The ranking that weights come to. */
export function rankingOf<C extends string, F extends string>(
  { causes, sets }: Ready<C, F>,
  weights: readonly number[],
): Ranking<C> {
  const p = new Map(causes.map((cause) => [cause, 0]))
  sets.forEach((set, i) => {
    for (const cause of set) p.set(cause, (p.get(cause) ?? 0) + (weights[i] ?? 0))
  })
  return {
    causes: [...p].map(([cause, chance]) => ({ cause, p: chance })).sort((a, b) => b.p - a.p),
    elsewhere: weights[0] ?? 0,
    bits: bitsOf(weights),
  }
}

/**
 * The bits that a finding takes off the question which cause is behind it, on average: its mutual information with the causes, each by
 * itself, as `H(value) - H(value | cause)`; 0 or more. A further cause that may be there too is not what a test is chosen for.
 */
function gainOf<C extends string, F extends string>(
  { sets, chances, bits }: Ready<C, F>,
  shares: ReadonlyMap<C | undefined, number>,
  finding: F,
): number {
  const p: number[] = []
  let conditional = 0
  sets.forEach((set, i) => {
    if (set.length > 1) return
    const share = shares.get(set[0]) ?? 0
    conditional += share * (bits[finding][i] ?? 0)
    chances[finding][i]?.forEach((q, v) => (p[v] = (p[v] ?? 0) + share * q))
  })
  return Math.max(0, bitsOf(p) - conditional)
}

/** What each cause is worth as the answer: its chance, and that it is none of them, so that all sum to 1. */
function sharesOf<C extends string>({ causes, elsewhere }: Ranking<C>): ReadonlyMap<C | undefined, number> {
  const total = causes.reduce((sum, { p }) => sum + p, elsewhere)
  return new Map<C | undefined, number>([
    [undefined, elsewhere / total],
    ...causes.map(({ cause, p }): [C, number] => [cause, p / total]),
  ])
}

/**
 * The tests that are left, by what they tell per minute, weighed by danger; what is felt while riding is asked, not tested.
 * @param isBarred a test that may not be offered at all: riding, where the drivetrain may skip
 */
export function testsLeft<C extends string, F extends string>(
  ready: Ready<C, F>,
  ranking: Ranking<C>,
  answers: Answers<F>,
  isBarred: (finding: F, way: Way) => boolean,
): readonly NextTest<F>[] {
  const { network, findings } = ready
  const shares = sharesOf(ranking)
  return findings
    .filter((one) => {
      const { way } = network.findings[one]
      return way !== 'feel' && answers[one] === undefined && !isBarred(one, way)
    })
    .map((finding): NextTest<F> => {
      const { way, minutes } = network.findings[finding]
      const gain = gainOf(ready, shares, finding)
      return { finding, gain, worth: gain / ((minutes + BESIDES_MIN) * DANGER[way]) }
    })
    .sort((a, b) => b.worth - a.worth)
}
