import type { SprocketOutlook, TeethOutlook } from './teeth-outlook.ts'
import { skipRisk } from './skip.ts'

/** The chance that a fresh chain, or one with a set of draws of its elongation, skips on a cog under a hard push. */
export function skipChance(
  { worn, teeth }: Pick<SprocketOutlook, 'worn' | 'teeth'>,
  { shift }: Pick<TeethOutlook, 'shift'>,
  chain?: Float32Array,
): number {
  let sum = 0
  for (let i = 0; i < worn.length; i++)
    sum += skipRisk(worn[i] as number, chain ? (chain[i] as number) : 0, teeth, shift[i])
  return worn.length > 0 ? sum / worn.length : 0
}
