import { useState } from 'react'
import type { WearWord } from '../../../core/log/entry.ts'
import type { ToothState } from '../../../core/strategy/facts/tooth-state.ts'
import { isAtOdds } from '../../../core/strategy/facts/teeth-at-odds.ts'
import { seenOf } from '../../../core/teeth/picture/ends.ts'
import type { MeasuredPicture, PictureAnswer } from '../../../core/teeth/picture/measure.ts'
import { boxOf, flatPose, type Box, type Pose } from '../../../core/teeth/picture/pose.ts'
import { worstValleys } from '../../../core/teeth/picture/shape.ts'
import { sprocketGeometry } from '../../../core/teeth/geometry.ts'
import { toothWord } from '../../../core/teeth/tooth-word.ts'
import { useOpenLog } from '../../../session/log-context.ts'
import { WearMark } from '../../../ui/glyphs/ToothGlyph.tsx'
import { Button } from '../../../ui/parts/Button.tsx'
import { Sheet } from '../../../ui/parts/Sheet.tsx'
import { useInTurn } from '../../../ui/use-in-turn.ts'
import { sayDay } from '../../../words/numbers.ts'
import { nameOf } from '../say-teeth.ts'
import type { DecodedPicture } from '../../../ui/pictures/decode.ts'
import { keptPicture } from './kept-picture.ts'
import { PictureOverlay } from './PictureOverlay.tsx'
import { RoundCurve } from './RoundCurve.tsx'
import { sayGrounds, sayMeasured, sayPictureFault } from './say-picture.ts'
import type { Measuring } from './use-measuring.ts'
import { words } from '../../../words/stations/teeth/picture/picture-sheet.ts'
import { WORD_NAMES } from '../../../words/names.ts'

/** An outline that is laid by hand, and the answer that was there while it was. */
interface Laid {
  readonly pose: Pose
  readonly during: PictureAnswer | undefined
}
const NOT_WORN = [0, 0] as const

/** So much is shown round the part, mm. */
const ROUND_MM = 3

/** A part in the middle of a picture that fills most of it: where the hand begins. */
function inTheMiddle({ width, height }: DecodedPicture, teeth: number): Pose {
  const radius = sprocketGeometry(teeth).tipMaxMm / 2
  return flatPose(width / 2, height / 2, (0.4 * Math.min(width, height)) / radius, -Math.PI / 2)
}

const sizeOf = ({ width, height }: DecodedPicture) => ({ width, height })

/** What is shown of a picture once the part is found: the part, and a little round it. */
const roundIt = (pose: Pose, { width, height }: DecodedPicture, teeth: number): Box =>
  boxOf(pose, sprocketGeometry(teeth).tipMaxMm / 2 + ROUND_MM, width, height)

interface StandsProps {
  readonly measuring: Measuring
  readonly name: string
  readonly teeth: number
  readonly measured: MeasuredPicture | undefined
  readonly word: WearWord | undefined
  readonly stop: () => void
}

/** How far it has come, what came of it, or why nothing did. */
function HowItStands({ measuring, name, teeth, measured, word, stop }: StandsProps) {
  const answer = measuring.status === 'done' ? measuring.answer : undefined
  return (
    <div aria-live="polite">
      {measuring.status === 'opening' && <p>{words.openingThePicture}</p>}
      {measuring.status === 'measuring' && (
        <div className="flex flex-wrap items-center gap-3">
          <progress
            max={1}
            value={measuring.share}
            aria-label={words.measuringThePicture}
            className="h-2 grow accent-petrol"
          />
          <Button onClick={stop}>{words.stop}</Button>
        </div>
      )}
      {measuring.status === 'stopped' && <p>{words.stopped}</p>}
      {measuring.status === 'failed' && <p role="alert">{words.thePictureCouldNot}</p>}
      {measuring.status === 'unreadable' && (
        <p role="alert">{sayPictureFault(measuring.fault, name, teeth)}</p>
      )}
      {answer && 'fault' in answer && (
        <p role="alert">{sayPictureFault(answer.fault, name, teeth, answer.counted)}</p>
      )}
      {measured && word && (
        <>
          <p className="text-lg">
            {sayMeasured(measured)} <WearMark word={word} className="align-middle" />
          </p>
          <p className="mt-1 text-sm text-steel">{sayGrounds(measured)}.</p>
        </>
      )}
    </div>
  )
}

interface Props {
  readonly state: ToothState
  readonly measuring: Measuring
  readonly measure: (picture: DecodedPicture, near?: Pose) => void
  readonly stop: () => void
  readonly onClose: () => void
}

