import { useEffect, useEffectEvent } from 'react'

import { typedNumber } from '../../core/units/typed-number.ts'

/** No caliper shows more, mm. */
const MOST_LENGTH = 999
/** A caliper that types sends its digits faster than any hand: a pause longer than this starts over, ms. */
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
      if (/^[0-9.,]$/.test(event.key)) held += event.key
      else if (event.key === 'Enter' && held !== '') {
        const typed = typedNumber(held, { least: 0, most: MOST_LENGTH })
        held = ''
        // The button that has the focus is not pressed by a caliper.
        event.preventDefault()
        if ('value' in typed && typed.value > 0) take(typed.value)
      } else if (event.key !== 'Shift') held = ''
    }
    window.addEventListener('keydown', listen, true)
    return () => window.removeEventListener('keydown', listen, true)
  }, [])
}
