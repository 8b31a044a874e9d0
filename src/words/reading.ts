import { biasOf } from '../core/measure/instrument-likelihood.ts'
import { evidenceOf } from '../core/measure/likelihood.ts'
import type { Reading, TakenReading } from '../core/measure/reading.ts'
import type { Units } from '../core/units/units.ts'
import { LIFT_NAMES, PLAY_NAMES, RESULT_NAMES } from './names.ts'
import { sayFigure, sayLength, sayLimit } from './numbers.ts'

/** What was read, as it was read. */
export function sayAsRead(reading: Reading, units: Units): string {
  switch (reading.instrument) {
    case 'rule':
    case 'strip':
      return `${reading.pitches} pitches, ${sayLength(reading.lengthMm, units)}`
    case 'caliper-pair':
      return `${reading.pitches} pitches, ${sayLength(reading.insideMm, units)} in, ${sayLength(reading.outsideMm, units)} out`
    case 'two-contact-scale':
    case 'three-contact-scale':
      return `scale at ${sayFigure(reading.percent)} %`
    case 'two-contact-limit':
    case 'three-contact-limit':
      return `${sayLimit(reading.limit)} side ${RESULT_NAMES[reading.result]}`
    case 'ring-lift':
      return LIFT_NAMES[reading.result]
    case 'side-play':
      return PLAY_NAMES[reading.result]
  }
}

/** What a reading means for the chain alone: a figure with its spread, or a bound. The gauge's own bias is off. */
export function sayMeaning(taken: TakenReading): { readonly value: string; readonly spread: string } {
  const { reading } = taken
  const evidence = evidenceOf(reading, taken.noise)
  const bias = biasOf(taken)
  // What the rider's own lessons say of it is said to be theirs.
  const isOwn = taken.noise !== undefined
  if (reading.instrument === 'ring-lift' || reading.instrument === 'side-play')
    return { value: 'a hint', spread: '' }
  if (evidence.form === 'value')
    return {
      value: sayFigure(evidence.value - bias.b),
      spread: `±${sayFigure(1.645 * Math.hypot(evidence.sd, bias.sb))}${isOwn ? ', by your lessons' : ''}`,
    }
  const [low, high] = [evidence.low - bias.b, evidence.high - bias.b]
  const play =
    Math.abs(bias.b) >= 0.01
      ? `${sayFigure(bias.b)} off for ${isOwn ? 'how you read' : taken.tool === undefined ? 'play' : 'this tool'}`
      : ''
  if (!Number.isFinite(low)) return { value: `under ${sayFigure(high)}`, spread: play }
  if (!Number.isFinite(high)) return { value: `over ${sayFigure(low)}`, spread: play }
  return { value: `${sayFigure(low)} to ${sayFigure(high)}`, spread: play }
}

/** The shortest form, for a label on the drawing. */
export function sayResultShort(reading: Reading): string {
  if (reading.instrument === 'ring-lift' || reading.instrument === 'side-play') return reading.result
  if (!('result' in reading)) return sayMeaning({ reading }).value
  const side = sayLimit(reading.limit)
  switch (reading.result) {
    case 'drops':
      return `${side} drops`
    case 'starts':
      return `${side} enters`
    case 'clear':
    case 'not-in':
      return `not ${side}`
  }
}
