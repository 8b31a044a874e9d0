import clsx from 'clsx'
import { useMemo } from 'react'
import type { ChainWord } from '../../core/strategy/wear-word.ts'
import { shiftAidRack, toothRack, type Rack } from '../../core/teeth/rack.ts'

const FILLS: Readonly<Record<ChainWord, string>> = {
  fresh: 'fill-petrol',
  good: 'fill-petrol',
  watch: 'fill-ochre',
  swap: 'fill-rust',
  spent: 'fill-rust',
  unsure: 'fill-steel/40',
}

/** What is left of the rim under the valleys, mm. */
const RIM_MM = 2.4

const pathOf = ({ outline, heightMm }: Rack): string =>
  outline.map(({ x, y }) => `${x.toFixed(2)} ${(heightMm - y).toFixed(2)}`).join('L')

interface Props {
  readonly teeth: number
  readonly role: 'cog' | 'ring'
  /** What each valley is wider than new, mm. */
  readonly excessMm: number
  /** As worn as it may be, drawn pale; absent where one line is enough. */
  readonly mostMm?: number
  readonly word: ChainWord
  /** How many teeth are drawn. */
  readonly count: number
  /** A shift aid is drawn pale after them. */
  readonly withAid?: boolean
  readonly className?: string
}

/** Teeth laid flat, as worn as they are, new ones dashed over them. The row or sentence beside it says the same. */
export function ToothRackDrawing({ teeth, role, excessMm, mostMm, word, count, withAid, className }: Props) {
  const { now, fresh, most, aid } = useMemo(
    () => ({
      now: toothRack(teeth, role, excessMm, count),
      fresh: toothRack(teeth, role, 0, count),
      most: mostMm === undefined ? undefined : toothRack(teeth, role, mostMm, count),
      aid: withAid ? shiftAidRack(teeth) : undefined,
    }),
    [teeth, role, excessMm, mostMm, count, withAid],
  )
  const { lengthMm, heightMm } = now
  const filled = (rack: Rack) =>
    `M0 ${heightMm + RIM_MM}L0 ${heightMm}L${pathOf(rack)}L${rack.lengthMm} ${heightMm}L${rack.lengthMm} ${heightMm + RIM_MM}Z`
  return (
    <svg
      viewBox={`0 -0.4 ${(lengthMm + (aid?.lengthMm ?? 0)).toFixed(2)} ${(heightMm + RIM_MM + 0.4).toFixed(2)}`}
      aria-hidden="true"
      className={className}
    >
      {most && <path d={filled(now)} className={clsx(FILLS[word], 'opacity-30')} />}
      <path d={filled(most ?? now)} className={FILLS[word]} />
      <path
        d={`M${pathOf(fresh)}`}
        fill="none"
        className="stroke-ink"
        strokeWidth={1.1}
        strokeDasharray="3 2.4"
        vectorEffect="non-scaling-stroke"
      />
      {aid && <path d={filled(aid)} transform={`translate(${lengthMm} 0)`} className="fill-steel/40" />}
    </svg>
  )
}
