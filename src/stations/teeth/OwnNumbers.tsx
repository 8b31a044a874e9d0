import type { TeethOutlook } from '../../core/teeth/teeth-outlook.ts'
import { sayFigure } from '../../words/numbers.ts'

/** What is taken of every rider, and what this rider's own skips, holds and pictures have made of it. */
export function OwnNumbers({ threshold, mmPerPercent }: TeethOutlook) {
  const signed = (value: number): string => `${value < 0 ? '−' : '+'}${sayFigure(Math.abs(value))}`
  const mm = ({ p10, p90 }: { readonly p10: number; readonly p90: number }): string =>
    `${p10.toFixed(2)} to ${p90.toFixed(2)} mm`
  return (
    <details className="mt-4">
      <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">
        What your own skips and pictures have taught
      </summary>
      <dl className="grid gap-3 text-[0.95rem]">
        <div>
          <dt className="font-medium">
            How much more than most riders’ your cogs may wear before a chain skips
          </dt>
          <dd className="text-steel">
            At first {signed(threshold.before.p10)} to {signed(threshold.before.p90)} %; now{' '}
            {signed(threshold.after.p10)} to {signed(threshold.after.p90)} %. Every skip, and every cog that
            held, moves it.
          </dd>
        </div>
        <div>
          <dt className="font-medium">How much wider a valley is for each 1 % its cog is worn</dt>
          <dd className="text-steel">
            At first {mm(mmPerPercent.before)}; now {mm(mmPerPercent.after)}. Pictures of cogs whose road is
            known move it.
          </dd>
        </div>
      </dl>
    </details>
  )
}
