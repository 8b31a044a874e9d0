import type { Instrument } from '../../core/measure/reading.ts'
import { words } from '../../words/stations/gauge/how-to-read.ts'

/** How each instrument is put to the chain and read. */
export const HOW: Readonly<Record<Instrument, string>> = {
  rule: words.itsEndOnTheEdge,
  strip: words.theZeroEdgeOnTheEdge,
  'two-contact-limit': words.letTheGaugeFall,
  'three-contact-limit': words.seatTheHookFirst,
  'two-contact-scale': words.pressUntilBothTips,
  'three-contact-scale': words.seatTheHookAndIts,
  'caliper-pair': words.overTheSameRollers,
  'ring-lift': words.aQuickWeakHint,
  'side-play': words.aQuickWeakHint,
}
