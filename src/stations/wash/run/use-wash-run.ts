import { useCallback, useMemo, useSyncExternalStore } from 'react'
import { useOpenLog } from '../../../session/log-context.ts'
import { onTexts, recallText } from '../../../ui/local-memory.ts'
import { keepRun, recallRun, type KeptRun } from './kept-run.ts'
import { runKey } from './run-key.ts'

/** The wash that is going on, the same for every part of the page and every window; kept through reloads and closed tabs. */
export function useWashRun() {
  const { world } = useOpenLog()
  const text = useSyncExternalStore(onTexts, () => recallText(runKey(world)))
  const kept = useMemo(() => (text === undefined ? undefined : recallRun(world)), [text, world])
  const change = useCallback((next: KeptRun | undefined) => keepRun(world, next), [world])
  return { kept, change }
}
