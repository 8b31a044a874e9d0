import type { WashRun } from './run.ts'
import type { WashStep } from './wash-steps.ts'

/** Why a step may not begin yet: it would do harm. */
export type Refusal = 'still-wet' | 'never-dried' | 'wax-not-melted' | 'wax-too-cold' | 'wax-too-hot'

/** Chain wax is liquid from here on, °C, and is not heated further than this: far under the flash point of any paraffin, about 200 °C. Ours, a judgement; the maker's word comes first. */
export const WAX_C = { least: 70, most: 120 } as const

/**
 * Why a step may not begin now, though its turn has come or the rider does not want to wait.
 * @param waxC what the thermometer in the pot says, °C; undefined where it was not read
 */
export function refusalOf(
  { steps, begun, skipped }: WashRun,
  step: WashStep,
  nowMs: number,
  waxC: number | undefined,
): Refusal | undefined {
  if (step.kind !== 'dip') return undefined
  const isOver = ({ id, waitMin = 0 }: WashStep): boolean => {
    const state = begun[id]
    if (state?.handsDoneMs === undefined) return false
    return waitMin === 0 || (state.overMs ?? Infinity) <= nowMs
  }
  const dry = steps.find(({ kind, bike }) => kind === 'dry-chain' && bike === step.bike)
  if (dry && skipped.includes(dry.id)) return 'never-dried'
  if (dry && !isOver(dry)) return 'still-wet'
  const pot = steps.find(({ kind }) => kind === 'pot-on')
  if (pot && !skipped.includes(pot.id) && !isOver(pot)) return 'wax-not-melted'
  if (waxC !== undefined && waxC < WAX_C.least) return 'wax-too-cold'
  if (waxC !== undefined && waxC > WAX_C.most) return 'wax-too-hot'
  return undefined
}
