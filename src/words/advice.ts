import type { ClockReason } from '../core/lube/clock.ts'
import type { Caution, Reason } from '../core/strategy/rules/rule.ts'
import type { WornTeeth } from '../core/strategy/facts/facts.ts'
import { SKIP_LIKELY } from '../core/strategy/facts/teeth-facts.ts'
import type { Verdict } from '../core/strategy/verdict.ts'
import { FORECAST_CAP_KM } from '../core/wear/rider-forecast.ts'
import type { Garage } from '../core/log/garage.ts'
import type { LinkCheckEntry } from '../core/log/kinds/link-check.ts'
import type { Units } from '../core/units/units.ts'
import { sayFoundFirst } from './checks/check-words.ts'
import { sayItem } from './checks/item-names.ts'
import { sayCause } from './faults/causes.ts'
import { sayLimitReason } from './limit-reason.ts'
import { ROLE_NAMES, SHORT_INSTRUMENT, toolName, WORD_NAMES } from './names.ts'
import { LINK_FAULT_ADVICE, LINK_FAULT_NAMES } from './wash-words.ts'
import { saySurprise } from './surprise.ts'
import { keepUnits, sayAboutKm, sayChance, sayFigure, sayKm, sayLimit, sayList } from './numbers.ts'

const CLOCK_WORDS: Readonly<Record<ClockReason, string>> = {
  none: 'The chain is bare: wipe it and lubricate before the next ride.',
  mud: 'A muddy ride has ruined the lube.',
  rain: 'Rain has washed out the dry lube.',
  distance: 'The lube is used up.',
  storage: 'It has stood too long: wipe and lubricate it before riding.',
}

/** What to do, as the start of a sentence; what was found at a check comes first. */
export function sayAction(verdict: Verdict, units: Units): string {
  const { found, action } = verdict
  if (!found) return sayChainAction(verdict, units)
  const first = sayFoundFirst(found.items, found.isStop)
  return action === 'ride-on' ? first : `${first} ${sayChainAction(verdict, units)}`
}

function sayChainAction(verdict: Verdict, units: Units): string {
  switch (verdict.action) {
    case 'describe-chain':
      return 'Enter which chain is on it.'
    case 'measure':
      return verdict.reasons.some((reason) => reason.kind === 'not-measured')
        ? 'Not measured yet: measure the chain.'
        : 'Measure the chain again.'
    case 'answer-first':
      return 'Answer one question first.'
    case 'swap-chain':
      return 'Swap the chain.'
    case 'swap-chain-and-cogs':
      return 'Swap the chain and cogs together.'
    case 'lubricate':
      return 'Wipe and lubricate the chain.'
    case 'look-at-teeth':
      return 'Keep the chain. Check the worn teeth.'
    case 'ride-on':
      return sayRideOn(verdict, units)
  }
}

function sayRideOn({ look, swap }: Verdict, units: Units): string {
  const swapSaid = swap?.before ? ` Swap the chain before ${swap.before.name}.` : ''
  if (!look) return `Ride on.${swapSaid}`
  if (look.before) return `Ride on. Next look before ${look.before.name}.${swapSaid}`
  const inKm = sayAboutKm(look.inKm ?? 0, units)
  return look.isFirst ? `Ride. First look in ${inKm}.` : `Ride on. Next look in ${inKm}.${swapSaid}`
}

/** One reason as a sentence. */
export const sayReason = (reason: Reason, units: Units, tools: Garage['tools']): string =>
  keepUnits(reasonWords(reason, units, tools))

