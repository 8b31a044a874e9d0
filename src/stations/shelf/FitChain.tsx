import type { ReactNode } from 'react'
import { useWatch } from 'react-hook-form'
import { openFitting } from '../../core/log/garage.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { closingsOf } from '../../core/strategy/fitting-checks.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { Button } from '../../ui/parts/Button.tsx'
import { dayOf } from '../../words/day.ts'
import { CautionNote } from '../../ui/parts/Empty.tsx'
import { Choice, SelectField, TextField } from '../../ui/parts/fields.tsx'
import { WorkSection } from '../../ui/parts/WorkSection.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { LUBE_NAMES } from '../../words/names.ts'
import { namePart } from '../../words/part-name.ts'
import { Checks } from './Checks.tsx'
import { BOUGHT } from './chain-cost.ts'
import { AS_IT_CAME, NEW, useSwap, type SwapState } from './use-swap.ts'

interface StepProps {
  readonly number: number
  readonly title: string
  readonly children: ReactNode
}

function Step({ number, title, children }: StepProps) {
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

function WhichChain({ swap }: { readonly swap: SwapState }) {
  const { garage, now } = useOpenLog()
  const { form, chains, chosen, old, from, checks, inStock, currency } = swap
  const source = useWatch({ control: form.control, name: 'source' })
  const { errors } = form.formState
  const hanging = (part: (typeof chains)[number]): string => {
    const on = openFitting(part)
    return on
      ? `${namePart(garage, part.entry.part)}, off ${garage.bikes.get(on.bike)?.entry.name ?? 'another bike'}`
      : `${namePart(garage, part.entry.part)}, from the shelf`
  }
  return (
    <>
      <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
        <SelectField
          label="Chain"
          fault={errors.which?.message}
          {...form.register('which')}
          options={{
            [NEW]: 'a new one',
            ...Object.fromEntries(chains.map((part) => [part.entry.part, hanging(part)])),
          }}
        />
        <TextField
          label="Day"
          type="date"
          max={dayOf(now)}
          fault={errors.day?.message}
          {...form.register('day')}
        />
        {!chosen && (
          <>
            <TextField
              label="Links"
              hint={old ? 'Lay it beside the old one, or count.' : 'Count them.'}
              inputMode="numeric"
              fault={errors.links?.message}
              {...form.register('links')}
            />
            <SelectField
              label="It runs"
              options={{ no: 'either way round', yes: 'one way round only' }}
              {...form.register('directional')}
            />
            {inStock.length > 0 && (
              <SelectField
                label="It comes"
                options={{
                  [BOUGHT]: 'straight from a shop',
                  ...Object.fromEntries(
                    inStock.map(({ entry, count }) => [
                      entry.stock,
                      `off the shelf: ${entry.name}, ${count} there`,
                    ]),
                  ),
                }}
                {...form.register('source')}
              />
            )}
            {source === BOUGHT && (
              <TextField
                label={`Paid, ${currency}`}
                hint="Leave it empty if you do not keep money here."
                inputMode="decimal"
                fault={errors.price?.message}
                {...form.register('price')}
              />
            )}
          </>
        )}
      </div>
      <Checks checks={checks} />
      {from !== undefined && (
        <p className="text-sm text-steel">{from} is then without a chain in the log, until one is fitted.</p>
      )}
    </>
  )
}

function Joining({ swap }: { readonly swap: SwapState }) {
  const { form, heldLink, spareLinks } = swap
  const join = useWatch({ control: form.control, name: 'join' })
  const joins: Readonly<Record<string, string>> = {
    ...(heldLink && { same: `${heldLink.entry.name} again: closing ${closingsOf(heldLink) + 1}` }),
    [NEW]: 'a new joining link',
    ...Object.fromEntries(
      spareLinks.map((part) => [part.entry.part, `${part.entry.name}: closing ${closingsOf(part) + 1}`]),
    ),
    pin: 'a pin',
  }
  return (
    <>
      <label className="flex min-h-11 items-center gap-3 text-[0.95rem]">
        <input type="checkbox" className="size-6 shrink-0 accent-petrol" {...form.register('routed')} />
        Past the cage’s tab on its inner side, not over it: over it, it grinds and jumps.
      </label>
      <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
        <SelectField label="Joined by" options={joins} {...form.register('join')} />
        {join === NEW && (
          <TextField
            label="Closings its maker allows"
            hint="Its packet says; 1 for a link of single use."
            inputMode="numeric"
            fault={form.formState.errors.linkLimit?.message}
            {...form.register('linkLimit')}
          />
        )}
      </div>
    </>
  )
}

function FirstLook({ swap }: { readonly swap: SwapState }) {
  const units = useUnits()
  const { form } = swap
  return (
    <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
      <TextField
        label={`24 pitches with a rule, ${units === 'metric' ? 'mm' : 'inches'}`}
        hint={`${units === 'metric' ? '304.8' : '12'} when new. Leave it empty to look later.`}
        inputMode="decimal"
        fault={form.formState.errors.length?.message}
        {...form.register('length')}
      />
      <SelectField
        label="Lube on it"
        options={{ [AS_IT_CAME]: 'what it came with', ...LUBE_NAMES }}
        {...form.register('lube')}
      />
    </div>
  )
}

/** The guided swap: chain off, chain on, links counted, direction, routing, first look, written in one go. */
export function FitChain({ report }: { readonly report: BikeReport }) {
  const { entry } = report.bike
  const swap = useSwap(report)
  const { form, old } = swap
  const [oldTo, routed] = useWatch({ control: form.control, name: ['oldTo', 'routed'] })
  const routing = old ? 3 : 2
  return (
    <WorkSection id="chain" title={`Fit another chain to ${entry.name}`}>
      {entry.motor !== 'none' && (
        <CautionNote>Power off and battery out before a hand goes near the chain.</CautionNote>
      )}
      <form onSubmit={swap.submit} noValidate className="flex flex-col gap-4">
        <ol className="flex flex-col gap-5">
          <Step number={1} title="Which chain goes on">
            <WhichChain swap={swap} />
          </Step>
          {old && (
            <Step number={2} title="The old one comes off">
              <Choice
                legend={`${old.entry.name}, now on it, goes`}
                value={oldTo}
                onPick={(next) => form.setValue('oldTo', next)}
                options={[
                  { value: 'shelf', label: 'on the shelf as a spare' },
                  { value: 'retired', label: 'retired' },
                ]}
              />
            </Step>
          )}
          <Step number={routing} title="Route it and join it">
            <Joining swap={swap} />
          </Step>
          <Step number={routing + 1} title="First look">
            <FirstLook swap={swap} />
          </Step>
        </ol>
        <div className="flex flex-wrap items-center gap-4">
          <Button look="firm" type="submit" disabled={swap.saving}>
            Log the chain
          </Button>
          {!routed && (
            <p className="text-sm text-steel">Step {routing} is not ticked yet: look before you ride.</p>
          )}
        </div>
      </form>
    </WorkSection>
  )
}
