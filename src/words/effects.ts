import type { Garage } from '../core/log/garage.ts'
import type { Effect } from '../core/strategy/effects.ts'
import type { Units } from '../core/units/units.ts'
import { sayCount, sayKm } from './numbers.ts'
import { namePart } from './part-name.ts'

/** One effect of a change, in a sentence. */
export function sayEffect(effect: Effect, garage: Garage, units: Units): string {
  const part = (id: string) => namePart(garage, id)
  const bike = (id: string) => garage.bikes.get(id)?.entry.name ?? 'a bike'
  const from = (before: number, after: number) => `from ${sayKm(before, units)} to ${sayKm(after, units)}`
  switch (effect.what) {
    case 'moves':
      return `This moves ${sayKm(effect.km, units)} from ${part(effect.from)} to ${part(effect.to)}.`
    case 'part-km':
      return `${part(effect.part)} goes ${from(effect.before, effect.after)}.`
    case 'bike-km':
      return `${bike(effect.bike)} goes ${from(effect.before, effect.after)}.`
    case 'wear-km':
      return `${part(effect.part)}’s wear counts like ${sayKm(effect.after, units)} of dry road instead of ${sayKm(effect.before, units)}.`
    case 'on':
      return effect.bike === undefined
        ? `${part(effect.part)} is then on no bike.`
        : `${part(effect.part)} is then on ${bike(effect.bike)}.`
    case 'readings':
      return `${part(effect.part)} then has ${sayCount(effect.after, 'reading')} that count, not ${effect.before}.`
  }
}
