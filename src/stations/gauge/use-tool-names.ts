import { useCallback } from 'react'
import { useOpenLog } from '../../session/log-context.ts'
import { toolName } from '../../words/names.ts'

/** What the tools of the open log are called. */
export function useToolNames(): (tool: string) => string {
  const { garage } = useOpenLog()
  return useCallback((tool) => toolName(garage.tools, tool), [garage.tools])
}
