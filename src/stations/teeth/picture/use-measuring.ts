import { useCallback, useEffect, useRef, useState } from 'react'
import type { PictureAnswer } from '../../../core/teeth/picture/measure.ts'
import type { Pose } from '../../../core/teeth/picture/pose.ts'
import { measureInWorker, type PictureMeasuring } from '../../../workers/measure-picture.ts'
import { decodePicture, type DecodedPicture, type DecodeFault } from '../../../ui/pictures/decode.ts'
import { pixelsOf } from './kept-picture.ts'

/** How it stands with a picture. */
export type Measuring =
  | { readonly status: 'none' }
  | { readonly status: 'opening' }
  | { readonly status: 'unreadable'; readonly fault: DecodeFault }
  | { readonly status: 'measuring'; readonly picture: DecodedPicture; readonly share: number }
  | { readonly status: 'stopped' | 'failed'; readonly picture: DecodedPicture }
  | { readonly status: 'done'; readonly picture: DecodedPicture; readonly answer: PictureAnswer }

/** Opens a picture and measures it away from the page; what is asked last counts. */
export function useMeasuring(teeth: number) {
  const [state, setState] = useState<Measuring>({ status: 'none' })
  const running = useRef<PictureMeasuring | undefined>(undefined)
  const round = useRef(0)
  const measure = useCallback(
    async (picture: DecodedPicture, near?: Pose): Promise<void> => {
      const mine = ++round.current
      running.current?.cancel()
      const tell = (next: Measuring): void => {
        if (round.current === mine) setState(next)
      }
      tell({ status: 'measuring', picture, share: 0 })
      try {
        const question = { ...pixelsOf(picture), teeth, ...(near && { near: Float64Array.from(near) }) }
        const asked = measureInWorker(question, (share) => tell({ status: 'measuring', picture, share }))
        running.current = asked
        const answer = await asked.result
        tell(answer ? { status: 'done', picture, answer } : { status: 'stopped', picture })
      } catch {
        tell({ status: 'failed', picture })
      }
    },
    [teeth],
  )
  const open = useCallback(
    async (file: Blob): Promise<void> => {
      const mine = ++round.current
      running.current?.cancel()
      setState({ status: 'opening' })
      const picture = await decodePicture(file).catch((): { readonly fault: DecodeFault } => ({
        fault: 'no-picture',
      }))
      if (round.current !== mine) return
      if ('fault' in picture) setState({ status: 'unreadable', fault: picture.fault })
      else await measure(picture)
    },
    [measure],
  )
  // Nobody is there to read what is still being measured.
  useEffect(
    () => () => {
      round.current++
      running.current?.cancel()
    },
    [],
  )
  return { state, open, measure, stop: () => running.current?.cancel() }
}
