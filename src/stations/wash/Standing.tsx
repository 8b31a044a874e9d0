import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { STORAGE_DAYS } from '../../core/lube/clock.ts'

/** What to do before a bike stands for long, and first of all when it comes back. */
export function Standing({ report }: { readonly report: BikeReport }) {
  const { storage, motor, name } = report.bike.entry
  return (
    <details className="text-[0.95rem]">
      <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">
        Before {name} stands for a while, and when it comes back
      </summary>
      <ul className="list-disc space-y-1 pl-5">
        <li>
          Before: clean it, dry it fully, lubricate it, and wipe the outside. Salt left on it eats it while it
          stands.
        </li>
        <li>
          {storage === 'outdoors'
            ? `It stands outdoors: after ${STORAGE_DAYS.outdoors} days the chain is due again. A roof, or a cover that lets damp out, slows that.`
            : `Indoors it keeps ${STORAGE_DAYS.indoors} days; a damp shed counts as outdoors.`}
        </li>
        <li>Hang waxed chains up, each with its tag. Pump the tyres up now and then.</li>
        {motor !== 'none' && <li>Battery out, half charged, indoors, as its maker says.</li>}
        <li>
          Back again: first wipe and lubricate the chain. Surface rust wipes off; a link that stays stiff does
          not go away by riding. Then tyres, brakes, bolts, and a short ride close to home.
        </li>
      </ul>
    </details>
  )
}
