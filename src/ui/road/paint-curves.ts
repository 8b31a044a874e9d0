import { PEG_GAP_PX, type Peg } from '../charts/pegs.ts'
import type { CurvedChain, StripPicture } from './picture.ts'
import { label, line, type Brush } from './brush.ts'
import { words } from '../../words/ui/road/paint-curves.ts'
import { sayDecimal } from '../../words/grouped-number.ts'

/** The scale of elongation at the left, with the limit across the road. */
export function paintScale(brush: Brush, picture: StripPicture): void {
  const { ctx, frame, ink, y } = brush
  ctx.lineWidth = 1
  for (let percent = 0; percent <= frame.topPercent + 1e-9; percent += 0.25) {
    ctx.strokeStyle = ink.hairline
    ctx.setLineDash([1, 4])
    line(ctx, [
      [frame.left, y(percent)],
      [frame.right, y(percent)],
    ])
    if (Math.abs(percent - picture.limit) > 0.05)
      label(
        brush,
        percent === 0 ? '0' : sayDecimal(percent, 2),
        frame.left - 8,
        y(percent) + 4,
        ink.steel,
        400,
        'right',
      )
  }
  ctx.setLineDash([])
  ctx.strokeStyle = ink.rust
  ctx.lineWidth = 1.5
  line(ctx, [
    [frame.left, y(picture.limit)],
    [frame.right, y(picture.limit)],
  ])
  label(brush, sayDecimal(picture.limit, 2), frame.left - 8, y(picture.limit) + 4, ink.rust, 600, 'right')
  if (frame.narrow) return
  label(brush, words.limit, 0, y(picture.limit) + 4, ink.rust, 600)
  label(brush, words.elongation, 0, y(frame.topPercent / 3), ink.steel)
  label(brush, words.perCent, 0, y(frame.topPercent / 3) + 15, ink.steel)
}

function paintBand(
  brush: Brush,
  points: readonly { readonly x: number; readonly p10: number; readonly p90: number }[],
  colour: string,
): void {
  const { ctx, y } = brush
  ctx.beginPath()
  points.forEach(({ x, p90 }, i) => (i === 0 ? ctx.moveTo(x, y(p90)) : ctx.lineTo(x, y(p90))))
  ;[...points].reverse().forEach(({ x, p10 }) => ctx.lineTo(x, y(p10)))
  ctx.closePath()
  ctx.globalAlpha = 0.18
  ctx.fillStyle = colour
  ctx.fill()
  ctx.globalAlpha = 1
}

function paintPeg(brush: Brush, peg: Peg): void {
  const { ctx, ink, x, y } = brush
  const at = x(peg.x) - PEG_GAP_PX * peg.beside
  ctx.strokeStyle = ink.ink
  ctx.lineWidth = 1.4
  const [low, high] = [y(peg.low), y(peg.high)]
  if (peg.middle === undefined) {
    ctx.globalAlpha = 0.35
    line(ctx, [
      [at, low],
      [at, high],
    ])
    ctx.globalAlpha = 1
    const caps = [peg.low > 0 ? low : undefined, peg.high < brush.frame.topPercent ? high : undefined]
    for (const cap of caps)
      if (cap !== undefined)
        line(ctx, [
          [at - 4, cap],
          [at + 4, cap],
        ])
    return
  }
  line(ctx, [
    [at, low],
    [at, high],
  ])
  ctx.beginPath()
  ctx.arc(at, y(peg.middle), 3.8, 0, 2 * Math.PI)
  ctx.fillStyle = ink.paper
  ctx.fill()
  ctx.stroke()
}

/** The time between its turns, when a chain hung still and did not wear: so its turns are seen as one chain's. */
function paintOff(
  { ctx, ink, y }: Brush,
  stretches: readonly (readonly { readonly x: number; readonly p50: number }[])[],
): void {
  ctx.strokeStyle = ink.petrol
  ctx.lineWidth = 1
  ctx.globalAlpha = 0.5
  stretches.forEach((points, i) => {
    const [end, start] = [points.at(-1), stretches[i + 1]?.[0]]
    if (end && start)
      line(ctx, [
        [end.x, y(end.p50)],
        [start.x, y(start.p50)],
      ])
  })
  ctx.globalAlpha = 1
}

/** One chain: its curve with the band about it, and its readings as pegs. */
export function paintChain(brush: Brush, { strip, answer, pegs }: CurvedChain): void {
  const { ctx, frame, ink, view, x, y } = brush
  const stretches = new Map<number, { x: number; p10: number; p50: number; p90: number }[]>()
  for (const { km, mark, stretch } of strip.points) {
    const way = answer?.wayHere[mark]
    if (!way) continue
    stretches.set(stretch, [...(stretches.get(stretch) ?? []), { ...way, x: x(km) }])
  }
  if (frame.chainY.length > 0) paintOff(brush, [...stretches.values()])
  for (const points of stretches.values()) {
    if ((points.at(-1)?.x ?? 0) < frame.left || (points[0]?.x ?? 0) > frame.right) continue
    paintBand(brush, points, ink.petrol)
    ctx.strokeStyle = ink.petrol
    ctx.lineWidth = 2.2
    line(
      ctx,
      points.map((point) => [point.x, y(point.p50)] as const),
    )
  }
  for (const peg of pegs) if (peg.x >= view.from - 1 && peg.x <= view.to + 1) paintPeg(brush, peg)
}

