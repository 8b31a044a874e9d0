import type { Garage } from '../../../core/log/garage.ts'
import type { WashStep } from '../../../core/session/wash-steps.ts'
import { namePart } from '../../../words/part-name.ts'
import type { PlannedBike } from './use-wash-plan.ts'

/** What tells a step from its like on a drawing: a letter for the chain, or the bike's name; '' where there is only one. */
export type StepTag = (step: Pick<WashStep, 'chain' | 'bike'>) => string

/** Letters for the chains of bikes that wash several; the bike's name for the rest where there are several bikes. */
export function stepTags(
  garage: Garage,
  bikes: readonly PlannedBike[],
): { readonly tagOf: StepTag; readonly legend: readonly string[] } {
  const lettered = bikes.flatMap(({ picked, report }) =>
    picked.length > 1 ? picked.map(({ id }) => ({ id, bike: report.bike.entry.bike })) : [],
  )
  const letterOf = new Map(lettered.map(({ id }, i) => [id, String.fromCharCode(65 + i)]))
  const nameOf = new Map(bikes.map(({ report: { bike } }) => [bike.entry.bike, bike.entry.name]))
  return {
    tagOf: ({ chain, bike }) =>
      (chain === undefined ? undefined : letterOf.get(chain)) ??
      (bike === undefined ? '' : (nameOf.get(bike) ?? '')),
    legend: lettered.map(({ id, bike }) => `${letterOf.get(id) ?? ''}: ${namePart(garage, id, bike)}`),
  }
}
