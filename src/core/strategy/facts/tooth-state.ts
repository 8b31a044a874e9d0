import { gearMix, sprocketTeeth } from '../../exposure/gear-mix.ts'
import type { Garage } from '../../log/garage.ts'
import type { CogTestEntry } from '../../log/kinds/cog-test.ts'
import type { PictureEntry } from '../../log/kinds/picture.ts'
import { MM_PER_PERCENT } from '../../teeth/evidence.ts'
import { skipChance } from '../../teeth/skipping.ts'
import type { SprocketOutlook, TeethOutlook } from '../../teeth/teeth-outlook.ts'
import type { ChainWord } from '../wear-word.ts'
import type { BikeReport } from './bike-report.ts'
import { outlookOf, sprocketWord } from './sprocket-word.ts'
import type { Sprocket } from './sprockets.ts'

/** A sprocket on a bike with all that is known of it. */
export interface ToothState {
  readonly sprocket: Sprocket
  readonly word: ChainWord
  /** Absent for a pulley, and while it is being worked out. */
  readonly outlook: SprocketOutlook | undefined
  /** What its valleys are probably wider than new, mm; and what a % is worth, mm, as this rider's pictures have it. */
  readonly excessMm: number
  readonly mmPerPercent: number
  /** Risk that the chain in question skips under a hard push; absent but for cogs. */
  readonly risk: number | undefined
  /** Share of the energy of the bike's rides, 0 to 1; absent for pulleys and where nothing was ridden. */
  readonly share: number | undefined
  /** Tests under load, oldest first. */
  readonly tests: readonly CogTestEntry[]
  /** Measured pictures, oldest first. */
  readonly pictures: readonly PictureEntry[]
}

/**
 * Every sprocket of a bike as it stands.
 * @param chain the chain in question: one of the rider's by its id, a fresh one where it is absent
 */
export function toothStates(
  garage: Garage,
  { bike, sprockets }: BikeReport,
  teeth: TeethOutlook | undefined,
  chain: string | undefined,
): readonly ToothState[] {
  const mix = gearMix(bike.rides, bike.entry, sprocketTeeth(garage, bike.entry.bike))
  const mmPerPercent = teeth?.mmPerPercent.after.p50 ?? MM_PER_PERCENT
  const inQuestion = chain === undefined ? undefined : teeth?.chains[chain]
  return sprockets.map((sprocket): ToothState => {
    const { role, part, teeth: count } = sprocket
    const id = part.entry.part
    const outlook = outlookOf(sprocket, teeth)
    const kj = role === 'cog' ? mix.cogs.get(count) : role === 'ring' ? mix.rings.get(count) : undefined
    return {
      sprocket,
      outlook,
      word: sprocketWord(sprocket, teeth),
      excessMm: (outlook?.mean ?? 0) * mmPerPercent,
      mmPerPercent,
      risk: teeth && outlook && role === 'cog' ? skipChance(outlook, teeth, inQuestion) : undefined,
      share: mix.totalKj > 0 && (role === 'cog' || role === 'ring') ? (kj ?? 0) / mix.totalKj : undefined,
      tests:
        role === 'cog' ? (garage.listed['cog-test'].get(id) ?? []).filter(({ cog }) => cog === count) : [],
      pictures: (garage.listed.picture.get(id) ?? []).filter(
        ({ cog }) => cog === (role === 'cog' ? count : undefined),
      ),
    }
  })
}
