/** The page is held for so long at a time, ms: well under what a finger or an eye notices. */
const SLICE_MS = 20

const drawn = (): Promise<void> => new Promise((resolve) => setTimeout(resolve))

/**
 * Walks steps to their end without holding up the page: whenever a slice of time is used up it may be drawn, and hear of
 * keys. What fits in one slice is walked at once.
 * @param isWanted asked after each slice; where it is not any longer the steps are left
 * @returns what the steps come to; undefined where they were left
 */
export async function inSlices<R>(
  steps: Generator<unknown, R, undefined>,
  isWanted: () => boolean = () => true,
): Promise<R | undefined> {
  let began = performance.now()
  for (let step = steps.next(); ; step = steps.next()) {
    if (step.done) return step.value
    if (performance.now() - began < SLICE_MS) continue
    await drawn()
    if (!isWanted()) return undefined
    began = performance.now()
  }
}
