import { useCallback, useMemo, useRef } from 'react'
import { chainRoad } from '../../core/strategy/chain-road.ts'
import type { BikeReport, ChainReport } from '../../core/strategy/facts/bike-report.ts'
import type { Verdict } from '../../core/strategy/verdict.ts'
import type { WearAnswer } from '../../core/wear/outlook.ts'
import { pegsOf } from '../charts/pegs.ts'
import { plannedAlong } from '../charts/planned.ts'
import { useScreen } from '../screen-state.ts'
import { smallFrameFor } from './frame.ts'
import { paintSharedRuler, paintSmall } from './paint-small.ts'
import type { StripPicture } from './picture.ts'
import { useSeen } from './use-seen.ts'
import { usePainting, usePrinting, useWidth, type Paint } from './use-painting.ts'

/** The scale that small roads share: km back and ahead of today, and the top of their curves, %. */
export interface SharedScale {
  readonly backKm: number
  readonly aheadKm: number
  readonly topPercent: number
}

function pictureOf(report: BikeReport, chain: ChainReport, answer: WearAnswer): StripPicture {
  const strip = chainRoad(chain)
  const [own] = strip.chains
  // An answer of before may be about a way with fewer marks: it is not drawn under another.
  const isOfThis = own?.drawn === answer.wayHere.length
  return {
    strip,
    limit: report.limit.percent,
    chains: own
      ? [
          {
            strip: own,
            answer: isOfThis ? answer : undefined,
            pegs: pegsOf(chain.readings, chain.biases, (at) => chain.story.at(at).km),
          },
        ]
      : [],
    ahead: { answer, events: plannedAlong(report.bike.events, answer, 0), said: '' },
    perUnit: 1,
    unit: 'km',
    sayLane: () => '',
  }
}

/** Where the next look stands on the road; one that is due before an event stands where that begins. */
function lookKmOf({ look }: Verdict, { events }: WearAnswer): number | undefined {
  const before = look?.before?.event
  return before === undefined ? look?.inKm : events.find(({ event }) => event === before)?.beginsKm.p50
}

interface Props {
  readonly report: BikeReport
  readonly chain: ChainReport
  readonly answer: WearAnswer
  readonly verdict: Verdict
  readonly scale: SharedScale
  /** What it shows, for those who do not see it. */
  readonly sentence: string
}

/** One chain's road on a scale shared with others: its curve so far, limit and fan, the next look, and the lube left. */
export default function SmallRoad({ report, chain, answer, verdict, scale, sentence }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const theme = useScreen((state) => state.screen.theme)
  const printing = usePrinting()
  const width = useWidth(canvas)
  const isSeen = useSeen(canvas) || printing
  const picture = useMemo(() => pictureOf(report, chain, answer), [report, chain, answer])
  // What is out of sight has no width yet: nothing is drawn of it.
  const frame = useMemo(
    () => smallFrameFor(isSeen ? width : 0, scale.topPercent),
    [width, isSeen, scale.topPercent],
  )
  const paint = useCallback<Paint>(
    (ctx, ink, ratio) => {
      const today = picture.strip.totalKm
      const view = { from: today - scale.backKm, to: today + scale.aheadKm }
      const due = { lookKm: lookKmOf(verdict, answer), lubeKm: verdict.lube?.inKm }
      paintSmall(ctx, picture, due, frame, view, ink, ratio)
    },
    [picture, frame, verdict, answer, scale],
  )
  usePainting(canvas, frame, paint, printing, theme)
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={sentence}
      className="block w-full"
      style={{ height: frame.height }}
    />
  )
}

/** The ruler over small roads. */
export function SharedRuler({
  scale,
  perUnit,
  unit,
}: {
  readonly scale: SharedScale
  /** km a unit */
  readonly perUnit: number
  readonly unit: string
}) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const theme = useScreen((state) => state.screen.theme)
  const printing = usePrinting()
  const width = useWidth(canvas)
  const frame = useMemo(() => ({ ...smallFrameFor(width, scale.topPercent), height: 26 }), [width, scale])
  const paint = useCallback<Paint>(
    (ctx, ink) =>
      paintSharedRuler(ctx, frame, { from: -scale.backKm, to: scale.aheadKm }, ink, { perUnit, unit }),
    [frame, scale, perUnit, unit],
  )
  usePainting(canvas, frame, paint, printing, theme)
  return <canvas ref={canvas} aria-hidden="true" className="block w-full" style={{ height: frame.height }} />
}
