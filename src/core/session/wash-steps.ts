import type { BikeId } from '../log/entry.ts'
import type { Lube } from '../lube/lubes.ts'
import type { KitTool, WashWay } from '../lube/wash-ways.ts'
import { WAYS } from '../lube/ways.ts'
import { STEP_TIMES, WORTH, type StepKind, type StepTime } from './step-kinds.ts'
import type { PlanTask } from './task.ts'

/** A step of a wash: what is done, to which chain. */
export interface WashStep extends PlanTask {
  readonly kind: StepKind
  /** The bike it is about, where there are several; absent for what they share. */
  readonly bike?: BikeId
  /** The chain it is about, where there are several. */
  readonly chain?: string
  /** It may be left out. */
  readonly worth?: number
  /** How many times as long as the same step on one chain: a batch takes longer. */
  readonly times: number
}

/** A chain that is washed. */
export interface WashChain {
  readonly id: string
  /** It is on the bike now, and goes back on. */
  readonly isOn: boolean
}

/** The bike that stands there. */
export interface WashBike {
  readonly hasDiscs: boolean
  readonly isElectric: boolean
}

/** What is to be done, on what, with what. */
export interface WashJob {
  readonly way: WashWay
  readonly lube: Exclude<Lube, 'none'>
  readonly bike: WashBike
  /** One at least. */
  readonly chains: readonly WashChain[]
  /** The chain that goes on the bike at the end; one of `chains`. */
  readonly fits: string
  readonly kit: readonly KitTool[]
  /** Hands' minutes that this rider was seen to take, by kind of step. */
  readonly ownMin?: Readonly<Partial<Record<StepKind, number>>>
}

type Needs = Omit<PlanTask, 'id' | 'handsMin' | 'waitMin'> & Partial<StepTime> & { readonly chain?: string }

/** Gathers steps; a step waits only for those that this wash has. */
function stepList({ ownMin = {} }: WashJob) {
  const steps: WashStep[] = []
  const idOf = (kind: StepKind, chain?: string): string => (chain === undefined ? kind : `${kind} ${chain}`)
  const add = (kind: StepKind, needs: Needs = {}): string => {
    const { chain, handsMin, waitMin, after = [], afterHands = [], ...rest } = needs
    const id = idOf(kind, chain)
    const has = (other: string): boolean => steps.some((step) => step.id === other)
    const usual = STEP_TIMES[kind]
    // A batch takes longer than one: what was seen of this rider is of one.
    const times = (handsMin ?? usual.handsMin) / usual.handsMin
    const worth = WORTH[kind]
    steps.push({
      id,
      kind,
      handsMin:
        ownMin[kind] === undefined
          ? (handsMin ?? usual.handsMin)
          : Math.max(1, Math.round(ownMin[kind] * times)),
      times,
      waitMin: waitMin ?? usual.waitMin,
      after: [...new Set(after)].filter(has),
      afterHands: [...new Set(afterHands)].filter(has),
      ...rest,
      ...(chain !== undefined && { chain }),
      ...(worth !== undefined && { worth }),
    })
    return id
  }
  return { steps, add }
}

type Adder = ReturnType<typeof stepList>['add']

/** What makes the bike safe to work on. @returns the steps that come before all others on the bike */
function makeReady(add: Adder, { way, bike, kit, lube }: WashJob): readonly string[] {
  const isWet = WAYS[way].isSolvent || way === 'spray'
  const ready = bike.isElectric ? [add('power-off')] : []
  if (way === 'spray' || (way === 'drip' && !kit.includes('stand'))) {
    if (bike.hasDiscs) ready.push(add('shield-rotors', { after: ready }))
    return ready
  }
  const stand = add(kit.includes('stand') ? 'onto-stand' : 'dummy-axle', { after: ready })
  ready.push(stand)
  if (bike.hasDiscs && (isWet || lube !== 'immersion-wax')) ready.push(add('shield-rotors', { after: ready }))
  return ready
}

/** Drops on the rollers, a wait, and a wipe. */
function addDrops(add: Adder, after: readonly string[]): string {
  const drops = add('drops', { after })
  return add('wipe-off', { after: [drops] })
}

/** Drying takes a quarter of an hour, or a few minutes with compressed air. */
const dryWait = ({ kit }: WashJob): number =>
  kit.includes('compressed-air') ? 3 : STEP_TIMES['dry-chain'].waitMin

/** The rest of the drivetrain and the bike, in the gaps: brushes before the rotors' own cloth. */
function addRest(add: Adder, job: WashJob, ready: readonly string[], lubed: readonly string[]): void {
  const { bike, way } = job
  const parts = [
    ...(way === 'full' ? [] : [add('clean-cassette', { after: ready })]),
    add('clean-pulleys', { after: ready }),
    add('clean-rings', { after: ready }),
    add('clean-frame', { after: ready }),
  ]
  if (bike.hasDiscs) add('rotors-alcohol', { after: [...parts, ...lubed] })
}

/** On the bike: brushed or in a clip-on bath, rinsed, dried, oiled. */
function onBike(add: Adder, job: WashJob): void {
  const ready = makeReady(add, job)
  const cleaned =
    job.way === 'wipe'
      ? add('wipe-chain', { after: ready })
      : add('rinse', { after: [add(job.way === 'bath' ? 'bath-chain' : 'degrease-chain', { after: ready })] })
  const dry = job.way === 'wipe' ? cleaned : add('dry-chain', { after: [cleaned], waitMin: dryWait(job) })
  const seen = [add('inspect', { after: [dry] }), add('measure', { after: [dry] })]
  const lubed = addDrops(add, [dry, ...seen])
  addRest(add, job, ready, [lubed])
  if (job.bike.isElectric) add('power-on', { after: [lubed, 'rotors-alcohol', 'clean-frame'] })
}

