import { logBetween, type Evidence } from './likelihood.ts'
import { logTable, type LogTable } from './log-table.ts'
import { NO_SLIP, type Slip } from './slip.ts'

/** Chain elongations with any bias a tool may have, %. */
const FROM = -0.6
const TO = 3
/** Figures beyond so many spreads are slips, if slips there are. */
const MOST_SPREADS = 9
const STEPS_PER_SD = 30
/** Gauges have few marks and few spreads; this many tables are kept. */
const MOST_TABLES = 100

const tables = new Map<string, LogTable>()

function kept(key: string, make: () => LogTable): LogTable {
  const held = tables.get(key)
  if (held) return held
  if (tables.size >= MOST_TABLES) tables.clear()
  const table = make()
  tables.set(key, table)
  return table
}

/** A likelihood beside the chance of a slip: the logarithm of `(1 - chance) exp(log) + share`. */
const besideSlip = (log: number, { chance, share }: Slip): number =>
  share > 0 ? Math.log((1 - chance) * Math.exp(log) + share) : log

/**
 * The table of a limit reading by its centre: the log-probability that noise about it falls between two marks.
 * @param low lower mark, %; -Infinity for none
 * @param high upper mark, %; Infinity for none
 * @param sd spread of the noise, %, over 0
 * @param slip absent: it cannot be one
 */
export function betweenTable(low: number, high: number, sd: number, slip = NO_SLIP): LogTable {
  return kept(`${low} ${high} ${sd} ${slip.share}`, () =>
    logTable((centre) => besideSlip(logBetween(low, high, centre, sd), slip), FROM, TO, sd / STEPS_PER_SD),
  )
}

/** The table of a figure by how far its centre lies above it, %, a slip's share of it as a multiple of the normal's height. */
function figureTable(sd: number, slip: Slip): LogTable {
  const reach = MOST_SPREADS * sd
  return kept(`${sd} ${slip.share}`, () =>
    logTable((off) => besideSlip(-0.5 * (off / sd) ** 2, slip), -reach, reach, sd / STEPS_PER_SD),
  )
}

/** A reading's log-likelihood, slips included, as a table. */
export interface ReadingTable {
  readonly table: LogTable
  /** What is taken off a centre, %, before the table is asked. */
  readonly value: number
}

/** The log-likelihood of some evidence beside that of a slip, up to a constant. */
export const readingTable = (evidence: Evidence, slip: Slip): ReadingTable =>
  evidence.form === 'value'
    ? { value: evidence.value, table: figureTable(evidence.sd, slip) }
    : { value: 0, table: betweenTable(evidence.low, evidence.high, evidence.sd, slip) }
