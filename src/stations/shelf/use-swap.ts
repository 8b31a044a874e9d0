import { useMemo, type SyntheticEvent } from 'react'
import { useWatch, type UseFormReturn } from 'react-hook-form'
import { boolean, object, string, type ObjectSchema } from 'yup'
import { sprocketTeeth } from '../../core/exposure/gear-mix.ts'
import type { StockState } from '../../core/strategy/shelf/stock-facts.ts'
import type { IsoTime } from '../../core/log/entry.ts'
import type { PartSpec } from '../../core/log/kinds/part.ts'
import { fittedLink, openFitting, type Garage, type PartState } from '../../core/log/garage.ts'
import { LUBES } from '../../core/lube/lubes.ts'
import { elongationFromLength } from '../../core/measure/elongation.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { checksBeforeFitting, type FittingCheck } from '../../core/strategy/fitting-checks.ts'
import { numberTyped, type NumberField } from '../../words/typed.ts'
import { inchesToMm } from '../../core/units/convert.ts'
import { numberField, pastDay } from '../../ui/form/fields.ts'
import { useCheckedForm } from '../../ui/form/use-checked-form.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { dayOf, momentOf } from '../../words/day.ts'
import { useUnits } from '../../ui/screen-state.ts'
import { sayDay } from '../../words/numbers.ts'
import { useTeeth } from '../../session/teeth-store.ts'
import { useForecast } from '../../session/use-forecasts.ts'
import { BOUGHT, chainCost } from './chain-cost.ts'
import { faultOfChain } from './bike-form.ts'
import { chainsToHand, linksToHand, swapEntries, type Swap } from '../../core/strategy/shelf/swap.ts'
import { words } from '../../words/stations/shelf/use-swap.ts'
import { sayDecimal } from '../../words/grouped-number.ts'
import { newId } from '../../session/new-id.ts'

/** Stands for a part that is not in the log yet. */
export const NEW = 'new'
/** Nothing is said of the lubricant. */
export const AS_IT_CAME = words.asItCame

/** A swap in the making: what was chosen, what there is to choose from, what to know before. */
export interface SwapState {
  readonly form: UseFormReturn<SwapForm>
  readonly submit: (event?: SyntheticEvent) => void
  readonly saving: boolean
  readonly old: PartState | undefined
  readonly chains: readonly PartState[]
  readonly chosen: PartState | undefined
  /** The bike that the chosen chain would come off. */
  readonly from: string | undefined
  readonly heldLink: PartState | undefined
  readonly spareLinks: readonly PartState[]
  readonly checks: readonly FittingCheck[]
  /** Chains on the shelf, by count, that may fit. */
  readonly inStock: readonly StockState[]
  readonly currency: string
}

const speedsOf = (spec: PartSpec): number | undefined =>
  spec.type === 'chain' || spec.type === 'joining-link' ? spec.speeds : undefined
const LINKS: NumberField = { unit: '', ask: words.countTheLinks, least: 40, most: 300, whole: true }
const CLOSINGS: NumberField = {
  unit: '',
  ask: words.howOftenMayTheJoining,
  least: 1,
  most: 100,
  whole: true,
}
/** A length over 24 pitches, mm or in. */
const FIRST_LENGTH: NumberField = { unit: '', ask: words.readTheLength, least: 0, most: 400 }

/** What the guided swap asks; what stands in a field that is not shown is left aside. */
const swapSchema = (now: IsoTime) =>
  object({
    which: string().required(),
    day: pastDay(now),
    links: numberField(LINKS).when('which', {
      is: NEW,
      then: (links) => links.required(LINKS.ask),
      otherwise: (links) => links.transform(() => undefined),
    }),
    directional: string<'no' | 'yes'>().required(),
    source: string().required(),
    price: numberField({ unit: '', ask: words.whatDidItCost, least: 0, most: 1e6 }),
    oldTo: string<'shelf' | 'retired'>().required(),
    join: string().required(),
    linkLimit: numberField(CLOSINGS).when('join', {
      is: NEW,
      then: (limit) => limit.required(CLOSINGS.ask),
      otherwise: (limit) => limit.transform(() => undefined),
    }),
    lube: string().required(),
    length: numberField(FIRST_LENGTH),
    routed: boolean().required(),
  })
export type SwapForm = ReturnType<typeof swapSchema> extends ObjectSchema<infer T> ? T : never

