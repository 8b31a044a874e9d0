import { biasSpreads } from '../measure/bias-tail.ts'
import { logAt, type LogTable } from '../measure/log-table.ts'
import { coordinatesOf, type RiderDraws } from './draws.ts'
import { lateWear } from './late-wear.ts'
import { looksOf } from './looks.ts'
import { chainState, type RiderModel } from './rider-model.ts'

/** So many draws tell a chance to a hundredth or two. */
const DRAWS_ASKED = 240

/** What each tool adds, %, at some coordinates. */
const offsetsAt = ({ tools }: RiderModel, z: Float64Array): Float64Array =>
  Float64Array.from(tools, ({ place, bias }) => bias.b + bias.sb * biasSpreads(z[place] ?? 0))

/**
 * The chance that each reading was a slip, 0 to 1: the mean over the draws of its share in the reading's likelihood.
 * @returns by chain, in the order of its readings
 */
export function slipChances(draws: RiderDraws): ReadonlyMap<string, readonly number[]> {
  const { model, kinds, count } = draws
  const { lookFrom, pieceFrom, kind, more, readingFrom, tool, value, tables, slipLog } = looksOf(model, true)
  const sums = new Float64Array(slipLog.length)
  const step = Math.max(1, Math.floor(count / DRAWS_ASKED))
  let asked = 0
  for (let n = 0; n < count; n += step, asked++) {
    const z = coordinatesOf(draws, n)
    const times = kinds[n] ?? new Float64Array(0)
    const offsets = offsetsAt(model, z)
    for (let c = 0; c < model.chains.length; c++) {
      const { rate, start, beta, lateTimes, lateFrom } = chainState(model, z, c)
      let wear = 0
      for (let look = lookFrom[c] ?? 0; look < (lookFrom[c + 1] ?? 0); look++) {
        for (let i = pieceFrom[look] ?? 0; i < (pieceFrom[look + 1] ?? 0); i++)
          wear += (more[i] ?? 0) * (times[kind[i] ?? 0] ?? 0)
        const here = lateWear(start + rate * Math.max(0, wear) ** beta, lateTimes, lateFrom)
        for (let r = readingFrom[look] ?? 0; r < (readingFrom[look + 1] ?? 0); r++) {
          const centre = here + (offsets[tool[r] ?? 0] ?? 0) - (value[r] ?? 0)
          sums[r] = (sums[r] ?? 0) + Math.exp((slipLog[r] ?? 0) - logAt(tables[r] as LogTable, centre))
        }
      }
    }
  }
  return new Map(
    model.chains.map(({ id }, c) => {
      const [from, to] = [readingFrom[lookFrom[c] ?? 0] ?? 0, readingFrom[lookFrom[c + 1] ?? 0] ?? 0]
      return [id, Array.from(sums.slice(from, to), (sum) => Math.min(1, sum / asked))]
    }),
  )
}
