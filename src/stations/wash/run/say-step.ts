import type { Garage } from '../../../core/log/garage.ts'
import type { WashStep } from '../../../core/session/wash-steps.ts'
import { namePart } from '../../../words/part-name.ts'
import { sayList } from '../../../words/numbers.ts'
import { STEP_WORDS } from '../../../words/step-words.ts'
import type { KeptRun } from './kept-run.ts'
import { words } from '../../../words/stations/wash/run/say-step.ts'

type Washes = KeptRun['washes']

const bikeName = (garage: Garage, bike: string): string =>
  garage.bikes.get(bike)?.entry.name ?? words.aBikeNotInTheLog

/** The bikes of a wash: "Quarry", "Quarry and Heron". */
export const sayBikes = (garage: Garage, washes: Washes): string =>
  sayList(washes.map(({ bike }) => bikeName(garage, bike)))

/** What a step is done to, where that could be in doubt: a chain, or a bike; '' where it could not. */
export function stepSubject(garage: Garage, washes: Washes, { chain, bike }: WashStep): string {
  const wash = washes.find((one) => one.bike === bike) ?? washes[0]
  if (chain !== undefined && (wash?.job.chains.length ?? 0) > 1) return namePart(garage, chain, wash?.bike)
  return bike === undefined ? '' : bikeName(garage, bike)
}

/** A step by name, with what it is done to: "Chain off, Chain B2", "Shield the rotors, Heron". */
export function sayStep(garage: Garage, washes: Washes, step: WashStep): string {
  const subject = stepSubject(garage, washes, step)
  return subject === '' ? STEP_WORDS[step.kind].name : `${STEP_WORDS[step.kind].name}, ${subject}`
}
