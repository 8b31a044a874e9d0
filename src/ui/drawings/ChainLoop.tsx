import { useMemo } from 'react'
import { chainLoop, fewestLinks, type LoopPoint } from '../../core/gearing/chain-loop.ts'
import { crankTurnsPerChain } from '../../core/gearing/ratio.ts'
import { useNarrow } from '../use-narrow.ts'
import { words as phrases } from '../../words/ui/drawings/chain-loop.ts'
import { sayDecimal } from '../../words/grouped-number.ts'

/** A place on the chain with what was read there. */
export interface ReadPlace {
  readonly link: number
  readonly label: string
}

interface Props {
  readonly links: number
  readonly ring: number
  readonly cog: number
  readonly places: readonly ReadPlace[]
}

const PAD_X = 52
const LEADER = 20

/** Sizes of the words on the drawing, mm of chain: larger where the drawing is shown smaller. */
const WORDS = {
  wide: { text: 15, gap: 26, room: 150, pad: 58 },
  narrow: { text: 28, gap: 42, room: 280, pad: 76 },
} as const
type Words = (typeof WORDS)[keyof typeof WORDS]

/** A point on the loop moved inwards: towards the line between the two centres. */
function towardsInside(x: number, y: number, centres: number, by: number): { x: number; y: number } {
  const nearest = Math.min(centres, Math.max(0, x))
  const distance = Math.hypot(x - nearest, y) || 1
  return { x: x + ((nearest - x) / distance) * by, y: y - (y / distance) * by }
}

interface Placed {
  readonly x: number
  readonly y: number
  readonly up: boolean
  readonly level: number
  readonly label: string
}

/** Labels above or below by where their place lies, stepped outwards where they would run into one another. */
function placeLabels(items: readonly { at: LoopPoint; label: string }[], room: number): Placed[] {
  const taken: Placed[] = []
  for (const { at, label } of [...items].sort((a, b) => a.at.x - b.at.x)) {
    const up = at.y >= 0
    let level = 0
    while (taken.some((other) => other.up === up && other.level === level && Math.abs(other.x - at.x) < room))
      level++
    taken.push({ x: at.x, y: at.y, up, level, label })
  }
  return taken
}

/** The chain as a loop, at true scale, with its joining link and the places where it was read. */
export function ChainLoopDrawing(props: Props) {
  const { links, ring, cog } = props
  const fewest = fewestLinks(ring, cog)
  return links < fewest ? (
    <p className="text-steel">{phrases.aChainOfLinks(links, ring, cog, fewest)}</p>
  ) : (
    <Loop {...props} />
  )
}

function Loop({ links, ring, cog, places }: Props) {
  const loop = useMemo(() => chainLoop(links, ring, cog), [links, ring, cog])
  const pins = useMemo(() => Array.from({ length: links }, (_, i) => loop.at(i)), [loop, links])
  const { cogRadiusMm: r1, ringRadiusMm: r2, centresMm } = loop
  const reach = Math.max(r1, r2)
  const joining = loop.at(0.5)
  const words: Words = useNarrow() ? WORDS.narrow : WORDS.wide
  const labels = placeLabels(
    [
      ...places.map(({ link, label }) => ({ at: loop.at(link), label: phrases.link(link, label) })),
      { at: joining, label: phrases.joiningLink },
    ],
    words.room,
  )
  const levels = (up: boolean) =>
    Math.max(0, ...labels.filter((label) => label.up === up).map(({ level }) => level))
  const above = reach + words.pad + words.gap * levels(true)
  const below = reach + words.pad + words.gap * levels(false)
  const view = { x: -r1 - PAD_X, y: -above, w: centresMm + r1 + r2 + 2 * PAD_X, h: above + below }
  const turns = crankTurnsPerChain(links, ring)
  const sentence = phrases.aChainOfLinksRound(
    links,
    ring,
    cog,
    sayDecimal(turns, 1),
    places.length === 0
      ? phrases.noPlacesReadYet
      : phrases.readAt(places.map(({ link, label }) => phrases.link2(link, label)).join('; ')),
  )
  return (
    <svg
      viewBox={`${view.x} ${view.y} ${view.w} ${view.h}`}
      role="img"
      aria-label={sentence}
      className="w-full"
    >
      <g fill="none" className="stroke-hairline" strokeWidth={2}>
        <circle cx={0} cy={0} r={r1 * 0.55} />
        <circle cx={centresMm} cy={0} r={r2 * 0.55} />
      </g>
      {pins.map((pin, i) => {
        const next = pins[(i + 1) % links] ?? pin
        const isJoining = i === 0
        return (
          <line
            key={i}
            x1={pin.x}
            y1={-pin.y}
            x2={next.x}
            y2={-next.y}
            strokeWidth={isJoining ? 11 : i % 2 === 0 ? 9 : 5.5}
            strokeLinecap="round"
            className={isJoining ? 'stroke-rust' : i % 2 === 0 ? 'stroke-ink' : 'stroke-steel'}
          />
        )
      })}
      {pins.map((pin, i) => (
        <circle key={i} cx={pin.x} cy={-pin.y} r={1.6} className="fill-paper" />
      ))}
      {Array.from({ length: Math.floor((links - 6) / 10) }, (_, i) => {
        // Link numbers stand inside the loop, where no label of a reading goes.
        const link = 10 * (i + 1)
        const { x, y } = loop.at(link)
        const inward = towardsInside(x, y, centresMm, 13 + words.text / 3)
        return (
          <text
            key={link}
            x={inward.x}
            y={-inward.y + words.text / 4}
            fontSize={words.text * 0.68}
            textAnchor="middle"
            className="fill-steel"
          >
            {link}
          </text>
        )
      })}
      <g className="fill-steel" fontSize={words.text} textAnchor="middle">
        <text y={5}>{cog}</text>
        <text x={centresMm} y={5}>
          {ring}
        </text>
        <text x={centresMm / 2} y={-0.3 * words.text}>
          {phrases.linksOnceRound(links)}
        </text>
        <text x={centresMm / 2} y={1.1 * words.text}>
          {phrases.isCrankTurns(sayDecimal(turns, 1))}
        </text>
      </g>
      {labels.map(({ x, y, up, level, label }) => {
        const sign = up ? -1 : 1
        const end = -y + sign * (12 + LEADER + level * words.gap)
        const isJoining = label === 'joining link'
        return (
          <g key={`${label} ${x}`}>
            <line
              x1={x}
              y1={-y + sign * 8}
              x2={x}
              y2={end}
              strokeWidth={1.5}
              className={isJoining ? 'stroke-rust' : 'stroke-ink'}
            />
            <text
              x={x}
              y={end + (up ? -6 : words.text + 1)}
              fontSize={words.text}
              textAnchor="middle"
              className={`font-semibold ${isJoining ? 'fill-rust' : 'fill-ink'}`}
              paintOrder="stroke"
              strokeWidth={4}
              style={{ stroke: 'var(--paper)' }}
            >
              {label}
            </text>
          </g>
        )
      })}
    </svg>
  )
}