function reasonWords(reason: Reason, units: Units, tools: Garage['tools']): string {
  switch (reason.kind) {
    case 'no-chain':
      return 'No chain is entered for this bike yet.'
    case 'not-measured': {
      const guess = reason.guess
        ? ` A guess from bikes in general: ${sayFigure(reason.guess.p10)} to ${sayFigure(reason.guess.p90)} % by now.`
        : ''
      return `This chain has not been measured in ${sayKm(reason.km, units)}.${guess}`
    }
    case 'new-chain': {
      // Of a chain just out of its box there is nothing to guess.
      const guess =
        reason.guess && reason.guess.p10 > 0
          ? ` By its distance it is probably at ${sayFigure(reason.guess.p10)} to ${sayFigure(reason.guess.p90)} %.`
          : ''
      return `The chain was fitted new, ${sayKm(reason.km, units)} ago.${guess}`
    }
    case 'chance-past': {
      const limit = `${sayLimit(reason.percent)} %`
      if (reason.p >= 0.985) return `The chain is almost certainly past ${limit}.`
      if (reason.p >= 0.5) return `The chain is past ${limit}: ${sayChance(reason.p)}.`
      return reason.p < 0.01
        ? `The chain is almost certainly under ${limit}.`
        : `Chance that it is past ${limit} already: ${sayChance(reason.p)}.`
    }
    case 'cogs-shaped':
      return `It ${reason.p >= 0.5 ? 'is probably' : 'may be'} past 0.9 % (${sayChance(reason.p)}): a fresh chain would then probably skip on these cogs.`
    case 'skips':
      return saySkips(reason)
    case 'worn-teeth':
      return sayWornTeeth(reason)
    case 'reading-old':
      return `${sayKm(reason.km, units)} since the last reading: it could be past the limit by now.`
    case 'too-wide':
      return `The readings leave it anywhere from ${sayFigure(reason.low)} to ${sayFigure(reason.high)} %.`
    case 'goes-further':
      return reason.km.p50 >= FORECAST_CAP_KM
        ? `It reaches ${sayLimit(reason.percent)} % too far ahead to say when.`
        : `It reaches ${sayLimit(reason.percent)} % in about ${sayAboutKm(reason.km.p50, units)}, probably ${sayAboutKm(reason.km.p10, units)} to ${sayAboutKm(reason.km.p90, units)}.`
    case 'lube':
      return reason.clock.due
        ? CLOCK_WORDS[reason.clock.reason]
        : reason.clock.used < 0.02
          ? 'The lube is fresh.'
          : `The lube is still good: ${Math.round(100 * reason.clock.used)} % of its life is used.`
    case 'log-doubted':
      return `The readings do not fit the ${sayKm(reason.km, units)} in the log: chains rarely wear this fast. Is a ride or a swap missing?`
    case 'tools-disagree': {
      const { high, low, settle } = reason.conflict
      return `Two instruments disagree: ${toolName(tools, high.tool)} ${sayFigure(high.mean)}, ${toolName(tools, low.tool)} ${sayFigure(low.mean)}. A reading with the ${SHORT_INSTRUMENT[settle]} would settle it.`
    }
    case 'surprise':
      return saySurprise(reason.surprise)
    case 'question-open':
      return 'One look was not what was expected: the question about it, on Gauge, is open.'
    case 'bad-links':
      return sayBadLinks(reason.found)
    case 'fault-open':
      return [
        reason.left.length > 0 && `Found and not mended yet: ${sayList(reason.left.map(sayCause))}.`,
        reason.stillThere.length > 0 &&
          `Still there after the repair (${sayList(reason.stillThere.map(sayCause))}): look for the fault again.`,
      ]
        .filter(Boolean)
        .join(' ')
    case 'advice-due':
      return `Left at an earlier visit and due now: ${sayList(reason.jobs)}.`
    case 'found-at-check':
      return reason.isStop
        ? `A check found it unsafe: ${sayList(reason.items.map(sayItem))}.`
        : `Found at a check and due now: ${sayList(reason.items.map(sayItem))}.`
    case 'lube-unknown':
      return 'The lube on this chain is not entered, so there is no date for the next one.'
    case 'limit':
      return `The limit is ${sayLimit(reason.percent)} %: ${sayLimitReason(reason.why)}.`
  }
}

function sayBadLinks(found: LinkCheckEntry['found']): string {
  const [first, ...others] = found
  if (!first) return 'All links are sound.'
  const more =
    others.length === 0 ? '' : ` ${others.length} more ${others.length === 1 ? 'link is' : 'links are'} bad.`
  return `Link ${first.link}: ${LINK_FAULT_NAMES[first.fault]}. ${LINK_FAULT_ADVICE[first.fault]}${more}`
}

function sayWornTeeth({ sprocket, word, byEyeAlone }: WornTeeth): string {
  const name = sprocket.role === 'cog' ? `${sprocket.teeth}-tooth cog` : ROLE_NAMES[sprocket.role]
  if (byEyeAlone) return `The ${name} looked ${WORD_NAMES[word]} by eye.`
  return `The ${name} is probably ${word === 'spent' ? 'spent' : 'ready to swap'}.`
}

/** "the 13", "the 13 and 15". */
export const sayCogs = (cogs: readonly number[]): string => `the ${sayList(cogs.map(String))}`

function saySkips({ chain, cogs, p }: Extract<Reason, { readonly kind: 'skips' }>): string {
  const which = chain === 'fresh' ? 'A fresh chain' : 'The chain that is on'
  return `${which} ${p >= SKIP_LIKELY ? 'will probably' : 'may'} skip on ${sayCogs(cogs)} under a hard push: ${sayChance(p)}.`
}

/** One caution as a sentence. */
export function sayCaution(caution: Caution): string {
  switch (caution) {
    case 'do-not-ride':
      return 'Do not ride this chain: a link can come apart under load and throw the rider.'
    case 'keep-old-chain':
      return 'If you fit only a chain anyway, keep the old one: you may need to put it back.'
    case 'may-slip':
      return 'A slipping drivetrain can throw the rider. Do not ride it hard, and never test it standing.'
    case 'stop-riding':
      return 'Stop riding until a qualified mechanic has looked: brakes, steering, frame or cranks that fail throw the rider.'
    case 'ask-mechanic':
      return 'If you are not sure what you see, have a qualified mechanic look before it is ridden.'
  }
}
