import { useOpenLog } from '../../../session/log-context.ts'
import { inkOf } from '../../../ui/charts/ink.ts'
import { fileName } from '../../../ui/file-name.ts'
import { SavePaper } from '../../../ui/parts/SavePaper.tsx'
import { frameFor } from '../../../ui/road/frame.ts'
import { paintStrip } from '../../../ui/road/paint.ts'
import type { StripPicture } from '../../../ui/road/picture.ts'
import { useUnits } from '../../../ui/screen-state.ts'
import { roadSheet } from '../../../words/road-sheet.ts'
import { words } from '../../../words/stations/miles/strip/road-paper.ts'
import { PRINT_PX } from './print-width.ts'

/** Pixels to a CSS pixel: over 300 to the inch on either paper. */
const PRINT_RATIO = 3

/** The whole road as PNG, in the bright theme whatever the screen has: paper is white. */
async function paintedForPaper(picture: StripPicture, end: number, topPercent: number): Promise<Uint8Array> {
  const frame = frameFor(PRINT_PX, picture.strip, topPercent)
  const canvas = document.createElement('canvas')
  canvas.width = frame.width * PRINT_RATIO
  canvas.height = frame.height * PRINT_RATIO
  canvas.dataset['theme'] = 'daylight'
  canvas.hidden = true
  document.body.append(canvas)
  try {
    const ctx = canvas.getContext('2d')
    if (!ctx) throw new TypeError('This browser draws nothing.')
    ctx.scale(PRINT_RATIO, PRINT_RATIO)
    const ink = { ...inkOf(canvas), paper: '#ffffff' }
    paintStrip(ctx, picture, frame, { from: 0, to: end }, ink, PRINT_RATIO, undefined)
    const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'))
    if (!blob) throw new TypeError('The drawing is too large for this browser.')
    return new Uint8Array(await blob.arrayBuffer())
  } finally {
    canvas.remove()
  }
}

interface Props {
  readonly name: string
  readonly picture: StripPicture
  readonly end: number
  readonly topPercent: number
  readonly note: string
}

/** The whole road on a sheet of paper, with its chains and what it was ridden in. */
export function RoadPaper({ name, picture, end, topPercent, note }: Props) {
  const { now } = useOpenLog()
  const units = useUnits()
  return (
    <SavePaper
      label={words.theRoadOnPaper}
      file={fileName(name, words.road)}
      write={async (paper) => {
        const { paperPdf } = await import('../../../formats/paper-pdf.ts')
        const png = await paintedForPaper(picture, end, topPercent)
        return paperPdf(roadSheet({ name, strip: picture.strip, png, note }, units, now), paper)
      }}
    />
  )
}
