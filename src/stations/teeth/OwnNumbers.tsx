import type { TeethOutlook } from '../../core/teeth/teeth-outlook.ts'
import { sayFigure } from '../../words/numbers.ts'
import { words } from '../../words/stations/teeth/own-numbers.ts'
import { sayDecimal } from '../../words/grouped-number.ts'

/** What is taken of every rider, and what this rider's own skips, holds and pictures have made of it. */
export function OwnNumbers({ threshold, mmPerPercent }: TeethOutlook) {
  const signed = (value: number): string => `${value < 0 ? '−' : '+'}${sayFigure(Math.abs(value))}`
  const mm = ({ p10, p90 }: { readonly p10: number; readonly p90: number }): string =>
    words.toMm(sayDecimal(p10, 2), sayDecimal(p90, 2))
  return (
    <details className="mt-4">
      <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">
        {words.whatYourOwnSkips}
      </summary>
      <dl className="grid gap-3 text-[0.95rem]">
        <div>
          <dt className="font-medium">{words.howMuchMoreThan}</dt>
          <dd className="text-steel">
            {words.atFirstToNow(
              signed(threshold.before.p10),
              signed(threshold.before.p90),
              signed(threshold.after.p10),
              signed(threshold.after.p90),
            )}
          </dd>
        </div>
        <div>
          <dt className="font-medium">{words.howMuchWiderAValley}</dt>
          <dd className="text-steel">
            {words.atFirstNowPictures(mm(mmPerPercent.before), mm(mmPerPercent.after))}
          </dd>
        </div>
      </dl>
    </details>
  )
}
