import { sumOf } from '../stats/mean.ts'
import { normalDensity } from '../stats/normal.ts'
import type { Density } from '../measure/posterior.ts'

const FROM = -0.15
const TO = 2.5
const STEP = 0.0025
const LENGTH = Math.round((TO - FROM) / STEP) + 1
const E = Array.from({ length: LENGTH }, (_, i) => FROM + i * STEP)

/**
 * Smooth density of a weighted sample of elongations: linear binning on an even grid from -0.15 to 2.5 %, then a
 * normal kernel a quarter as wide as the sample, at least 0.005 %. What lies beyond the grid counts at its end.
 */
export function smoothDensity(values: Float64Array, weight: Float64Array): Density {
  const bins = new Float64Array(LENGTH)
  let mean = 0
  let square = 0
  values.forEach((value, i) => {
    const w = weight[i] ?? 0
    mean += w * value
    square += w * value * value
    const position = Math.min(LENGTH - 1.001, Math.max(0, (value - FROM) / STEP))
    const low = Math.floor(position)
    bins[low] = (bins[low] ?? 0) + w * (low + 1 - position)
    bins[low + 1] = (bins[low + 1] ?? 0) + w * (position - low)
  })
  const width = Math.max(0.005, 0.25 * Math.sqrt(Math.max(0, square - mean * mean)))
  const reach = Math.ceil((4 * width) / STEP)
  const kernel = Array.from({ length: 2 * reach + 1 }, (_, k) => normalDensity(((k - reach) * STEP) / width))
  const norm = sumOf(kernel) * STEP
  const density = new Float64Array(LENGTH)
  bins.forEach((mass, i) => {
    if (mass === 0) return
    for (let k = 0; k < kernel.length; k++) {
      const at = Math.min(LENGTH - 1, Math.max(0, i + k - reach))
      density[at] = (density[at] ?? 0) + (mass * (kernel[k] ?? 0)) / norm
    }
  })
  return { e: E, density: [...density] }
}
