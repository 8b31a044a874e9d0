import { useMemo, useState, type ReactNode } from 'react'
import { LUBES, type Lube } from '../../core/lube/lubes.ts'
import { elongationFromLength } from '../../core/measure/elongation.ts'
import { openFitting, type PartState } from '../../core/log/garage.ts'
import type { PartSpec } from '../../core/log/entries.ts'
import type { BikeReport } from '../../core/strategy/bike-report.ts'
import { checksBeforeFitting, closingsOf } from '../../core/strategy/fitting-checks.ts'
import { inchesToMm } from '../../core/units/convert.ts'
import { useOpenLog } from '../../store/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { dayOf, faultOfDay, momentOf } from '../../ui/parts/day.ts'
import { CautionNote } from '../../ui/parts/Empty.tsx'
import { Choice, SelectField, TextField } from '../../ui/parts/fields.tsx'
import { WorkSection } from '../../ui/parts/WorkSection.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { LUBE_NAMES } from '../../ui/words/names.ts'
import { sayCount, sayDay } from '../../ui/words/numbers.ts'
import { useForecast } from '../../workers/use-forecasts.ts'
import { Checks } from './Checks.tsx'
import { chainsToHand, linkOn, linksToHand, swapEntries, type Swap } from './swap.ts'

const NEW = 'new'
const AS_IT_CAME = 'as it came'

function Step({ number, title, children }: { number: number; title: string; children: ReactNode }) {
  return (
    <li className="grid grid-cols-[2rem_minmax(0,1fr)] gap-x-2">
      <span aria-hidden="true" className="font-mono text-lg text-steel">
        {number}
      </span>
      <div className="flex flex-col gap-3">
        <h3 className="text-[0.95rem] font-semibold">{title}</h3>
        {children}
      </div>
    </li>
  )
}

/** A chain where it hangs, for the list to choose from. */
function nameOf(part: PartState, bikes: ReadonlyMap<string, { entry: { name: string } }>): string {
  const on = openFitting(part)
  return on
    ? `${part.entry.name}, off ${bikes.get(on.bike)?.entry.name ?? 'another bike'}`
    : `${part.entry.name}, from the shelf`
}

const isSpec = <T extends PartSpec['type']>(
  spec: PartSpec | undefined,
  type: T,
): spec is Extract<PartSpec, { type: T }> => spec?.type === type

interface Form {
  readonly which: string
  readonly links: string
  readonly directional: boolean
  readonly oldTo: 'shelf' | 'retired'
  readonly join: string
  readonly linkLimit: string
  readonly day: string
  readonly lube: string
  readonly length: string
  readonly routed: boolean
}

