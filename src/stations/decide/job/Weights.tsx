import { TextField } from '../../../ui/parts/fields.tsx'
import { Stepper } from '../../../ui/parts/Stepper.tsx'
import { VISIT_BOUNDS } from '../../../core/log/kinds/visit.ts'
import type { Job } from './use-job.ts'
import { words } from '../../../words/stations/decide/job/weights.ts'

/** How much safety counts beside the rest, and what an hour costs. */
export function Weights({ job }: { readonly job: Job }) {
  const { draft, change, unit } = job
  return (
    <div className="grid grid-cols-2 gap-4">
      <Stepper
        label={words.safetyCountsTimes}
        hint={words.brakesAndSteeringBefore}
        value={draft.safetyTimes}
        step={1}
        min={VISIT_BOUNDS.safetyTimes[0]}
        max={VISIT_BOUNDS.safetyTimes[1]}
        digits={0}
        onStep={(safetyTimes) => {
          if (safetyTimes >= VISIT_BOUNDS.safetyTimes[0] && safetyTimes <= VISIT_BOUNDS.safetyTimes[1])
            change({ safetyTimes })
        }}
      />
      <TextField
        label={words.anHour(draft.currency)}
        inputMode="decimal"
        defaultValue={String(draft.hour / unit)}
        onChange={({ target }) => {
          const typed = Number(target.value.replace(',', '.'))
          if (target.value.trim() !== '' && Number.isFinite(typed) && typed >= 0 && typed <= 1e6)
            change({ hour: Math.round(typed * unit) })
        }}
      />
    </div>
  )
}
