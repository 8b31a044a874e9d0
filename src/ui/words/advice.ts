import type { ClockReason } from '../../core/lube/clock.ts'
import type { Action, Caution, Reason, Recommendation } from '../../core/strategy/recommend.ts'
import { FORECAST_CAP_KM } from '../../core/wear/rider-forecast.ts'
import type { Garage } from '../../core/log/garage.ts'
import type { Units } from '../screen-state.ts'
import { SHORT_INSTRUMENT, toolName } from './names.ts'
import { saySurprise } from './surprise.ts'
import { keepUnits, sayAboutKm, sayChance, sayFigure, sayKm, sayLimit } from './numbers.ts'

const CLOCK_WORDS: Readonly<Record<ClockReason, string>> = {
  none: 'The chain is bare: wipe it and lubricate before the next ride.',
  mud: 'A ride in mud has ended the lubricant.',
  rain: 'Rain has washed out the dry lube.',
  distance: 'The lubricant is used up.',
  storage: 'It has stood too long since it was last ridden: wipe and lubricate before riding.',
}

/** What to do, as the start of a sentence. */
export function sayAction(action: Action, recommendation: Recommendation, units: Units): string {
  switch (action) {
    case 'describe-chain':
      return 'Say which chain is on it.'
    case 'measure':
      return recommendation.reasons.some((reason) => reason.kind === 'not-measured')
        ? 'Not measured yet: measure the chain.'
        : 'Measure the chain again.'
    case 'swap-chain':
      return 'Swap the chain.'
    case 'swap-chain-and-cogs':
      return 'Swap chain and cogs together.'
    case 'lubricate':
      return 'Wipe and lubricate the chain.'
    case 'look-at-teeth':
      return 'Keep the chain; see to the worn teeth.'
    case 'ride-on':
      return recommendation.lookInKm === undefined
        ? 'Ride on.'
        : recommendation.reasons.some((reason) => reason.kind === 'new-chain')
          ? `Ride. First look in ${sayAboutKm(recommendation.lookInKm, units)}.`
          : `Ride on; look again in ${sayAboutKm(recommendation.lookInKm, units)}.`
  }
}

/** One reason as a sentence. */
export const sayReason = (reason: Reason, units: Units, tools: Garage['tools']): string =>
  keepUnits(reasonWords(reason, units, tools))

function reasonWords(reason: Reason, units: Units, tools: Garage['tools']): string {
  switch (reason.kind) {
    case 'no-chain':
      return 'The log holds no chain on this bike.'
    case 'not-measured': {
      const guess = reason.guess
        ? ` A guess from bikes in general: ${sayFigure(reason.guess.p10)} to ${sayFigure(reason.guess.p90)} % by now.`
        : ''
      return `Nobody has measured this chain in ${sayKm(reason.km, units)}.${guess}`
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
        : `The chance that it is past ${limit} already is ${sayChance(reason.p)}.`
    }
    case 'cogs-shaped':
      return `It may be past 0.9 % (${sayChance(reason.p)}): a fresh chain would then probably skip on these cogs.`
    case 'worn-teeth':
      return `The ${reason.sprocket.role === 'cog' ? `${reason.sprocket.teeth}-tooth cog` : reason.sprocket.role} looked ${reason.look.word} by eye.`
    case 'reading-old':
      return `It has gone ${sayKm(reason.km, units)} since it was last measured, and could be past the limit by now.`
    case 'too-wide':
      return `The readings leave it anywhere from ${sayFigure(reason.low)} to ${sayFigure(reason.high)} %.`
    case 'goes-further':
      return reason.km.p50 >= FORECAST_CAP_KM
        ? `It reaches ${sayLimit(reason.percent)} % later than can be said.`
        : `It reaches ${sayLimit(reason.percent)} % in about ${sayAboutKm(reason.km.p50, units)}, probably ${sayAboutKm(reason.km.p10, units)} to ${sayAboutKm(reason.km.p90, units)}.`
    case 'lube':
      return reason.clock.due
        ? CLOCK_WORDS[reason.clock.reason]
        : reason.clock.used < 0.02
          ? 'The lubricant is freshly put on.'
          : `The lubricant is good for a while: ${Math.round(100 * reason.clock.used)} % of it is used.`
    case 'log-doubted':
      return `The readings do not fit the ${sayKm(reason.km, units)} in the log: a chain is seldom so worn so soon. Are rides, or a swap, not written down?`
    case 'tools-disagree': {
      const { high, low, settle } = reason.conflict
      return `Two instruments disagree: ${toolName(tools, high.tool)} ${sayFigure(high.mean)}, ${toolName(tools, low.tool)} ${sayFigure(low.mean)}. A reading with the ${SHORT_INSTRUMENT[settle]} would settle it.`
    }
    case 'surprise':
      return saySurprise(reason.surprise)
    case 'lube-unknown':
      return 'Nobody has said what is on the chain, so nothing can be said of when to lubricate.'
    case 'limit':
      return `The limit is ${sayLimit(reason.percent)} %: ${reason.why}.`
  }
}

/** One caution as a sentence. */
export function sayCaution(caution: Caution): string {
  switch (caution) {
    case 'keep-old-chain':
      return 'If you fit only a chain all the same, keep the old one: it may have to go back on.'
    case 'may-slip':
      return 'A drivetrain that slips throws its rider. Do not ride it hard, and never test it standing.'
    case 'ask-mechanic':
      return 'If you are not sure what you see, have a qualified mechanic look before it is ridden.'
  }
}
