import type { Road } from '../exposure/roads.ts'
import { toolOf } from '../measure/instrument-likelihood.ts'
import { evidenceOf } from '../measure/likelihood.ts'
import { tableRow, type LogTable, type TableRow } from '../measure/log-table.ts'
import { readingTable } from '../measure/reading-table.ts'
import { NO_SLIP, slipOf } from '../measure/slip.ts'
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
  /** The log-likelihood of each reading, slips included, and what is taken off a centre before it is asked, %. */
  readonly tables: readonly LogTable[]
  readonly value: Float64Array
  /** Both together. */
  readonly row: TableRow
  readonly isFigure: readonly boolean[]
  /** Logarithm of the part of it that is a slip's. */
  readonly slipLog: Float64Array
  /** One over the square of the noise's spread. */
  readonly precision: Float64Array
}

/** What a road has more of each kind than another, 1000 wear-km; where there is a difference. */
function moreThan(road: Road, before: Road | undefined): (readonly [kind: number, more: number])[] {
  const sums = new Map<number, number>()
  road.kind.forEach((kind, i) => sums.set(kind, (road.km[i] ?? 0) / 1000))
  before?.kind.forEach((kind, i) => sums.set(kind, (sums.get(kind) ?? 0) - (before.km[i] ?? 0) / 1000))
  return [...sums].filter(([, more]) => more !== 0)
}

/** Lays a model's readings end to end, as they are or as what may be slips. @throws RangeError where a reading or a distance cannot be */
export function looksOf({ chains, tools, lay }: RiderModel, areSlips: boolean): Looks {
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
  const evidence = readings.map(({ reading, noise }) => evidenceOf(reading, noise))
  const slips = readings.map((taken, i) =>
    areSlips ? slipOf(taken, evidence[i] ?? evidenceOf(taken.reading, taken.noise)) : NO_SLIP,
  )
  const asTables = evidence.map((one, i) => readingTable(one, slips[i] ?? NO_SLIP))
  const value = Float64Array.from(asTables, (one) => one.value)
  const tables = asTables.map(({ table }) => table)
  return {
    lookFrom: starts(byChain.map((of) => of.length)),
    pieceFrom: starts(looks.map(({ more }) => more.length)),
    kind: Int32Array.from(pieces, ([kind]) => kind),
    more: Float64Array.from(pieces, ([, more]) => more),
    readingFrom: starts(looks.map(({ of }) => of.length)),
    tool: Int32Array.from(readings, (reading) => toolNumbers.get(toolOf(reading)) ?? 0),
    value,
    tables,
    row: tableRow(tables, value),
    isFigure: evidence.map(({ form }) => form === 'value'),
    slipLog: Float64Array.from(slips, ({ share }) => Math.log(share)),
    precision: Float64Array.from(evidence, ({ sd }) => 1 / (sd * sd)),
  }
}