/** Only lubricated: drops or a spray, and wiped off. */
function onlyLube(add: Adder, job: WashJob): void {
  const ready = makeReady(add, job)
  const wiped = add('wipe-chain', { after: ready, handsMin: job.way === 'spray' ? 1 : 2 })
  const lubed =
    job.way === 'spray'
      ? add('wipe-off', { after: [add('spray', { after: [wiped] })], handsMin: 1 })
      : addDrops(add, [wiped])
  if (job.bike.isElectric) add('power-on', { after: [lubed] })
}

/** Everything off: chain and cassette in their baths, back on, oiled. */
function fullClean(add: Adder, job: WashJob): void {
  const ready = makeReady(add, job)
  const off = job.chains.map(({ id }) => add('chain-off', { chain: id, after: ready }))
  const cassette = add('cassette-off', { after: [add('wheel-off', { after: [...ready, ...off] })] })
  const bath = job.kit.includes('ultrasonic') ? 'ultrasonic' : 'soak-chain'
  const soaked = add(bath, { after: off, holds: ['bath'] })
  const cogs = add('soak-cassette', { after: [cassette], holds: ['bath'] })
  const brushed = add('clean-cassette', { after: [cogs] })
  const rinsed = add('rinse', { after: [soaked] })
  const dry = add('dry-chain', { after: [rinsed], waitMin: dryWait(job) })
  const seen = [add('inspect', { after: [dry] }), add('measure', { after: [dry] })]
  const wheel = add('wheel-on', { after: [add('cassette-on', { after: [brushed, cogs] })] })
  const fitted = add('fit-chain', { chain: job.fits, after: [dry, wheel, ...seen] })
  const lubed = addDrops(add, [fitted])
  addRest(add, job, [...ready, ...off], [lubed])
  if (job.bike.isElectric) add('power-on', { after: [lubed, 'rotors-alcohol', 'clean-frame'] })
}

/** Chains cleaned in hot water or solvent, dried, dipped one after another, hung, and one of them fitted. */
function wax(add: Adder, job: WashJob): void {
  const { chains, way } = job
  const many = chains.length
  const pot = add('pot-on')
  const water = way === 're-wax' ? [add('water-on')] : []
  const ready = makeReady(add, job)
  const off = chains.filter(({ isOn }) => isOn).map(({ id }) => add('chain-off', { chain: id, after: ready }))
  // With the chain off the cogs, rings and pulleys are bare: they are clean before a waxed chain touches them.
  addRest(add, job, [...ready, ...off], [])
  const batch = (kind: StepKind): { readonly handsMin: number } => ({
    handsMin: STEP_TIMES[kind].handsMin + (many - 1),
  })
  const soaked =
    way === 're-wax'
      ? add('soak-water', { after: [...off, ...water], ...batch('soak-water') })
      : add('soak-again', {
          after: [add('soak-chain', { after: off, ...batch('soak-chain') })],
          ...batch('soak-again'),
        })
  const dry = add('dry-chain', { after: [soaked], ...batch('dry-chain'), waitMin: dryWait(job) })
  const seen = [
    add('inspect', { after: [dry], handsMin: STEP_TIMES.inspect.handsMin * many }),
    add('measure', { after: [dry], handsMin: STEP_TIMES.measure.handsMin * many }),
  ]
  // The one that goes on the bike is dipped first: it hangs longest before it is needed.
  const inOrder = [...chains].sort((a, b) => Number(b.id === job.fits) - Number(a.id === job.fits))
  const lifted: string[] = []
  let fitted = ''
  let before: readonly string[] = []
  for (const { id } of inOrder) {
    const dipped = add('dip', { chain: id, after: [pot, dry, ...seen], afterHands: before, takes: ['pot'] })
    before = [dipped]
    const hung = add('lift', { chain: id, after: [dipped], frees: ['pot'] })
    lifted.push(hung)
    const free = add('free-links', { chain: id, after: [hung] })
    if (id === job.fits)
      fitted = add('fit-chain', {
        chain: id,
        after: [free, 'clean-pulleys', 'clean-cassette', 'clean-rings'],
      })
  }
  add('pot-off', { afterHands: lifted })
  if (job.bike.isElectric) add('power-on', { after: [fitted, 'rotors-alcohol', 'clean-frame'] })
}

/**
 * The steps of a wash, fitted to bike and kit, each with what comes before it. The times are of one chain, or of the whole batch.
 * @throws RangeError for no chain, or one to be fitted that is not washed
 */
export function washSteps(job: WashJob): readonly WashStep[] {
  if (!job.chains.some(({ id }) => id === job.fits))
    throw new RangeError('The chain that goes on the bike is not among those that are washed.')
  const { steps, add } = stepList(job)
  switch (job.way) {
    case 'wipe':
    case 'degrease':
    case 'bath':
      onBike(add, job)
      break
    case 'drip':
    case 'drip-wax':
    case 'spray':
      onlyLube(add, job)
      break
    case 'full':
      fullClean(add, job)
      break
    case 're-wax':
    case 'strip-wax':
      wax(add, job)
      break
  }
  return steps
}
