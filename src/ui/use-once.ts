import { useCallback, useEffect, useRef, useState } from 'react'

/**
 * Something that one press does once: while it runs, another press does nothing. Nor does one that was waiting its turn
 * on a slow device while it ran.
 * @returns what to call on a press, and whether it is running, for a button that is to say so
 */
export function useOnce<A extends readonly unknown[]>(
  run: (...args: A) => Promise<unknown>,
): readonly [(...args: A) => void, boolean] {
  const [busy, setBusy] = useState(false)
  const held = useRef(false)
  const latest = useRef(run)
  useEffect(() => {
    latest.current = run
  })
  const press = useCallback((...args: A) => {
    if (held.current) return
    held.current = true
    setBusy(true)
    const over = () => {
      setBusy(false)
      setTimeout(() => (held.current = false))
    }
    latest.current(...args).then(over, (error: unknown) => {
      over()
      throw error
    })
  }, [])
  return [press, busy]
}
