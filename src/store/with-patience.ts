/** The browser answers well within this, ms; the log is not kept waiting longer for what can be done without. */
const PATIENCE_MS = 3000

/** What comes of it, or undefined where that takes too long. */
export async function withPatience<T>(work: PromiseLike<T> | undefined): Promise<T | undefined> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const late = new Promise<undefined>((resolve) => {
    timer = setTimeout(() => resolve(undefined), PATIENCE_MS)
  })
  return Promise.race([work, late]).finally(() => clearTimeout(timer))
}
