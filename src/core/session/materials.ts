import { crankTurnsPerChain } from '../gearing/ratio.ts'
import type { StepKind } from './step-kinds.ts'
import type { WashStep } from './wash-steps.ts'

/** A drop of oil, ml (methods 7). */
const DROP_ML = 0.035

/** What is laid out before the first step. The words for it are the screen's. */
export const MATERIALS = [
  'rag',
  'rotor-cloth',
  'alcohol',
  'gloves',
  'degreaser',
  'solvent-jar',
  'brush',
  'soap-water',
  'water-pot',
  'wax-pot',
  'wax',
  'hook',
  'bar',
  'link-pliers',
  'joining-link',
  'lube',
  'chain-bath',
  'cassette-tools',
  'ultrasonic',
  'shields',
  'gauge',
] as const
export type Material = (typeof MATERIALS)[number]

/** What each step needs. */
const NEEDS: Readonly<Partial<Record<StepKind, readonly Material[]>>> = {
  'shield-rotors': ['shields'],
  'water-on': ['water-pot'],
  'pot-on': ['wax-pot', 'wax'],
  'chain-off': ['link-pliers'],
  'cassette-off': ['cassette-tools'],
  'wipe-chain': ['rag', 'gloves'],
  'degrease-chain': ['degreaser', 'brush', 'gloves'],
  'bath-chain': ['chain-bath', 'degreaser', 'gloves'],
  'soak-chain': ['solvent-jar', 'gloves'],
  'soak-again': ['solvent-jar'],
  ultrasonic: ['ultrasonic'],
  rinse: ['soap-water'],
  'dry-chain': ['rag'],
  measure: ['gauge'],
  dip: ['hook'],
  lift: ['hook'],
  'free-links': ['bar'],
  drops: ['lube'],
  spray: ['lube'],
  'wipe-off': ['rag'],
  'fit-chain': ['link-pliers', 'joining-link'],
  'clean-cassette': ['brush'],
  'clean-pulleys': ['rag'],
  'clean-frame': ['soap-water'],
  'rotors-alcohol': ['alcohol', 'rotor-cloth'],
}

/** What the steps need, each once, in the order of `MATERIALS`. */
export const materialsOf = (steps: readonly Pick<WashStep, 'kind'>[]): readonly Material[] =>
  MATERIALS.filter((material) => steps.some(({ kind }) => NEEDS[kind]?.includes(material)))

/** How much lubricant goes on a chain, and how far once round is (methods 7). */
export interface LubeAmounts {
  /** One a roller. */
  readonly drops: number
  readonly ml: number
  readonly crankTurns: number
}

/**
 * @param links of the chain, 1 or more
 * @param ringTeeth of the ring that it runs on
 */
export const lubeAmounts = (links: number, ringTeeth: number): LubeAmounts => ({
  drops: links,
  ml: links * DROP_ML,
  crankTurns: crankTurnsPerChain(links, ringTeeth),
})
