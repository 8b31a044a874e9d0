import { useState } from 'react'
import { object } from 'yup'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { kmToMiles, milesToKm } from '../../core/units/convert.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { neededNumber } from '../../ui/form/fields.ts'
import { StepperField } from '../../ui/form/StepperField.tsx'
import { useCheckedForm } from '../../ui/form/use-checked-form.ts'
import { useUnits } from '../../ui/screen-state.ts'
import { sayAboutKm, sayKm } from '../../words/numbers.ts'
import { useOnce } from '../../ui/use-once.ts'

const planSchema = object({
  weekly: neededNumber({ unit: '', ask: 'How far in a week?', least: 0, most: 2000 }),
})

/** How far the bike goes in a week: its recent average, or what its rider plans. */
export function PlanChoice({ report }: { readonly report: BikeReport }) {
  const { record, now } = useOpenLog()
  const units = useUnits()
  const { plan } = report
  const { bike, name } = report.bike.entry
  const shown = (km: number) => Math.round(units === 'metric' ? km : kmToMiles(km))
  const [open, setOpen] = useState(false)
  const say = async (weeklyKm: number | undefined) => {
    const draft = { kind: 'plan', at: now, bike, ...(weeklyKm !== undefined && { weeklyKm }) } as const
    const said =
      weeklyKm === undefined
        ? `${name}: the recent average is used.`
        : `${name}: ${sayKm(weeklyKm, units)} a week planned.`
    if (await record([draft], said)) setOpen(false)
  }
  const [sayRecent, saying] = useOnce(() => say(undefined))
  const { form, submit, saving } = useCheckedForm(
    planSchema,
    { weekly: shown(plan.weeklyKm) },
    async ({ weekly }) => say(units === 'metric' ? weekly : milesToKm(weekly)),
  )
  return (
    <div className="mt-5 text-[0.95rem]">
      <p>
        {plan.stated
          ? `Based on ${sayKm(plan.weeklyKm, units)} a week, as you set.`
          : plan.weeklyKm > 0
            ? `Based on about ${sayAboutKm(plan.weeklyKm, units)} a week, your average of the last twelve weeks, in the usual conditions of the season.`
            : 'No rides in the last twelve weeks: there are distances, but no days.'}{' '}
        <Button look="link" className="no-print" onClick={() => setOpen(!open)}>
          {open ? 'Leave it' : 'Change'}
        </Button>
        {plan.stated && (
          <Button look="link" className="no-print ml-4" disabled={saying} onClick={sayRecent}>
            Use the recent average
          </Button>
        )}
      </p>
      {open && (
        <form
          onSubmit={submit}
          noValidate
          className="mt-3 grid max-w-[26rem] grid-cols-[12rem_auto] items-end gap-3 max-sm:grid-cols-1"
        >
          <StepperField
            control={form.control}
            name="weekly"
            label={units === 'metric' ? 'A week, km' : 'A week, miles'}
            step={5}
            min={0}
            max={2000}
            digits={0}
          />
          <Button type="submit" disabled={saving}>
            Save plan
          </Button>
        </form>
      )}
    </div>
  )
}
