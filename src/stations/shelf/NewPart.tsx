import { useMemo, useState } from 'react'
import type { EntryDraft } from '../../core/log/entries.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { checksBeforeFitting } from '../../core/strategy/fitting-checks.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { dayOf, faultOfDay, momentOf } from '../../ui/parts/day.ts'
import { Choice, SelectField, TextField } from '../../ui/parts/fields.tsx'
import { useForecast } from '../../session/use-forecasts.ts'
import { CogsField } from './CogsField.tsx'
import { Checks } from './Checks.tsx'
import { PART_TYPES, partDraft, PartFault, type PartDraft, type PartType } from './part-form.ts'
import { useOnce } from '../../ui/use-once.ts'

const SURFACES = { plain: 'plain steel', plated: 'plated', 'hard-coated': 'hard-coated' }
const JOINS = { 'joining-link': 'a joining link', pin: 'a pin' }
const MATERIALS = { steel: 'steel', aluminium: 'aluminium', titanium: 'titanium' }
const DIRECTIONS = { no: 'either way round', yes: 'one way round only' }

type Raw = Readonly<Record<string, string>>

interface FieldsProps {
  readonly raw: Raw
  readonly fault: PartFault | undefined
  readonly set: (name: string, value: string) => void
}

/** What is asked, by the type of part. */
function PartFields({ raw, fault, set }: FieldsProps) {
  const text = (name: string, label: string, hint?: string, numeric = true) => (
    <TextField
      key={name}
      label={label}
      value={raw[name] ?? ''}
      {...(numeric && { inputMode: 'numeric' as const })}
      {...(hint !== undefined && { hint })}
      fault={fault?.field === name ? fault.message : undefined}
      onChange={(event) => set(name, event.target.value)}
    />
  )
  const select = (name: string, label: string, options: Readonly<Record<string, string>>) => (
    <SelectField
      key={name}
      label={label}
      options={options}
      value={raw[name] ?? ''}
      onPick={(value) => set(name, value)}
    />
  )
  switch (raw['type'] as PartType) {
    case 'chain':
      return (
        <>
          {text('links', 'Links')}
          {text('speeds', 'Speeds')}
          {select('surface', 'Surface', SURFACES)}
          {select('directional', 'It runs', DIRECTIONS)}
          {select('join', 'Its ends join by', JOINS)}
        </>
      )
    case 'joining-link':
      return (
        <>
          {text('speeds', 'Speeds')}
          {text('limit', 'Closings its maker allows', 'Its packet says; 1 for a link of single use.')}
          {text('closedBefore', 'Closings so far')}
        </>
      )
    case 'cassette':
      return (
        <>
          <CogsField
            value={raw['teeth'] ?? ''}
            fault={fault?.field === 'teeth' ? fault.message : undefined}
            onChange={(teeth) => set('teeth', teeth)}
            isCounted={raw['cogsCounted'] === 'yes'}
            onCounted={(counted) => set('cogsCounted', counted ? 'yes' : 'no')}
          />
          {select('material', 'Of', MATERIALS)}
          {text('loose', 'Of these sold singly', 'Only where the maker says that they fit.')}
        </>
      )
    case 'ring':
      return (
        <>
          {text('teeth', 'Teeth')}
          {select('material', 'Of', MATERIALS)}
        </>
      )
    case 'guide':
    case 'tension':
      return text('teeth', 'Teeth')
  }
}

/** A part for the shelf or for the bike: what it is, and what to know before it goes on. */
export function NewPart({ report, onDone }: { readonly report: BikeReport; readonly onDone: () => void }) {
  const { record, garage, now } = useOpenLog()
  const { answer } = useForecast(report.chain?.part.entry.part)
  const { entry } = report.bike
  const [id] = useState(() => crypto.randomUUID())
  const [raw, setRaw] = useState<Raw>({
    type: 'cassette',
    speeds: String(entry.speeds),
    links: '114',
    limit: '1',
    closedBefore: '0',
    surface: 'plain',
    directional: 'no',
    join: 'joining-link',
    material: 'steel',
    used: 'new',
  })
  const [where, setWhere] = useState<'bike' | 'shelf'>('shelf')
  const [day, setDay] = useState(dayOf(now))
  const [fault, setFault] = useState<PartFault>()
  const attempt = useMemo((): PartDraft | PartFault => {
    try {
      return partDraft(raw, id, momentOf(day, now))
    } catch (error) {
      if (error instanceof PartFault) return error
      throw error
    }
  }, [raw, id, day, now])
  const checks =
    where === 'bike' && !(attempt instanceof PartFault)
      ? checksBeforeFitting(garage, report, answer, attempt.spec)
      : []
  const [save, saving] = useOnce(async () => {
    const dayFault = faultOfDay(day, now)
    if (attempt instanceof PartFault) return setFault(attempt)
    if (dayFault) return setFault(new PartFault('day', dayFault))
    setFault(undefined)
    const drafts: EntryDraft[] = [
      attempt,
      ...(where === 'bike' ? [{ kind: 'fit' as const, at: attempt.at, part: id, bike: entry.bike }] : []),
    ]
    const said = `${attempt.name} is ${where === 'bike' ? `on ${entry.name}` : 'on the shelf'}.`
    if (await record(drafts, said)) onDone()
  })
  const set = (name: string, value: string) => setRaw({ ...raw, [name]: value })
  return (
    <div className="flex flex-col gap-4">
      <div className="grid grid-cols-2 gap-4 max-sm:grid-cols-1">
        <SelectField
          label="It is a"
          options={PART_TYPES}
          value={raw['type'] as PartType}
          onPick={(type) => set('type', type)}
        />
        <TextField
          label="Name"
          placeholder="as on the packet, or nothing"
          value={raw['name'] ?? ''}
          fault={fault?.field === 'name' ? fault.message : undefined}
          onChange={(event) => set('name', event.target.value)}
        />
        <PartFields raw={raw} fault={fault} set={set} />
        <SelectField
          label="New or used"
          options={{ new: 'new', used: 'used, of unknown past' }}
          value={raw['used'] as 'new' | 'used'}
          onPick={(used) => set('used', used)}
        />
        {raw['used'] === 'used' && (
          <TextField
            label="Distance before, km"
            hint="If it is known."
            inputMode="decimal"
            value={raw['usedKm'] ?? ''}
            fault={fault?.field === 'usedKm' ? fault.message : undefined}
            onChange={(event) => set('usedKm', event.target.value)}
          />
        )}
      </div>
      <Choice
        legend="Where to"
        value={where}
        onPick={setWhere}
        options={[
          { value: 'shelf', label: 'on the shelf' },
          { value: 'bike', label: `on ${entry.name}` },
        ]}
      />
      <TextField
        label="Day"
        type="date"
        max={dayOf(now)}
        value={day}
        fault={fault?.field === 'day' ? fault.message : undefined}
        onChange={(event) => setDay(event.target.value)}
      />
      <Checks checks={checks} />
      <Button look="firm" className="self-start" disabled={saving} onClick={save}>
        Log the part
      </Button>
    </div>
  )
}
