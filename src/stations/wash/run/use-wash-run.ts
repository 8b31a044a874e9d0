import { useCallback, useState } from 'react'
import { useOpenLog } from '../../../session/log-context.ts'
import { keepRun, recallRun, type KeptRun } from './kept-run.ts'

/** The wash that is going on, kept through reloads and closed tabs; one at a time. */
export function useWashRun() {
  const { world } = useOpenLog()
  const [kept, setKept] = useState(() => recallRun(world))
  const change = useCallback(
    (next: KeptRun | undefined) => {
      keepRun(world, next)
      setKept(next)
    },
    [world],
  )
  return { kept, change }
}
