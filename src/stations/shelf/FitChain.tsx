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
import { words } from '../../words/stations/shelf/fit-chain.ts'

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
      ? words.off(
          namePart(garage, part.entry.part),
          garage.bikes.get(on.bike)?.entry.name ?? words.anotherBike,
        )
      : words.fromTheShelf(namePart(garage, part.entry.part))
  }
  return (
    <>
      <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
        <SelectField
          label={words.chain}
          fault={errors.which?.message}
          {...form.register('which')}
          options={{
            [NEW]: words.aNewOne,
            ...Object.fromEntries(chains.map((part) => [part.entry.part, hanging(part)])),
          }}
        />
        <TextField
          label={words.day}
          type="date"
          max={dayOf(now)}
          fault={errors.day?.message}
          {...form.register('day')}
        />
        {!chosen && (
          <>
            <TextField
              label={words.links}
              hint={old ? words.layItBesideTheOld : words.countThem}
              inputMode="numeric"
              fault={errors.links?.message}
              {...form.register('links')}
            />
            <SelectField
              label={words.itRuns}
              options={{ no: words.eitherWayRound, yes: words.oneWayRoundOnly }}
              {...form.register('directional')}
            />
            {inStock.length > 0 && (
              <SelectField
                label={words.itComes}
                options={{
                  [BOUGHT]: words.straightFromAShop,
                  ...Object.fromEntries(
                    inStock.map(({ entry, count }) => [
                      entry.stock,
                      words.offTheShelfThere(entry.name, count),
                    ]),
                  ),
                }}
                {...form.register('source')}
              />
            )}
            {source === BOUGHT && (
              <TextField
                label={words.paid(currency)}
                hint={words.leaveItEmptyIf}
                inputMode="decimal"
                fault={errors.price?.message}
                {...form.register('price')}
              />
            )}
          </>
        )}
      </div>
      <Checks checks={checks} />
      {from !== undefined && <p className="text-sm text-steel">{words.isThenWithoutAChain(from)}</p>}
    </>
  )
}

function Joining({ swap }: { readonly swap: SwapState }) {
  const { form, heldLink, spareLinks } = swap
  const join = useWatch({ control: form.control, name: 'join' })
  const joins: Readonly<Record<string, string>> = {
    ...(heldLink && { same: words.againClosing(heldLink.entry.name, closingsOf(heldLink) + 1) }),
    [NEW]: words.aNewJoiningLink,
    ...Object.fromEntries(
      spareLinks.map((part) => [part.entry.part, words.closing(part.entry.name, closingsOf(part) + 1)]),
    ),
    pin: words.aPin,
  }
  return (
    <>
      <label className="flex min-h-11 items-center gap-3 text-[0.95rem]">
        <input type="checkbox" className="size-6 shrink-0 accent-petrol" {...form.register('routed')} />
        {words.pastTheCagesTab}
      </label>
      <div className="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
        <SelectField label={words.joinedBy} options={joins} {...form.register('join')} />
        {join === NEW && (
          <TextField
            label={words.closingsItsMakerAllows}
            hint={words.itsPacketSays1}
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
        label={words.n24PitchesWithARule(units === 'metric' ? words.mm : words.inches)}
        hint={words.whenNewLeaveItEmpty(units === 'metric' ? '304.8' : '12')}
        inputMode="decimal"
        fault={form.formState.errors.length?.message}
        {...form.register('length')}
      />
      <SelectField
        label={words.lubeOnIt}
        options={{ [AS_IT_CAME]: words.whatItCameWith, ...LUBE_NAMES }}
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
    <WorkSection id="chain" title={words.fitAnotherChainTo(entry.name)}>
      {entry.motor !== 'none' && <CautionNote>{words.powerOffAndBattery}</CautionNote>}
      <form onSubmit={swap.submit} noValidate className="flex flex-col gap-4">
        <ol className="flex flex-col gap-5">
          <Step number={1} title={words.whichChainGoesOn}>
            <WhichChain swap={swap} />
          </Step>
          {old && (
            <Step number={2} title={words.theOldOneComes}>
              <Choice
                legend={words.nowOnItGoes(old.entry.name)}
                value={oldTo}
                onPick={(next) => form.setValue('oldTo', next)}
                options={[
                  { value: 'shelf', label: words.onTheShelfAs },
                  { value: 'retired', label: words.retired },
                ]}
              />
            </Step>
          )}
          <Step number={routing} title={words.routeItAndJoin}>
            <Joining swap={swap} />
          </Step>
          <Step number={routing + 1} title={words.firstLook}>
            <FirstLook swap={swap} />
          </Step>
        </ol>
        <div className="flex flex-wrap items-center gap-4">
          <Button look="firm" type="submit" disabled={swap.saving}>
            {words.logTheChain}
          </Button>
          {!routed && <p className="text-sm text-steel">{words.stepIsNotTicked(routing)}</p>}
        </div>
      </form>
    </WorkSection>
  )
}
