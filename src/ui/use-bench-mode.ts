import { useEffect, useState } from 'react'
import { benchToggled, useScreen, useSend } from './screen-state.ts'

/** Large type, and the screen kept awake, for as long as something is worked through at the stand; then as it was before. */
export function useBenchMode(): void {
  const send = useSend()
  const [wasBench] = useState(useScreen((state) => state.screen.bench))
  useEffect(() => {
    send(benchToggled(true))
    return () => {
      send(benchToggled(wasBench))
    }
  }, [send, wasBench])
}
