import { useState } from 'react'
import { odometerSpans, unaccountedKm } from '../../core/exposure/odometer.ts'
import { MOST_ODOMETER_KM } from '../../core/log/kinds/odometer.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { kmToMiles, milesToKm } from '../../core/units/convert.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { dayOf, faultOfDay, momentOf } from '../../ui/parts/day.ts'
import { TextField } from '../../ui/parts/fields.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { sayDay, sayKm } from '../../ui/words/numbers.ts'
import { useOnce } from '../../ui/use-once.ts'

/** What the bike's computer shows: distance by difference, so that what was not recorded counts too. */
export function Odometer({ report }: { readonly report: BikeReport }) {
  const { record, now } = useOpenLog()
  const units = useUnits()
  const { entry, odometer, rides } = report.bike
  const [shown, setShown] = useState('')
  const [day, setDay] = useState(dayOf(now))
  const [anew, setAnew] = useState(false)
  const [fault, setFault] = useState<string>()
  const last = odometer.at(-1)
  const told = rides.filter((ride) => !ride.spread)
  const span = odometerSpans(told, odometer).at(-1)

  const [save, saving] = useOnce(async () => {
    const value = Number(shown.replace(',', '.'))
    const km = units === 'metric' ? value : milesToKm(value)
    const at = momentOf(day, now)
    const before = odometer.findLast((reading) => reading.at <= at)
    const wrong =
      faultOfDay(day, now) ??
      (shown.trim() === '' || !(value >= 0) ? 'Give the figure it shows.' : undefined) ??
      (km > MOST_ODOMETER_KM
        ? 'That is more than any bike’s computer shows: check the figure.'
        : undefined) ??
      (before && km < before.km && !anew
        ? `It showed ${sayKm(before.km, units)} on ${sayDay(before.at, now)}, more than that. Check the figure, or tick “count restarted”.`
        : undefined)
    setFault(wrong)
    if (wrong) return
    const saved = await record(
      [{ kind: 'odometer', at, bike: entry.bike, km, ...(anew && { restarted: anew }) }],
      `${entry.name}’s computer: ${sayKm(km, units)}.`,
    )
    if (saved) {
      setShown('')
      setAnew(false)
    }
  })
  return (
    <section aria-labelledby="odometer" className="flex flex-col gap-3 border-t border-hairline pt-4">
      <h3 id="odometer" className="text-[0.95rem] font-semibold">
        Bike computer
      </h3>
      <p className="text-sm text-steel">
        {last
          ? `Last ${sayKm(last.km, units)} on ${sayDay(last.at, now)}.`
          : 'The first figure is the start. Each later one adds the distance that no ride covers.'}
        {span &&
          ` Since ${sayDay(span.from.at, now)} it counted ${sayKm(span.km, units)}; rides account for ${sayKm(span.riddenKm, units)}${
            unaccountedKm(span) > 0
              ? `, and the other ${sayKm(unaccountedKm(span), units)} are spread over those days.`
              : '.'
          }`}
      </p>
      <div className="grid grid-cols-[1fr_1fr_auto] items-start gap-3 max-sm:grid-cols-2">
        <TextField
          label={units === 'metric' ? 'It shows, km' : 'It shows, miles'}
          inputMode="decimal"
          value={shown}
          placeholder={last ? String(Math.round(units === 'metric' ? last.km : kmToMiles(last.km))) : ''}
          onChange={(event) => setShown(event.target.value)}
          fault={fault}
        />
        <TextField
          label="On"
          type="date"
          max={dayOf(now)}
          value={day}
          onChange={(event) => setDay(event.target.value)}
        />
        <label className="flex min-h-11 items-center gap-2 self-end text-[0.95rem]">
          <input
            type="checkbox"
            className="size-5 accent-petrol"
            checked={anew}
            onChange={(event) => setAnew(event.target.checked)}
          />
          count restarted
        </label>
      </div>
      <Button className="self-start" disabled={saving} onClick={save}>
        Save the figure
      </Button>
    </section>
  )
}
