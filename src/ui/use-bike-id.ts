import type { BikeId } from '../core/log/entry.ts'
import type { Garage } from '../core/log/garage.ts'
import { useScreen } from './screen-state.ts'

/** The current bike: the one chosen, or the first there is. */
export function useBikeId(garage: Garage): BikeId | undefined {
  const chosen = useScreen((state) => state.screen.bike)
  return chosen !== undefined && garage.bikes.has(chosen) ? chosen : garage.bikes.keys().next().value
}
