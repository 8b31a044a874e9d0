import { toEnd } from '../src/core/job.ts'
import type { LessonAnswer } from '../src/core/log/kinds/lesson.ts'
import { eyeOf, ownEye } from '../src/core/school/rider-skill.ts'
import { quantileOf } from '../src/core/stats/interval.ts'
import { seededRandom } from '../src/core/stats/random.ts'
import { teethOutlookSteps } from '../src/core/teeth/teeth-outlook.ts'
import { toothWord } from '../src/core/teeth/tooth-word.ts'
import { madeUpCassette } from './made-up-teeth.ts'

/** Riders' eyes: how far they are shifted, and how far single looks scatter, %; as School believes before any lesson. */
const SHIFT_SD = 0.1
const [SPREAD, SPREAD_LOG_SD] = [0.15, 0.4]
const OFTEN = 0.5
/** An eye that nobody knows, taken to be twice as unsure as a new one, %. */
const DOUBTED = { shift: 0, sd: 0.3 } as const

/** How looks by riders with eyes of their own are heard, over many cassettes. */
export interface HeardEyes {
  /** Share of cogs whose truth lies in the 80 % interval; its mean width, and the mean error of its middle, %. */
  readonly holds: number
  readonly width: number
  readonly error: number
  readonly cogs: number
}

/** Looks heard as a new eye's; as one taken to be twice as unsure; after some lessons; with the eye itself known. */
export type Hearing = 'new-eye' | 'doubted' | 'lessons' | 'known'

type Eye = NonNullable<ReturnType<typeof ownEye>>

function heardAs(hearing: Hearing, eye: Eye, practised: readonly LessonAnswer[]): Eye | undefined {
  switch (hearing) {
    case 'new-eye':
      return undefined
    case 'doubted':
      return DOUBTED
    case 'lessons':
      return ownEye(eyeOf(practised))
    case 'known':
      return eye
  }
}

/** Over made-up riders and cassettes that are much looked at: how well Teeth's intervals hold, by how the looks are heard. */
export function heardEyes(
  hearing: Hearing,
  {
    cassettes,
    lessons,
    seed,
  }: { readonly cassettes: number; readonly lessons: number; readonly seed: number },
): HeardEyes {
  let [held, width, error, cogs] = [0, 0, 0, 0]
  for (let c = 0; c < cassettes; c++) {
    const rider = seededRandom(seed + 104_729 * c)
    const eye = { shift: rider.normal(0, SHIFT_SD), sd: SPREAD * Math.exp(rider.normal(0, SPREAD_LOG_SD)) }
    const practised = Array.from({ length: lessons }, (): LessonAnswer => {
      const truth = rider.between(0, 1.1)
      return { about: 'teeth', truth, word: toothWord(truth + eye.shift + rider.normal(0, eye.sd)) }
    })
    const heard = heardAs(hearing, eye, practised)
    const { ask, truth } = madeUpCassette(seededRandom(seed + 7919 * c), {
      eye,
      often: OFTEN,
      ...(heard && { heard }),
    })
    const outlook = toEnd(teethOutlookSteps(ask))
    outlook.sets['cassette']?.sprockets.forEach((cog, j) => {
      const worn = truth[j]?.worn ?? NaN
      const sorted = Float64Array.from(cog.worn).sort()
      const [low, high] = [quantileOf(sorted, 0.1), quantileOf(sorted, 0.9)]
      held += Number(worn >= low && worn <= high)
      width += high - low
      error += Math.abs(cog.after.p50 - worn)
      cogs++
    })
  }
  return { holds: held / cogs, width: width / cogs, error: error / cogs, cogs }
}
