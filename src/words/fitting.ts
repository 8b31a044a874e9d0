import type { Garage } from '../core/log/garage.ts'
import type { FittingCheck } from '../core/strategy/fitting-checks.ts'
import { SKIP_LIKELY } from '../core/strategy/facts/teeth-facts.ts'
import { sayCogs } from './advice.ts'
import { sayChance, sayCount, sayLimit, sayPercent } from './numbers.ts'
import { namePart } from './part-name.ts'

/** What to know before a part goes on, in a sentence or two. */
export function sayCheck({ finding }: FittingCheck, garage: Garage): string {
  switch (finding.what) {
    case 'worn-chain':
      return `The chain on it is at ${sayPercent(finding.percent)}, past its limit of ${sayLimit(finding.limit)}\u00a0%: it would ruin the new part. Swap the chain first.`
    case 'unmeasured-chain':
      return 'The chain on it has not been measured: a worn one would ruin the new part. Measure it first.'
    case 'open-chain':
      return 'How worn the chain on it is, is not settled: a worn one would ruin the new part. Measure it again first.'
    case 'shaped-cogs':
      return `The old chain was past 0.9\u00a0%: ${sayChance(finding.p)} that a fresh chain will not run on these cogs. Replace the cogs too, or keep the old chain: you may need to put it back.`
    case 'skips':
      return `${finding.chain === 'fresh' ? 'A fresh chain' : 'As worn as it is, this chain'} ${finding.p >= SKIP_LIKELY ? 'will probably' : 'may'} skip on ${sayCogs(finding.cogs)} (${sayChance(finding.p)}). ${finding.allSold ? `Replace ${finding.cogs.length > 1 ? 'those cogs' : 'that cog'}` : 'Replace the cassette'} too, or keep the ${finding.chain === 'fresh' ? 'old chain' : 'one that is on'}: you may need to put it back.`
    case 'worn-teeth':
      return `${namePart(garage, finding.part)} ${finding.byEyeAlone ? 'last looked' : 'is probably'} ${finding.word === 'spent' ? 'spent' : 'ready to swap'}: a fresh chain may slip on it and will wear with it.`
    case 'link-limit':
      return `This joining link was closed ${sayCount(finding.closings, 'time')}; its maker allows ${finding.limit}. Take a new one.`
    case 'speeds':
      return `It is made for ${sayCount(finding.part, 'speed')}; this bike has ${finding.bike}.`
    case 'links':
      return `${finding.links} links; the chain on it has ${finding.before}. Count again, or be sure that the gearing changed.`
    case 'directional':
      return 'It runs one way round only: the printed side outward, the arrow the way it runs.'
    case 'unknown-past':
      return 'Its past is not known: measure it before it goes on.'
  }
}
