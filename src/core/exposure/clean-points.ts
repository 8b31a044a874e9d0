import type { TrackPoint } from './track-point.ts'

/** What was done to a track's points before anything was worked out from them. */
export interface CleanTrack {
  readonly segments: readonly (readonly TrackPoint[])[]
  /** Points that were written twice and count once. */
  readonly twice: number
}

/** Minutes without seconds: points of one minute are spread over it. */
const COARSE_S = 60

const hasPlace = ({ lat, lon }: TrackPoint): boolean => !Number.isNaN(lat) && !Number.isNaN(lon)
const isHere = (a: TrackPoint, b: TrackPoint): boolean => a.lat === b.lat && a.lon === b.lon

/** One point out of two of the same moment: what the first does not say the second does. */
function together(a: TrackPoint, b: TrackPoint): TrackPoint {
  const place = hasPlace(a) ? a : b
  return {
    timeS: a.timeS,
    lat: place.lat,
    lon: place.lon,
    distanceM: a.distanceM ?? b.distanceM,
    heightM: a.heightM ?? b.heightM,
    speedMs: a.speedMs ?? b.speedMs,
    cadenceRpm: a.cadenceRpm ?? b.cadenceRpm,
    powerW: a.powerW ?? b.powerW,
  }
}

/** Whether nothing has to be done: times rise from point to point. */
function isRising(segments: readonly (readonly TrackPoint[])[]): boolean {
  let last = -Infinity
  for (const segment of segments)
    for (const { timeS } of segment) {
      if (timeS <= last) return false
      if (!Number.isNaN(timeS)) last = timeS
    }
  return true
}

/** Points in order of time; those without one, which count for nothing, at the end. */
function inOrder(points: readonly TrackPoint[]): readonly TrackPoint[] {
  if (points.every(({ timeS }, i) => i === 0 || timeS >= (points[i - 1]?.timeS ?? 0))) return points
  const key = ({ timeS }: TrackPoint): number => (Number.isNaN(timeS) ? Infinity : timeS)
  return [...points].sort((a, b) => (key(a) === key(b) ? 0 : key(a) - key(b)))
}

/** Points of the same written time at several places, spread evenly up to the next: the device wrote no seconds. */
function spreadOut(points: readonly TrackPoint[]): readonly TrackPoint[] {
  const spread: TrackPoint[] = []
  for (let i = 0; i < points.length;) {
    let end = i + 1
    while (end < points.length && points[end]?.timeS === points[i]?.timeS) end++
    const step = (points[end]?.timeS ?? NaN) - (points[i]?.timeS ?? NaN)
    const share = end - i > 1 && step > 0 && step <= COARSE_S ? step / (end - i) : 0
    for (let k = i; k < end; k++) {
      const point = points[k]
      if (point) spread.push(share > 0 ? { ...point, timeS: point.timeS + share * (k - i) } : point)
    }
    i = end
  }
  return spread
}

/**
 * A track as it was ridden: segments and their points in order of time, what was written twice once, and records that a device split over
 * several of one moment put together again.
 * @param segments as the file has them; points without a time are kept where they stand
 */
export function cleanPoints(segments: readonly (readonly TrackPoint[])[]): CleanTrack {
  if (isRising(segments)) return { segments, twice: 0 }
  const startOf = (segment: readonly TrackPoint[]): number =>
    segment.find(({ timeS }) => !Number.isNaN(timeS))?.timeS ?? Infinity
  const sorted = segments
    .map((segment, i) => ({ segment, i, start: startOf(segment) }))
    .sort((a, b) => (a.start === b.start ? a.i - b.i : a.start - b.start))
  const seen = new Set<number>()
  let twice = 0
  let reached = -Infinity
  const clean = sorted.map(({ segment }) => {
    const held: TrackPoint[] = []
    for (const point of segment) {
      const last = held.at(-1)
      if (
        last &&
        last.timeS === point.timeS &&
        (isHere(last, point) || !hasPlace(last) || !hasPlace(point))
      ) {
        if (isHere(last, point) || hasPlace(last) === hasPlace(point)) twice++
        held[held.length - 1] = together(last, point)
        continue
      }
      // A moment of which another segment, or an earlier part of this one, has told already.
      if (point.timeS <= reached && last?.timeS !== point.timeS && seen.has(point.timeS)) {
        twice++
        continue
      }
      held.push(point)
      if (Number.isNaN(point.timeS)) continue
      seen.add(point.timeS)
      if (point.timeS > reached) reached = point.timeS
    }
    return spreadOut(inOrder(held))
  })
  return { segments: clean, twice }
}

/** Longer than this without a point one ride is over and another begins, s. */
const APART_S = 6 * 3600

/**
 * The rides of a track: one file may hold several days, or a device go on writing into the file of last week.
 * @param segments in order of time
 * @returns at least one
 */
export function ridesApart(
  segments: readonly (readonly TrackPoint[])[],
): readonly (readonly (readonly TrackPoint[])[])[] {
  const rides: TrackPoint[][][] = [[]]
  let last = NaN
  for (const segment of segments) {
    rides.at(-1)?.push([])
    for (const point of segment) {
      if (point.timeS - last > APART_S) rides.push([[]])
      if (!Number.isNaN(point.timeS)) last = point.timeS
      rides.at(-1)?.at(-1)?.push(point)
    }
  }
  if (rides.length === 1) return [segments]
  return rides.map((ride) => ride.filter((segment) => segment.length > 0)).filter((ride) => ride.length > 0)
}
