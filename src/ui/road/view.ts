/** The part of the road that is in sight, km. */
export interface View {
  readonly from: number
  readonly to: number
}

/** Nothing closer than this is worth seeing, km. */
const LEAST_SPAN_KM = 8

/** A view brought back onto the road, its width kept where the road is long enough. */
export function clampView(view: View, end: number): View {
  const span = Math.min(Math.max(view.to - view.from, Math.min(LEAST_SPAN_KM, end)), end)
  const from = Math.max(0, Math.min(view.from, end - span))
  return { from, to: from + span }
}

/**
 * Zooms about a place of the road, which stays where it is on the screen.
 * @param times how much more is seen; below 1 is closer
 */
export function zoomView(view: View, km: number, times: number, end: number): View {
  const span = Math.min(Math.max((view.to - view.from) * times, LEAST_SPAN_KM), end)
  const share = (km - view.from) / (view.to - view.from)
  return clampView({ from: km - share * span, to: km + (1 - share) * span }, end)
}

/** Moves the view along the road by so many km. */
export const panView = (view: View, km: number, end: number): View =>
  clampView({ from: view.from + km, to: view.to + km }, end)

/** Brings a place into sight, with some road on either side. */
export function viewWith(view: View, km: number, end: number): View {
  const margin = 0.08 * (view.to - view.from)
  if (km < view.from + margin) return panView(view, km - margin - view.from, end)
  return km > view.to - margin ? panView(view, km + margin - view.to, end) : view
}

/**
 * The step of a ruler's figures: 1, 2 or 5 times a power of ten, the smallest whose figures do not crowd.
 * @param perPx units a pixel
 */
export function rulerStep(perPx: number, leastPx: number): number {
  const least = perPx * leastPx
  const power = 10 ** Math.floor(Math.log10(least))
  return power * ([1, 2, 5].find((times) => times * power >= least) ?? 10)
}
