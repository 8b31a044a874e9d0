import { useState } from 'react'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { kmToMiles, milesToKm } from '../../core/units/convert.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { Stepper } from '../../ui/parts/Stepper.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { sayAboutKm, sayKm } from '../../ui/words/numbers.ts'
import { useOnce } from '../../ui/use-once.ts'

/** How far the bike goes in a week: as lately, or as its rider says. */
export function PlanChoice({ report }: { readonly report: BikeReport }) {
  const { record, now } = useOpenLog()
  const units = useUnits()
  const { plan } = report
  const { bike, name } = report.bike.entry
  const shown = (km: number) => Math.round(units === 'metric' ? km : kmToMiles(km))
  const [open, setOpen] = useState(false)
  const [weekly, setWeekly] = useState(() => shown(plan.weeklyKm))
  const [say, saying] = useOnce(async (weeklyKm: number | undefined) => {
    const draft = { kind: 'plan', at: now, bike, ...(weeklyKm !== undefined && { weeklyKm }) } as const
    const said =
      weeklyKm === undefined
        ? `${name}: the recent average is used.`
        : `${name}: ${sayKm(weeklyKm, units)} a week planned.`
    if (await record([draft], said)) setOpen(false)
  })
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
          <Button look="link" className="no-print ml-4" disabled={saying} onClick={() => say(undefined)}>
            Use the recent average
          </Button>
        )}
      </p>
      {open && (
        <div className="mt-3 grid max-w-[26rem] grid-cols-[12rem_auto] items-end gap-3 max-sm:grid-cols-1">
          <Stepper
            label={units === 'metric' ? 'A week, km' : 'A week, miles'}
            value={weekly}
            step={5}
            min={0}
            max={2000}
            digits={0}
            onStep={setWeekly}
          />
          <Button disabled={saying} onClick={() => say(units === 'metric' ? weekly : milesToKm(weekly))}>
            Save plan
          </Button>
        </div>
      )}
    </div>
  )
}
