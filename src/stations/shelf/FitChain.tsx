import { useMemo, useState } from 'react'
import { recommend } from '../../core/strategy/recommend.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import type { PartState } from '../../core/log/garage.ts'
import { openFitting } from '../../core/log/garage.ts'
import type { BikeReport } from '../../core/strategy/bike-report.ts'
import { useOpenLog } from '../../store/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { WorkSection } from '../../ui/parts/WorkSection.tsx'
import { dayOf, faultOfDay, momentOf } from '../../ui/parts/day.ts'
import { CautionNote } from '../../ui/parts/Empty.tsx'
import { Choice, SelectField, TextField } from '../../ui/parts/fields.tsx'
import { sayCaution } from '../../ui/words/advice.ts'
import { useForecast } from '../../workers/use-forecasts.ts'

/** Chains that hang on the shelf and run on as many cogs as the bike has. */
function chainsOnShelf(parts: ReadonlyMap<string, PartState>, speeds: number): PartState[] {
  return [...parts.values()].filter(
    (part) =>
      part.entry.spec.type === 'chain' &&
      part.entry.spec.speeds === speeds &&
      !part.retired &&
      !openFitting(part),
  )
}

/** Puts another chain on: a new one, or one from the shelf; the old one goes to the shelf or away. */
export function FitChain({ report }: { readonly report: BikeReport }) {
  const { record, garage, now } = useOpenLog()
  const { answer } = useForecast(report.chain?.question)
  const { entry } = report.bike
  const shelf = useMemo(() => chainsOnShelf(garage.parts, entry.speeds), [garage.parts, entry.speeds])
  const old = report.chain?.part
  const oldLinks = old?.entry.spec.type === 'chain' ? old.entry.spec.links : 114
  const [which, setWhich] = useState('new')
  const [links, setLinks] = useState(String(oldLinks))
  const [day, setDay] = useState(dayOf(now))
  const [oldTo, setOldTo] = useState<'shelf' | 'retired'>('shelf')
  const [fault, setFault] = useState<string>()
  const cautions = (recommend(report, answer)?.cautions ?? []).filter((caution) => caution !== 'ask-mechanic')

  const save = async () => {
    const count = Number(links)
    const wrong =
      faultOfDay(day, now) ??
      (report.chain && day < dayOf(report.chain.fittedAt)
        ? `The chain on it was fitted on ${dayOf(report.chain.fittedAt)}: that day is before it.`
        : undefined) ??
      (which === 'new' && !(Number.isInteger(count) && count >= 40 && count <= 300)
        ? 'Count the links: a whole number from 40 to 300.'
        : undefined)
    setFault(wrong)
    if (wrong) return
    const at = momentOf(day, now)
    const part = which === 'new' ? crypto.randomUUID() : which
    const number = [...garage.parts.values()].filter(
      (held) => held.entry.spec.type === 'chain' && held.fittings.some(({ bike }) => bike === entry.bike),
    ).length
    const drafts: EntryDraft[] = [
      ...(old ? [{ kind: 'remove', at, part: old.entry.part, to: oldTo } as const] : []),
      ...(which === 'new'
        ? [
            {
              kind: 'part',
              at,
              part,
              name: `Chain ${number + 1}`,
              spec: { type: 'chain', links: count, speeds: entry.speeds, past: 'new' },
            } as const,
          ]
        : []),
      { kind: 'fit', at, part, bike: entry.bike },
    ]
    await record(drafts, `${entry.name} has another chain.`)
  }
  return (
    <WorkSection id="chain" title={`Fit another chain to ${entry.name}`}>
      {cautions.map((caution) => (
        <CautionNote key={caution}>{sayCaution(caution)}</CautionNote>
      ))}
      <div className="grid grid-cols-3 gap-3 max-sm:grid-cols-1">
        <SelectField
          label="Chain"
          value={which}
          onPick={setWhich}
          options={{
            new: 'a new one',
            ...Object.fromEntries(
              shelf.map((part) => [part.entry.part, `${part.entry.name}, from the shelf`]),
            ),
          }}
        />
        {which === 'new' && (
          <TextField
            label="Links"
            inputMode="numeric"
            value={links}
            onChange={(event) => setLinks(event.target.value)}
          />
        )}
        <TextField
          label="Day"
          type="date"
          max={dayOf(now)}
          value={day}
          onChange={(event) => setDay(event.target.value)}
        />
      </div>
      {old && (
        <Choice
          legend={`${old.entry.name}, now on it, goes`}
          value={oldTo}
          onPick={setOldTo}
          options={[
            { value: 'shelf', label: 'on the shelf, to come back' },
            { value: 'retired', label: 'away for good' },
          ]}
        />
      )}
      {fault && (
        <p role="alert" className="text-sm font-medium text-rust">
          {fault}
        </p>
      )}
      <p className="text-sm text-steel">
        Before you close it: same number of links, printed side out if it is directional, and past the cage’s
        tab on the right side. Joining links are for few uses.
      </p>
      <Button look="firm" className="self-start" onClick={() => void save()}>
        Log the chain
      </Button>
    </WorkSection>
  )
}
