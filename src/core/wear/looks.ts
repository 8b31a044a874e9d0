import type { Road } from '../exposure/roads.ts'
import { betweenTable, type BetweenTable } from '../measure/between-table.ts'
import { toolOf } from '../measure/instrument-likelihood.ts'
import { evidenceOf } from '../measure/likelihood.ts'
import type { RiderModel } from './rider-model.ts'

/**
 * All readings laid end to end: the sampler passes over them a hundred thousand times. Readings of one chain at one
 * place of its road are a look, and share what is worked out of that road; of each look's road only what differs from
 * the road of the look before is kept, so that a long story costs no more than a short one.
 */
export interface Looks {
  /** Where each chain's looks begin; one more than the chains. */
  readonly lookFrom: Int32Array
  /** Where each look's pieces begin; one more than the looks. */
  readonly pieceFrom: Int32Array
  readonly kind: Int32Array
  /** 1000 wear-km at the defaults; below 0 where a look's road has less of a kind than the one before. */
  readonly more: Float64Array
  /** Where each look's readings begin; one more than the looks. */
  readonly readingFrom: Int32Array
  readonly tool: Int32Array
  readonly value: Float64Array
  /** One over the square of the noise's spread. */
  readonly precision: Float64Array
  readonly tables: readonly (BetweenTable | undefined)[]
}

/** What a road has more of each kind than another, 1000 wear-km; where there is a difference. */
function moreThan(road: Road, before: Road | undefined): (readonly [kind: number, more: number])[] {
  const sums = new Map<number, number>()
  road.kind.forEach((kind, i) => sums.set(kind, (road.km[i] ?? 0) / 1000))
  before?.kind.forEach((kind, i) => sums.set(kind, (sums.get(kind) ?? 0) - (before.km[i] ?? 0) / 1000))
  return [...sums].filter(([, more]) => more !== 0)
}

/** Lays a model's readings end to end. @throws RangeError where a reading or a distance cannot be */
export function looksOf({ chains, tools, lay }: RiderModel): Looks {
  const toolNumbers = new Map(tools.map(({ tool }, t) => [tool, t]))
  const byChain = chains.map(({ readings }) => {
    const looks: { readonly road: Road; readonly more: ReturnType<typeof moreThan>; of: typeof readings }[] =
      []
    for (const reading of readings) {
      const road = lay(reading.road)
      const last = looks.at(-1)
      const more = moreThan(road, last?.road)
      if (last && more.length === 0) last.of = [...last.of, reading]
      else looks.push({ road, more, of: [reading] })
    }
    return looks
  })
  const looks = byChain.flat()
  const starts = (lengths: readonly number[]): Int32Array => {
    const from = new Int32Array(lengths.length + 1)
    lengths.forEach((length, i) => (from[i + 1] = (from[i] ?? 0) + length))
    return from
  }
  const pieces = looks.flatMap(({ more }) => more)
  const readings = looks.flatMap(({ of }) => of)
  const evidence = readings.map(({ reading }) => evidenceOf(reading))
  return {
    lookFrom: starts(byChain.map((of) => of.length)),
    pieceFrom: starts(looks.map(({ more }) => more.length)),
    kind: Int32Array.from(pieces, ([kind]) => kind),
    more: Float64Array.from(pieces, ([, more]) => more),
    readingFrom: starts(looks.map(({ of }) => of.length)),
    tool: Int32Array.from(readings, (reading) => toolNumbers.get(toolOf(reading)) ?? 0),
    value: Float64Array.from(evidence, (one) => (one.form === 'value' ? one.value : 0)),
    precision: Float64Array.from(evidence, ({ sd }) => 1 / (sd * sd)),
    tables: evidence.map((one) =>
      one.form === 'between' ? betweenTable(one.low, one.high, one.sd) : undefined,
    ),
  }
}
