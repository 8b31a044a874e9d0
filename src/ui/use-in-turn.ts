import { useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react'

/**
 * Something that each press does once more, however fast they come: a press waits for the one before it, and is
 * answered by what the screen then shows. For keys that are hit one after the other.
 */
export function useInTurn<A extends readonly unknown[]>(
  run: (...args: A) => Promise<unknown>,
): (...args: A) => void {
  const latest = useRef(run)
  const queue = useRef<Promise<unknown>>(Promise.resolve())
  const goOn = useRef<(() => void) | undefined>(undefined)
  // Its own state changes after whatever the press changed, and is drawn with it: no clock can tell when that was.
  const [turn, setTurn] = useState(0)
  useLayoutEffect(() => {
    latest.current = run
  })
  useLayoutEffect(() => {
    goOn.current?.()
  }, [turn])
  // What was pressed is still done when the screen has gone.
  useEffect(() => () => goOn.current?.(), [])
  return useCallback((...args: A) => {
    const drawn = (): Promise<void> =>
      new Promise((resolve) => {
        goOn.current = resolve
        setTurn((before) => before + 1)
      })
    queue.current = queue.current
      .then(() => latest.current(...args))
      .catch(() => undefined)
      .then(drawn)
  }, [])
}
