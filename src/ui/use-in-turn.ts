import { useCallback, useLayoutEffect, useRef } from 'react'

/** A picture's time, ms: the screen takes in what was written before the next press is answered. */
const PICTURE_MS = 16
const drawn = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, PICTURE_MS))

/**
 * Something that each press does once more, however fast they come: a press waits for the one before it, and is
 * answered by what the screen then shows. For keys that are hit one after the other.
 */
export function useInTurn<A extends readonly unknown[]>(
  run: (...args: A) => Promise<unknown>,
): (...args: A) => void {
  const latest = useRef(run)
  const queue = useRef<Promise<unknown>>(Promise.resolve())
  useLayoutEffect(() => {
    latest.current = run
  })
  return useCallback((...args: A) => {
    queue.current = queue.current
      .then(() => latest.current(...args))
      .catch(() => undefined)
      .then(drawn)
  }, [])
}
