/** Mean earth radius, m (IUGG). */
export const EARTH_RADIUS_M = 6_371_008.8
/** Nobody rides faster than this, m/s: a point that needs it is a fault of the receiver. */
export const MAX_SPEED_MS = 35
export interface TrackPoint {
  /** degrees, -90 to 90; NaN where there was no fix */
  readonly lat: number
  /** degrees, -180 to 180 */
  readonly lon: number
  /** s since 1970; NaN where the file gave none */
  readonly timeS: number
  /** the device's own running distance, m */
  readonly distanceM?: number | undefined
  /** m above the sea */
  readonly heightM?: number | undefined
  readonly speedMs?: number | undefined
  readonly cadenceRpm?: number | undefined
  readonly powerW?: number | undefined
}

/**
 * Great-circle distance between two points, m, by the haversine formula on a sphere of {@link EARTH_RADIUS_M}.
 * Accurate for close points, where the cosine rule is not.
 */
export function greatCircleM(a: TrackPoint, b: TrackPoint): number {
  const toRad = Math.PI / 180
  const dLat = (b.lat - a.lat) * toRad
  const dLon = (b.lon - a.lon) * toRad
  const h =
    Math.sin(dLat / 2) ** 2 + Math.cos(a.lat * toRad) * Math.cos(b.lat * toRad) * Math.sin(dLon / 2) ** 2
  return 2 * EARTH_RADIUS_M * Math.asin(Math.min(1, Math.sqrt(h)))
}
