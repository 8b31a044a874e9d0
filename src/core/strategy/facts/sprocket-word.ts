import type { SprocketOutlook, TeethOutlook } from '../../teeth/teeth-outlook.ts'
import { toothWord } from '../../teeth/tooth-word.ts'
import type { ChainWord } from '../wear-word.ts'
import type { Sprocket } from './sprockets.ts'

/** Wider than this from the 10th to the 90th percentile, %, and no word is used of teeth. */
const UNSURE_WIDTH = 0.55

/** What was made of a cog or ring; absent for a pulley, and while it is being worked out. */
export const outlookOf = (
  { part, teeth: count }: Sprocket,
  teeth: TeethOutlook | undefined,
): SprocketOutlook | undefined => teeth?.sets[part.entry.part]?.sprockets.find((one) => one.teeth === count)

/** The word for a sprocket: by all that is known, else the eye's last. */
export function sprocketWord(sprocket: Sprocket, teeth: TeethOutlook | undefined): ChainWord {
  const outlook = outlookOf(sprocket, teeth)
  if (!outlook) return sprocket.look?.word ?? 'unsure'
  const { p10, p90 } = outlook.after
  return p90 - p10 > UNSURE_WIDTH ? 'unsure' : toothWord(outlook.mean)
}