/** What is wrong with a swap where it stands in the log and on the bike, and in which field. */
function faultOfSwap(
  swap: Swap,
  { garage, report, now }: { readonly garage: Garage; readonly report: BikeReport; readonly now: IsoTime },
): { readonly field: keyof SwapForm; readonly message: string } | undefined {
  const { at, on, lengthMm, bike } = swap
  const chosen = 'part' in on ? garage.parts.get(on.part) : undefined
  const chosenOn = chosen && openFitting(chosen)
  if (report.chain && dayOf(at) < dayOf(report.chain.fittedAt))
    return {
      field: 'day',
      message: words.theChainOnItWas(sayDay(report.chain.fittedAt, now)),
    }
  if (chosen && chosenOn && at <= chosenOn.from)
    return {
      field: 'day',
      message: words.wentOntoOnThatDay(
        chosen.entry.name,
        garage.bikes.get(chosenOn.bike)?.entry.name ?? words.itsBike,
        sayDay(chosenOn.from, now),
      ),
    }
  const links = 'links' in on ? on.links : chosen?.entry.spec.type === 'chain' ? chosen.entry.spec.links : 0
  const { rings, cogs } = sprocketTeeth(garage, bike)
  const round = faultOfChain(links, rings, cogs)
  if (round) return { field: 'links' in on ? 'links' : 'which', message: round }
  if (lengthMm === undefined) return undefined
  const first = lengthMm > 0 ? elongationFromLength(24, lengthMm) : NaN
  return first >= -0.3 && first <= 1.8
    ? undefined
    : {
        field: 'length',
        message: words.over24PitchesThatRead(
          Number.isFinite(first) ? words.wouldBe(sayDecimal(first, 2)) : words.isNoLength,
        ),
      }
}

/** The form of the guided swap, what there is to choose from, and what to know before. */
export function useSwap(report: BikeReport): SwapState {
  const { garage, now, record } = useOpenLog()
  const units = useUnits()
  const { answer } = useForecast(report.chain?.part.entry.part)
  const { outlook: teeth } = useTeeth(report.bike.entry.bike)
  const { bike, speeds, name } = report.bike.entry
  const old = report.chain?.part
  const oldSpec = old?.entry.spec
  const { currency, inStock, costOf } = chainCost(garage, report)
  const ofSpeeds = (parts: readonly PartState[]) =>
    parts.filter(({ entry }) => speedsOf(entry.spec) === speeds)
  const chains = ofSpeeds(chainsToHand(garage, bike))
  const spareLinks = ofSpeeds(linksToHand(garage))
  const heldLink = fittedLink(garage, bike)
  const { form, submit, saving } = useCheckedForm(
    swapSchema(now),
    {
      which: NEW,
      links: oldSpec?.type === 'chain' ? oldSpec.links : 114,
      directional: 'no',
      source: BOUGHT,
      price: '',
      oldTo: 'shelf',
      join: heldLink ? 'same' : NEW,
      linkLimit: 1,
      day: dayOf(now),
      lube: AS_IT_CAME,
      length: '',
      routed: false,
    },
    async (values, { setError }) => {
      const { links = 0, linkLimit = 1, length, join, directional } = values
      const lube = LUBES.find((one) => one === values.lube)
      const swap: Swap = {
        at: momentOf(values.day, now),
        bike,
        speeds,
        ...(old && { off: { part: old.entry.part, to: values.oldTo } }),
        on: values.which === NEW ? { links, directional: directional === 'yes' } : { part: values.which },
        join: join === 'same' || join === NEW || join === 'pin' ? join : { part: join },
        linkLimit,
        ...(lube && { lube }),
        ...(length !== undefined && { lengthMm: units === 'metric' ? length : inchesToMm(length) }),
      }
      const fault = faultOfSwap(swap, { garage, report, now })
      if (fault) return setError(fault.field, { message: fault.message }, { shouldFocus: true })
      await record(
        [...swapEntries(swap, garage, newId), ...(values.which === NEW ? costOf(values, swap.at) : [])],
        words.hasAnotherChain(name),
      )
    },
  )
  const [which, join, typedLinks, directional] = useWatch({
    control: form.control,
    name: ['which', 'join', 'links', 'directional'],
  })
  const chosen = chains.find((part) => part.entry.part === which)
  const link = join === 'same' ? heldLink : spareLinks.find((part) => part.entry.part === join)
  const counted = numberTyped(String(typedLinks ?? ''), LINKS)
  const links = 'value' in counted ? counted.value : undefined
  const checks = useMemo(() => {
    // Until its links are counted there is nothing to say of a new one.
    const spec: PartSpec | undefined =
      chosen?.entry.spec ??
      (links === undefined
        ? undefined
        : { type: 'chain', links, speeds, past: 'new', directional: directional === 'yes' })
    const known = { report, answer, teeth }
    return [
      ...(spec ? checksBeforeFitting(garage, known, spec, chosen) : []),
      ...(link ? checksBeforeFitting(garage, known, link.entry.spec, link) : []),
    ]
  }, [garage, report, answer, teeth, chosen, link, links, speeds, directional])
  const chosenOn = chosen && openFitting(chosen)
  const from = chosenOn && (garage.bikes.get(chosenOn.bike)?.entry.name ?? words.anotherBike)
  return { form, submit, saving, old, chains, chosen, from, heldLink, spareLinks, checks, inStock, currency }
}
