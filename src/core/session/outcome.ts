import type { WashMethod } from '../log/kinds/wash.ts'
import type { Lube } from '../lube/lubes.ts'
import { WAYS } from '../lube/ways.ts'
import type { StepKind } from './step-kinds.ts'
import type { WashRun } from './run.ts'
import type { BikeWash } from './session-steps.ts'
import type { WashJob } from './wash-steps.ts'

/** What really became of a chain. */
export interface ChainOutcome {
  readonly chain: string
  /** `none` where it was not cleaned. */
  readonly method: WashMethod
  readonly lube?: Exclude<Lube, 'none'>
}

/** Steps by which a chain is cleaned. */
const CLEANING: readonly StepKind[] = [
  'wipe-chain',
  'degrease-chain',
  'bath-chain',
  'soak-chain',
  'soak-again',
  'soak-water',
  'ultrasonic',
]
const LUBING: readonly StepKind[] = ['drops', 'spray', 'dip']

/** What was done to each chain, by the steps that hands have finished; those to which nothing was done are left out. */
export function outcomeOf({ bike, job }: BikeWash, { steps, begun }: WashRun): readonly ChainOutcome[] {
  const { way, lube, chains } = job
  const isDone = (kinds: readonly StepKind[], chain: string): boolean =>
    steps.some(
      (step) =>
        kinds.includes(step.kind) &&
        begun[step.id]?.handsDoneMs !== undefined &&
        (step.bike === undefined || step.bike === bike) &&
        (step.chain === undefined || step.chain === chain),
    )
  return chains.flatMap(({ id }): ChainOutcome[] => {
    const isCleaned = isDone(CLEANING, id)
    const isLubed = isDone(LUBING, id)
    if (!isCleaned && !isLubed) return []
    // A wipe before drops cleans the outside, whatever the way is called.
    const method = !isCleaned ? 'none' : WAYS[way].method === 'none' ? 'wipe' : WAYS[way].method
    return [{ chain: id, method, ...(isLubed && { lube }) }]
  })
}

/** A chain whose old lubricant is gone and that got none: it is not to be ridden so. */
export const isLeftBare = ({ method, lube }: ChainOutcome): boolean =>
  lube === undefined && (method === 'on-bike' || method === 'off-bike')

/** Whether the chain that goes on the bike at the end was really fitted. */
export const wasFitted = ({ fits }: WashJob, { steps, begun }: WashRun): boolean =>
  steps.some(
    ({ id, kind, chain }) => kind === 'fit-chain' && chain === fits && begun[id]?.handsDoneMs !== undefined,
  )
