import { THICKNESS_TOOLS, type ThicknessTool } from '../../core/checks/wearing-parts.ts'
import { recallText, rememberText } from '../../ui/local-memory.ts'

const KEY = 'jolt-mile thickness tool'

/** What thickness was last measured with; a caliper at first. */
export function recallTool(): ThicknessTool {
  const held = recallText(KEY)
  return THICKNESS_TOOLS.find((tool) => tool === held) ?? 'caliper'
}

/** Remembers what thickness was measured with. */
export const rememberTool = (tool: ThicknessTool): void => rememberText(KEY, tool)
