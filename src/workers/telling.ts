/** Who wants to hear of changes, and the way to tell them. */
export interface Telling {
  readonly subscribe: (onChange: () => void) => () => void
  readonly tell: () => void
  /** Tells at once of what is still to be told, if anything is. */
  readonly tellWaiting: () => void
}

/**
 * Tells of a change at once, or, where it told of one a moment ago, a moment later: every listener is a screen to be
 * drawn, and a hundred changes a second are one to whoever looks.
 * @param leastMs between one telling and the next; asked each time where it depends on how much there is to draw
 */
export function telling(leastMs: number | (() => number)): Telling {
  const listeners = new Set<() => void>()
  let timer: ReturnType<typeof setTimeout> | undefined
  let toldAt = -Infinity
  const tellNow = (): void => {
    clearTimeout(timer)
    timer = undefined
    toldAt = Date.now()
    for (const listener of listeners) listener()
  }
  return {
    subscribe: (onChange) => {
      listeners.add(onChange)
      return () => void listeners.delete(onChange)
    },
    tell: () => {
      const wait = toldAt + (typeof leastMs === 'number' ? leastMs : leastMs()) - Date.now()
      if (wait <= 0) tellNow()
      else timer ??= setTimeout(tellNow, wait)
    },
    tellWaiting: () => {
      if (timer !== undefined) tellNow()
    },
  }
}
