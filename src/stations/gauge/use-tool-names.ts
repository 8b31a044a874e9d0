import { useCallback } from 'react'
import type { Instrument } from '../../core/measure/reading.ts'
import { useOpenLog } from '../../store/log-context.ts'
import { SHORT_INSTRUMENT } from '../../ui/words/names.ts'

/** What a tool is called: by its own name, or as an instrument of its kind. */
export function useToolNames(): (tool: string) => string {
  const { garage } = useOpenLog()
  return useCallback(
    (tool) => garage.tools.get(tool)?.entry.name ?? SHORT_INSTRUMENT[tool as Instrument] ?? 'tool',
    [garage.tools],
  )
}
