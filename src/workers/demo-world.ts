import type { Entry } from '../core/log/entries.ts'

/** The demo garage up to yesterday. Its generator is loaded only when it is wanted. */
export async function makeDemoWorld(today: string): Promise<Entry[]> {
  const { demoWorld } = await import('../../demo/world.ts')
  return demoWorld(today)
}
