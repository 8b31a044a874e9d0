/** The page is held for so long at a time, ms: well under what a finger or an eye notices. */
const SLICE_MS = 12

/** The browser's own order of what is to be done, where it has one. */
interface Order {
  readonly postTask: (task: () => void, options: { readonly priority: 'background' }) => Promise<void>
}

/** Until the page was drawn, and whatever somebody waits for was done: what is written comes before what is worked out. */
const others = (): Promise<void> =>
  new Promise((resolve) => {
    const { scheduler } = globalThis as { scheduler?: Order }
    if (scheduler) void scheduler.postTask(resolve, { priority: 'background' })
    else setTimeout(resolve)
  })

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
    await others()
    if (!isWanted()) return undefined
    began = performance.now()
  }
}
