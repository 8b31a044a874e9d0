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
import { words } from '../../words/stations/decide/plan-choice.ts'

const planSchema = object({
  weekly: neededNumber({ unit: '', ask: words.howFarInAWeek, least: 0, most: 2000 }),
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
        ? words.theRecentAverageIsUsed(name)
        : words.aWeekPlanned(name, sayKm(weeklyKm, units))
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
          ? words.basedOnAWeek(sayKm(plan.weeklyKm, units))
          : plan.weeklyKm > 0
            ? words.basedOnAboutAWeek(sayAboutKm(plan.weeklyKm, units))
            : words.noRidesInTheLast}{' '}
        <Button look="link" className="no-print" onClick={() => setOpen(!open)}>
          {open ? words.leaveIt : words.change}
        </Button>
        {plan.stated && (
          <Button look="link" className="no-print ml-4" disabled={saying} onClick={sayRecent}>
            {words.useTheRecentAverage}
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
            label={units === 'metric' ? words.aWeekKm : words.aWeekMiles}
            step={5}
            min={0}
            max={2000}
            digits={0}
          />
          <Button type="submit" disabled={saving}>
            {words.savePlan}
          </Button>
        </form>
      )}
    </div>
  )
}
