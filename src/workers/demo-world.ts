import type { Entry } from '../core/log/entries.ts'
import type { KeptPicture } from '../core/log/kept-picture.ts'

/** The demo garage: its log, and the pictures that the log names. */
export interface DemoWorld {
  readonly entries: readonly Entry[]
  readonly pictures: readonly KeptPicture[]
}

/** The address of a picture that ships with the demo. */
export const demoPictureAt = (name: string): string => `/pictures/${name}.jpg`

/** A picture that ships; undefined where it does not come: the demo does without. */
async function shipped(id: string): Promise<KeptPicture | undefined> {
  try {
    const answer = await fetch(demoPictureAt(id))
    return answer.ok ? { id, jpeg: new Uint8Array(await answer.arrayBuffer()) } : undefined
  } catch {
    return undefined
  }
}

/** The demo garage up to yesterday. Its generator is loaded only when it is wanted. */
export async function makeDemoWorld(today: string): Promise<DemoWorld> {
  const [{ demoWorld }, { DEMO_KEPT }] = await Promise.all([
    import('../../demo/world.ts'),
    import('../../demo/pictures/shots.ts'),
  ])
  const pictures = await Promise.all(DEMO_KEPT.map(shipped))
  return { entries: demoWorld(today), pictures: pictures.flatMap((picture) => picture ?? []) }
}
