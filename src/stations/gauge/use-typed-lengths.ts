import { useEffect, useEffectEvent } from 'react'

/** A caliper that types sends its digits faster than any hand: a pause longer than this starts anew, ms. */
const PAUSE_MS = 400

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))

/**
 * Takes lengths from a caliper that types like a keyboard: digits, then Enter, from anywhere on the station where
 * no field is being typed into.
 */
export function useTypedLengths(onLength: (value: number) => void): void {
  const take = useEffectEvent(onLength)
  useEffect(() => {
    let held = ''
    let last = 0
    const listen = (event: KeyboardEvent) => {
      if (isTyping(event.target)) return
      if (event.timeStamp - last > PAUSE_MS) held = ''
      last = event.timeStamp
      if (/^[0-9.,]$/.test(event.key)) held += event.key.replace(',', '.')
      else if (event.key === 'Enter' && held !== '') {
        const value = Number(held)
        held = ''
        // The button that has the focus is not pressed by a caliper.
        event.preventDefault()
        if (Number.isFinite(value) && value > 0) take(value)
      } else if (event.key !== 'Shift') held = ''
    }
    window.addEventListener('keydown', listen, true)
    return () => window.removeEventListener('keydown', listen, true)
  }, [])
}
