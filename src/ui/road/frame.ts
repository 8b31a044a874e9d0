import type { MileStrip } from '../../core/strategy/mile-strip.ts'
import type { View } from './view.ts'

/** Where everything stands on the drawing, px. */
export interface Frame {
  readonly width: number
  readonly height: number
  /** The road's left and right end. */
  readonly left: number
  readonly right: number
  readonly curveTop: number
  /** Bars of chains that take turns, in order of their lanes; empty where they do not. */
  readonly chainY: readonly number[]
  readonly curveBottom: number
  readonly rulerY: number
  readonly roadTop: number
  readonly roadBottom: number
  readonly washY: number
  /** Base lines of the parts' lanes, in order. */
  readonly laneY: readonly number[]
  readonly datesY: number
  readonly narrow: boolean
  /** One of many under one another: no words but the marks'. */
  readonly small: boolean
  readonly topPercent: number
}

const LANE_PX = 36
const CHAIN_LANE_PX = 24
const NARROW_PX = 600

/** The frame for a width; its height follows from the lanes there are. */
export function frameFor(
  width: number,
  strip: Pick<MileStrip, 'lanes' | 'chainLanes'>,
  topPercent: number,
): Frame {
  const narrow = width < NARROW_PX
  const chainY = strip.chainLanes.map((_, i) => 44 + i * CHAIN_LANE_PX)
  const curveTop = (chainY.at(-1) ?? 24) + 16
  const curveBottom = curveTop + (narrow ? 150 : 200)
  const rulerY = curveBottom + 16
  const roadTop = rulerY + 32
  const roadBottom = roadTop + 26
  const washY = roadBottom + 28
  const laneY = strip.lanes.map((_, i) => washY + 44 + i * LANE_PX)
  const datesY = (laneY.at(-1) ?? washY) + 22
  return {
    width,
    height: datesY + 24,
    left: narrow ? 46 : 104,
    right: width - (narrow ? 6 : 12),
    curveTop,
    chainY,
    curveBottom,
    rulerY,
    roadTop,
    roadBottom,
    washY,
    laneY,
    datesY,
    narrow,
    small: false,
    topPercent,
  }
}

/** Room at the left of a small road for the figure of its limit, px. */
export const SMALL_LEFT = 30

/** The frame of a road that is one of many under one another: its curve, and a narrow road under it. */
export function smallFrameFor(width: number, topPercent: number): Frame {
  const [curveTop, curveBottom] = [8, 66]
  const roadTop = curveBottom + 6
  return {
    width,
    height: 98,
    left: SMALL_LEFT,
    right: width - 2,
    curveTop,
    chainY: [],
    curveBottom,
    rulerY: curveBottom,
    roadTop,
    roadBottom: roadTop + 7,
    washY: roadTop,
    laneY: [],
    datesY: 98,
    narrow: true,
    small: true,
    topPercent,
  }
}

export const xOfKm = ({ left, right }: Frame, { from, to }: View, km: number): number =>
  left + ((right - left) * (km - from)) / (to - from)

export const kmOfX = ({ left, right }: Frame, { from, to }: View, x: number): number =>
  from + ((to - from) * (x - left)) / (right - left)

export const yOfPercent = ({ curveTop, curveBottom, topPercent }: Frame, percent: number): number =>
  curveBottom - ((curveBottom - curveTop) * Math.max(0, Math.min(topPercent, percent))) / topPercent