/** Whether it counts, and whether the picture is kept. */
function CountIt({
  state: { sprocket },
  measured,
  picture,
  onClose,
}: Pick<Props, 'state' | 'onClose'> & {
  readonly measured: MeasuredPicture
  readonly picture: DecodedPicture
}) {
  const { record, now, pictures } = useOpenLog()
  const [isKept, setKept] = useState(false)
  const count = useInTurn(async () => {
    const bytes = isKept ? await keptPicture(picture, measured.pose, sprocket.teeth) : undefined
    const id = bytes && (await pictures.keep(bytes))
    const { seen, aids } = seenOf(measured.teeth)
    const written = await record(
      [
        {
          kind: 'picture',
          at: now,
          part: sprocket.part.entry.part,
          ...(sprocket.role === 'cog' && { cog: sprocket.teeth }),
          excessMm: measured.valleyExcessMm,
          sdMm: measured.sdMm,
          leanDeg: measured.leanDeg,
          landMm: measured.landMm,
          teethSeen: seen,
          setAside: aids,
          ...(id !== undefined && { picture: id }),
        },
      ],
      words.measuredInAPicture(nameOf(sprocket)),
    )
    if (written) onClose()
    // What could not be written names no picture.
    else if (id !== undefined) await pictures.drop(id)
  })
  return (
    <>
      <label className="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          checked={isKept}
          onChange={(event) => setKept(event.target.checked)}
          className="size-5 accent-petrol"
        />
        <span>
          {words.keepThePartOfThePicture} <span className="text-sm text-steel">{words.itGoesIntoYour}</span>
        </span>
      </label>
      <div className="flex flex-wrap gap-2">
        <Button look="firm" onClick={count}>
          {words.countIt}
        </Button>
        <Button onClick={onClose}>{words.leaveIt}</Button>
      </div>
    </>
  )
}

/** A picture of one sprocket: the outline laid over it, what it measures, and whether it counts. */
export function PictureSheet({ state, measuring, measure, stop, onClose }: Props) {
  const { now } = useOpenLog()
  const { sprocket, mmPerPercent } = state
  const name = nameOf(sprocket)
  const [laid, setLaid] = useState<Laid>()
  const answer = measuring.status === 'done' ? measuring.answer : undefined
  const measured = answer && 'measured' in answer ? answer.measured : undefined
  const isOther = answer !== undefined && 'fault' in answer && answer.fault === 'other-count'
  const picture = 'picture' in measuring ? measuring.picture : undefined
  // The hand's own until it is measured; then the handles stay, and the outline shows what was found.
  const isFound = measured !== undefined && laid?.during !== answer
  const word = measured && toothWord(measured.valleyExcessMm / mmPerPercent)
  const eye = sprocket.look
  return (
    <Sheet open wide onClose={onClose} title={words.aPictureOf(name)} note={words.itStaysOnThisDevice}>
      <div className="grid items-start gap-x-8 gap-y-3 lg:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)]">
        {picture && (
          <PictureOverlay
            picture={picture}
            name={name}
            teeth={sprocket.teeth}
            pose={isFound ? measured.pose : laid?.pose}
            worn={isFound ? measured.wornMm : NOT_WORN}
            worst={isFound ? worstValleys(measured.byValley, measured.teeth, measured.valleyExcessMm) : []}
            view={
              laid || !measured
                ? { x: 0, y: 0, ...sizeOf(picture) }
                : roundIt(measured.pose, picture, sprocket.teeth)
            }
            {...(laid && {
              laid: laid.pose,
              onMove: (next: Pose, isOver: boolean) => {
                setLaid({ pose: next, during: answer })
                if (isOver) measure(picture, next)
              },
            })}
          />
        )}
        <div className="flex flex-col items-start gap-3 *:max-w-full">
          <HowItStands
            measuring={measuring}
            name={name}
            teeth={sprocket.teeth}
            measured={measured}
            word={word}
            stop={stop}
          />
          {measured && <RoundCurve {...measured} />}
          {word && eye && isAtOdds(eye, { word, at: now }) && (
            <p className="border-l-4 border-ochre pl-3 text-[0.95rem]">
              {words.byEyeItWas(WORD_NAMES[eye.word], sayDay(eye.at, now), WORD_NAMES[word])}
            </p>
          )}
          {picture && !laid && measuring.status !== 'measuring' && !isOther && (
            <Button
              onClick={() =>
                setLaid({ pose: measured?.pose ?? inTheMiddle(picture, sprocket.teeth), during: undefined })
              }
            >
              {words.layTheOutlineByHand}
            </Button>
          )}
          {laid && <p className="text-sm text-steel">{words.dragTheRoundHandle}</p>}
          {measured && picture && <CountIt {...{ state, measured, picture, onClose }} />}
        </div>
      </div>
    </Sheet>
  )
}
