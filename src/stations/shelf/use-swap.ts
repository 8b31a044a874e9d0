import { useMemo, useState } from 'react'
import { sprocketTeeth } from '../../core/exposure/gear-mix.ts'
import type { PartSpec } from '../../core/log/kinds/part.ts'
import { openFitting, type Garage, type PartState } from '../../core/log/garage.ts'
import { LUBES } from '../../core/lube/lubes.ts'
import { elongationFromLength } from '../../core/measure/elongation.ts'
import type { BikeReport } from '../../core/strategy/facts/bike-report.ts'
import { checksBeforeFitting, type FittingCheck } from '../../core/strategy/fitting-checks.ts'
import { numberTyped, type NumberField } from '../../ui/words/typed.ts'
import { inchesToMm } from '../../core/units/convert.ts'
import { useOpenLog } from '../../session/log-context.ts'
import { dayOf, faultOfDay, momentOf } from '../../ui/parts/day.ts'
import { useUnits } from '../../ui/screen-state.ts'
import { sayDay } from '../../ui/words/numbers.ts'
import { useForecast } from '../../session/use-forecasts.ts'
import { faultOfChain } from './bike-form.ts'
import { chainsToHand, linkOn, linksToHand, type Swap } from './swap.ts'

/** Stands for a part that is not in the log yet. */
export const NEW = 'new'
/** Nothing is said of the lubricant. */
export const AS_IT_CAME = 'as it came'