/** Chains that take turns: a lane each, a bar where the chain was on, its name where it first was. */
function paintTurns(brush: Brush, { strip }: StripPicture): void {
  const { ctx, frame, ink, x } = brush
  strip.chainLanes.forEach((lane, i) => {
    const at = frame.chainY[i] ?? 0
    for (const { chain, turns } of lane) {
      const [first, last] = [turns[0], turns.at(-1)]
      if (!first || !last) continue
      ctx.strokeStyle = ink.hairline
      ctx.lineWidth = 1
      line(ctx, [
        [x(first.from), at],
        [x(last.to), at],
      ])
      ctx.fillStyle = ink.petrol
      for (const { from, to } of turns) ctx.fillRect(x(from), at - 3, Math.max(1.5, x(to) - x(from)), 6)
      const name = strip.chains[chain]?.chain.part.entry.name ?? ''
      if (x(last.to) > frame.left)
        label(brush, name, Math.max(frame.left, x(first.from)), at - 7, ink.petrol, 600)
    }
  })
}

/** Names of chains where their stretches begin, and the hand-overs between them. */
export function paintHandovers(brush: Brush, picture: StripPicture): void {
  const { ctx, frame, ink, x, y } = brush
  if (frame.chainY.length > 0) return paintTurns(brush, picture)
  let taken = frame.right
  const begins = picture.chains
    .flatMap(({ strip }) => {
      const seen = new Set<number>()
      return strip.points.flatMap(({ km, stretch }) => {
        if (seen.has(stretch)) return []
        seen.add(stretch)
        return [{ km, name: strip.chain.part.entry.name }]
      })
    })
    // From today backwards: where names crowd, the chain that is on keeps its own.
    .sort((a, b) => b.km - a.km)
  for (const { km, name } of begins) {
    const at = x(km)
    if (at < frame.left - 60 || at > frame.right) continue
    ctx.strokeStyle = ink.petrol
    ctx.lineWidth = 1
    ctx.setLineDash([2, 3])
    line(ctx, [
      [at, y(0)],
      [at, frame.curveTop - 16],
    ])
    ctx.setLineDash([])
    ctx.font = `600 12px ${ink.sans}`
    const width = ctx.measureText(name).width
    if (at + 6 + width > taken) continue
    label(brush, name, at + 5, frame.curveTop - 7, ink.petrol, 600)
    taken = at - 3
  }
}

/** Events ahead: a stretch of the road set off. */
function paintEvents(brush: Brush, { strip, ahead }: Pick<StripPicture, 'strip' | 'ahead'>): void {
  const { ctx, frame, ink, x } = brush
  for (const { from, to } of ahead?.events ?? []) {
    const [left, right] = [x(strip.totalKm + from), x(strip.totalKm + to)]
    if (right < frame.left || left > frame.right) continue
    ctx.globalAlpha = 0.12
    ctx.fillStyle = ink.petrol
    ctx.fillRect(left, frame.curveTop, Math.max(2, right - left), frame.curveBottom - frame.curveTop)
    ctx.globalAlpha = 1
    ctx.strokeStyle = ink.petrol
    ctx.lineWidth = 1
    ctx.setLineDash([])
    for (const edge of [left, right])
      line(ctx, [
        [edge, frame.curveTop],
        [edge, frame.curveBottom],
      ])
  }
}

/** What is said where the fan meets the limit, with a rim of paper, so that it can be read over pegs and band. */
function paintSaid({ ctx, frame, ink }: Brush, said: string, crossing: number, y: number): void {
  ctx.font = `700 12px ${ink.sans}`
  const width = ctx.measureText(said).width
  const at = Math.max(frame.left, Math.min(crossing - width / 2, frame.right - width))
  ctx.strokeStyle = ink.paper
  ctx.lineWidth = 4
  ctx.lineJoin = 'round'
  ctx.textAlign = 'left'
  ctx.textBaseline = 'alphabetic'
  ctx.strokeText(said, at, y)
  ctx.fillStyle = ink.rust
  ctx.fillText(said, at, y)
}

/** The fan from today to the limit, and what is said where it meets it. */
export function paintFan(brush: Brush, { strip, ahead, limit }: StripPicture): void {
  if (!ahead) return
  const { ctx, frame, ink, x, y } = brush
  paintEvents(brush, { strip, ahead })
  const points = ahead.answer.fan.map((point) => ({ ...point, x: x(strip.totalKm + point.x) }))
  paintBand(brush, points, ink.rust)
  ctx.strokeStyle = ink.rust
  ctx.lineWidth = 2
  ctx.setLineDash([6, 4])
  line(
    ctx,
    points.filter(({ p50 }) => p50 <= frame.topPercent).map((point) => [point.x, y(point.p50)] as const),
  )
  ctx.setLineDash([])
  const crossing = x(strip.totalKm + ahead.answer.toLimitKm.p50)
  if (ahead.answer.toLimitKm.p50 <= 0 || crossing >= frame.right) return
  ctx.beginPath()
  ctx.arc(crossing, y(limit), frame.small ? 4 : 5, 0, 2 * Math.PI)
  ctx.fillStyle = ink.rust
  ctx.fill()
  if (ahead.said !== '') paintSaid(brush, ahead.said, crossing, y(limit) - 12)
}

/** Where the road ends today. */
export function paintToday(brush: Brush, { strip }: Pick<StripPicture, 'strip'>): void {
  const { ctx, frame, ink, x } = brush
  const today = x(strip.totalKm)
  ctx.strokeStyle = ink.ink
  ctx.lineWidth = 1.5
  line(ctx, [
    [today, frame.small ? 0 : 18],
    [today, frame.small ? frame.height : frame.datesY - 12],
  ])
  if (frame.small || today < frame.left - 1 || today > frame.right + 1) return
  ctx.font = `600 12px ${ink.sans}`
  const width = ctx.measureText(words.today).width + 18
  const left = Math.max(frame.left, Math.min(today - width / 2, frame.right - width))
  ctx.fillStyle = ink.ink
  ctx.fillRect(left, 0, width, 20)
  label(brush, words.today, left + 9, 14, ink.paper, 600)
}
