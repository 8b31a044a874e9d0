import { SWAPS, type Verdict } from '../../core/strategy/verdict.ts'
import { OPENS, STATIONS } from '../../words/places.ts'
import { NEXT_STEP } from '../../words/next-step.ts'

/** What the way to the next step is called here: a verdict is looked at before it is acted on. */
export function stepFor({ action, found }: Verdict): { readonly path: string; readonly label: string } {
  if (found) return { path: OPENS.findings, label: 'See to it' }
  const weighty = SWAPS.includes(action) || action === 'ride-on'
  return weighty ? { path: STATIONS.decide.path, label: 'See why' } : NEXT_STEP[action]
}
