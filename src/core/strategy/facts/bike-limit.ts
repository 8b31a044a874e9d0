import type { SprocketMaterial } from '../../log/kinds/part.ts'
import { fittedParts, type BikeState, type Garage } from '../../log/garage.ts'
import { limitFor, type Limit } from '../../measure/limits.ts'

function cogMaterial(garage: Garage, bike: string): SprocketMaterial {
  const spec = fittedParts(garage, bike, 'cassette')[0]?.entry.spec
  return spec?.type === 'cassette' ? spec.material : 'steel'
}

/** The limit a bike's chain goes by: its owner's, its school's, or the usual rule for its drivetrain. */
export function bikeLimit(garage: Garage, { entry, limit }: BikeState): Limit {
  return limitFor(
    { speeds: entry.speeds, shifting: entry.shifting, cogMaterial: cogMaterial(garage, entry.bike) },
    limit?.school ?? 'usual',
    limit?.percent === undefined ? undefined : { percent: limit.percent, reason: limit.reason },
  )
}
