import { useMemo } from 'react'
import type { Sprocket } from '../../core/strategy/facts/sprockets.ts'
import type { ChainWord } from '../../core/strategy/wear-word.ts'
import { sprocketGeometry } from '../../core/teeth/geometry.ts'
import { sprocketOutline } from '../../core/teeth/outline.ts'
import { words } from '../../words/ui/drawings/drivetrain-drawing.ts'
import { WORD_NAMES, ROLE_NAMES } from '../../words/names.ts'

/** A sprocket and how worn it is, in a word. */
interface Judged {
  readonly sprocket: Sprocket
  readonly word: ChainWord
}

interface Placed extends Judged {
  readonly x: number
  readonly y: number
  readonly radius: number
  readonly path: string
}

const GAP = 26

const radiusOf = (teeth: number): number => sprocketGeometry(teeth).tipMaxMm / 2

function pathOf(teeth: number): string {
  return `M${sprocketOutline(teeth)
    .map(({ x, y }) => `${x.toFixed(2)} ${(-y).toFixed(2)}`)
    .join('L')}Z`
}

/** Cassette, pulleys and rings side by side in mm, the larger of a stack drawn first so that the smaller lie on it. */
function place(judged: readonly Judged[]): {
  readonly placed: Placed[]
  readonly width: number
  readonly height: number
} {
  const stack = (role: Sprocket['role']) =>
    judged
      .filter(({ sprocket }) => sprocket.role === role)
      .sort((a, b) => b.sprocket.teeth - a.sprocket.teeth)
  const columns = [stack('cog'), [...stack('guide pulley'), ...stack('tension pulley')], stack('ring')]
  const height = Math.max(...judged.map(({ sprocket }) => 2 * radiusOf(sprocket.teeth)), 150)
  const placed: Placed[] = []
  let left = 0
  columns.forEach((column, index) => {
    if (column.length === 0) return
    const widest = Math.max(...column.map(({ sprocket }) => radiusOf(sprocket.teeth)))
    column.forEach(({ sprocket, word }, i) => {
      const pulleys = index === 1
      const y = pulleys && column.length > 1 ? height / 2 + (i === 0 ? -36 : 36) : height / 2
      placed.push({
        sprocket,
        word,
        x: left + widest,
        y,
        radius: radiusOf(sprocket.teeth),
        path: pathOf(sprocket.teeth),
      })
    })
    left += 2 * widest + GAP
  })
  return { placed, width: left - GAP, height }
}

const FILLS: Readonly<Record<ChainWord, string>> = {
  fresh: 'fill-petrol/15 stroke-petrol',
  good: 'fill-petrol/25 stroke-petrol',
  watch: 'fill-ochre/35 stroke-ochre',
  swap: 'fill-rust/45 stroke-rust',
  spent: 'fill-rust/70 stroke-rust',
  unsure: 'fill-paper stroke-steel',
}

interface Props {
  readonly judged: readonly Judged[]
  /** The sprocket in hand, drawn strongly. */
  readonly chosen?: Sprocket | undefined
}

/** The bike's sprockets at one scale, seen from the drive side, each drawn from its tooth count. */
export function DrivetrainDrawing({ judged, chosen }: Props) {
  const { placed, width, height } = useMemo(() => place(judged), [judged])
  const said = judged
    .map(({ sprocket, word }) => `${ROLE_NAMES[sprocket.role]} ${sprocket.teeth} ${WORD_NAMES[word]}`)
    .join(', ')
  return (
    <svg
      viewBox={`-6 -6 ${width + 12} ${height + 34}`}
      role="img"
      aria-label={words.drawnToScale(said)}
      className="max-h-[23rem] w-full"
    >
      {placed.map(({ sprocket, word, x, y, path, radius }) => {
        const strong = chosen?.part.entry.part === sprocket.part.entry.part && chosen.teeth === sprocket.teeth
        return (
          <g key={`${sprocket.part.entry.part} ${sprocket.teeth}`} transform={`translate(${x} ${y})`}>
            <path d={path} className="fill-paper" />
            <path d={path} className={FILLS[word]} strokeWidth={strong ? 2.2 : 0.7} strokeLinejoin="round" />
            {radius < 40 && sprocket.role !== 'cog' && (
              <text textAnchor="middle" y={3.5} className="fill-ink text-[10px]">
                {sprocket.teeth}
              </text>
            )}
          </g>
        )
      })}
      {placed
        .filter(
          ({ sprocket }, i, all) =>
            sprocket.role !== 'guide pulley' &&
            sprocket.role !== 'tension pulley' &&
            all.findLastIndex((one) => one.sprocket.role === sprocket.role) === i,
        )
        .map(({ sprocket, x, y }) => (
          <circle
            key={sprocket.role}
            cx={x}
            cy={y}
            r={9}
            className="fill-paper stroke-steel"
            strokeWidth={0.7}
          />
        ))}
      <g transform={`translate(0 ${height + 16})`} className="stroke-ink" strokeWidth={0.9}>
        <path d="M0 -3V3M0 0H50M50 -3V3" fill="none" />
      </g>
    </svg>
  )
}
