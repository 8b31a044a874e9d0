import type { PictureAnswer, PictureQuestion } from '../core/teeth/picture/measure.ts'
import { pool } from './ask.ts'

/** A picture being measured. */
export interface PictureMeasuring {
  /** Gives nothing where it was stopped. */
  readonly result: Promise<PictureAnswer | undefined>
  readonly cancel: () => void
}

/** Measures a picture away from the page. Its bytes are handed over. @param onProgress told the share that is done, 0 to 1 */
export function measureInWorker(
  question: PictureQuestion,
  onProgress: (share: number) => void,
): PictureMeasuring {
  const asked = pool.ask('teeth-picture', question, {
    isWaitedFor: true,
    isHandedOver: true,
    onStep: ({ done, of }) => onProgress(done / of),
  })
  return { result: asked.done, cancel: asked.stop }
}
