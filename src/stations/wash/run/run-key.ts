import type { World } from '../../../session/log-context.ts'

/** Under this the wash that is going on is remembered. */
export const runKey = (world: World): string => `jolt-mile-wash-${world}`
