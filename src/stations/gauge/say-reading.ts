import { INSTRUMENTS } from '../../core/measure/instruments.ts'
import { evidenceOf } from '../../core/measure/likelihood.ts'
import type { Reading } from '../../core/measure/reading.ts'
import type { Units } from '../../ui/screen-state.ts'
import { RESULT_NAMES } from '../../ui/words/names.ts'
import { sayFigure, sayLength, sayLimit } from '../../ui/words/numbers.ts'

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
  }
}

/** What a reading means for the chain alone: a figure with its spread, or a bound. The gauge's own bias is off. */
export function sayMeaning(reading: Reading): { readonly value: string; readonly spread: string } {
  const evidence = evidenceOf(reading)
  const { bias } = INSTRUMENTS[reading.instrument]
  if (evidence.form === 'value')
    return {
      value: sayFigure(evidence.value - bias.b),
      spread: `±${sayFigure(1.645 * Math.hypot(evidence.sd, bias.sb))}`,
    }
  const [low, high] = [evidence.low - bias.b, evidence.high - bias.b]
  const play = bias.b > 0 ? `${sayFigure(bias.b)} off for play` : ''
  if (!Number.isFinite(low)) return { value: `under ${sayFigure(high)}`, spread: play }
  if (!Number.isFinite(high)) return { value: `over ${sayFigure(low)}`, spread: play }
  return { value: `${sayFigure(low)} to ${sayFigure(high)}`, spread: play }
}

/** The shortest form, for a label on the drawing. */
export function sayResultShort(reading: Reading): string {
  if (!('result' in reading)) return sayMeaning(reading).value
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
