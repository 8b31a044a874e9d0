import type { Action } from '../../core/strategy/recommend.ts'

/** Where each recommended action is done, and what the way there is called. */
export const NEXT_STEP: Readonly<Record<Action, { readonly path: string; readonly label: string }>> = {
  'describe-chain': { path: '/shelf#chain', label: 'Fit a chain' },
  measure: { path: '/gauge#take', label: 'Measure it' },
  'swap-chain': { path: '/shelf#chain', label: 'Log the swap' },
  'swap-chain-and-cogs': { path: '/shelf#chain', label: 'Log the swap' },
  lubricate: { path: '/wash#log', label: 'Log it done' },
  'look-at-teeth': { path: '/teeth', label: 'See the teeth' },
  'ride-on': { path: '/gauge#take', label: 'Measure it anyway' },
}
