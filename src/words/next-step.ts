import { OPENS, STATIONS } from './places.ts'
import type { Action } from '../core/strategy/rules/rule.ts'

/** Where each recommended action is done, and what the way there is called. */
export const NEXT_STEP: Readonly<Record<Action, { readonly path: string; readonly label: string }>> = {
  'describe-chain': { path: OPENS.fitChain, label: 'Fit a chain' },
  measure: { path: OPENS.takeReading, label: 'Measure it' },
  'answer-first': { path: OPENS.oddLook, label: 'Answer it' },
  'swap-chain': { path: OPENS.fitChain, label: 'Log the swap' },
  'swap-chain-and-cogs': { path: OPENS.fitChain, label: 'Log the swap' },
  lubricate: { path: OPENS.logWash, label: 'Log it done' },
  'look-at-teeth': { path: STATIONS.teeth.path, label: 'See the teeth' },
  'ride-on': { path: OPENS.takeReading, label: 'Measure it anyway' },
}