export interface SwapForm {
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

/** A swap in the making: what was chosen, what there is to choose from, what to know before. */
export interface SwapState {
  readonly form: SwapForm
  readonly set: (part: Partial<SwapForm>) => void
  readonly old: PartState | undefined
  readonly chains: readonly PartState[]
  readonly chosen: PartState | undefined
  /** The bike that the chosen chain would come off. */
  readonly from: string | undefined
  readonly heldLink: PartState | undefined
  readonly spareLinks: readonly PartState[]
  readonly checks: readonly FittingCheck[]
  /** The swap, or what is wrong with it. */
  readonly settle: () => Swap | string
}

const speedsOf = (spec: PartSpec): number | undefined =>
  spec.type === 'chain' || spec.type === 'joining-link' ? spec.speeds : undefined
const LINKS: NumberField = { unit: '', ask: 'Count the links.', least: 40, most: 300, whole: true }
const CLOSINGS: NumberField = {
  unit: '',
  ask: 'How often may the joining link be closed? 1 for single use.',
  least: 1,
  most: 100,
  whole: true,
}
/** A length over 24 pitches, mm or in. */
const FIRST_LENGTH: NumberField = { unit: '', ask: 'Read the length.', least: 0, most: 400 }

/** What was typed as a number; NaN where it is none. */
function valueOf(text: string, field: NumberField): number {
  const typed = numberTyped(text, field)
  return 'value' in typed ? typed.value : NaN
}
/** What is wrong with what was typed, if anything. */
function faultIn(text: string, field: NumberField): string | undefined {
  const typed = numberTyped(text, field)
  return 'fault' in typed ? typed.fault : undefined
}

/** What is wrong with a chain of so many links on a bike, if it cannot go round what is on it. */
function faultOnBike(garage: Garage, bike: string, links: number): string | undefined {
  const { rings, cogs } = sprocketTeeth(garage, bike)
  return faultOfChain(links, rings, cogs)
}

const blankForm = (links: number, hasLink: boolean, day: string): SwapForm => ({
  which: NEW,
  links: String(links),
  directional: false,
  oldTo: 'shelf',
  join: hasLink ? 'same' : NEW,
  linkLimit: '1',
  day,
  lube: AS_IT_CAME,
  length: '',
  routed: false,
})

/** Keeps the form of the guided swap and says what it comes to. */
export function useSwap(report: BikeReport): SwapState {
  const { garage, now } = useOpenLog()
  const units = useUnits()
  const { answer } = useForecast(report.chain?.part.entry.part)
  const { bike, speeds } = report.bike.entry
  const old = report.chain?.part
  const oldSpec = old?.entry.spec
  const ofSpeeds = (parts: readonly PartState[]) =>
    parts.filter(({ entry }) => speedsOf(entry.spec) === speeds)
  const chains = ofSpeeds(chainsToHand(garage, bike))
  const spareLinks = ofSpeeds(linksToHand(garage))
  const heldLink = linkOn(garage, bike)
  const oldLinks = oldSpec?.type === 'chain' ? oldSpec.links : 114
  const [form, setForm] = useState(() => blankForm(oldLinks, heldLink !== undefined, dayOf(now)))
  const chosen = chains.find((part) => part.entry.part === form.which)
  const link = form.join === 'same' ? heldLink : spareLinks.find((part) => part.entry.part === form.join)
  const links = valueOf(form.links, LINKS)
  const { directional } = form
  const checks = useMemo(() => {
    const spec: PartSpec = chosen?.entry.spec ?? { type: 'chain', links, speeds, past: 'new', directional }
    return [
      ...checksBeforeFitting(garage, report, answer, spec, chosen),
      ...(link ? checksBeforeFitting(garage, report, answer, link.entry.spec, link) : []),
    ]
  }, [garage, report, answer, chosen, link, links, speeds, directional])
  const chosenOn = chosen && openFitting(chosen)
  const from = chosenOn && (garage.bikes.get(chosenOn.bike)?.entry.name ?? 'another bike')
  const typed = form.length.trim() === '' ? undefined : valueOf(form.length, FIRST_LENGTH)
  const lengthMm = typed === undefined || units === 'metric' ? typed : inchesToMm(typed)
  // Half typed is no length yet, and is asked about when it is saved.
  const first = lengthMm === undefined ? undefined : lengthMm > 0 ? elongationFromLength(24, lengthMm) : NaN

  const faultOf = (): string | undefined => {
    const at = momentOf(form.day, now)
    const dayFault = faultOfDay(form.day, now)
    if (dayFault) return dayFault
    if (report.chain && form.day < dayOf(report.chain.fittedAt))
      return `The chain on it was fitted on ${sayDay(report.chain.fittedAt, now)}: that day is before it.`
    if (chosenOn && at <= chosenOn.from)
      return `${chosen.entry.name} went onto ${from ?? 'its bike'} on ${sayDay(chosenOn.from, now)}: that day is before it.`
    const linksFault = chosen ? undefined : faultIn(form.links, LINKS)
    if (linksFault !== undefined) return linksFault
    const spec = chosen?.entry.spec
    const round = faultOnBike(garage, bike, spec?.type === 'chain' ? spec.links : links)
    if (round) return round
    const closingsFault = form.join === NEW ? faultIn(form.linkLimit, CLOSINGS) : undefined
    if (closingsFault !== undefined) return closingsFault
    if (first !== undefined && !(first >= -0.3 && first <= 1.8))
      return `The first look: ${form.length} over 24 pitches ${Number.isFinite(first) ? `would be ${first.toFixed(2)} %` : 'is no length'}. Read it again, or leave it out.`
    return undefined
  }
  return {
    form,
    set: (part) => setForm((before) => ({ ...before, ...part })),
    old,
    chains,
    chosen,
    from,
    heldLink,
    spareLinks,
    checks,
    settle: () => {
      const fault = faultOf()
      if (fault !== undefined) return fault
      const lube = LUBES.find((one) => one === form.lube)
      const { join } = form
      return {
        at: momentOf(form.day, now),
        bike,
        speeds,
        ...(old && { off: { part: old.entry.part, to: form.oldTo } }),
        on: chosen ? { part: chosen.entry.part } : { links, directional },
        join: join === 'same' || join === NEW || join === 'pin' ? join : { part: join },
        linkLimit: valueOf(form.linkLimit, CLOSINGS),
        ...(lube && { lube }),
        ...(lengthMm !== undefined && { lengthMm }),
      }
    },
  }
}