/** The guided swap: chain off, chain on, links counted, direction, routing, first look, written in one go. */
export function FitChain({ report }: { readonly report: BikeReport }) {
  const { record, garage, now } = useOpenLog()
  const units = useUnits()
  const { answer } = useForecast(report.chain?.question)
  const { entry } = report.bike
  const old = report.chain?.part
  const oldSpec = old?.entry.spec
  const chains = useMemo(
    () =>
      chainsToHand(garage, entry.bike).filter(
        ({ entry: { spec } }) => isSpec(spec, 'chain') && spec.speeds === entry.speeds,
      ),
    [garage, entry],
  )
  const held = linkOn(garage, entry.bike)
  const spare = linksToHand(garage).filter(
    ({ entry: { spec } }) => isSpec(spec, 'joining-link') && spec.speeds === entry.speeds,
  )
  const [form, setForm] = useState<Form>({
    which: NEW,
    links: String(isSpec(oldSpec, 'chain') ? oldSpec.links : 114),
    directional: false,
    oldTo: 'shelf',
    join: held ? 'same' : NEW,
    linkLimit: '1',
    day: dayOf(now),
    lube: AS_IT_CAME,
    length: '',
    routed: false,
  })
  const [fault, setFault] = useState<string>()
  const set = (part: Partial<Form>) => setForm((before) => ({ ...before, ...part }))
  const chosen = chains.find((part) => part.entry.part === form.which)
  const links = Number(form.links)
  const spec: PartSpec = chosen?.entry.spec ?? {
    type: 'chain',
    links,
    speeds: entry.speeds,
    past: 'new',
    directional: form.directional,
  }
  const link = form.join === 'same' ? held : spare.find((part) => part.entry.part === form.join)
  const checks = [
    ...checksBeforeFitting(garage, report, answer, spec, chosen),
    ...(link ? checksBeforeFitting(garage, report, answer, link.entry.spec, link) : []),
  ]
  const chosenOn = chosen && openFitting(chosen)
  const wronged = chosenOn && garage.bikes.get(chosenOn.bike)?.entry.name
  const linkLimit = Number(form.linkLimit)
  const joins = {
    ...(held && { same: `${held.entry.name} again: closing ${closingsOf(held) + 1}` }),
    [NEW]: 'a new joining link',
    ...Object.fromEntries(
      spare.map((part) => [part.entry.part, `${part.entry.name}: closing ${closingsOf(part) + 1}`]),
    ),
    pin: 'a pin',
  }
  const typed = form.length.replace(',', '.').trim()
  const lengthMm = typed === '' ? undefined : units === 'metric' ? Number(typed) : inchesToMm(Number(typed))
  const first = lengthMm === undefined ? undefined : elongationFromLength(24, lengthMm)

  const faultOf = (): string | undefined => {
    const dayFault = faultOfDay(form.day, now)
    if (dayFault) return dayFault
    if (report.chain && form.day < dayOf(report.chain.fittedAt))
      return `The chain on it was fitted on ${sayDay(report.chain.fittedAt, now)}: that day is before it.`
    if (chosenOn && momentOf(form.day, now) <= chosenOn.from)
      return `${chosen.entry.name} went onto ${wronged ?? 'its bike'} on ${sayDay(chosenOn.from, now)}: that day is before it.`
    if (form.which === NEW && !(Number.isInteger(links) && links >= 40 && links <= 300))
      return 'Count the links: a whole number from 40 to 300.'
    if (form.join === NEW && !(Number.isInteger(linkLimit) && linkLimit >= 1 && linkLimit <= 100))
      return 'How often may the joining link be closed? A whole number; 1 for single use.'
    if (first !== undefined && !(first >= -0.3 && first <= 1.8))
      return `The first look: ${form.length} over 24 pitches would be ${Number.isFinite(first) ? `${first.toFixed(2)} %` : 'no length'}. Read it again, or leave it out.`
    return undefined
  }

  const save = async () => {
    const wrong = faultOf()
    setFault(wrong)
    if (wrong) return
    const lube = LUBES.find((one): one is Lube => one === form.lube)
    const swap: Swap = {
      at: momentOf(form.day, now),
      bike: entry.bike,
      speeds: entry.speeds,
      ...(old && { off: { part: old.entry.part, to: form.oldTo } }),
      on: chosen ? { part: chosen.entry.part } : { links, directional: form.directional },
      join:
        form.join === 'same' || form.join === 'new' || form.join === 'pin' ? form.join : { part: form.join },
      linkLimit,
      ...(lube && { lube }),
      ...(lengthMm !== undefined && { lengthMm }),
    }
    await record(
      swapEntries(swap, garage, () => crypto.randomUUID()),
      `${entry.name} has another chain.`,
    )
  }
  return (
    <WorkSection id="chain" title={`Fit another chain to ${entry.name}`}>
      {entry.motor !== 'none' && (
        <CautionNote>Power off and battery out before a hand goes near the chain.</CautionNote>
      )}
      <ol className="flex flex-col gap-5">
        <Step number={1} title="Which chain goes on">
          <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
            <SelectField
              label="Chain"
              value={form.which}
              onPick={(which) => set({ which })}
              options={{
                [NEW]: 'a new one',
                ...Object.fromEntries(chains.map((part) => [part.entry.part, nameOf(part, garage.bikes)])),
              }}
            />
            <TextField
              label="Day"
              type="date"
              max={dayOf(now)}
              value={form.day}
              onChange={(event) => set({ day: event.target.value })}
            />
            {form.which === NEW && (
              <>
                <TextField
                  label="Links"
                  hint={old ? 'Lay it beside the old one, or count.' : 'Count them.'}
                  inputMode="numeric"
                  value={form.links}
                  onChange={(event) => set({ links: event.target.value })}
                />
                <SelectField
                  label="It runs"
                  options={{ no: 'either way round', yes: 'one way round only' }}
                  value={form.directional ? 'yes' : 'no'}
                  onPick={(value) => set({ directional: value === 'yes' })}
                />
              </>
            )}
          </div>
          <Checks checks={checks} />
          {wronged !== undefined && (
            <p className="text-sm text-steel">
              {wronged} is then without a chain in the log, until one is fitted.
            </p>
          )}
        </Step>
        {old && (
          <Step number={2} title="The old one comes off">
            <Choice
              legend={`${old.entry.name}, now on it, goes`}
              value={form.oldTo}
              onPick={(oldTo) => set({ oldTo })}
              options={[
                { value: 'shelf', label: 'on the shelf, to come back' },
                { value: 'retired', label: 'away for good' },
              ]}
            />
          </Step>
        )}
        <Step number={old ? 3 : 2} title="Route it and join it">
          <label className="flex min-h-11 items-center gap-3 text-[0.95rem]">
            <input
              type="checkbox"
              className="size-6 accent-petrol"
              checked={form.routed}
              onChange={(event) => set({ routed: event.target.checked })}
            />
            Past the cage’s tab on its inner side, not over it: over it, it grinds and jumps.
          </label>
          <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
            <SelectField
              label="Joined by"
              options={joins}
              value={form.join}
              onPick={(join) => set({ join })}
            />
            {form.join === NEW && (
              <TextField
                label="It may be closed"
                hint={`${sayCount(Number.isInteger(linkLimit) ? linkLimit : 0, 'time')}; its packet says how often.`}
                inputMode="numeric"
                value={form.linkLimit}
                onChange={(event) => set({ linkLimit: event.target.value })}
              />
            )}
          </div>
        </Step>
        <Step number={old ? 4 : 3} title="First look">
          <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
            <TextField
              label={`24 pitches with a rule, ${units === 'metric' ? 'mm' : 'inches'}`}
              hint={
                units === 'metric'
                  ? '304.8 when new. Leave it empty to look later.'
                  : '12 when new. Leave it empty to look later.'
              }
              inputMode="decimal"
              value={form.length}
              onChange={(event) => set({ length: event.target.value })}
            />
            <SelectField
              label="On it is"
              options={{ [AS_IT_CAME]: 'what it came with', ...LUBE_NAMES }}
              value={form.lube}
              onPick={(lube) => set({ lube })}
            />
          </div>
        </Step>
      </ol>
      {fault && (
        <p role="alert" className="text-sm font-medium text-rust">
          {fault}
        </p>
      )}
      <div className="flex flex-wrap items-center gap-4">
        <Button look="firm" onClick={() => void save()}>
          Log the chain
        </Button>
        {!form.routed && (
          <p className="text-sm text-steel">Step {old ? 3 : 2} is not ticked yet: look before you ride.</p>
        )}
      </div>
    </WorkSection>
  )
}
