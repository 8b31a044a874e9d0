import { SWAPS, type Verdict } from '../../core/strategy/verdict.ts'
import { OPENS, STATIONS } from '../../words/places.ts'
import { NEXT_STEP } from '../../words/next-step.ts'
import { words } from '../../words/stations/today/step-for.ts'

/** What the way to the next step is called here: a verdict is looked at before it is acted on. */
export function stepFor({ action, found }: Verdict): { readonly path: string; readonly label: string } {
  if (found) return { path: OPENS.findings, label: words.seeToIt }
  const weighty = SWAPS.includes(action) || action === 'ride-on'
  return weighty ? { path: STATIONS.decide.path, label: words.seeWhy } : NEXT_STEP[action]
}
