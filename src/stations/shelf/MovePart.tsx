import { useMemo, useState } from 'react'
import type { EntryDraft } from '../../core/log/entries.ts'
import { BOUNDS } from '../../core/log/bounds.ts'
import { openFitting, type PartState } from '../../core/log/garage.ts'
import { bikeReport } from '../../core/strategy/facts/bike-report.ts'
import { checksBeforeFitting } from '../../core/strategy/fitting-checks.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { dayOf, faultOfDay, momentOf } from '../../ui/parts/day.ts'
import { SelectField, TextField } from '../../ui/parts/fields.tsx'
import { sayDay } from '../../ui/words/numbers.ts'
import { useForecast } from '../../session/use-forecasts.ts'
import { faultOfText } from '../../ui/parts/text-fault.ts'
import { Checks } from './Checks.tsx'
import { useOnce } from '../../ui/use-once.ts'

const PLACES = { shelf: 'on the shelf', retired: 'retired', lent: 'to somebody, on loan' } as const
type Off = keyof typeof PLACES

/** Fits a part, moves it to another bike, hangs it up, lends it or retires it. */
export function MovePart({ part, onDone }: { readonly part: PartState; readonly onDone: () => void }) {
  const { record, garage, now } = useOpenLog()
  const { entry } = part
  const on = openFitting(part)
  const bikes = [...garage.bikes.values()].filter((bike) => bike.entry.bike !== on?.bike)
  const places: Readonly<Record<string, string>> = {
    ...(on || part.lentTo !== undefined || part.retired ? { shelf: PLACES.shelf } : {}),
    ...Object.fromEntries(bikes.map((bike) => [`bike ${bike.entry.bike}`, `onto ${bike.entry.name}`])),
    lent: PLACES.lent,
    retired: PLACES.retired,
  }
  const [to, setTo] = useState(Object.keys(places)[0] ?? 'shelf')
  const [who, setWho] = useState('')
  const [day, setDay] = useState(dayOf(now))
  const [fault, setFault] = useState<string>()
  const target = to.startsWith('bike ') ? garage.bikes.get(to.slice(5)) : undefined
  const report = useMemo(() => target && bikeReport(garage, target, now), [target, garage, now])
  const { answer } = useForecast(report?.chain?.part.entry.part)
  const checks = report ? checksBeforeFitting(garage, report, answer, entry.spec, part) : []
  const [save, saving] = useOnce(async () => {
    const since = on?.from ?? part.fittings.at(-1)?.to
    const at = momentOf(day, now)
    const wrong =
      faultOfDay(day, now) ??
      (to === 'lent' ? faultOfText(who, BOUNDS.nameLetters) : undefined) ??
      (since !== undefined && at <= since
        ? `It was ${on ? 'fitted' : 'taken off'} on ${sayDay(since, now)}: that day is before it.`
        : undefined)
    setFault(wrong)
    if (wrong) return
    const draft: EntryDraft = target
      ? { kind: 'fit', at, part: entry.part, bike: target.entry.bike }
      : {
          kind: 'remove',
          at,
          part: entry.part,
          to: to as Off,
          ...(to === 'lent' && who.trim() !== '' && { lentTo: who.trim() }),
        }
    const said = target
      ? `${entry.name} is on ${target.entry.name}.`
      : `${entry.name} went ${PLACES[to as Off]}.`
    if (await record([draft], said)) onDone()
  })
  return (
    <div className="flex flex-col gap-4">
      <SelectField label="Where to" options={places} value={to} onPick={setTo} />
      {to === 'lent' && (
        <TextField label="To whom" value={who} onChange={(event) => setWho(event.target.value)} />
      )}
      <TextField
        label="Day"
        type="date"
        max={dayOf(now)}
        value={day}
        fault={fault}
        onChange={(event) => setDay(event.target.value)}
      />
      {target && on && (
        <p className="text-sm text-steel">
          From that day its distance is counted on {target.entry.name}; what is there now of its kind comes
          off.
        </p>
      )}
      <Checks checks={checks} />
      <Button look="firm" className="self-start" disabled={saving} onClick={save}>
        Log the move
      </Button>
    </div>
  )
}
