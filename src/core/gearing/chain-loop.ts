import { PITCH_MM } from '../units/pitch.ts'

/** A place on the loop, mm; the cog's centre is the origin, the ring lies to the right, y upwards. */
export interface LoopPoint {
  readonly x: number
  readonly y: number
  /** Which stretch it lies on. */
  readonly on: 'lower run' | 'cog' | 'upper run' | 'ring'
}

export interface ChainLoop {
  readonly cogRadiusMm: number
  readonly ringRadiusMm: number
  readonly centresMm: number
  /** Where pin number 0, 1, 2... lies; fractions too. Counted from the ring's lower edge along the lower run. */
  readonly at: (link: number) => LoopPoint
}

/** Radius of the circle through the pins on a sprocket, mm: `p / (2 sin(pi / z))`. */
export const pitchRadius = (teeth: number): number => PITCH_MM / (2 * Math.sin(Math.PI / teeth))

/** Lengths of the straight run and of both arcs of an open belt round two circles. */
function beltOf(cog: number, ring: number, centres: number) {
  const nx = (cog - ring) / centres
  const turn = Math.acos(Math.max(-1, Math.min(1, nx)))
  return {
    nx,
    ny: Math.sin(turn),
    turn,
    run: Math.sqrt(Math.max(0, centres ** 2 - (ring - cog) ** 2)),
    cogArc: cog * (2 * Math.PI - 2 * turn),
    ringArc: ring * 2 * turn,
  }
}

/**
 * Links that lie round ring and cog, with a fraction, as an open belt round both pitch circles: what is counted by laying a chain round
 * them.
 * @param centresMm between the axles, mm, more than the two radii differ
 * @throws RangeError where no belt goes round both
 */
export function linksAround(centresMm: number, ring: number, cog: number): number {
  const [r1, r2] = [pitchRadius(cog), pitchRadius(ring)]
  if (!(centresMm > Math.abs(r2 - r1))) throw new RangeError('The axles are too near one another.')
  const { run, cogArc, ringArc } = beltOf(r1, r2, centresMm)
  return (2 * run + cogArc + ringArc) / PITCH_MM
}

/**
 * The fewest links with which a chain can go round a ring and a cog: their pitch circles would touch (an open belt
 * round both, rounded up to whole links). Any bike needs more.
 */
export function fewestLinks(ring: number, cog: number): number {
  return Math.ceil(linksAround(pitchRadius(cog) + pitchRadius(ring), ring, cog))
}

/**
 * A chain laid round a ring and a cog without a derailleur, at true scale: the distance of the centres is the one
 * at which the loop is as long as the chain (an open belt round two pitch circles, found by bisection).
 * @param links 20 or more, and enough to go round both
 * @throws RangeError where the chain is too short to go round
 */
export function chainLoop(links: number, ring: number, cog: number): ChainLoop {
  const [cogRadiusMm, ringRadiusMm] = [pitchRadius(cog), pitchRadius(ring)]
  const total = links * PITCH_MM
  const length = (centres: number): number => {
    const belt = beltOf(cogRadiusMm, ringRadiusMm, centres)
    return 2 * belt.run + belt.cogArc + belt.ringArc
  }
  let low = Math.abs(ringRadiusMm - cogRadiusMm)
  let high = total
  if (length(low) > total) throw new RangeError('The chain is too short to go round this ring and cog.')
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2
    if (length(middle) < total) low = middle
    else high = middle
  }
  const belt = beltOf(cogRadiusMm, ringRadiusMm, low)
  return {
    cogRadiusMm,
    ringRadiusMm,
    centresMm: low,
    at: (link) =>
      pointAt(belt, cogRadiusMm, ringRadiusMm, low, (((link % links) + links) % links) * PITCH_MM),
  }
}

function pointAt(
  belt: ReturnType<typeof beltOf>,
  cog: number,
  ring: number,
  centres: number,
  along: number,
): LoopPoint {
  const { nx, ny, turn, run, cogArc, ringArc } = belt
  if (along < run) {
    const t = along / run
    return {
      x: (centres + ring * nx) * (1 - t) + cog * nx * t,
      y: -(ring * ny * (1 - t) + cog * ny * t),
      on: 'lower run',
    }
  }
  const onCog = along - run
  if (onCog < cogArc) {
    const angle = -turn - (onCog / cogArc) * (2 * Math.PI - 2 * turn)
    return { x: cog * Math.cos(angle), y: cog * Math.sin(angle), on: 'cog' }
  }
  const onUpper = onCog - cogArc
  if (onUpper < run) {
    const t = onUpper / run
    return {
      x: cog * nx * (1 - t) + (centres + ring * nx) * t,
      y: cog * ny * (1 - t) + ring * ny * t,
      on: 'upper run',
    }
  }
  const angle = turn - ((onUpper - run) / ringArc) * 2 * turn
  return { x: centres + ring * Math.cos(angle), y: ring * Math.sin(angle), on: 'ring' }
}
