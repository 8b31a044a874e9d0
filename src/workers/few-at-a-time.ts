/** Things that wait for their turn. */
export interface Turns<T> {
  /** What waits for its turn from now on, in place of what waited so far; what has its turn goes on. */
  readonly wait: (things: readonly T[]) => void
  readonly waiting: () => readonly T[]
}

/**
 * Does the same with many things, a few at a time: a page that waits for hundreds of answers is to be drawn meanwhile.
 * @param most so many have their turn at a time
 * @param work does it with one; never fails
 * @param onIdle told when the last of all is done
 */
export function fewAtATime<T>(most: number, work: (thing: T) => Promise<void>, onIdle: () => void): Turns<T> {
  let waiting: readonly T[] = []
  let busy = 0
  const go = (): void => {
    const next = waiting.slice(0, Math.max(0, most - busy))
    waiting = waiting.slice(next.length)
    for (const thing of next) {
      busy++
      void work(thing).then(() => {
        busy--
        go()
        if (busy === 0) onIdle()
      })
    }
  }
  return {
    wait: (things) => {
      waiting = things
      go()
    },
    waiting: () => waiting,
  }
}
