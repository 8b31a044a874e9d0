import { useId } from 'react'
import { CONDITIONS, type Condition } from '../../core/exposure/conditions.ts'

/** The texture of each kind of road: told apart by pattern before colour. */
export const ROAD_TEXTURES: Readonly<Record<Condition, { readonly fill: string; readonly marks: string }>> = {
  'dry-road': { fill: 'var(--hairline)', marks: '' },
  'wet-road': { fill: 'var(--paper)', marks: 'M-2 10L10 -2M4 16L16 4' },
  'winter-salt': { fill: 'var(--hairline)', marks: 'M3 3h.1M9 9h.1' },
  'dry-gravel': { fill: 'var(--paper)', marks: 'M2 3h2M8 5h1M4 9h1M9 10h2' },
  'wet-gravel': { fill: 'var(--hairline)', marks: 'M2 3h2M8 9h2M-2 10L10 -2M4 16L16 4' },
  mud: { fill: 'var(--steel)', marks: 'M0 4q3 -3 6 0t6 0M0 10q3 -3 6 0t6 0' },
  indoor: { fill: 'var(--paper)', marks: 'M0 6h12' },
}

/** Strokes of the texture's marks, px. */
export const markWidth = (condition: Condition): number => (condition === 'winter-salt' ? 2.6 : 1.4)

/** The textures as patterns, to be filled with `url(#{prefix}-{condition})`. */
export function RoadTextures({ prefix }: { readonly prefix: string }) {
  return (
    <defs>
      {CONDITIONS.map((condition) => (
        <pattern
          key={condition}
          id={`${prefix}-${condition}`}
          width="12"
          height="12"
          patternUnits="userSpaceOnUse"
        >
          <rect width="12" height="12" fill={ROAD_TEXTURES[condition].fill} />
          <path
            d={ROAD_TEXTURES[condition].marks}
            fill="none"
            stroke={condition === 'mud' ? 'var(--paper)' : 'var(--petrol)'}
            strokeWidth={markWidth(condition)}
            strokeLinecap="round"
          />
        </pattern>
      ))}
    </defs>
  )
}

/** A small piece of road, to stand beside its name. */
export function RoadSwatch({ condition }: { readonly condition: Condition }) {
  const prefix = useId()
  return (
    <svg viewBox="0 0 24 12" aria-hidden="true" className="h-3 w-6 shrink-0 border border-steel">
      <RoadTextures prefix={prefix} />
      <rect width="24" height="12" fill={`url(#${prefix}-${condition})`} />
    </svg>
  )
}
